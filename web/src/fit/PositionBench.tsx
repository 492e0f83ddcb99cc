import { Button, Select } from '@mantine/core';
import { useHotkeys, useMediaQuery } from '@mantine/hooks';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import {
  bayKinds,
  bayKindWords,
  boxIn,
  hasUsualEngine,
  poseKeys,
  pulledIn,
  sayPosition,
  sectionAt,
  stationsOf,
  viewNames,
  viewOf,
  viewTitle,
} from '@bay/core/fit';
import type { Point } from '@bay/core/drawing';
import type { Pose, PoseKey, ViewName } from '@bay/core/fit';
import { FactEditor, useFactRow, usePutFact } from '../facts/index.ts';
import { useJob } from '../sheet/index.ts';
import { Board } from '../ui/board/index.ts';
import { Empty, Trouble } from '../ui/index.ts';
import styles from './fit.module.css';
import { Gaps } from './Gaps.tsx';
import { MadeFrom } from './MadeFrom.tsx';
import { LeastChange } from './LeastChange.tsx';
import { OwnShapeForm } from './OwnShapeForm.tsx';
import type { DrawnFaces } from './OwnShapeForm.tsx';
import { MeasureNext } from './round/MeasureNext.tsx';
import { TakeAlong } from './TakeAlong.tsx';
import { ShopAgreement } from './trial/ShopAgreement.tsx';
import { AgainstDrawing } from './trial/AgainstDrawing.tsx';
import { usePosition } from './usePosition.ts';
import type { PositionView } from './usePosition.ts';

const tones = { 'goes-on': 'teal', look: 'ochre', stop: 'oxide', 'not-known': 'ochre' } as const;
const views = Object.keys(viewNames) as ViewName[];

const axes: Readonly<
  Partial<Record<PoseKey, { name: string; less: string; more: string; step: number; unit: string }>>
> = {
  x: { name: 'Bell face ahead of the firewall', less: 'Back', more: 'Forward', step: 1, unit: 'mm' },
  y: { name: 'Sideways, left positive', less: 'To the right', more: 'To the left', step: 1, unit: 'mm' },
  z: { name: 'Crank axis above the rail', less: 'Down', more: 'Up', step: 1, unit: 'mm' },
  slopeDeg: { name: 'Slope, tail down', less: 'Tail up', more: 'Tail down', step: 0.1, unit: '°' },
};

/** A number of a pose, and one step either way. */
function Steps({ pose, move }: Pick<PositionView, 'pose' | 'move'>) {
  return (
    <ul className={styles['steps']} aria-label="Where it sits">
      {poseKeys.flatMap((key) => {
        const axis = axes[key];
        if (!axis) return [];
        const step = (sign: 1 | -1, words: string, mark: string) => (
          <button
            type="button"
            aria-label={`${words} by ${axis.step} ${axis.unit}`}
            onClick={() => move({ [key]: sign * axis.step })}
          >
            {mark}
          </button>
        );
        return [
          <li key={key}>
            <span className="quiet">{axis.name}</span>
            <span className={styles['stepper']}>
              {step(-1, axis.less, '−')}
              <b className="mono">
                {pose[key].toFixed(1)} {axis.unit}
              </b>
              {step(1, axis.more, '+')}
            </span>
          </li>,
        ];
      })}
    </ul>
  );
}

/** Writes where it sits as what was chosen, from the drawing. */
function Keep({ pose, usual }: { pose: Pose; usual: boolean }) {
  const { mayWrite } = useJob();
  const row = useFactRow('cho-engine-place', 'job');
  const put = usePutFact();
  if (!mayWrite) return null;
  return (
    <>
      <Button
        loading={put.isPending}
        onClick={() =>
          put.mutate({
            bearer: 'job',
            factId: 'cho-engine-place',
            typed: {
              'bell-face-ahead-of-firewall-x': `${pose.x.toFixed(1)} mm`,
              'sideways-from-centre-line-y': `${pose.y.toFixed(1)} mm`,
              'crank-axis-above-body-datum-z': `${pose.z.toFixed(1)} mm`,
              'slope-tail-down': `${pose.slopeDeg.toFixed(1)} deg`,
            },
            // It stands in a drawing, not in the car.
            source: 'assumed',
            note: usual ? 'from the drawing, what is missing in usual sizes' : 'from the drawing',
            revision: row?.revision ?? 0,
          })
        }
      >
        Keep this place
      </Button>
      <Trouble of={put} />
    </>
  );
}

/** What nobody measured may be drawn in usual sizes: nothing of it is written, and what stands on it says so. */
function UsualSizes({ view }: { view: PositionView }) {
  const { plan } = useJob();
  return (
    <section className={`panel ${styles['on-screen']}`} aria-label="Usual sizes">
      <h3>Before it is measured</h3>
      <Select
        label="Draw what is missing as it usually is"
        description={
          hasUsualEngine(plan.facts)
            ? 'Nothing of it is written. It shows what decides, and what to measure first.'
            : 'The bay only: say the cylinder layout, and the engine is drawn too.'
        }
        data={bayKinds.map((value) => ({ value, label: bayKindWords[value] }))}
        value={view.usual ?? null}
        onChange={(kind) => view.setUsual(kind ?? undefined)}
        placeholder="only what is known"
        clearable
      />
    </section>
  );
}

/** Where it may go and how sure measures are: facts of the job, which the search and its chances stand on. */
function HoldIt() {
  const { mayWrite } = useJob();
  const [open, setOpen] = useState<'cho-place-range' | 'cho-sureness'>();
  if (!mayWrite) return null;
  return (
    <div className={`row-actions ${styles['on-screen']}`}>
      <Button variant="subtle" size="compact-md" onClick={() => setOpen('cho-place-range')}>
        Where it may go
      </Button>
      <Button variant="subtle" size="compact-md" onClick={() => setOpen('cho-sureness')}>
        How sure measures are
      </Button>
      {open && (
        <FactEditor factId={open} bearer="job" close={() => setOpen(undefined)} saved={() => setOpen(undefined)} />
      )}
    </div>
  );
}

/** Nothing is drawn before somebody says how the engine lies. */
function SayHowItLies({ sentence }: { sentence: string }) {
  const { mayWrite } = useJob();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Empty title="Not drawn yet">
        {sentence}{' '}
        {mayWrite && (
          <Button variant="default" onClick={() => setOpen(true)}>
            Say which way it points
          </Button>
        )}
      </Empty>
      {open && <FactEditor factId="cho-pulley-side" bearer="job" close={() => setOpen(false)} />}
    </>
  );
}

/** Where the engine sits, what is in its way, and the least change that makes it fit. */
export function PositionBench() {
  const [reserve, setReserve] = useState(3);
  const view = usePosition(reserve);
  const narrow = useMediaQuery('(max-width: 700px)') ?? false;
  const [shown, setShown] = useState<ViewName>('side');
  const [cut, setCut] = useState<number>();
  const [drawing, setDrawing] = useState(false);
  const [drawn, setDrawn] = useState<DrawnFaces>();
  const viewsAt = useRef<HTMLDivElement>(null);
  useHotkeys([['b', view.toBest]]);
  // The views stand above the button that begins it.
  useEffect(() => {
    if (drawing) viewsAt.current?.scrollIntoView({ block: 'start' });
  }, [drawing]);
  const { scene, pose, judged, at, best, share, move } = view;
  if (scene.notDrawn) return <SayHowItLies sentence={scene.notDrawn} />;
  if (scene.shapes.length < 3)
    return (
      <>
        <Empty title="Nothing to draw yet">
          Bay and engine are drawn from their facts: lengths, widths, heights, sump, crossmember.{' '}
          <Link to="../facts">Take them in the list of facts</Link>, or walk round the car.
        </Empty>
        <UsualSizes view={view} />
        <MeasureNext scene={scene} margins={view.atBest} />
      </>
    );
  const said = sayPosition(scene, at);
  const bestSaid = best && sayPosition(scene, best);
  const isBest = best !== undefined && best.worstMm - at.worstMm < 0.05;
  const [rear, front] = stationsOf(scene, pose);
  const board = (name: ViewName, height: number) => (
    <section key={name} aria-label={viewTitle(name, scene)}>
      <h4>{viewTitle(name, scene)}</h4>
      {name === 'front' && (
        <div className={styles['cut']}>
          <label>
            Cut at{' '}
            <input
              type="range"
              min={rear}
              max={front}
              step={10}
              value={cut ?? Math.round((rear + front) / 2)}
              onChange={(e) => setCut(Number(e.currentTarget.value))}
              aria-label="Cut across at, mm forward of the firewall"
            />
          </label>
          <span className="mono">{cut === undefined ? 'not cut' : `x ${cut} mm`}</span>
          {cut !== undefined && (
            <button type="button" className="plain-button small" onClick={() => setCut(undefined)}>
              Whole again
            </button>
          )}
        </div>
      )}
      <Board
        drawing={
          name === 'front' && cut !== undefined
            ? sectionAt(scene, pose, judged.margins, cut)
            : viewOf(scene, name, pose, judged.margins, view.ghosts)
        }
        height={height}
        margin={26}
        {...(drawing
          ? {
              box: (from: Point, to: Point) => {
                setDrawing(false);
                setDrawn(boxIn(name, scene, from, to));
              },
            }
          : { carry: (by: Point) => move(pulledIn(name, scene, by)) })}
        listed={false}
      />
    </section>
  );
  return (
    <div className={styles['position']}>
      <div className={styles['drawn']} ref={viewsAt}>
        {drawing && (
          <p className="notice ochre-notice" role="status">
            Pull from corner to corner of the thing, in the view that shows it best; its third side is asked for then.{' '}
            <Button variant="default" onClick={() => setDrawing(false)}>
              Leave it
            </Button>
          </p>
        )}
        {narrow && (
          <div className="counts">
            {views.map((v) => (
              <button key={v} type="button" aria-pressed={shown === v} onClick={() => setShown(v)}>
                {viewTitle(v, scene)}
              </button>
            ))}
          </div>
        )}
        {narrow ? board(shown, 300) : board('side', 330)}
        {!narrow && (
          <div className={styles['pair']}>
            {board('top', 220)}
            {board('front', 220)}
          </div>
        )}
        <Steps pose={pose} move={move} />
      </div>
      <div className={styles['said']}>
        <section className="panel" aria-label="What it comes to" aria-live="polite">
          <p className={`${styles['verdict']} ${tones[said.word]}`}>
            {view.waiting ? 'Looking for the best place …' : said.headline}
          </p>
          {(view.waiting ? [] : said.details).map((d) => (
            <p key={d}>{d}</p>
          ))}
          {scene.held.map((h) => (
            <p key={h} className="quiet">
              {h}
            </p>
          ))}
          {said.doubts.map((d) => (
            <p key={d} className="ochre">
              {d}
            </p>
          ))}
          <p className="quiet" role="status">
            {share !== undefined
              ? `Searching the whole range for the best place, ${Math.round(share * 100)} % …`
              : bestSaid && !isBest
                ? `Best there is in the range: ${bestSaid.headline}`
                : best
                  ? 'This is the best there is in the range.'
                  : scene.pairs.length > 0
                    ? 'The search was given up.'
                    : ''}
          </p>
          <div className="row-actions">
            {share !== undefined ? (
              <Button variant="default" onClick={view.cancel}>
                Stop searching
              </Button>
            ) : (
              <Button variant="default" disabled={!best || isBest} onClick={view.toBest}>
                To the best place (b)
              </Button>
            )}
            {share === undefined && !best && scene.pairs.length > 0 && (
              <Button variant="default" onClick={view.again}>
                Search again
              </Button>
            )}
            {view.toChosen && (
              <Button variant="subtle" onClick={view.toChosen}>
                Back to where it was chosen
              </Button>
            )}
            <Keep pose={pose} usual={view.usual !== undefined} />
          </div>
          <HoldIt />
        </section>
        <p className="caution">
          A forecast from measures. Read the gaps in the car, rocked and hot, before anything is tacked, cut or welded;
          structure and steering are a qualified person's, the maker's manual and local law go first.
        </p>
        <ShopAgreement />
        <MeasureNext scene={scene} margins={view.atBest} />
        {(scene.missing.length > 0 || view.usual) && <UsualSizes view={view} />}
        {view.trial && <AgainstDrawing said={view.trial} scene={scene} draw={view.drawAt} />}
        <section className="panel" aria-label="Every gap here">
          <h3>Every gap here</h3>
          <Gaps scene={scene} judged={judged} />
        </section>
      </div>
      <div className={styles['below']}>
        <LeastChange view={view} reserve={reserve} setReserve={setReserve} />
        <TakeAlong view={view} drawBox={() => setDrawing(true)} />
        <MadeFrom scene={scene} />
      </div>
      {drawn && <OwnShapeForm scene={scene} drawn={drawn} close={() => setDrawn(undefined)} />}
    </div>
  );
}
