import { randomBytes } from 'node:crypto';
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type pg from 'pg';

declare module 'express-session' {
  interface SessionData {
    shopId: string;
    personId: string;
    /** Sent back with every change, so that another site's form cannot make one. */
    token: string;
    /** What kind of device it is, in a few words. */
    device: string;
  }
}

const hours = 3_600_000;
const touchMs = 600_000;
const mostTouched = 10_000;
/** A device that was not seen for so long is signed out. */
export const sessionDays = 14;
const cookieDays = 400;

/** How long the cookie lasts is the browser's; how long the session does is counted from when it was seen. */
function countedFromNow(data: session.SessionData): session.SessionData {
  const kept = JSON.parse(JSON.stringify(data)) as session.SessionData;
  kept.cookie.expires = null;
  return kept;
}

/** Sessions live in PostgreSQL, so that any server process knows them. */
export function sessions(
  pool: pg.Pool,
  secret: string,
  secure: boolean,
  failed: (said: unknown[]) => void,
): RequestHandler {
  const Store = connectPgSimple(session);
  // A session that was seen a moment ago need not be written again with every request: it ends in days.
  const touched = new Map<string, number>();
  class SeldomTouched extends Store {
    override set(sid: string, data: session.SessionData, done?: (error?: unknown) => void): void {
      super.set(sid, countedFromNow(data), done);
    }
    override touch(sid: string, data: session.SessionData, done?: () => void): void {
      const now = Date.now();
      if (now - (touched.get(sid) ?? 0) < touchMs) return done?.();
      if (touched.size > mostTouched) touched.clear();
      touched.set(sid, now);
      // This is asked once the answer is on its way: what fails here must not cut that answer off. The next request tries again.
      const kept = (error?: unknown): void => {
        if (error !== undefined && error !== null) {
          touched.delete(sid);
          failed([error]);
        }
        done?.();
      };
      super.touch(sid, countedFromNow(data), kept);
    }
  }
  return session({
    name: 'bay',
    secret,
    store: new SeldomTouched({
      pool,
      tableName: 'session',
      ttl: sessionDays * 24 * 3600,
      pruneSessionInterval: 900,
      errorLog: (...said: unknown[]) => failed(said),
    }),
    resave: false,
    saveUninitialized: false,
    // A cookie is set where somebody comes or goes and nowhere else: an answer that comes late brings none of an older session.
    // How long a session lasts is counted here, from when it was seen last.
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure, maxAge: 24 * cookieDays * hours },
  });
}

export const newToken = (): string => randomBytes(18).toString('base64url');
