import { IconChevronRight } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** On paper nothing can be unfolded: all of it is there while the page is printed. */
function usePrinting(): boolean {
  const [printing, set] = useState(false);
  useEffect(() => {
    const turn = (on: boolean) => (): void => flushSync(() => set(on));
    const [before, after] = [turn(true), turn(false)];
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  return printing;
}

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
  const printing = usePrinting();
  return (
    <section id={id} className="fold">
      <h3>
        <button type="button" aria-expanded={open} onClick={toggle}>
          <IconChevronRight size={20} aria-hidden="true" />
          {name} <b>{count}</b>
          {note && <span className="quiet"> {note}</span>}
        </button>
      </h3>
      {(open || printing) && children}
    </section>
  );
}
