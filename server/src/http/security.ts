import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { Refusal } from './problem.ts';

/** Nothing is loaded from elsewhere; styles may be inline because the component library sets them on elements. */
export const headers = (): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'same-origin' },
  });

const beforeSession = new Set(['/api/setup', '/api/sign-in']);

/** A change must come from our own pages: same origin, and the session's token sent back. */
export const fromOurPages: RequestHandler = (req, _res, next) => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(req.method)) return next();
  const origin = req.get('origin');
  if (origin !== undefined && hostOf(origin) !== req.get('host'))
    return next(new Refusal(403, 'This change came from another site.'));
  if (req.path.startsWith('/api/calc/') || req.path.startsWith('/api/customer/') || beforeSession.has(req.path))
    return next();
  if (req.session.token === undefined) return next(new Refusal(401, 'Sign in first.'));
  if (req.get('x-bay-token') !== req.session.token)
    return next(new Refusal(403, 'This page is out of date. Load it again.', { code: 'page-out-of-date' }));
  next();
};

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
