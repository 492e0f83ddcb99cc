import { Button } from '@mantine/core';
import { useMemo } from 'react';
import { chosenPose, sceneOfJob, tryKey } from '@bay/core/fit';
import { useJob } from '../../sheet/index.ts';
import { useWork } from '../../workers/index.ts';
import type { TriesView } from './useTries.ts';

const round = (n: number): number => Number(n.toFixed(1));

/** Where nobody chose where the engine sits, it may be tried at the best place there is. */
export function AtBestPlace({ tries }: { tries: TriesView }) {
  const { plan } = useJob();
  const chosen = chosenPose(tries.books.job) !== undefined;
  const problem = useMemo(() => {
    if (chosen) return undefined;
    const scene = sceneOfJob({ job: plan.facts });
    return scene.pairs.length > 0 ? scene.problem : undefined;
  }, [chosen, plan.facts]);
  const search = useWork('bestPosition', problem);
  if (chosen) return null;
  const { result } = search;
  return (
    <p className="notice ochre-notice" role="status">
      Nobody chose where the engine sits, so what hangs on it is not drawn.{' '}
      {problem && (
        <Button
          variant="default"
          disabled={!result}
          onClick={() =>
            result &&
            tries.setAll({
              ...tries.tried,
              [tryKey('cho-engine-place', 'bell-face-ahead-of-firewall-x')]: round(result.pose.x),
              [tryKey('cho-engine-place', 'sideways-from-centre-line-y')]: round(result.pose.y),
              [tryKey('cho-engine-place', 'crank-axis-above-body-datum-z')]: round(result.pose.z),
              [tryKey('cho-engine-place', 'slope-tail-down')]: round(result.pose.slopeDeg),
            })
          }
        >
          {result ? 'Try it at the best place' : 'Looking for the best place …'}
        </Button>
      )}
    </p>
  );
}
