import { IconChevronRight } from '@tabler/icons-react';

/** A part of a list under its name and count; folded, only those are there. */
export function Fold({
  id,
  name,
  count,
  open,
  toggle,
  note,
  children,
}: {
  id?: string | undefined;
  name: string;
  count: number;
  open: boolean;
  toggle: () => void;
  /** What it is about, in a few words. */
  note?: string | undefined;
  children: React.ReactNode;
}) {
  return (
    <section id={id} className="fold">
      <h3>
        <button type="button" aria-expanded={open} onClick={toggle}>
          <IconChevronRight size={20} aria-hidden="true" />
          {name} <b>{count}</b>
          {note && <span className="quiet"> {note}</span>}
        </button>
      </h3>
      {open && children}
    </section>
  );
}
