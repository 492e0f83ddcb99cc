import { PassThrough } from 'node:stream';
import { describe, expect, it } from 'vitest';
import { makeLog } from './log.ts';

/** One line of the log for a request, as pino-http writes it. */
function lineFor(
  req: Record<string, unknown>,
  res: Record<string, unknown> = {},
): Record<string, Record<string, unknown>> {
  const to = new PassThrough();
  let written = '';
  to.on('data', (chunk: Buffer) => (written += chunk.toString()));
  makeLog('info', to).info({ req, res }, 'request completed');
  return JSON.parse(written) as Record<string, Record<string, unknown>>;
}

describe('what the log keeps out', () => {
  it.each([
    ['a cookie', 'cookie'],
    ["the session's token", 'x-bay-token'],
    ['other keys', 'authorization'],
    ['the page it came from, which may be a link', 'referer'],
  ])('%s', (_what, header) => {
    const { req } = lineFor({ url: '/api/me', headers: { [header]: 'secret', host: 'bay' } });
    expect(req!['headers']).toEqual({ [header]: '[kept out]', host: 'bay' });
  });
  it('a cookie that is set', () => {
    const { res } = lineFor({ url: '/api/sign-in' }, { headers: { 'set-cookie': ['bay=secret'] } });
    expect(JSON.stringify(res)).not.toContain('secret');
  });
  it.each([
    ['/api/customer/abcdefghijklmnopqrstuv', '/api/customer/[kept out]'],
    ['/api/customer/abcdefghijklmnopqrstuv/answer', '/api/customer/[kept out]/answer'],
    ['/api/customer/abcdefghijklmnopqrstuv?x=1', '/api/customer/[kept out]?x=1'],
    ['/c/abcdefghijklmnopqrstuv', '/c/[kept out]'],
    ['/api/jobs/1/log', '/api/jobs/1/log'],
    ['/api/crew', '/api/crew'],
  ])('%s is written as %s', (url, shown) => expect(lineFor({ url }).req!['url']).toBe(shown));
});
