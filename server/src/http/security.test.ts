import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';

/** What every answer tells the browser to refuse (OWASP ASVS 4.0.3, V14.4 and V3.4, from memory). */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url, { webDir: 'web/dist' });
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const headersOf = async (path: string) => (await fetch(`${server.url}${path}`)).headers;
const directives = (headers: Headers): Record<string, string> =>
  Object.fromEntries(
    (headers.get('content-security-policy') ?? '').split(';').map((d) => {
      const [name, ...sources] = d.trim().split(' ');
      return [name!, sources.join(' ')];
    }),
  );

describe.each([
  '/',
  '/jobs/none/fit',
  '/index.html',
  '/api/me',
  '/sw.js',
  '/mark.svg',
  '/api/nothing',
  '/healthz',
])('%s', (path) => {
  it('runs and styles nothing but what is ours, asks nobody else, stands in no frame', async () => {
    const policy = directives(await headersOf(path));
    expect(policy).toMatchObject({
      'default-src': "'none'",
      'script-src': "'self'",
      'connect-src': "'self'",
      'font-src': "'self'",
      'base-uri': "'none'",
      'form-action': "'self'",
      'frame-ancestors': "'none'",
    });
    expect(policy['style-src']).toMatch(/^'self'( 'nonce-[\w+/=]{24}')?$/);
    expect(Object.values(policy).join(' ')).not.toMatch(/unsafe|\*|https?:/);
  });
  it('says what it is, where it may be shown and what it may not do', async () => {
    const headers = await headersOf(path);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-frame-options')).toBe('SAMEORIGIN');
    expect(headers.get('referrer-policy')).toBe('same-origin');
    expect(headers.get('cross-origin-opener-policy')).toBe('same-origin');
    expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
    expect(headers.get('permissions-policy')).toMatch(/geolocation=\(\).*payment=\(\)/);
    expect(headers.get('content-type')).toMatch(/charset=utf-8|^image\/svg\+xml/i);
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('server')).toBeNull();
  });
});

describe('the page', () => {
  const read = async (path: string) => {
    const res = await fetch(`${server.url}${path}`);
    return {
      named: /'nonce-([^']+)'/.exec(res.headers.get('content-security-policy')!)?.[1],
      html: await res.text(),
    };
  };
  it.each(['/', '/index.html', '/jobs/any/fit?tab=motion'])(
    '%s has the number that its header names',
    async (path) => {
      const { named, html } = await read(path);
      expect(named).toBeDefined();
      expect(html).toContain(`<meta property="csp-nonce" nonce="${named}"`);
      expect(html).not.toContain('%');
    },
  );
  it('has a new number each time, and holds neither style nor script of its own', async () => {
    const [one, other] = [await read('/'), await read('/')];
    expect(one.named).not.toBe(other.named);
    expect(one.html).not.toMatch(
      /<style|<script(?![^>]* src="\/(?:assets\/|first-sight\.js"))|\son\w+=| style=/,
    );
  });
});
