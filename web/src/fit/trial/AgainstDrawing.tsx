import { Button } from '@mantine/core';
import type { JobScene, Pose, TrialSaid } from '@bay/core/fit';
import styles from '../fit.module.css';

/** Forecast against tape: what was read in the trial fit beside what the drawing says, and what follows. */
export function AgainstDrawing({
  said,
  scene,
  draw,
}: {
  said: TrialSaid;
  scene: JobScene;
  draw: (pose: Pose) => void;
}) {
  return (
    <section className="panel" aria-label="What the trial fit says">
      <h3>What the trial fit says</h3>
      {said.sentences.map((s) => (
        <p key={s}>{s}</p>
      ))}
      <ul className="rows">
        {said.readings.map((r) => (
          <li key={r.pair} className={styles['plan']}>
            <span>{scene.pairs.find((p) => p.id === r.pair)?.name}</span>
            <span className="mono">
              {r.readMm.toFixed(0)} mm read, {r.drawnMm.toFixed(0)} mm drawn
            </span>
          </li>
        ))}
      </ul>
      <Button variant="default" onClick={() => draw(said.pose)}>
        Draw it where it was read
      </Button>
    </section>
  );
}
