import { Button } from '@mantine/core';
import { useState } from 'react';
import {
  againstTacking,
  countLifts,
  liftNow,
  liftsInOrder,
  offChosen,
  placeFields,
  placeNotRead,
  sittingOf,
} from '@bay/core/fit';
import type { Lift } from '@bay/core/fit';
import { counted, formatMeasure } from '@bay/core/units';
import { SecondSignature } from '../../crew/index.ts';
import { LiftPanel } from '../../pull/index.ts';
import { useJob, usePut, useRecords } from '../../sheet/index.ts';
import { dayWords, Trouble } from '../../ui/index.ts';
import styles from '../fit.module.css';
import { GapSheet } from './GapSheet.tsx';
import { ComesOut, GoesIn, Moved, SitsHow, SitsWhere } from './LiftForms.tsx';
import { TriedParts } from './TriedParts.tsx';
import { reasonWords, sittingWords } from './words.ts';

type Doing = 'in' | 'where' | 'how' | 'moved' | 'out';

/** Where it was read to sit, beside where it was to sit. */
function PlaceRead({ read }: { read: NonNullable<Lift['read']> }) {
  const { plan } = useJob();
  const chosen = plan.facts.get('cho-engine-place');
  const off = offChosen(read, plan.facts);
  return (
    <ul className={styles['place']} aria-label="Where it was read to sit">
      {placeFields.map((f) => {
        const value = read[f.field];
        const was = chosen?.parts[f.part];
        const by = off.find((o) => o.label === f.label);
        return (
          <li key={f.field}>
            <span>{f.label}</span>
            <b className="mono">{value === undefined ? 'not read' : formatMeasure(value, f.unit)}</b>
            <span className={by ? 'ochre' : 'quiet'}>
              {by ? by.words : typeof was === 'number' ? `chosen ${formatMeasure(was, f.unit)}` : 'not chosen'}
            </span>
          </li>
        );
      })}
      {!read.ownMounts && <li className="ochre">Not on its own mounts when it was read.</li>}
    </ul>
  );
}

/** One lift: why it went in, what was on it, how it sat, why it came out. */
function LiftWords({ lift }: { lift: Lift }) {
  const { sheet, mayWrite } = useJob();
  const row = sheet.records.find((r) => r.kind === 'lift' && r.key === lift.key);
  return (
    <>
      <p>
        <b>
          Lift {lift.number}, {reasonWords[lift.reason].toLowerCase()}:
        </b>{' '}
        {lift.why}. {lift.unit === 'stand-in' ? 'A stand-in' : 'The engine'}, with {lift.carries}
        {lift.mounts ? `, on ${lift.mounts}` : ''}.{' '}
        <span className="quiet">
          {lift.by}
          {lift.at ? `, ${dayWords(lift.at)}` : ''}
          {lift.foreseen ? '' : '; not in the quote'}
        </span>
      </p>
      {lift.read && <PlaceRead read={lift.read} />}
      {lift.touched && <p>Touches {lift.touched}.</p>}
      {lift.shifted && (
        <p>
          Moved in the bay: {lift.shifted.why}. <span className="quiet">{lift.shifted.by}</span>
        </p>
      )}
      {lift.sits?.despite && <p className="oxide">Fixed all the same: {lift.sits.despite}</p>}
      {lift.out && (
        <p>
          Out again: {lift.out.why}.{' '}
          <span className="quiet">
            {lift.out.by}
            {lift.out.at ? `, ${dayWords(lift.out.at)}` : ''}
            {lift.out.hours === undefined ? '' : `, ${formatMeasure(lift.out.hours, 'h')}`}
          </span>
        </p>
      )}
      {lift.deviation && <p className="oxide">Before its gate was open: {lift.deviation.why}</p>}
      {lift.deviation?.stoodOn?.harm && !lift.second && row && mayWrite && (
        <SecondSignature
          of={{
            jobId: sheet.job.id,
            kind: 'lift',
            key: row.key,
            revision: row.revision,
            firstId: lift.deviation.byId,
            what: `lift ${lift.number}`,
          }}
        />
      )}
    </>
  );
}

/** What is tacked, and what was cut or drilled on the stand-in only: each is ended by whoever ends it. */
function StillToDo() {
  const { plan, mayWrite } = useJob();
  const records = useRecords('provisional');
  const put = usePut();
  const items = plan.provisional.filter(
    (i) => i.from === 'person' && (i.kind === 'tacked' || i.kind === 'on-stand-in'),
  );
  const placeOpen = plan.kit.find((l) => l.placeOpen !== undefined)?.placeOpen;
  return (
    <section className="panel" aria-label="To weld out and to copy">
      <h3>To weld out, to copy to the real unit</h3>
      {items.length === 0 && (
        <p className="quiet">
          Nothing. Write it in the log bar as it happens: "tacked: left mount", "on the stand-in: notch in the bell".
        </p>
      )}
      <ul className="rows">
        {items.map((i) => (
          <li key={i.key} className="row-actions">
            <span>
              {i.title} <span className="quiet">{i.endsWith}</span>
            </span>
            {mayWrite && (
              <Button
                variant="default"
                disabled={put.isPending || (i.kind === 'tacked' && placeOpen !== undefined)}
                onClick={() => put.mutate({ kind: 'provisional', key: i.key, data: { ...records[i.key]!, ended: {} } })}
              >
                {i.kind === 'tacked' ? 'Welded out' : 'Done on the real unit'}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {placeOpen !== undefined && items.some((i) => i.kind === 'tacked') && (
        <p className="ochre">Not welded out yet: {placeOpen.charAt(0).toLowerCase() + placeOpen.slice(1)}.</p>
      )}
      <Trouble of={put} />
    </section>
  );
}

/** The engine in the bay, lift by lift: where it sits, every gap, what stands against fixing it there. */
export function TrialBench() {
  const { plan, mayWrite } = useJob();
  const records = useRecords('lift');
  const photoIds = new Set(Object.keys(useRecords('photo')));
  const lifts = liftsInOrder(records);
  const now = liftNow(lifts);
  const [doing, setDoing] = useState<Doing>();
  const close = () => setDoing(undefined);
  const { lifts: number, foreseen, extraHours, extraWithoutHours } = countLifts(lifts);
  const against = now ? againstTacking(now, plan, photoIds) : [];
  const waits = plan.kit.filter((l) => l.placeOpen !== undefined);
  const act = (what: Doing, words: string, first = false) => (
    <Button variant={first ? 'filled' : 'default'} onClick={() => setDoing(what)}>
      {words}
    </Button>
  );
  const isRead = placeNotRead(lifts) === undefined;
  return (
    <div className={styles['trial']}>
      <div>
        <section className="panel" aria-label="In the bay">
          <h3>
            {now
              ? `In the bay: ${sittingWords[sittingOf(now)].toLowerCase()}`
              : lifts.length > 0
                ? 'Out of the bay'
                : 'Not in the bay yet'}
          </h3>
          {lifts.length > 0 && (
            <p className="quiet">
              {counted(number, 'lift')}, {foreseen} in the quote
              {number > foreseen
                ? `; ${number - foreseen} beyond it${extraHours > 0 ? `, ${formatMeasure(extraHours, 'h')}` : ''}${extraWithoutHours > 0 ? `, ${extraWithoutHours} without hours yet` : ''}`
                : ''}
              .
            </p>
          )}
          {now && <LiftWords lift={now} />}
          {!now && lifts.length === 0 && (
            <p>
              Each time the engine, or what stands in for it, goes in is written here: why, with what on it, where it
              sat, what touched, why it came out.
            </p>
          )}
          {mayWrite && (
            <div className="row-actions">
              {!now && act('in', 'The engine goes in', true)}
              {now && act('where', isRead ? 'Where it sits, again' : 'Where it sits', !isRead)}
              {now && act('how', 'How it sits', isRead && against.length === 0)}
              {now && act('moved', 'It was moved')}
              {now && act('out', 'It comes out')}
            </div>
          )}
        </section>
        {now && (
          <section className="panel" aria-label="Ready to tack" aria-live="polite">
            <h3>{against.length === 0 ? 'Ready to tack' : 'Not ready to tack'}</h3>
            {against.map((sentence) => (
              <p key={sentence} className="ochre">
                {sentence}
              </p>
            ))}
            {against.length === 0 && (
              <p>
                Place, height, sides and slope are read and as chosen, it stands on its own mounts, and every gap is
                read since it sits there.
              </p>
            )}
          </section>
        )}
        {waits.length > 0 && (
          <section className="panel" aria-label="Waits for its place">
            <h3>Not ordered before its place is read</h3>
            <p>{waits[0]!.placeOpen}.</p>
            <ul>
              {waits.map((l) => (
                <li key={l.def.id}>{l.def.title}</li>
              ))}
            </ul>
          </section>
        )}
        <StillToDo />
        {lifts.some((l) => l.out) && (
          <section className="panel" aria-label="Earlier lifts">
            <h3>Earlier lifts</h3>
            {lifts
              .filter((l) => l.out)
              .reverse()
              .map((l) => (
                <div key={l.key}>
                  <LiftWords lift={l} />
                </div>
              ))}
          </section>
        )}
        <TriedParts />
      </div>
      <div>
        <GapSheet lift={now} lifts={lifts} />
        <LiftPanel lift="in" />
      </div>
      {doing === 'in' && <GoesIn close={close} />}
      {doing === 'where' && now && <SitsWhere lift={now} close={close} />}
      {doing === 'how' && now && <SitsHow lift={now} close={close} />}
      {doing === 'moved' && now && <Moved lift={now} close={close} />}
      {doing === 'out' && now && <ComesOut lift={now} close={close} />}
    </div>
  );
}
