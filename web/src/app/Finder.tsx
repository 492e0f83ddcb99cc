import { TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { find } from '@bay/contract/jobs';
import { Dialog } from '../ui/index.ts';
import { places } from './places.ts';
import { call, keys } from '../api/index.ts';

const doings = [
  { kind: 'do', title: 'Book in a car', detail: 'new job', to: '/book-in' },
  ...places.map((p) => ({ kind: 'go', title: p.name, detail: `g ${p.key}`, to: p.to })),
];

/** Finds anything or does anything, by keyboard alone. */
export default function Finder({ close }: { close: () => void }) {
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const [q] = useDebouncedValue(typed.trim(), 120);
  const navigate = useNavigate();
  const found = useQuery({
    queryKey: keys.find(q),
    queryFn: ({ signal }) => call(find, { query: { q }, signal }),
    enabled: q.length > 0,
  });
  const hits = [
    ...(q === '' ? [] : (found.data?.hits ?? [])),
    ...doings.filter((d) => d.title.toLowerCase().includes(typed.trim().toLowerCase())),
  ];
  const open = (to: string): void => {
    close();
    void navigate(to);
  };
  return (
    <Dialog close={close} title="Find or do" size="lg" yOffset="8vh" centered={false}>
      <TextInput
        aria-label="Find or do"
        placeholder="Job, car, customer, unit, part label, or what to do"
        value={typed}
        data-autofocus
        onChange={(e) => {
          setTyped(e.currentTarget.value);
          setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt(Math.min(at + 1, hits.length - 1));
          else if (e.key === 'ArrowUp') setAt(Math.max(0, at - 1));
          else if (e.key === 'Enter' && hits[at]) open(hits[at].to);
          else return;
          e.preventDefault();
        }}
      />
      <ul className="rows" style={{ marginTop: 10 }}>
        {hits.map((hit, i) => (
          <li key={`${hit.kind}${hit.to}${hit.title}`}>
            <button
              type="button"
              className="row-button"
              style={{ gridTemplateColumns: '60px 1fr', background: i === at ? 'var(--bay-wash)' : undefined }}
              onClick={() => open(hit.to)}
            >
              <span className="tag">{hit.kind}</span>
              <span>
                <b>{hit.title}</b> <span className="quiet">{hit.detail}</span>
              </span>
            </button>
          </li>
        ))}
        {hits.length === 0 && (
          <li className="quiet" style={{ padding: 12 }}>
            Nothing found for "{typed}".
          </li>
        )}
      </ul>
    </Dialog>
  );
}
