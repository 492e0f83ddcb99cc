import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { readLog } from '@bay/contract/logbook';
import { call, keys } from '../api/index.ts';
import { dayWords, Trouble } from '../ui/index.ts';
import { EntryLine } from './EntryLine.tsx';
import styles from './logbook.module.css';

/** What was ever written about one step, part, interface or circuit; read when somebody asks. */
export function History({ jobId, about, title }: { jobId: string; about: string; title: string }) {
  const [open, setOpen] = useState(false);
  const lines = useQuery({
    queryKey: keys.history(jobId, about),
    queryFn: () => call(readLog, { params: { jobId }, query: { about, limit: '60' as unknown as number } }),
    enabled: open,
  });
  return (
    <div className="history">
      <button
        type="button"
        className="plain-button small bare"
        aria-expanded={open}
        aria-label={`History: ${title}`}
        onClick={() => setOpen(!open)}
      >
        History
      </button>
      {open && (
        <div className={styles['history-lines']}>
          <Trouble of={lines} />
          {lines.data?.entries.length === 0 && <p className="quiet">Nothing is written about it yet.</p>}
          {lines.data?.entries.map((entry) => (
            <EntryLine
              key={entry.id}
              jobId={jobId}
              entry={entry}
              lead={<span className="quiet mono">{dayWords(entry.at)} </span>}
            />
          ))}
        </div>
      )}
    </div>
  );
}
