import { Worker } from 'node:worker_threads';
import type { FitAnswer, FitProblemFile } from '@bay/contract/fit-problem';
import { Refusal } from '../http/problem.ts';

/** Longer than this nobody waits for an answer over the network. */
const longestMs = 60_000;

/** Built, the worker lies beside the rest; from source it is TypeScript, and its loader comes first. */
const fromSource = import.meta.url.endsWith('.ts');
const program = new URL(fromSource ? './position-worker.ts' : './position-worker.js', import.meta.url);
const start = (workerData: FitProblemFile): Worker =>
  fromSource
    ? new Worker(
        `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(program.href)})));`,
        {
          workerData,
          eval: true,
        },
      )
    : new Worker(program, { workerData });

/** Works a problem through in a thread of its own; ended where it takes too long, or where nobody waits for it any more. */
export function solveInThread(file: FitProblemFile, gone: AbortSignal): Promise<FitAnswer> {
  return new Promise((resolve, reject) => {
    const worker = start(file);
    const end = (done: () => void): void => {
      clearTimeout(tooLong);
      gone.removeEventListener('abort', left);
      void worker.terminate();
      done();
    };
    const tooLong = setTimeout(
      () =>
        end(() =>
          reject(
            new Refusal(
              422,
              'This takes longer than a minute. Fewer options, or a narrower range, are searched sooner; ./bay fit takes any time.',
            ),
          ),
        ),
      longestMs,
    );
    const left = (): void => end(() => reject(new Refusal(499, 'Nobody waits for this any more.')));
    gone.addEventListener('abort', left);
    worker.once('message', (answer: FitAnswer) => end(() => resolve(answer)));
    worker.once('error', (error) => end(() => reject(error)));
  });
}
