import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { kitStatuses, orderStops } from '@bay/core/kit';
import type { KitLine, KitRecord, KitStatus } from '@bay/core/kit';
import { factDef } from '@bay/core/facts';
import { FactEditor, usualBearer } from '../facts/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { Because, columns, MeasuredInput, Trouble } from '../ui/index.ts';
import { parseMeasure } from '@bay/core/units';

const statusWords: Record<KitStatus, string> = {
  wanted: 'Wanted',
  ordered: 'Ordered',
  here: 'Here',
  fitted: 'Fitted',
  'sent-back': 'Sent back',
  'not-needed': 'Not needed',
};

function KitCard({ line, record }: { line: KitLine; record: KitRecord | undefined }) {
  const { plan, mayWrite } = useJob();
  const put = usePut();
  const [v, setV] = useState({
    status: record?.status ?? 'wanted',
    options: record?.options ?? line.filled.map((f) => f.text).join(', '),
    note: record?.note ?? '',
    price: record?.price === undefined ? '' : String(record.price),
  });
  const [fact, setFact] = useState<string>();
  const stops = orderStops(line, plan.facts, { ...record, status: v.status, options: v.options });
  const price = v.price.trim() === '' ? undefined : parseMeasure(v.price, '');
  const ordering = v.status === 'ordered' && stops.length > 0;
  return (
    <div className="card-open">
      <p>
        <b>Settle before ordering:</b> {line.def.options}
      </p>
      <p className="quiet">
        Left out: {line.def.leftOut}. Usually {line.def.price.join(' / ')} (low, likely, high; estimates).
      </p>
      {line.filled.length > 0 && <p className="quiet">From the cards: {line.filled.map((f) => f.text).join('; ')}</p>}
      <Because ids={line.because} facts={plan.facts} />
      {line.blanks.length > 0 && (
        <div className="row-actions">
          <span className="ochre">The order stops at a blank:</span>
          {line.blanks.map((id) => (
            <button key={id} type="button" className="plain-button small" onClick={() => setFact(id)}>
              {factDef(id).label}
            </button>
          ))}
        </div>
      )}
      {mayWrite && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            put.mutate({
              kind: 'kit',
              key: line.def.id,
              data: {
                status: v.status,
                options: v.options || undefined,
                note: v.note || undefined,
                ...(price?.ok ? { price: price.measure.value } : {}),
              },
            });
          }}
        >
          <div className="fields">
            <Select
              label="State"
              data={kitStatuses.map((value) => ({ value, label: statusWords[value] }))}
              value={v.status}
              onChange={(s) => setV({ ...v, status: s ?? 'wanted' })}
            />
            <TextInput
              label="Exact options"
              value={v.options}
              onChange={(e) => setV({ ...v, options: e.currentTarget.value })}
            />
            <MeasuredInput label="Paid" unit="" value={v.price} onChange={(t) => setV({ ...v, price: t })} />
            <TextInput
              label={v.status === 'not-needed' ? 'Why not' : 'Note'}
              value={v.note}
              onChange={(e) => setV({ ...v, note: e.currentTarget.value })}
            />
          </div>
          {ordering && <p className="oxide">Not to be ordered yet: {stops.join('; ')}.</p>}
          <Trouble of={put} />
          <div className="row-actions">
            <Button
              type="submit"
              loading={put.isPending}
              disabled={
                ordering || (price !== undefined && !price.ok) || (v.status === 'not-needed' && v.note.trim() === '')
              }
            >
              Save
            </Button>
          </div>
        </form>
      )}
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </div>
  );
}

/** What this job must order, by system, each line because of which facts. */
export default function KitBench() {
  const { plan } = useJob();
  const records = useRecords('kit');
  const [open, setOpen] = useState<string>();
  const [waits, setWaits] = useState(false);
  const needed = plan.kit.filter((l) => l.state === 'needed');
  const shown = waits ? plan.kit.filter((l) => l.state === 'waits') : needed;
  const systems = [...new Set(shown.map((l) => l.def.system))];
  const inPlan = new Set(plan.kit.map((l) => l.def.id));
  const dropped = Object.entries(records).filter(([id]) => !inPlan.has(id));
  const sum = needed.reduce(
    (s, l) => s + (records[l.def.id]?.status === 'not-needed' ? 0 : (records[l.def.id]?.price ?? l.def.price[1] ?? 0)),
    0,
  );
  return (
    <>
      <div className="bench-head">
        <h2>Kit</h2>
        <span className="quiet">
          {needed.length} lines, about <span className="mono">{sum.toFixed(0)}</span> in neutral units (paid, else
          likely)
        </span>
      </div>
      <div className="counts">
        <button type="button" aria-pressed={!waits} onClick={() => setWaits(false)}>
          <b>{needed.length}</b> needed
        </button>
        <button type="button" aria-pressed={waits} onClick={() => setWaits(true)}>
          <b>{plan.kit.length - needed.length}</b> wait for facts
        </button>
      </div>
      {systems.map((system) => (
        <section key={system}>
          <h3 className="group-title">{system}</h3>
          <ul className="rows">
            {shown
              .filter((l) => l.def.system === system)
              .map((l) => {
                const record = records[l.def.id];
                return (
                  <li key={l.def.id}>
                    <button
                      type="button"
                      className="row-button stacks"
                      style={columns('minmax(0, 1fr) minmax(0, 1fr) 96px')}
                      aria-expanded={open === l.def.id}
                      onClick={() => setOpen(open === l.def.id ? undefined : l.def.id)}
                    >
                      <span>{l.def.title}</span>
                      <span className="quiet">
                        {record?.options ??
                          (l.blanks.length > 0
                            ? `stops at: ${l.blanks.map((id) => factDef(id).label.toLowerCase()).join(', ')}`
                            : waits
                              ? `waits for ${l.needs.map((id) => (/^(rec|don|eng|gbx|cho)-/.test(id) ? factDef(id).label.toLowerCase() : id)).join(', ')}`
                              : '')}
                      </span>
                      <span className="word">{statusWords[record?.status ?? 'wanted']}</span>
                    </button>
                    {open === l.def.id && <KitCard line={l} record={record} />}
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
      {dropped.length > 0 && (
        <section>
          <h3 className="group-title">In the record, no longer asked for</h3>
          {dropped.map(([id, r]) => (
            <p key={id} className="quiet">
              {id.replace('kit-', '').replaceAll('-', ' ')}: {statusWords[r.status]}, {r.by}
            </p>
          ))}
        </section>
      )}
    </>
  );
}
