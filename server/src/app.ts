import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import compression from 'compression';
import express from 'express';
import type { Express } from 'express';
import type pg from 'pg';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { crewRoutes } from './crew/routes.ts';
import type { Db } from './db/connection.ts';
import { factRoutes } from './facts/routes.ts';
import { openApiDocument } from './http/openapi.ts';
import { notFound, problemHandler } from './http/problem.ts';
import { Registry } from './http/register.ts';
import { fromOurPages, headers } from './http/security.ts';
import { sessions } from './http/session.ts';
import { jobRoutes } from './jobs/routes.ts';
import type { LiveFeed } from './live/events.ts';
import { logbookRoutes } from './logbook/routes.ts';
import { planRoutes } from './plan/routes.ts';
import { recordRoutes } from './records/routes.ts';

export interface AppParts {
  db: Db;
  pool: pg.Pool;
  feed: LiveFeed;
  log: Logger;
  /** Signs the session cookie; the same for every process of one installation. */
  secret: string;
  /** Cookie only over https. */
  secure: boolean;
  /** Folder of the built web application, where there is one. */
  webDir?: string | undefined;
}

/** The whole application as one Express app; it listens nowhere by itself. */
export function makeApp(parts: AppParts): Express {
  const { db, pool, feed, log } = parts;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', 'loopback');
  app.use(headers());
  app.use(pinoHttp({ logger: log, genReqId: () => randomUUID(), autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }));
  app.get('/healthz', (_req, res) => void res.json({ ok: true }));
  app.get('/readyz', async (_req, res) => {
    await pool.query('select 1');
    res.json({ ok: true });
  });
  app.use(compression({ filter: (req, res) => req.path !== '/api/events' && compression.filter(req, res) }));
  if (parts.webDir) serveWeb(app, parts.webDir);

  app.use('/api', express.json({ limit: '200kb' }), sessions(pool, parts.secret, parts.secure));
  app.use((req, res, next) => (req.path.startsWith('/api/') ? fromOurPages(req, res, next) : next()));
  const on = new Registry(app, db);
  crewRoutes(on, db, pool);
  jobRoutes(on);
  factRoutes(on);
  recordRoutes(on);
  logbookRoutes(on);
  planRoutes(on);
  feed.route(app);
  app.get('/api/openapi.json', (_req, res) => void res.json(openApiDocument()));
  app.use('/api', (_req, _res, next) => next(notFound('This address')));
  app.use(problemHandler);
  return app;
}

function serveWeb(app: Express, folder: string): void {
  const webDir = resolve(folder);
  const page = join(webDir, 'index.html');
  if (!existsSync(page)) return;
  app.use('/assets', express.static(join(webDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(webDir, { index: false, maxAge: '1h' }));
  app.get(/^\/(?!api\/|assets\/|healthz|readyz).*/, (_req, res) => {
    res.set('cache-control', 'no-cache').sendFile(page);
  });
}
