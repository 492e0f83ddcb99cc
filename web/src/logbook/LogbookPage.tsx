import { TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { Link, useSearchParams } from 'react-router';
import { sentenceOf } from '../api/index.ts';
import { dayWords, Empty, Failed } from '../ui/index.ts';
import { EntryLine } from './EntryLine.tsx';
import { useFound } from './useBook.ts';

/** Every word that was ever written in the shop, on whatever job. */
export function LogbookPage() {
  const [params, setParams] = useSearchParams();
  const typed = params.get('q') ?? '';
  const [q] = useDebouncedValue(typed.trim(), 150);
  const found = useFound(q, undefined);
  const hits = found.data?.hits ?? [];
  return (
    <div className="page" style={{ maxWidth: 980 }}>
      <div className="page-head">
        <h1>Every logbook</h1>
        <span className="quiet">what was written on any job, the newest first</span>
      </div>
      <TextInput
        aria-label="Search every logbook"
        placeholder="Words, a bag, a part, a size"
        value={typed}
        onChange={(e) => setParams(e.currentTarget.value ? { q: e.currentTarget.value } : {}, { replace: true })}
        autoFocus
      />
      {found.isError && <Failed sentence={sentenceOf(found.error)} again={() => void found.refetch()} />}
      {q.length < 2 ? (
        <Empty title="What do you look for?">Two letters are enough; the last word may be half typed.</Empty>
      ) : (
        <ul className="panel" style={{ marginTop: 12 }}>
          {hits.map((hit) => (
            <li key={hit.id}>
              <EntryLine
                jobId={hit.jobId}
                entry={hit}
                hit={hit.hit}
                lead={
                  <>
                    <Link to={`/jobs/${hit.jobId}/scope`}>
                      {hit.number} {hit.carName}
                    </Link>{' '}
                    <span className="quiet">{dayWords(hit.at)} </span>
                  </>
                }
              />
            </li>
          ))}
          {found.data && hits.length === 0 && <li className="quiet">Nothing was ever written like that.</li>}
        </ul>
      )}
    </div>
  );
}
