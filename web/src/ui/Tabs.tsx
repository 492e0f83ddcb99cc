import { useSearchParams } from 'react-router';

/** The open tab lives in the address, so that it can be linked and loaded again. */
export function useTab<T extends string>(names: Readonly<Record<T, string>>, first: NoInfer<T>): [T, (tab: T) => void] {
  const [params, setParams] = useSearchParams();
  const asked = params.get('tab') ?? '';
  const tab = asked in names ? (asked as T) : first;
  return [tab, (next) => setParams({ tab: next }, { replace: true })];
}

export function Tabs<T extends string>({ names, at, to }: { names: Readonly<Record<T, string>>; at: T; to: (tab: T) => void }) {
  return (
    <div className="tabs" role="tablist">
      {(Object.entries(names) as [T, string][]).map(([id, name]) => (
        <button key={id} type="button" role="tab" aria-selected={at === id} onClick={() => to(id)}>
          {name}
        </button>
      ))}
    </div>
  );
}
