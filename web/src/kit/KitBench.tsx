import { Button, Checkbox, Select } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { kitStatuses } from '@bay/core/kit';
import type { KitLine, KitRecord } from '@bay/core/kit';
import { showMoney } from '@bay/core/money';
import { partTimings, titleOf } from '@bay/core/plan';
import type { PartTiming } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { CountsFirst } from '../facts/index.ts';
import { useCurrency } from '../money/index.ts';
import { PlaceOrderForm, useSuppliers } from '../orders/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { columns, FindIn, Fold, inGroups } from '../ui/index.ts';
import styles from './kit.module.css';
import { KitCard, statusWords } from './KitCard.tsx';
import { Suppliers } from './Suppliers.tsx';
import { UsedUp } from './UsedUp.tsx';
import { useToOrder } from './useToOrder.ts';

const states: readonly { id: KitLine['state']; name: string }[] = [
  { id: 'needed', name: 'needed' },
  { id: 'proposed', name: 'proposed, no way out chosen' },
  { id: 'waits', name: 'wait for facts' },
];

const isSettled = (record: KitRecord | undefined): boolean =>
  record?.status === 'fitted' || record?.status === 'not-needed';

/** How each part stands beside the step that waits for it. */
function useTimings(): ReadonlyMap<string, PartTiming> {
  const { sheet, plan } = useJob();
  return useMemo(() => partTimings(sheet, plan), [sheet, plan]);
}

const timingWords: Readonly<Record<PartTiming, string>> = {
  'late-for-step': 'its step waits for this alone',
  awaited: 'a step waits for it',
  'too-early': 'here before its step',
};
const timingTones: Readonly<Record<PartTiming, string>> = {
  'late-for-step': 'oxide',
  awaited: 'ochre',
  'too-early': '',
};

function Line({
  line,
  open,
  timing,
  toggle,
  picked,
  pick,
}: {
  line: KitLine;
  open: boolean;
  timing: PartTiming | undefined;
  toggle: () => void;
  /** Is it among those that are to be ordered together? Nothing while nobody picks. */
  picked: boolean | undefined;
  pick: () => void;
}) {
  const record = useRecords('kit')[line.def.id];
  const pickable =
    picked !== undefined && (record === undefined || record.status === 'wanted' || record.status === 'sent-back');
  const names = (ids: readonly string[]): string => ids.map((id) => titleOf(id).toLowerCase()).join(', ');
  return (
    <li className={pickable ? styles['pick'] : undefined}>
      {pickable && (
        <Checkbox checked={picked} onChange={pick} aria-label={`Order with the others: ${line.def.title}`} size="lg" />
      )}
      <button
        type="button"
        className="row-button stacks"
        style={columns('minmax(0, 1fr) minmax(0, 1fr) 96px')}
        aria-expanded={open}
        onClick={toggle}
      >
        <span>
          {line.def.title} {timing && <span className={`tag ${timingTones[timing]}`}>{timingWords[timing]}</span>}
        </span>
        <span className="quiet">
          {record?.options ??
            (line.blanks.length > 0
              ? `to order, say: ${names(line.blanks)}`
              : line.state === 'waits'
                ? `needed or not: ${names(line.needs)}`
                : '')}
        </span>
        <span className="word">{statusWords[record?.status ?? 'wanted']}</span>
      </button>
      {open && <KitCard line={line} record={record} />}
    </li>
  );
}

const toggled = (all: ReadonlySet<string>, id: string): ReadonlySet<string> =>
  all.has(id) ? new Set([...all].filter((one) => one !== id)) : new Set([...all, id]);

/** What this job must order, by system, each line because of which facts. */
export default function KitBench() {
  const { sheet, plan, mayWrite } = useJob();
  const records = useRecords('kit');
  const suppliers = useSuppliers() ?? [];
  const timings = useTimings();
  const [open, setOpen] = useState<string>();
  const [state, setState] = useState<KitLine['state']>('needed');
  const [sought, setSought] = useState('');
  const [status, setStatus] = useState<string>('');
  const [from, setFrom] = useState<string>('');
  const [folded, setFolded] = useState(true);
  const [picked, setPicked] = useState<ReadonlySet<string>>();
  const [ordering, setOrdering] = useState(false);
  const [other, setOther] = useState(false);
  const toOrder = useToOrder();
  const together = plan.kit.filter((l) => picked?.has(l.def.id));
  const needed = plan.kit.filter((l) => l.state === 'needed');
  const wanted = sought.trim().toLowerCase();
  const shown = plan.kit.filter((l) => {
    const record = records[l.def.id];
    return (
      l.state === state &&
      (wanted === '' || `${l.def.title} ${l.def.system} ${record?.options ?? ''}`.toLowerCase().includes(wanted)) &&
      (status === '' ||
        (status === 'blocks'
          ? ['late-for-step', 'awaited'].includes(timings.get(l.def.id) ?? '')
          : (record?.status ?? 'wanted') === status)) &&
      (from === '' || record?.supplierId === from)
    );
  });
  const narrowed = wanted !== '' || status !== '' || from !== '';
  const toDo = shown.filter((l) => narrowed || !isSettled(records[l.def.id]));
  const settled = narrowed ? [] : shown.filter((l) => isSettled(records[l.def.id]));
  const groups = inGroups(toDo, (l) => l.def.system);
  const inPlan = new Set(plan.kit.map((l) => l.def.id));
  const dropped = Object.entries(records).filter(([id]) => !inPlan.has(id));
  const currency = useCurrency();
  const bought = needed.filter((l) => records[l.def.id]?.status !== 'not-needed');
  const paid = bought.flatMap((l) => records[l.def.id]?.price ?? []);
  const unpaid = bought.filter((l) => records[l.def.id]?.price === undefined);
  const likely = unpaid.reduce((sum, l) => sum + (l.def.price[1] ?? 0), 0);
  const lines = (items: readonly KitLine[]) => (
    <ul className="rows">
      {items.map((l) => (
        <Line
          key={l.def.id}
          line={l}
          timing={timings.get(l.def.id)}
          open={open === l.def.id}
          toggle={() => setOpen(open === l.def.id ? undefined : l.def.id)}
          picked={picked?.has(l.def.id)}
          pick={() => setPicked(toggled(picked ?? new Set(), l.def.id))}
        />
      ))}
    </ul>
  );
  return (
    <>
      <div className="bench-head">
        <h2>Kit</h2>
        <CountsFirst />
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
      {mayWrite && (
        <div className="row-actions">
          {picked === undefined ? (
            <Button variant="default" onClick={() => setPicked(new Set())}>
              Order several together
            </Button>
          ) : (
            <>
              <Button disabled={together.length === 0} onClick={() => setOrdering(true)}>
                Order {counted(together.length, 'line')}
              </Button>
              <Button variant="subtle" onClick={() => setPicked(undefined)}>
                Not now
              </Button>
            </>
          )}
          <Button variant="subtle" onClick={() => setOther(true)}>
            Something else, or a tool to borrow
          </Button>
          <Link to="/orders">Orders of the shop</Link>
        </div>
      )}
      {other && (
        <PlaceOrderForm
          lines={[{ jobId: sheet.job.id, title: '', options: '', stops: [] }]}
          steps={toOrder.steps}
          unnamed
          close={() => setOther(false)}
        />
      )}
      {ordering && (
        <PlaceOrderForm
          lines={together.map(toOrder.line)}
          steps={toOrder.steps}
          close={() => {
            setOrdering(false);
            setPicked(undefined);
          }}
        />
      )}
      <div className="counts">
        {states.map(({ id, name }) => (
          <button key={id} type="button" aria-pressed={state === id} onClick={() => setState(id)}>
            <b>{plan.kit.filter((l) => l.state === id).length}</b> {name}
          </button>
        ))}
      </div>
      <div className="list-head">
        <FindIn label="Find in the kit" value={sought} set={setSought} groups={groups} />
        <Select
          aria-label="State of the order"
          data={[
            { value: '', label: 'Any state' },
            ...kitStatuses.map((value) => ({ value, label: statusWords[value] })),
            { value: 'blocks', label: 'A step waits for it' },
          ]}
          value={status}
          onChange={(next) => setStatus(next ?? '')}
        />
        {suppliers.length > 0 && (
          <Select
            aria-label="Supplier"
            data={[{ value: '', label: 'Any supplier' }, ...suppliers.map((s) => ({ value: s.id, label: s.name }))]}
            value={from}
            onChange={(next) => setFrom(next ?? '')}
          />
        )}
      </div>
      {groups.map((g) => (
        <section key={g.id} id={g.id}>
          <h3 className="group-title">{g.name}</h3>
          {lines(g.items)}
        </section>
      ))}
      {shown.length === 0 && <p className="quiet">{narrowed ? 'No line of the kit is like that.' : 'Nothing here.'}</p>}
      {settled.length > 0 && (
        <Fold
          name="Settled"
          note="fitted, or not needed"
          count={settled.length}
          open={!folded}
          toggle={() => setFolded(!folded)}
        >
          {lines(settled)}
        </Fold>
      )}
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
      <UsedUp />
      <Suppliers />
    </>
  );
}
