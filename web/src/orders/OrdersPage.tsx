import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { moneyFigures } from '@bay/core/money';
import { byUrgency, daysUntil, inShop, orderWord, toCome, toGive } from '@bay/core/orders';
import type { OrderWord } from '@bay/core/orders';
import { taskTitle } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { ordersTable } from '@bay/contract/orders';
import type { Order, OrderedLine } from '@bay/contract/orders';
import { may } from '@bay/contract/rights';
import { pathOf, sentenceOf, useMe } from '../api/index.ts';
import { useCurrency } from '../money/index.ts';
import { dayWords, Empty, Failed, fromToday, Loading, today } from '../ui/index.ts';
import { CancelForm, ChangeOrderForm, GiveBackForm, ReceiveForm, SendBackForm, SettleForm } from './OrderForms.tsx';
import { LabelField } from './LabelField.tsx';
import styles from './orders.module.css';
import { SupplierList } from './SupplierList.tsx';
import { useOrders } from './useOrders.ts';

const words: Record<OrderWord, string> = {
  late: 'Late',
  due: 'To come',
  undated: 'No day promised',
  'part-here': 'Partly here',
  'owes-late': 'Overdue to go back',
  owes: 'To go back',
  here: 'Here',
  cancelled: 'Cancelled',
};

const sortWords: Record<Order['sort'], string> = {
  goods: 'Ordered',
  'outside-work': 'Work that is out, sent',
  borrowed: 'Borrowed',
};

function Line({ line, seesMoney, currency }: { line: OrderedLine; seesMoney: boolean; currency: string }) {
  const left = toCome(line);
  return (
    <li className={styles['line']}>
      <span>
        {line.title} <span className="quiet">{line.options}</span>
        {line.step && left > 0 && <span className="tag ochre">holds {taskTitle(line.step)}</span>}
        {toGive(line) > 0 && (
          <span className="tag ochre">
            {toGive(line)} owed back{line.owedBy ? ` by ${dayWords(line.owedBy)}` : ''}
          </span>
        )}
        {line.instead && <span className="ochre"> {line.instead} came in its place</span>}
        {line.despite && <span className="quiet"> although something was open: {line.despite}</span>}
      </span>
      <Link to={`/jobs/${line.jobId}/kit`}>
        {line.jobNumber} {line.carName}
      </Link>
      <span className="mono">
        {line.cancelled ? 'cancelled' : left === 0 ? `${line.count} here` : `${line.came} of ${line.count}`}
        {line.wrong > 0 && <span className="oxide">, {line.wrong} wrong</span>}
        {line.sentBack > 0 && <span className="quiet">, {line.sentBack} back</span>}
      </span>
      <span className="mono">{seesMoney && line.price !== null ? moneyFigures(line.price, currency) : ''}</span>
    </li>
  );
}

type Doing = 'receive' | 'change' | 'cancel' | 'back' | 'give' | { settle: string };

function OneOrder({ order, mayWrite, seesMoney }: { order: Order; mayWrite: boolean; seesMoney: boolean }) {
  const currency = useCurrency();
  const [doing, setDoing] = useState<Doing>();
  const word = orderWord(order, today());
  const close = (): void => setDoing(undefined);
  const late = word === 'late' || word === 'owes-late';
  const coming = order.lines.some((l) => toCome(l) > 0);
  const named = (what: string): string => `${what}: order ${order.number}`;
  return (
    <section className="panel" aria-label={`Order ${order.number}`}>
      <div className={styles['head']}>
        <h3>
          {order.supplier} <span className="quiet mono">{order.number}</span>
        </h3>
        <span className={late ? 'oxide' : word === 'here' ? 'teal' : 'ochre'}>
          <b>{words[word]}</b>
          {order.promisedOn && coming && `, ${dayWords(order.promisedOn)}, ${fromToday(order.promisedOn)}`}
        </span>
      </div>
      <p className="quiet">
        {sortWords[order.sort]} {dayWords(order.orderedOn)} by {order.by}
        {order.reference && `, their number ${order.reference}`}
        {order.tracking && `, ${order.tracking}`}
        {order.note && `. ${order.note}`}
        {seesMoney && order.freight !== null && `. Freight ${moneyFigures(order.freight, currency)}`}
      </p>
      <ul className="rows">
        {order.lines.map((l) => (
          <Line key={l.id} line={l} seesMoney={seesMoney} currency={currency} />
        ))}
      </ul>
      {order.back.map((b) => {
        const line = order.lines.find((l) => l.id === b.lineId)!;
        const days = b.until === null ? undefined : daysUntil(b.until, today());
        return (
          <p key={b.id} className={b.settled ? 'quiet' : 'ochre'}>
            Back {dayWords(b.on)}: {b.count} × {line.title}, {b.reason}.{' '}
            {b.settled
              ? seesMoney && b.moneyBack !== null
                ? `${moneyFigures(b.moneyBack, currency)} came back.`
                : 'Settled.'
              : days === undefined
                ? 'No money back yet.'
                : days < 0
                  ? `Its last day went by ${counted(-days, 'day')} ago.`
                  : `${counted(days, 'day')} left.`}
            {!b.settled && seesMoney && mayWrite && (
              <>
                {' '}
                <button type="button" className="plain-button small" onClick={() => setDoing({ settle: b.id })}>
                  Money back
                </button>
              </>
            )}
          </p>
        );
      })}
      {mayWrite && (
        <div className="row-actions">
          {coming && (
            <Button aria-label={named('Came')} onClick={() => setDoing('receive')}>
              Came
            </Button>
          )}
          {coming && (
            <Button variant="default" aria-label={named('Change')} onClick={() => setDoing('change')}>
              Another day or number
            </Button>
          )}
          {order.lines.some((l) => toGive(l) > 0) && (
            <Button
              variant={coming ? 'default' : 'filled'}
              aria-label={named('What is owed went back')}
              onClick={() => setDoing('give')}
            >
              {order.sort === 'borrowed' ? 'Given back' : 'Old part went back'}
            </Button>
          )}
          {order.lines.some((l) => inShop(l) > 0) && order.sort !== 'borrowed' && (
            <Button variant="subtle" aria-label={named('Goes back')} onClick={() => setDoing('back')}>
              Goes back
            </Button>
          )}
          {coming && (
            <Button variant="subtle" aria-label={named('Does not come')} onClick={() => setDoing('cancel')}>
              Does not come
            </Button>
          )}
        </div>
      )}
      {doing === 'receive' && <ReceiveForm order={order} close={close} />}
      {doing === 'change' && <ChangeOrderForm order={order} close={close} />}
      {doing === 'cancel' && <CancelForm order={order} close={close} />}
      {doing === 'give' && <GiveBackForm order={order} close={close} />}
      {doing === 'back' && <SendBackForm order={order} close={close} />}
      {typeof doing === 'object' && <SettleForm order={order} backId={doing.settle} close={close} />}
    </section>
  );
}

/** Every order of the shop with something to come or to go back, the late ones first. */
export function OrdersPage() {
  const [all, setAll] = useState(false);
  const read = useOrders({ open: !all });
  const role = useMe().data?.person?.role;
  const seesMoney = may(role, 'see-money');
  const mayWrite = role === 'manager' || role === 'technician';
  const orders = [...(read.data?.orders ?? [])].sort(byUrgency(today()));
  const [came, setCame] = useState<Order>();
  const [listing, setListing] = useState(false);
  const [told, setTold] = useState('');
  const late = orders.filter((o) => ['late', 'owes-late'].includes(orderWord(o, today()))).length;
  return (
    <div className="page" style={{ maxWidth: 1060 }}>
      <div className="page-head">
        <h1>Orders</h1>
        <span className="quiet">
          {counted(orders.length, 'order')}
          {late > 0 && <span className="oxide">, {late} late</span>}; parts are ordered from the kit of a job
        </span>
      </div>
      <div className="counts">
        <button type="button" aria-pressed={!all} onClick={() => setAll(false)}>
          To come or to settle
        </button>
        <button type="button" aria-pressed={all} onClick={() => setAll(true)}>
          All
        </button>
        <Button variant="subtle" component="a" href={pathOf(ordersTable, {})}>
          Open lines as CSV
        </Button>
        {mayWrite && (
          <Button variant="subtle" onClick={() => setListing(true)}>
            A supplier's list
          </Button>
        )}
      </div>
      {mayWrite && <LabelField found={setCame} />}
      {told !== '' && (
        <p className="notice" role="status">
          {told}
        </p>
      )}
      {came && <ReceiveForm order={came} close={() => setCame(undefined)} />}
      {listing && <SupplierList close={() => setListing(false)} said={setTold} />}
      {read.isPending && <Loading />}
      {read.isError && <Failed sentence={sentenceOf(read.error)} again={() => void read.refetch()} />}
      {read.data &&
        (orders.length > 0 ? (
          orders.map((o) => <OneOrder key={o.id} order={o} mayWrite={mayWrite} seesMoney={seesMoney} />)
        ) : (
          <Empty title="Nothing is on order">Open the kit of a job, choose its lines and order them.</Empty>
        ))}
      {read.data?.more && <p className="quiet">Only the last sixty are shown.</p>}
    </div>
  );
}
