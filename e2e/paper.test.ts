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
    ['the steps that are ready, with the lift', 'Larkfield/pull', 'Out with', 4],
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

  it('labels, by the sheet from its first free place on, and by the roll', async () => {
    await b.go(`/jobs/${job('Wendling')}/labels`);
    const said = await b.see(/\d+ labels on 1 sheet/, '.app-bench');
    const labels = Number(/(\d+) labels on/.exec(said)![1]);
    expect(labels).toBeGreaterThan(5);
    expect((await b.paper()).sheets).toBe(1);
    await b.type('First free label on the sheet', '20');
    await b.see(`${labels} labels on 2 sheets`, '.app-bench');
    expect((await b.paper()).sheets).toBe(2);
    await b.type('First free label on the sheet', '25');
    await b.see('This sheet has labels 1 to 24.', '.app-bench');
    await b.choose('Paper', 'Roll, 62 × 29 mm');
    await b.see(`${labels} labels on ${labels} pieces`, '.app-bench');
    expect((await b.paper()).sheets).toBe(labels);
  });
});
