import { proxy, wrap } from 'comlink';
import type { InputOf, OutputOf, Progress, TaskName, Tasks } from './tasks.ts';

/** The work was given up: nobody waits for its result any more. */
export class GivenUp extends Error {
  constructor() {
    super('Given up.');
  }
}

export const makeWorker = (): Worker => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/**
 * One place of work beside the screen: one task at a time, with progress; it can be given up, which ends the worker at once, and
 * the next task begins in a new one.
 */
export class Desk {
  private worker: Worker | undefined;
  private giveUp: (() => void) | undefined;
  private readonly make: () => Worker;

  constructor(make: () => Worker = makeWorker) {
    this.make = make;
  }

  get busy(): boolean {
    return this.giveUp !== undefined;
  }

  /** Starts a task. Throws while another one is under way: who wants that gives up the other first. */
  async start<K extends TaskName>(
    name: K,
    input: InputOf<K>,
    progress: Progress = () => undefined,
  ): Promise<OutputOf<K>> {
    if (this.busy) throw new Error('Another task is under way here.');
    const worker = (this.worker ??= this.make());
    const remote = wrap<Tasks>(worker) as unknown as Record<
      K,
      (input: InputOf<K>, p: Progress) => Promise<OutputOf<K>>
    >;
    try {
      return await new Promise<OutputOf<K>>((resolve, reject) => {
        this.giveUp = () => reject(new GivenUp());
        // A worker whose code cannot be loaded answers nothing; it says so here.
        worker.addEventListener('error', () => reject(new Error('The computation could not be started.')), {
          once: true,
        });
        remote[name](input, proxy(progress)).then(resolve, reject);
      });
    } finally {
      this.giveUp = undefined;
    }
  }

  /** Ends what is under way, and the worker with it. */
  cancel(): void {
    const giveUp = this.giveUp;
    if (!giveUp) return;
    this.end();
    giveUp();
  }

  /** Nobody works here any more. */
  dispose(): void {
    this.cancel();
    this.end();
  }

  private end(): void {
    this.worker?.terminate();
    this.worker = undefined;
  }
}
