import { Button } from '@mantine/core';
import { useState } from 'react';
import { liftWords } from '@bay/core/pull';
import type { LiftWord } from '@bay/core/pull';
import { Board } from '../ui/board/index.ts';
import { Sum } from '../ui/index.ts';
import { LiftThings } from './LiftThings.tsx';
import { RigForm } from './RigForm.tsx';
import { useLift } from './useLift.ts';
import type { Lift } from './useLift.ts';
import styles from './pull.module.css';

const tones: Record<LiftWord, string> = { 'goes-on': 'teal', look: 'ochre', 'not-known': 'ochre', stop: 'oxide' };

/** The drawing alone, where a step of the lift is next. */
export function LiftFigure({ lift }: { lift: Lift }) {
  const { plan } = useLift(lift);
  return (
    <div className={styles['figure']}>
      <Board drawing={plan.drawing} height={260} />
    </div>
  );
}

/** The lift drawn to scale: slings, hook and balance, what each leg carries, and what is still to be minded, the worst first. */
export function LiftPanel({ lift }: { lift: Lift }) {
  const { plan, rig, unitId } = useLift(lift);
  const [typing, setTyping] = useState(false);
  const [opened, setOpened] = useState<number>();
  return (
    <section className="panel" aria-label={lift === 'out' ? 'The lift out' : 'The lift in'}>
      <div className="bench-head">
        <h3>{lift === 'out' ? 'The lift out' : 'The lift in'}</h3>
        <span className={tones[plan.word]}>{liftWords[plan.word]}</span>
        <span className="quiet">{plan.drawing.summary}</span>
      </div>
      <div className={styles['lift']}>
        <Board drawing={plan.drawing} height={330} />
        <ul className={styles['minded']}>
          {plan.findings.map((f, i) => (
            <li key={f.said}>
              <span className={`tag ${tones[f.word]}`}>{liftWords[f.word]}</span>{' '}
              {f.sum ? (
                <button
                  type="button"
                  aria-expanded={opened === i}
                  onClick={() => setOpened(opened === i ? undefined : i)}
                >
                  {f.said}
                </button>
              ) : (
                f.said
              )}
              {f.sum && opened === i && (
                <Sum
                  rows={[...f.sum.rows, ...f.sum.beside]}
                  {...(f.sum.rows.length > 1
                    ? { result: { label: 'Left', value: f.sum.value, unit: f.sum.unit } }
                    : {})}
                />
              )}
            </li>
          ))}
        </ul>
      </div>
      <p className="caution">
        Nobody under or beside a load that hangs. One caller, an agreed stop word. The maker's lifting points and the
        plates of the gear go first.
      </p>
      <LiftThings
        lift={lift}
        unitId={unitId}
        beside={
          <Button variant="default" onClick={() => setTyping(true)}>
            {rig ? 'Change where the slings hold' : 'Where the slings hold'}
          </Button>
        }
      />
      {typing && <RigForm lift={lift} rig={rig} unitId={unitId} close={() => setTyping(false)} />}
    </section>
  );
}
