import { byTime } from '@bay/core/rules';
import { gateNames } from '@bay/core/commissioning';
import type { GateName } from '@bay/core/commissioning';
import type { FindingRecord } from '@bay/core/prep';
import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { findings } from '@bay/core/prep';
import type { UnitRole } from '@bay/core/jobs';
import { useJob, usePut, useRecordForm } from '../sheet/index.ts';
import { dayWords, Empty, FindIn, FormDialog, Trouble, useNarrow } from '../ui/index.ts';

/** Findings of every unit of the job, also of those that only passed through it. */
export function useFindings(): { key: string; on: UnitRole; data: FindingRecord }[] {
  const { sheet } = useJob();
  return sheet.records
    .filter((r) => r.kind === 'finding')
    .map((r) => ({ key: r.key, on: r.on ?? r.data['on'], data: r.data }))
    .sort((a, b) => Number(Boolean(a.data.settled)) - Number(Boolean(b.data.settled)) || byTime(b.data, a.data));
}

function FindingForm({ lookedAt, close }: { lookedAt: string | undefined; close: () => void }) {
  const { sheet } = useJob();
  const row = findings.find((f) => f.id === lookedAt);
  const roles = [...new Map(sheet.units.map((u) => [u.role, u.name]))];
  const form = useRecordForm({
    kind: 'finding',
    about: lookedAt,
    initial: {
      on: roles.some(([r]) => r === 'engine') ? 'engine' : 'car',
      what: '',
      follows: row?.follows ?? '',
      forbiddenAt: null as GateName | null,
    },
    sent: ({ forbiddenAt, ...v }) => ({
      ...v,
      ...(forbiddenAt ? { forbiddenAt } : {}),
      ...(lookedAt ? { lookedAt } : {}),
    }),
  });
  return (
    <FormDialog
      title={row ? row.lookedAt : 'Something found'}
      submit="Write it down"
      of={form}
      send={form.send}
      close={close}
    >
      {row && (
        <p className="quiet">
          {row.how}. {row.means}.
        </p>
      )}
      <Select label="On" data={roles.map(([value, label]) => ({ value, label }))} {...form.field('on')} />
      <TextInput label="What was found" data-autofocus {...form.field('what')} />
      <TextInput label="What follows" {...form.field('follows')} />
      <Select
        label="Settled before"
        placeholder="As usual for what it is on"
        clearable
        data={[...gateNames]}
        {...form.field('forbiddenAt')}
      />
    </FormDialog>
  );
}

function Settle({ recordKey, record, close }: { recordKey: string; record: FindingRecord; close: () => void }) {
  const form = useRecordForm({
    kind: 'finding',
    key: recordKey,
    about: `settle ${recordKey}`,
    merges: true,
    initial: { how: '' },
    sent: ({ how }) => ({ ...record, settled: { how } }),
    names: { 'settled.how': 'how' },
  });
  return (
    <FormDialog title={record.what} submit="Settled" of={form} send={form.send} close={close}>
      <TextInput label="How it was settled" data-autofocus {...form.field('how')} />
    </FormDialog>
  );
}

/** What was seen on the units of this job and what follows; below it, what an inspection looks at. */
export function Findings() {
  const { sheet, mayWrite } = useJob();
  const all = useFindings();
  const [adding, setAdding] = useState<{ lookedAt?: string }>();
  const [settling, setSettling] = useState<string>();
  const put = usePut();
  const list = useNarrow(findings, (f) => `${f.lookedAt} ${f.means} ${f.follows}`);
  const nameOf = (role: UnitRole): string => sheet.units.find((u) => u.role === role)?.name ?? role;
  const settled = all.find((f) => f.key === settling);
  return (
    <>
      {all.length === 0 && (
        <Empty title="Nothing found yet">
          A finding hangs on the unit and goes with it, on whatever job it serves next.
        </Empty>
      )}
      <ul className="rows">
        {all.map(({ key, on, data }) => (
          <li key={key} className="step">
            <span className="mark" aria-hidden="true">
              {data.settled ? '✓' : ''}
            </span>
            <div>
              <p className="title">
                <b>{data.what}</b>{' '}
                <span className={`tag ${data.settled ? 'teal' : 'ochre'}`}>{data.settled ? 'Settled' : 'Open'}</span>
              </p>
              <p className="meta">
                {nameOf(on)}, {data.by}, {data.at ? dayWords(data.at) : ''}
                {data.follows ? `. Follows: ${data.follows}` : ''}
              </p>
              {data.settled && (
                <p className="meta">
                  {data.settled.how}, {data.settled.by}, {data.settled.at ? dayWords(data.settled.at) : ''}
                </p>
              )}
            </div>
            {mayWrite && (
              <div className="actions">
                {data.settled ? (
                  <button
                    type="button"
                    className="plain-button small bare"
                    onClick={() => put.mutate({ kind: 'finding', key, data: { ...data, settled: undefined } })}
                  >
                    Open again
                  </button>
                ) : (
                  <button
                    type="button"
                    className="plain-button small"
                    onClick={() => setSettling(key)}
                    aria-label={`Settle: ${data.what}`}
                  >
                    Settle
                  </button>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
      <Trouble of={put} />
      {mayWrite && (
        <div className="row-actions">
          <Button variant="default" onClick={() => setAdding({})}>
            Something found
          </Button>
        </div>
      )}
      <div className="list-head" style={{ marginTop: 18 }}>
        <h3>What to look at</h3>
        <FindIn label="Find what to look at" value={list.sought} set={list.set} groups={[]} />
      </div>
      {list.none && <p className="quiet">{list.none}</p>}
      <div className="scroll-x">
        <table className="data">
          <thead>
            <tr>
              {['Looked at', 'How', 'What it means', 'What follows', ''].map((h) => (
                <th key={h}>{h}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {list.shown.map((f) => {
              const seen = all.filter((x) => x.data.lookedAt === f.id).length;
              return (
                <tr key={f.id}>
                  <td>
                    <b>{f.lookedAt}</b>
                    {seen > 0 && <span className="tag ochre"> {seen} found</span>}
                  </td>
                  <td>{f.how}</td>
                  <td>{f.means}</td>
                  <td>{f.follows}</td>
                  <td>
                    {mayWrite && (
                      <button
                        type="button"
                        className="plain-button small bare"
                        aria-label={`Found: ${f.lookedAt}`}
                        onClick={() => setAdding({ lookedAt: f.id })}
                      >
                        Found
                      </button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {adding && <FindingForm lookedAt={adding.lookedAt} close={() => setAdding(undefined)} />}
      {settled && <Settle recordKey={settled.key} record={settled.data} close={() => setSettling(undefined)} />}
    </>
  );
}
