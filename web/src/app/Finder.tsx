import { TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useId, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { labelPathOf } from '@bay/core/parts';
import { find } from '@bay/contract/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { Dialog } from '../ui/index.ts';
import { call, keys, useCrew } from '../api/index.ts';
import { pressableHere } from './finder-here.ts';
import type { Found } from './finder-job.ts';
import { places } from './places.ts';
import styles from './app.module.css';

/** So many of each sort are shown; more words find the rest. */
const most = 8;

interface Hit {
  kind: string;
  title: string;
  detail: string;
  go: () => void;
}

/** What is found without asking the server: the open job's content, the sums, the crew. Loaded when somebody looks. */
function useKnown(): readonly Found[] {
  const client = useQueryClient();
  const { pathname } = useLocation();
  const crew = useCrew().data?.crew;
  const jobId = /^\/jobs\/([^/]+)/.exec(pathname)?.[1];
  const [ofJob, setOfJob] = useState<readonly Found[]>([]);
  const [sums, setSums] = useState<readonly Found[]>([]);
  useEffect(() => {
    const sheet = jobId === undefined ? undefined : client.getQueryData<JobSheet>(keys.job(jobId));
    if (sheet) void import('./finder-job.ts').then((m) => setOfJob(m.thingsOfJob(sheet)));
    void import('./finder-sums.ts').then((m) => setSums(m.sums));
  }, [client, jobId]);
  const people = (crew ?? []).map((p): Found => ({ kind: 'person', title: p.name, detail: p.initials, to: '/crew' }));
  return [...ofJob, ...sums, ...people];
}

/** Does a title hold every word typed? */
const holds = (words: readonly string[], text: string): boolean => words.every((w) => text.toLowerCase().includes(w));

/** Finds everything that has a name, and does everything that has a button on the page under it; by keyboard alone. */
export default function Finder({ close }: { close: () => void }) {
  const [typed, setTyped] = useState('');
  /** What Enter goes to. It stays the same thing while more is found, so that nothing slides under a finger. */
  const [chosen, setChosen] = useState<string | null>(null);
  const [q] = useDebouncedValue(typed.trim(), 120);
  // Of the page as it was when this was opened over it.
  const [here] = useState(pressableHere);
  const known = useKnown();
  const list = useId();
  const navigate = useNavigate();
  const found = useQuery({
    queryKey: keys.find(q),
    queryFn: ({ signal }) => call(find, { query: { q }, signal }),
    enabled: q.length > 0,
  });
  const words = typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const leadTo = ({ to, ...hit }: Found): Hit => ({ ...hit, go: () => void navigate(to) });
  const some = (all: readonly Hit[]): Hit[] =>
    words.length === 0 ? [] : all.filter((h) => holds(words, `${h.kind} ${h.title} ${h.detail}`)).slice(0, most);
  const label = labelPathOf(typed);
  const hits: Hit[] = [
    // A scanner types what stands on a label, and Enter.
    ...(label === undefined
      ? []
      : [leadTo({ kind: 'label', title: 'What this label stands on', detail: label, to: label })]),
    ...some(known.map(leadTo)),
    // What was found for other words is not what is typed now.
    ...(q === '' || q !== typed.trim() ? [] : (found.data?.hits ?? []).map(leadTo)),
    ...some(here.map(({ name, press }) => ({ kind: 'do', title: name, detail: 'on this page', go: press }))),
    ...[
      leadTo({ kind: 'do', title: 'Book in a car', detail: 'new job', to: '/book-in' }),
      ...places.map((p) => leadTo({ kind: 'go', title: p.name, detail: `g ${p.key}`, to: p.to })),
    ].filter((h) => holds(words, h.title)),
  ];
  const idOf = ({ kind, title, detail }: Hit): string => `${kind} ${title} ${detail}`;
  const at = Math.max(
    0,
    hits.findIndex((h) => idOf(h) === chosen),
  );
  const first = hits[0];
  // A button of the page gives way to what the server finds; whatever else was shown first stays chosen.
  if (chosen === null && first && words.length > 0 && first.kind !== 'do') setChosen(idOf(first));
  const choose = (index: number): void => {
    const hit = hits[Math.min(Math.max(0, index), hits.length - 1)];
    if (hit) setChosen(idOf(hit));
  };
  const open = (hit: Hit): void => {
    close();
    // The dialog gives the focus back first.
    setTimeout(hit.go, 0);
  };
  return (
    <Dialog close={close} title="Find or do" size="lg" yOffset="8vh" centered={false}>
      <TextInput
        aria-label="Find or do"
        placeholder="Job, car, customer, part, bag, fact, place, photo, sum, person, or what to do"
        role="combobox"
        aria-expanded
        aria-controls={list}
        aria-activedescendant={hits[at] ? `${list}-${at}` : undefined}
        value={typed}
        data-autofocus
        onChange={(e) => {
          setTyped(e.currentTarget.value);
          setChosen(null);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') choose(at + 1);
          else if (e.key === 'ArrowUp') choose(at - 1);
          else if (e.key === 'Enter' && hits[at]) open(hits[at]);
          else return;
          e.preventDefault();
        }}
      />
      <ul id={list} role="listbox" aria-label="Found" className={`rows ${styles['hits']}`}>
        {hits.map((hit, i) => (
          // eslint-disable-next-line jsx-a11y/click-events-have-key-events -- its keys are the field's, which says what is chosen
          <li
            key={`${hit.kind}${hit.title}${hit.detail}${i}`}
            id={`${list}-${i}`}
            role="option"
            aria-selected={i === at}
            onClick={() => open(hit)}
          >
            <span className="tag">{hit.kind}</span>
            <span>
              <b>{hit.title}</b> <span className="quiet">{hit.detail}</span>
            </span>
          </li>
        ))}
      </ul>
      {hits.length === 0 && (
        <p className="quiet" role="status">
          Nothing found for "{typed}".
        </p>
      )}
    </Dialog>
  );
}
