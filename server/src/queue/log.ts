import { Logger as QueueLogger } from 'graphile-worker';
import type { Logger } from 'pino';

/** What the queue says goes where everything else is said: what works as it should is of no interest, what fails is. */
export const queueLogger = (log: Logger): QueueLogger =>
  new QueueLogger(() => (level, message) => {
    if (level === 'error') log.error({ from: 'queue' }, message);
    else if (level === 'warning') log.warn({ from: 'queue' }, message);
    else log.debug({ from: 'queue' }, message);
  });
