import type { Request, RequestHandler, Response } from 'express';
import { Gauge, Histogram, Registry, collectDefaultMetrics } from 'prom-client';
import type pg from 'pg';
import { notFound } from './problem.ts';

export interface Metrics {
  /** Times every request by the path of its endpoint, never by the ids in it. */
  watch: RequestHandler;
  serve: (req: Request, res: Response) => Promise<void>;
}

const loopback = /^(?:::1|127\.|::ffff:127\.)/;

/** Figures of one process in the common text format. Served to the machine itself only, unless `open` says otherwise. */
export function makeMetrics(parts: { pool: pg.Pool; listeners: () => number; open: boolean }): Metrics {
  const register = new Registry();
  collectDefaultMetrics({ register });
  const seconds = new Histogram({
    name: 'bay_request_seconds',
    help: 'Time to answer a request, by endpoint',
    labelNames: ['method', 'path', 'status'] as const,
    buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
    registers: [register],
  });
  new Gauge({
    name: 'bay_live_listeners',
    help: 'Browsers that listen for changes',
    registers: [register],
    collect() {
      this.set(parts.listeners());
    },
  });
  new Gauge({
    name: 'bay_database_connections',
    help: 'Connections of the pool',
    registers: [register],
    collect() {
      this.set(parts.pool.totalCount);
    },
  });
  new Gauge({
    name: 'bay_database_waiting',
    help: 'Requests that wait for a connection',
    registers: [register],
    collect() {
      this.set(parts.pool.waitingCount);
    },
  });
  return {
    watch: (req, res, next) => {
      const end = seconds.startTimer();
      res.on('finish', () => {
        const path = (req.route as { path?: unknown } | undefined)?.path;
        end({ method: req.method, path: typeof path === 'string' ? path : 'other', status: String(res.statusCode) });
      });
      next();
    },
    serve: async (req, res) => {
      if (!parts.open && !loopback.test(req.socket.remoteAddress ?? '')) throw notFound('This address');
      res.type(register.contentType).send(await register.metrics());
    },
  };
}
