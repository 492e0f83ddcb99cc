import type { RequestHandler } from 'express';
import { runCalculator } from '@bay/contract/calc';
import { setUpShop, signIn } from '@bay/contract/crew';
import type { Endpoint } from '@bay/contract/endpoint';
import { answerAsCustomer } from '@bay/contract/handover';
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

/** Endpoints that somebody without a session asks. */
const beforeSession: readonly Endpoint[] = [setUpShop, signIn, runCalculator, answerAsCustomer];

/**
 * Stands in every route, so that no spelling of a path is routed and not guarded: a change comes from our own pages, by what the
 * browser says of where it came from, and with the token of the session sent back.
 */
export const fromOurPages =
  (e: Endpoint): RequestHandler =>
  (req, _res, next) => {
    if (e.method === 'get') return next();
    const origin = req.get('origin');
    const site = req.get('sec-fetch-site');
    if (
      (origin !== undefined && hostOf(origin) !== req.get('host')) ||
      (site !== undefined && site !== 'same-origin' && site !== 'none')
    )
      return next(new Refusal(403, 'This change came from another site.'));
    if (!e.form && !req.is('json') && Number(req.get('content-length') ?? 0) > 0)
      return next(new Refusal(415, 'A change is sent as JSON.'));
    if (beforeSession.includes(e)) return next();
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
