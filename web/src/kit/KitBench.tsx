import { counted } from '@bay/core/units';
import { titleOf } from '@bay/core/plan';
import { useState } from 'react';
import { factDef } from '@bay/core/facts';
import type { KitLine } from '@bay/core/kit';
import { showMoney } from '@bay/core/money';
import { useCurrency } from '../money/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { columns } from '../ui/index.ts';
import { KitCard, statusWords } from './KitCard.tsx';
import { Suppliers } from './Suppliers.tsx';

/** What this job must order, by system, each line because of which facts. */
export default function KitBench() {
  const { plan } = useJob();
  const records = useRecords('kit');
  const [open, setOpen] = useState<string>();
  const [state, setState] = useState<KitLine['state']>('needed');
  const waits = state === 'waits';
  const needed = plan.kit.filter((l) => l.state === 'needed');
  const shown = plan.kit.filter((l) => l.state === state);
  const systems = [...new Set(shown.map((l) => l.def.system))];
  const inPlan = new Set(plan.kit.map((l) => l.def.id));
  const dropped = Object.entries(records).filter(([id]) => !inPlan.has(id));
  const currency = useCurrency();
  const bought = needed.filter((l) => records[l.def.id]?.status !== 'not-needed');
  const paid = bought.flatMap((l) => records[l.def.id]?.price ?? []);
  const unpaid = bought.filter((l) => records[l.def.id]?.price === undefined);
  const likely = unpaid.reduce((sum, l) => sum + (l.def.price[1] ?? 0), 0);
  return (
    <>
      <div className="bench-head">
        <h2>Kit</h2>
        <span className="quiet">
          {counted(needed.length, 'line')}.{' '}
          {paid.length > 0 && (
            <>
              <span className="mono">
                {showMoney(
                  paid.reduce((a, b) => a + b),
                  currency,
                )}
              </span>{' '}
              paid for {paid.length};{' '}
            </>
          )}
          {unpaid.length} without a price, likely about <span className="mono">{likely.toFixed(0)}</span> together (an
          estimate, in no currency)
        </span>
      </div>
      <div className="counts">
        {(
          [
            ['needed', 'needed'],
            ['proposed', 'proposed, no way out chosen'],
            ['waits', 'wait for facts'],
          ] as const
        ).map(([id, name]) => (
          <button key={id} type="button" aria-pressed={state === id} onClick={() => setState(id)}>
            <b>{plan.kit.filter((l) => l.state === id).length}</b> {name}
          </button>
        ))}
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
                              ? `waits for ${l.needs.map((id) => titleOf(id).toLowerCase()).join(', ')}`
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
      <Suppliers />
    </>
  );
}
