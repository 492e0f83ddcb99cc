import { parentPort, workerData } from 'node:worker_threads';
import { problemOf, solved } from '@bay/contract/fit-problem';
import type { FitProblemFile } from '@bay/contract/fit-problem';

/** One problem, beside the process that answers everybody else. */
const file = workerData as FitProblemFile;
parentPort?.postMessage(solved(file, problemOf(file), () => performance.now()));
