import { Tabs as Strip } from '@mantine/core';
import { useSearchParams } from 'react-router';

/** The open tab lives in the address, so that it can be linked and loaded again. */
export function useTab<T extends string>(names: Readonly<Record<T, string>>, first: NoInfer<T>): [T, (tab: T) => void] {
  const [params, setParams] = useSearchParams();
  const asked = params.get('tab') ?? '';
  const tab = Object.hasOwn(names, asked) ? (asked as T) : first;
  return [tab, (next) => setParams({ tab: next }, { replace: true })];
}

interface Props<T extends string> {
  names: Readonly<Record<T, string>>;
  at: T;
  to: (tab: T) => void;
  /** What the open tab shows. */
  children: React.ReactNode;
}

/** A strip of tabs over what the open one shows; arrow keys go along the strip. */
export function Tabs<T extends string>({ names, at, to, children }: Props<T>) {
  const asked = useSearchParams()[0].get('tab');
  return (
    <Strip value={at} onChange={(next) => next !== null && to(next as T)} unstyled>
      <Strip.List className="tabs">
        {(Object.entries(names) as [T, string][]).map(([id, name]) => (
          <Strip.Tab key={id} value={id}>
            {name}
          </Strip.Tab>
        ))}
      </Strip.List>
      <Strip.Panel value={at}>
        {asked !== null && !Object.hasOwn(names, asked) && (
          <p className="notice ochre-notice" role="status">
            There is nothing called "{asked}" here. This is {names[at]}.
          </p>
        )}
        {children}
      </Strip.Panel>
    </Strip>
  );
}
