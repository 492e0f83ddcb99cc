import { useMemo, useState } from 'react';
import {
  describePose,
  gapsByPlace,
  judgeAt,
  liftsInOrder,
  poseRead,
  middleOf,
  moved,
  optionsOf,
  readingsFor,
  Scene,
  sceneOfJob,
  standingTrials,
  trialSaid,
  withUsual,
  withWaysOut,
} from '@bay/core/fit';
import type {
  BayKind,
  FitOption,
  Ghost,
  Margin,
  JobScene,
  Judged,
  Plans,
  Pose,
  PoseKey,
  Position,
  TrialSaid,
} from '@bay/core/fit';
import { useJob, useRecords } from '../sheet/index.ts';
import { useWork } from '../workers/index.ts';

export interface PositionView {
  /** The geometry that is shown: with the ways out that are tried, if any. */
  scene: JobScene;
  pose: Pose;
  judged: Judged;
  at: ReturnType<typeof describePose>;
  best: Position | undefined;
  /** Every gap at the best place, or where it is drawn while that is not found. */
  atBest: readonly Margin[];
  /** How far the search is, 0 to 1; nothing when it is done. */
  share: number | undefined;
  options: readonly FitOption[];
  plans: Plans | undefined;
  planShare: number | undefined;
  tried: readonly string[];
  /** Nobody chose a place or moved it, and the best is not found yet: what is drawn says nothing. */
  waiting: boolean;
  /** Moves the unit, held in its range. */
  move: (by: Readonly<Partial<Record<PoseKey, number>>>) => void;
  /** What the readings of the trial fit say of the drawing; nothing where there are none that stand. */
  trial: TrialSaid | undefined;
  drawAt: (pose: Pose) => void;
  /** Where it stands besides: as chosen, and as the last lift read it. */
  ghosts: readonly Ghost[];
  /** What nobody measured is drawn as bays of this kind are; nothing where it is left out. */
  usual: BayKind | undefined;
  setUsual: (kind: BayKind | undefined) => void;
  toBest: () => void;
  toChosen: (() => void) | undefined;
  tryPlan: (ids: readonly string[], pose: Pose) => void;
  cancel: () => void;
  again: () => void;
}

/** Where the unit sits in the drawing, what holds it there, and the best there is: searched beside the screen. */
export function usePosition(reserveMm: number): PositionView {
  const { plan } = useJob();
  const written = useRecords('way-out');
  const [usual, setUsual] = useState<BayKind>();
  const books = useMemo(() => withUsual({ job: plan.facts }, usual), [plan.facts, usual]);
  const own = useRecords('own-shape');
  const asIs = useMemo(() => sceneOfJob(books, own), [books, own]);
  const options = useMemo(() => optionsOf(books, asIs, written), [books, asIs, written]);
  const [tried, setTried] = useState<readonly string[]>([]);
  const scene = useMemo(
    () =>
      withWaysOut(
        asIs,
        options.filter((o) => tried.includes(o.id)),
      ),
    [asIs, options, tried],
  );
  const fits = useRecords('fit');
  const gaps = useRecords('gap');
  const trial = useMemo(() => {
    const places = gapsByPlace(Object.values(gaps));
    // What was read before a fact changed says nothing of the car as it is.
    const standing = plan.fits
      .filter((line) => !line.stale)
      .map((line) => [line.def.id, standingTrials(fits[line.def.id]?.trial, places.get(line.def.id) ?? [])] as const)
      .filter(([, trials]) => trials.length > 0);
    return trialSaid(asIs, asIs.chosen, readingsFor(asIs, new Map(standing)));
  }, [asIs, plan.fits, fits, gaps]);
  const lifts = useRecords('lift');
  const ghosts = useMemo(() => {
    const last = liftsInOrder(lifts).findLast((l) => poseRead(l.read) !== undefined);
    return [
      ...(asIs.chosen ? [{ pose: asIs.chosen, said: 'as it was chosen' }] : []),
      ...(last ? [{ pose: poseRead(last.read)!, said: `as lift ${last.number} read it` }] : []),
    ];
  }, [asIs, lifts]);
  const ready = scene.pairs.length > 0;
  const searching = useWork('bestPosition', ready ? scene.problem : undefined);
  const wish = useMemo(
    () => (asIs.pairs.length > 0 ? { problem: asIs.problem, options, reserveMm } : undefined),
    [asIs, options, reserveMm],
  );
  const changing = useWork('leastChange', wish);
  const [moving, setMoving] = useState<Pose>();
  const { range } = scene.problem;
  // Where somebody chose it, it is drawn there, also outside of where it may go now.
  const pose = moving ? moved(moving, {}, range) : (scene.chosen ?? searching.result?.pose ?? middleOf(range));
  const bench = useMemo(() => new Scene(scene.problem), [scene.problem]);
  const judged = useMemo(() => judgeAt(bench, pose), [bench, pose.x, pose.y, pose.z, pose.slopeDeg, pose.yawDeg]); // eslint-disable-line react-hooks/exhaustive-deps -- a pose is its five numbers
  const found = searching.result;
  const atBest = useMemo(() => (found ? judgeAt(bench, found.pose).margins : judged.margins), [bench, found, judged]);
  const at = useMemo(() => describePose(bench, judged), [bench, judged]);
  return {
    scene,
    pose,
    judged,
    at,
    best: ready ? searching.result : undefined,
    atBest,
    share: ready ? searching.share : undefined,
    options,
    plans: wish ? changing.result : undefined,
    planShare: wish ? changing.share : undefined,
    tried,
    waiting: !moving && !scene.chosen && !searching.result && searching.share !== undefined,
    trial,
    ghosts,
    usual,
    setUsual,
    drawAt: setMoving,
    move: (by) => setMoving((now) => moved(now ?? pose, by, range)),
    toBest: () => searching.result && setMoving(searching.result.pose),
    toChosen: scene.chosen && (() => setMoving(scene.chosen)),
    tryPlan: (ids, to) => {
      setTried(ids);
      setMoving(to);
    },
    cancel: searching.cancel,
    again: searching.again,
  };
}
