import { z } from 'zod';

/** Settings come from the environment; `./bay` sets them, docs/operations.md explains them. */

const number = (name: string, least: number, most: number, usual: number) =>
  z
    .string()
    .optional()
    .transform((text, at) => {
      if (text === undefined || text === '') return usual;
      const value = Number(text);
      if (Number.isInteger(value) && value >= least && value <= most) return value;
      at.addIssue({ code: 'custom', message: `${name} is a whole number from ${least} to ${most}, not "${text}".` });
      return z.NEVER;
    });
const yes = (name: string) =>
  z
    .enum(['yes', 'no', ''], `${name} is yes or no.`)
    .optional()
    .transform((v) => v === 'yes');

/** Where the bytes of photos lie. */
export type PhotoPlace =
  | { kind: 'database' }
  | { kind: 'folder'; folder: string }
  | { kind: 'bucket'; endpoint: string; bucket: string; region: string; accessKeyId: string; secretAccessKey: string };

/** What the process needs that prepares the database, and the server too: there with the owner's address, here with its own. */
const access = z.object({
  DATABASE_URL: z
    .string('DATABASE_URL is not set. Start with ./bay demo, or set it.')
    .regex(/^postgres(ql)?:\/\//, 'DATABASE_URL begins with postgres://.'),
  SESSION_SECRET: z
    .string('SESSION_SECRET is not set (16 characters or more).')
    .min(16, 'SESSION_SECRET is too short: 16 characters or more.'),
});

const settings = access
  .extend({
    PORT: number('PORT', 1, 65_535, 4170),
    HOST: z.string().optional().default('127.0.0.1'),
    WEB_DIR: z.string().optional(),
    LOG_LEVEL: z
      .enum(
        ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'],
        'LOG_LEVEL is one of fatal, error, warn, info, debug, trace, silent.',
      )
      .default('info'),
    SECURE_COOKIES: yes('SECURE_COOKIES'),
    METRICS_OPEN: yes('METRICS_OPEN'),
    DRAIN_MS: number('DRAIN_MS', 0, 600_000, 10_000),
    POOL_SIZE: number('POOL_SIZE', 2, 200, 12),
    STATEMENT_MS: number('STATEMENT_MS', 100, 600_000, 15_000),
    CONNECT_MS: number('CONNECT_MS', 100, 120_000, 5_000),
    KEEP_REPLIES_DAYS: number('KEEP_REPLIES_DAYS', 1, 3650, 90),
    WORKERS: number('WORKERS', 0, 16, 1),
    TRUST_PROXY: z.string().optional(),
    PHOTOS: z.string().optional().default('database'),
    S3_ENDPOINT: z.url('S3_ENDPOINT is an address: https://…').optional(),
    S3_REGION: z.string().optional().default('us-east-1'),
    S3_KEY: z.string().optional(),
    S3_SECRET: z.string().optional(),
  })
  .transform((env, at) => {
    const refuse = (message: string): PhotoPlace => {
      at.addIssue({ code: 'custom', message });
      return { kind: 'database' };
    };
    const photos = (): PhotoPlace => {
      if (env.PHOTOS === 'database') return { kind: 'database' };
      const [kind, rest] = [
        env.PHOTOS.slice(0, env.PHOTOS.indexOf(':')),
        env.PHOTOS.slice(env.PHOTOS.indexOf(':') + 1),
      ];
      if (kind === 'folder' && rest.startsWith('/')) return { kind, folder: rest };
      if (kind !== 'bucket' || rest === '') return refuse('PHOTOS is "database", "folder:/path" or "bucket:name".');
      if (!env.S3_ENDPOINT || !env.S3_KEY || !env.S3_SECRET)
        return refuse('PHOTOS names a bucket: S3_ENDPOINT, S3_KEY and S3_SECRET belong to it.');
      return {
        kind,
        bucket: rest,
        endpoint: env.S3_ENDPOINT,
        region: env.S3_REGION,
        accessKeyId: env.S3_KEY,
        secretAccessKey: env.S3_SECRET,
      };
    };
    return {
      databaseUrl: env.DATABASE_URL,
      secret: env.SESSION_SECRET,
      port: env.PORT,
      host: env.HOST,
      webDir: env.WEB_DIR,
      logLevel: env.LOG_LEVEL,
      secureCookies: env.SECURE_COOKIES,
      openMetrics: env.METRICS_OPEN,
      proxies: env.TRUST_PROXY,
      drainMs: env.DRAIN_MS,
      keepRepliesDays: env.KEEP_REPLIES_DAYS,
      workers: env.WORKERS,
      pool: { max: env.POOL_SIZE, statementMs: env.STATEMENT_MS, connectMs: env.CONNECT_MS },
      photos: photos(),
    };
  });
export type Config = z.output<typeof settings>;

type Env = Readonly<Record<string, string | undefined>>;
type Read<T> = { ok: true; config: T } | { ok: false; sentences: string[] };
function readBy<T>(schema: z.ZodType<T>, env: Env): Read<T> {
  const read = schema.safeParse(env);
  return read.success
    ? { ok: true, config: read.data }
    : { ok: false, sentences: read.error.issues.map((i) => i.message) };
}

/** Reads the settings; gives one sentence for each that cannot be taken. */
export const readConfig = (env: Env): Read<Config> => readBy(settings, env);

/** The settings of the process that prepares the database. */
export const readAccess = (env: Env): Read<z.output<typeof access>> => readBy(access, env);
