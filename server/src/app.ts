import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join, resolve } from 'node:path';
import compression from 'compression';
import express from 'express';
import type { Express, Request } from 'express';
import type pg from 'pg';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { registerRoutes } from './capabilities.ts';
import type { Db } from './db/connection.ts';
import { openApiDocument } from './http/openapi.ts';
import { makeMetrics } from './http/metrics.ts';
import { notFound, problemHandler } from './http/problem.ts';
import { Registry } from './http/register.ts';
import { Tries } from './http/tries.ts';
import { headers, pageWithNonce } from './http/security.ts';
import { sessions } from './http/session.ts';
import type { LiveFeed } from './live/events.ts';
import type { PhotoStore } from './logbook/photo-store.ts';

export interface AppParts {
  db: Db;
  pool: pg.Pool;
  feed: LiveFeed;
  photos: PhotoStore;
  log: Logger;
  /** Signs the session cookie; the same for every process of one installation. */
  secret: string;
  /** Cookie only over https. */
  secure: boolean;
  /** Folder of the built web application, where there is one. */
  webDir?: string | undefined;
  /** True from the moment on that this process ends: nothing new is sent its way. */
  draining?: () => boolean;
  /** Proxies whose word on who asked is believed (addresses or names of Express); nobody where none is named. */
  proxies?: string | undefined;
  /** Serve /metrics to everybody, not to this machine only. */
  openMetrics?: boolean;
}

/** An id that came along (from a proxy) is kept, so that one request has one id in every log. */
const requestId = (req: IncomingMessage, res: ServerResponse): string => {
  const given = req.headers['x-request-id'];
  const id = typeof given === 'string' && /^[\w-]{8,64}$/.test(given) ? given : randomUUID();
  res.setHeader('x-request-id', id);
  return id;
};

/** The whole application as one Express app; it listens nowhere by itself. */
export function makeApp(parts: AppParts): Express {
  const { db, pool, feed, log } = parts;
  const app = express();
  app.disable('x-powered-by');
  // A path is one path: what is written otherwise leads nowhere.
  app.enable('case sensitive routing');
  app.enable('strict routing');
  // Whom a proxy speaks for is believed only of proxies that were named.
  app.set('trust proxy', parts.proxies ?? false);
  app.use(headers());
  app.use(
    pinoHttp({ logger: log, genReqId: requestId, autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }),
  );
  app.get('/healthz', (_req, res) => void res.json({ ok: true }));
  app.get('/readyz', async (_req, res) => {
    const database = await answersSoon(pool);
    const ok = database && parts.draining?.() !== true;
    res.status(ok ? 200 : 503).json({ ok, database });
  });
  const metrics = makeMetrics({ pool, listeners: () => feed.listeners, open: parts.openMetrics ?? false });
  app.get('/metrics', metrics.serve);
  app.use((_req, res, next) => {
    if (parts.draining?.()) res.set('connection', 'close');
    next();
  });
  app.use(metrics.watch);
  // The lightest compression, since on a shop's own network the time to pack counts for more than the last bytes; but what a
  // device fetches once and keeps is packed tighter.
  const kept = ({ originalUrl }: Request): boolean => originalUrl.startsWith('/assets/');
  app.use(
    compression({
      level: 1,
      filter: (req, res) => req.path !== '/api/events' && !kept(req) && compression.filter(req, res),
    }),
    compression({ level: 7, filter: (req, res) => kept(req) && compression.filter(req, res) }),
  );
  if (parts.webDir) serveWeb(app, parts.webDir);

  app.use(
    '/api',
    express.json({ limit: '200kb' }),
    sessions(pool, parts.secret, parts.secure, (said) =>
      log.warn({ said: said.map(String) }, 'the session store failed'),
    ),
  );
  // Answers are of this moment and of this person; what may be kept says so itself.
  app.use('/api', (_req, res, next) => {
    res.set('cache-control', 'no-store');
    next();
  });
  const on = new Registry(app, db);
  registerRoutes(on, db, new Tries(pool), parts.photos);
  feed.route(app);
  app.get('/api/openapi.json', (_req, res) => void res.json(openApiDocument()));
  app.use((_req, _res, next) => next(notFound('This address')));
  app.use(problemHandler);
  return app;
}

function serveWeb(app: Express, folder: string): void {
  const webDir = resolve(folder);
  const file = join(webDir, 'index.html');
  if (!existsSync(file)) return;
  const page = pageWithNonce(readFileSync(file, 'utf8'));
  app.use('/assets', express.static(join(webDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.get('/index.html', page);
  app.use(express.static(webDir, { index: false, maxAge: '1h' }));
  app.get(/^\/(?!api\/|assets\/|healthz|readyz|metrics).*/, page);
}

/** Does the database answer within a second? One that hangs is as good as none, and whoever asks must be told in time. */
function answersSoon(pool: AppParts['pool']): Promise<boolean> {
  const asked = pool.query('select 1').then(
    () => true,
    () => false,
  );
  const tooLong = new Promise<boolean>((say) => setTimeout(say, 800, false).unref());
  return Promise.race([asked, tooLong]);
}
