import { Button } from '@mantine/core';
import Papa from 'papaparse';
import { useRef, useState } from 'react';
import { factTable, readFactTable, tableHead } from '@bay/core/facts';
import type { FactDef, FactTableRow, ReadTable } from '@bay/core/facts';
import { counted } from '@bay/core/units';
import type { FactRow } from '@bay/contract/facts';
import { sentenceOf } from '../api/index.ts';
import { Dialog, download } from '../ui/index.ts';
import { usePutFact } from './useFact.ts';
import type { Bearer } from './useFact.ts';

/** What a table brings, looked over before anything is written; then one fact after the other, with what is refused. */
function Bring({
  table,
  rows,
  bearer,
  close,
}: {
  table: ReadTable;
  rows: ReadonlyMap<string, FactRow>;
  bearer: Bearer;
  close: () => void;
}) {
  const put = usePutFact();
  const [written, setWritten] = useState(0);
  const [state, setState] = useState<'ask' | 'writing' | 'over'>('ask');
  const [refused, setRefused] = useState<readonly string[]>([]);
  const stopped = useRef(false);
  // As it was looked over: what is written meanwhile does not shorten the list.
  const [changed] = useState(() =>
    table.facts.filter((f) => {
      const now = rows.get(f.factId);
      return !now || Object.entries(f.typed).some(([key, typed]) => now.typed[key] !== typed);
    }),
  );
  const write = async (): Promise<void> => {
    setState('writing');
    const said: string[] = [];
    let done = 0;
    for (const { factId, label, typed, source, note } of changed) {
      if (stopped.current) break;
      const now = rows.get(factId);
      try {
        await put.mutateAsync({
          bearer,
          factId,
          typed: { ...now?.typed, ...typed },
          source,
          ...(note ? { note } : {}),
          revision: now?.revision ?? 0,
        });
        done += 1;
      } catch (error) {
        said.push(`${label}: ${sentenceOf(error)}`);
      }
      setWritten(done);
      setRefused([...said]);
    }
    setState('over');
  };
  return (
    <Dialog close={close} title="Facts from a table" size="lg">
      <p role="status">
        {state === 'ask'
          ? `${counted(changed.length, 'fact')} new or changed, ${table.facts.length - changed.length} as they are.`
          : `${written} of ${counted(changed.length, 'fact')} written.`}
      </p>
      {state !== 'ask' && <progress max={changed.length} value={written} />}
      {state === 'ask' && (
        <ul>
          {changed.map((f) => (
            <li key={f.factId}>
              <b>{f.label}</b> <span className="mono">{Object.values(f.typed).join(' · ')}</span>
            </li>
          ))}
        </ul>
      )}
      {[...table.faults.map((f) => `Row ${f.row}: ${f.sentence}`), ...refused].map((sentence) => (
        <p key={sentence} className="oxide">
          {sentence}
        </p>
      ))}
      <div className="row-actions">
        {state === 'ask' && (
          <Button disabled={changed.length === 0} onClick={() => void write()}>
            Write {counted(changed.length, 'fact')}
          </Button>
        )}
        {state === 'writing' ? (
          <Button
            variant="default"
            onClick={() => {
              stopped.current = true;
            }}
          >
            Stop here
          </Button>
        ) : (
          <Button variant={state === 'ask' ? 'subtle' : 'filled'} onClick={close}>
            {state === 'ask' ? 'Leave it' : 'Close'}
          </Button>
        )}
      </div>
    </Dialog>
  );
}

/** The sheet as a table for a spreadsheet, and back from it. */
export function FactTable({
  name,
  defs,
  rows,
  subject,
  bearer,
  mayWrite,
}: {
  name: string;
  defs: readonly FactDef[];
  rows: ReadonlyMap<string, FactRow>;
  subject: FactDef['subject'];
  bearer: Bearer;
  mayWrite: boolean;
}) {
  const picker = useRef<HTMLInputElement>(null);
  const [table, setTable] = useState<ReadTable>();
  return (
    <>
      <button
        type="button"
        className="plain-button bare"
        onClick={() =>
          download(`${name}.csv`, 'text/csv', Papa.unparse(factTable(defs, rows), { columns: [...tableHead] }))
        }
      >
        To a table
      </button>
      {mayWrite && (
        <>
          <input
            ref={picker}
            type="file"
            accept=".csv,text/csv"
            hidden
            aria-label="Table of facts: choose a file"
            onChange={(e) => {
              const file = e.currentTarget.files?.[0];
              e.currentTarget.value = '';
              void file?.text().then((text) => {
                const { data } = Papa.parse<Partial<FactTableRow>>(text, { header: true, skipEmptyLines: true });
                setTable(readFactTable(data, subject));
              });
            }}
          />
          <button type="button" className="plain-button bare" onClick={() => picker.current?.click()}>
            From a table
          </button>
        </>
      )}
      {table && <Bring table={table} rows={rows} bearer={bearer} close={() => setTable(undefined)} />}
    </>
  );
}
