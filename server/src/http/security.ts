import { randomBytes } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { RequestHandler, Response } from 'express';
import { runCalculator } from '@bay/contract/calc';
import { setUpShop, signIn } from '@bay/contract/crew';
import type { Endpoint } from '@bay/contract/endpoint';
import { answerAsCustomer, answerQuote } from '@bay/contract/handover';
import helmet from 'helmet';
import { Refusal } from './problem.ts';

type Source = string | ((req: IncomingMessage, res: ServerResponse) => string);
const policy = (...styles: Source[]) => ({
  useDefaults: false as const,
  directives: {
    defaultSrc: ["'none'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'", ...styles],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    connectSrc: ["'self'"],
    workerSrc: ["'self'"],
    manifestSrc: ["'self'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  },
});

/** What the browser may do without, at no price to us: a page that were ever made to run something finds none of it. */
const withoutPowers = [
  'accelerometer=()',
  'display-capture=()',
  'geolocation=()',
  'gyroscope=()',
  'magnetometer=()',
  'midi=()',
  'payment=()',
  'usb=()',
].join(', ');

/** Nothing is loaded from elsewhere, no page of ours stands in a frame, nothing is run or styled that is not a file of ours. */
export function headers(): RequestHandler {
  const usual = helmet({
    contentSecurityPolicy: policy(),
    // Https is the proxy's, and so is the promise to keep to it.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'same-origin' },
  });
  return (req, res, next) => {
    res.set('permissions-policy', withoutPowers);
    usual(req, res, next);
  };
}

/**
 * The page of the application, which writes a few styles of its own (colours of the theme, widths that follow the screen): it may,
 * under a number that is new with every answer. Where the page is kept on a device, the number is kept with the header that names it.
 */
export function pageWithNonce(html: string): RequestHandler {
  const [before, after, ...more] = html.split(noncePlace);
  if (after === undefined || more.length > 0) throw new Error('The page has no one place for its number.');
  const withNonce = helmet.contentSecurityPolicy(
    policy((_req, res) => `'nonce-${String((res as Response).locals['nonce'])}'`),
  );
  return (req, res, next) => {
    const nonce = randomBytes(16).toString('base64');
    res.locals['nonce'] = nonce;
    withNonce(req, res, (error) => {
      if (error) return next(error);
      res
        .set('cache-control', 'no-cache')
        .type('html')
        .send(before + nonce + after);
    });
  };
}
const noncePlace = '%STYLE_NONCE%';

/** Endpoints that somebody without a session asks. */
const beforeSession: readonly Endpoint[] = [setUpShop, signIn, runCalculator, answerAsCustomer, answerQuote];

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
