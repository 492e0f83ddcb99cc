import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** What people print takes few sheets, and uses their width. */

let desk: Desk;
let b: Desk['b'];
let job: Desk['job'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b, job } = desk);
  // A4 less its margins, at 96 dots an inch.
  await b.size(704, 1040);
});
afterAll(() => desk.close());

describe('on paper', () => {
  it.each([
    ['the takeover sheet', 'Brockhurst/takeover', 'In the middle', 1],
    ['a gate', 'Wendling/start?tab=gates&gate=First%20crank', 'lines stand before', 1],
    ['the torque sheet', 'Brockhurst/prep?tab=torques', 'main caps', 1],
    ['the steps that are ready', 'Larkfield/pull', 'Out with', 2],
    ['the kit', 'Wendling/kit', 'Any state', 5],
  ] as const)('%s', async (_name, at, words, most) => {
    const [word = '', rest = ''] = at.split(/\/(.*)/);
    await b.go(`/jobs/${job(word)}/${rest}`);
    await b.find(words === 'Any state' ? '.row-button' : '.app-bench h2');
    if (words !== 'Any state') await b.see(words, '.app-bench');
    const { sheets, width } = await b.paper();
    expect(sheets).toBeLessThanOrEqual(most);
    expect(width).toBeGreaterThan(0.9);
  });
});
