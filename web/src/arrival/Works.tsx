import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { worksLines } from '@bay/core/arrival';
import type { WorksLine, WorksWord } from '@bay/core/arrival';
import { counted } from '@bay/core/units';
import { newId } from '../api/index.ts';
import { usePut, useJob, useRecords } from '../sheet/index.ts';
import { Trouble } from '../ui/index.ts';
import styles from './arrival.module.css';

const words: Readonly<Record<WorksWord, string>> = {
  works: 'works',
  'does-not': 'does not work',
  'not-tried': 'not tried',
};

/** What was tried on the car when it came, or is tried again before it goes. */
export function Works({ goes = false }: { goes?: boolean }) {
  const { sheet, mayWrite } = useJob();
  const records = useRecords('works');
  const put = usePut();
  const [own, setOwn] = useState('');
  const all = worksLines(records);
  // As it goes, what was there as it came is shown; nothing is asked that nobody looked at before.
  const lines = goes ? all.filter((l) => l.came !== 'not-tried') : all;
  const open = goes
    ? lines.filter((l) => l.goes === 'not-tried').length
    : lines.filter((l) => l.came === 'not-tried').length;
  const say = (line: WorksLine, state: 'works' | 'does-not'): void => {
    const now = records[line.id];
    const revision = sheet.records.find((r) => r.kind === 'works' && r.key === line.id)?.revision ?? 0;
    const data = goes
      ? { what: line.what, state: now!.state, ...(now!.note ? { note: now!.note } : {}), again: { state } }
      : { what: line.what, state, ...(now?.again ? { again: now.again } : {}) };
    put.mutate({ kind: 'works', key: line.id, data, revision });
  };
  if (goes && lines.length === 0)
    return <p className="quiet">Nothing was tried when the car came, so nothing is held against it now.</p>;
  return (
    <>
      <p className="quiet">
        {open === 0 ? 'All of it tried' : `${counted(open, 'thing')} not tried ${goes ? 'again' : 'yet'}`}
      </p>
      <ul className={styles['works']}>
        {lines.map((line) => {
          const state = goes ? line.goes : line.came;
          const lost = goes && line.came === 'works' && line.goes === 'does-not';
          return (
            <li key={line.id} className={lost ? 'oxide' : undefined}>
              <span>
                {line.what} <span className="quiet">{words[state]}</span>
                {goes && <span className="quiet">; came: {words[line.came]}</span>}
              </span>
              {mayWrite && (
                <span className={styles['two']}>
                  {(['works', 'does-not'] as const).map((s) => (
                    <button
                      key={s}
                      type="button"
                      className="plain-button small"
                      aria-pressed={state === s}
                      aria-label={`${line.what} ${words[s]}`}
                      onClick={() => say(line, s)}
                    >
                      {s === 'works' ? 'Works' : 'Not'}
                    </button>
                  ))}
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <Trouble of={put} />
      {mayWrite && !goes && (
        <form
          className="row-actions"
          onSubmit={(e) => {
            e.preventDefault();
            if (own.trim().length < 2) return;
            put.mutate(
              { kind: 'works', key: newId(), data: { what: own.trim(), state: 'works' }, revision: 0 },
              { onSuccess: () => setOwn('') },
            );
          }}
        >
          <TextInput
            aria-label="Something else that works"
            placeholder="Something else that works"
            value={own}
            onChange={(e) => setOwn(e.currentTarget.value)}
          />
          <button type="submit" className="plain-button" disabled={own.trim().length < 2}>
            Add it
          </button>
        </form>
      )}
    </>
  );
}
