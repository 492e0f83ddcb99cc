import { pino } from 'pino';
import type { DestinationStream, Level, Logger } from 'pino';

const keptOut = '[kept out]';

/** A link of a customer is a key; in a log it stands without its last part. */
const withoutKeys = (url: string): string => url.replace(/^((?:\/api)?\/c(?:ustomer)?\/)[^/?]+/, `$1${keptOut}`);

/** The log of the server: what was asked and what came of it, without cookies, tokens and links that would open something. */
export const makeLog = (level: Level | 'silent', to?: DestinationStream): Logger =>
  pino(
    {
      level,
      redact: {
        paths: [
          'req.url',
          'req.headers.cookie',
          'req.headers.authorization',
          'req.headers["x-bay-token"]',
          'req.headers.referer',
          'res.headers["set-cookie"]',
          'req.params.token',
        ],
        censor: (value, path) => (path.at(-1) === 'url' ? withoutKeys(String(value)) : keptOut),
      },
    },
    ...(to ? [to] : []),
  );
