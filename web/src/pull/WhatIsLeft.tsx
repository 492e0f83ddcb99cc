import { NumberInput } from '@mantine/core';
import { useState } from 'react';
import { finishDay } from '@bay/core/clock';
import { twoPeopleAt } from '@bay/core/crew';
import { shortTitleOf } from '@bay/core/plan';
import type { StepList } from '@bay/core/plan';
import { remainingOf } from '@bay/core/pull';
import { counted } from '@bay/core/units';
import { dayWords, dueWords, Fold, today } from '../ui/index.ts';
import styles from './pull.module.css';

const hours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 60)} h`;
const span = (least: number, most: number): string =>
  hours(least) === hours(most) ? hours(most) : `${hours(least)} to ${hours(most)}`;

/** How long the rest of a list takes, alone or with as many hands as there are, and the chain of steps that decides it. */
export function WhatIsLeft({ list }: { list: StepList }) {
  const [open, setOpen] = useState(false);
  const [aDay, setADay] = useState(6);
  const left = remainingOf(list.plan, list.states, list.minutesOf);
  if (left.open.length === 0) return null;
  const pairs = left.open.filter((id) => twoPeopleAt(id) !== undefined);
  const due = left.open
    .flatMap((id) => list.states.get(id)!.waits.flatMap((w) => w.due ?? []))
    .filter((on) => on.slice(0, 10) >= today())
    .sort()
    .at(-1);
  const ends = [left.chainLeast, left.most].map((m) => finishDay(m, aDay, today()));
  return (
    <div className={`${styles['what-is-left']} no-print`}>
      <Fold
        name="What is left"
        count={left.open.length}
        note={`${span(left.least, left.most)} for one person; the longest chain ${span(left.chainLeast, left.chainMost)}, however many help; all of it estimated`}
        open={open}
        toggle={() => setOpen(!open)}
      >
        <div className={styles['left']}>
          <p>
            <b>Expected:</b>{' '}
            {ends[0] === ends[1]
              ? dayWords(ends[0]!)
              : `between ${dayWords(ends[0]!)} (enough hands, all goes well) and ${dayWords(ends[1]!)} (one person, all at its most)`}
            , without waits{due ? `; the last thing it waits for is due ${dueWords(due)}` : ''}.
            {left.unknown.length > 0 &&
              ` ${counted(left.unknown.length, 'step has', 'steps have')} no estimate and count as nothing.`}
          </p>
          <NumberInput
            label="Hours a day on it"
            description="Monday to Friday; not kept"
            min={1}
            max={24}
            w={180}
            clampBehavior="strict"
            value={aDay}
            onChange={(v) => setADay(typeof v === 'number' && v >= 1 ? v : 6)}
          />
          <p>
            <b>The chain that decides:</b> {left.chain.map(shortTitleOf).join(' → ')}
          </p>
          {pairs.length > 0 && (
            <p>
              <b>{counted(pairs.length, 'step wants', 'steps want')} two people:</b>{' '}
              {pairs.map(shortTitleOf).join(' · ')}
            </p>
          )}
        </div>
      </Fold>
    </div>
  );
}
