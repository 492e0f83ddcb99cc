import { Button } from '@mantine/core';
import { twoPeopleAt } from '@bay/core/crew';
import { becauseWords } from '@bay/core/facts';
import { usedUpAt } from '@bay/core/kit';
import { shortTitleOf } from '@bay/core/plan';
import { photoPath } from '@bay/contract/logbook';
import { useJob, useRecords } from '../sheet/index.ts';
import { Trouble, useSettled } from '../ui/index.ts';
import { LiftFigure } from './LiftPanel.tsx';
import { StepAsked, StepCount, StepElse } from './StepRow.tsx';
import { StepHeld, StepMore, StepRecord } from './StepMore.tsx';
import { minutesWords, statusWords } from './step-words.ts';
import { useStep } from './useStep.ts';
import type { Placed } from './useStep.ts';
import styles from './pull.module.css';

/** The one step that comes next, large: what, why now, what to mind, with what, who, how long; and what it makes free. */
export function NextStep({
  placed,
  freed,
  at,
  open,
  select,
}: {
  placed: Placed;
  /** Steps that wait for this one alone. */
  freed: readonly string[];
  at: boolean;
  open: boolean;
  select: () => void;
}) {
  const { plan, mayWrite } = useJob();
  const acts = useStep(placed);
  const settled = useSettled();
  const photos = Object.entries(useRecords('photo')).filter(([, p]) => p.about === placed.recordKey);
  const { line, state } = placed;
  const { def } = line;
  const two = twoPeopleAt(def.id);
  const photo = photos.at(-1);
  const why = def.why ?? (line.because[0] ? becauseWords(line.because[0], plan.facts) : undefined);
  return (
    <section className={`${styles['next']} step ${state.status}${at ? ' at' : ''}`} id={def.id} aria-label="Next step">
      <div className={styles['next-words']}>
        <p className={styles['next-head']}>
          <b>{state.status === 'on-it' ? 'On it now' : 'Next step'}</b>
          {state.status !== 'on-it' && <span className="state-word">{statusWords[state.status]}</span>}
          {placed.minutes && <span className="mono quiet">{minutesWords(placed.minutes)}, an estimate</span>}
        </p>
        <h3>
          <button type="button" aria-expanded={open} data-key="row" onClick={select}>
            {def.title}
          </button>
        </h3>
        {def.caution && <p className={`${styles['next-caution']} caution`}>{def.caution}</p>}
        {two && <p className="ochre">{two}</p>}
        {why && (
          <p>
            <b>Why now:</b> {why}
          </p>
        )}
        {def.support && (
          <p>
            <b>With:</b> {def.support}
          </p>
        )}
        {usedUpAt(def.id).length > 0 && (
          <p>
            <b>At hand:</b>{' '}
            {usedUpAt(def.id)
              .map((u) => u.what.toLowerCase())
              .join(', ')}
          </p>
        )}
        <StepHeld {...placed} />
        <StepRecord {...placed} />
        <StepCount placed={placed} acts={acts} />
        {open && <StepMore {...placed} />}
        {freed.length > 0 && (
          <p className={styles['next-frees']}>
            <b>Frees:</b> {freed.map(shortTitleOf).join(' · ')}
          </p>
        )}
        <Trouble of={acts.put} />
        {mayWrite && (
          <div className={styles['next-acts']}>
            {acts.mayStart && (
              <Button
                size="lg"
                variant="default"
                loading={acts.put.isPending}
                disabled={!settled}
                aria-label={`Start: ${def.title}`}
                data-key="s"
                onClick={acts.start}
              >
                Start
              </Button>
            )}
            <Button
              size="lg"
              disabled={!acts.mayFinish || !settled}
              loading={acts.put.isPending}
              aria-label={`Done: ${def.title}`}
              data-key="x"
              onClick={acts.finish}
            >
              Done
            </Button>
            <StepElse placed={placed} acts={acts} />
          </div>
        )}
      </div>
      {photo && (
        <img
          className={styles['next-photo']}
          src={photoPath(photo[0], 'thumb')}
          alt={photo[1].caption}
          loading="lazy"
        />
      )}
      {def.drawn && !placed.recordKey.startsWith('donor-') && (
        <LiftFigure lift={def.drawn === 'lift-in' ? 'in' : 'out'} />
      )}
      <StepAsked placed={placed} acts={acts} />
    </section>
  );
}
