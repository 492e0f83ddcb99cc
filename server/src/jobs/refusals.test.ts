import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as jobs from '@bay/contract/jobs';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import { shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';
import { refusePastDay } from './refusals.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: Awaited<ReturnType<typeof startServer>>;
let shop: TestShop;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'double');
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const book = (over: Record<string, unknown> = {}) =>
  shop.manager.call(jobs.bookIn, {
    body: {
      commandId: commandId(),
      car: { name: '1975 Test van', modelYear: 1975, identity: 'CH-40188' },
      customer: 'A. Customer',
      wish: 'quiet',
      ...over,
    },
  });

describe('booking in', () => {
  it('one car is not booked in twice; another of the same number is, when somebody looked', async () => {
    const first = await book({ bay: '1' });
    expect(first.status).toBe(200);
    const again = await book();
    expect(again.status).toBe(422);
    expect(again.problem.fields!['car.identity']).toMatch(
      /^0\d+ 1975 Test van has this number and is open\./,
    );
    expect((await book({ identityWaived: 'RS looked at the frame: another car' })).status).toBe(
      200,
    );
  });
  it('a bay holds one car, at booking in and when a car is moved', async () => {
    const other = await book({
      car: { name: 'Other', modelYear: 1975, identity: 'CH-40288' },
      bay: '1',
    });
    expect(other.problem.fields!['bay']).toMatch(
      /^Bay 1 holds 0\d+ 1975 Test van\. Move that one first\.$/,
    );
    const { job } = await shop.manager.good(jobs.bookIn, {
      body: {
        commandId: commandId(),
        car: { name: 'Other', modelYear: 1975, identity: 'CH-40288' },
        customer: 'B',
        wish: 'quiet',
      },
    });
    const move = (bay: string) =>
      shop.manager.call(jobs.changeJob, {
        params: { jobId: job.id },
        body: { commandId: commandId(), revision: job.revision, bay },
      });
    expect((await move('1')).status).toBe(422);
    expect((await move('2')).status).toBe(200);
  });
  it('a day that is over is not promised', async () => {
    const past = await book({
      car: { name: 'X', modelYear: 1975, identity: 'CH-40388' },
      promised: '2020-01-01',
    });
    expect(past.problem.fields!['promised']).toMatch(/^That day is over/);
  });
  it('today is still to come, wherever the server stands', () => {
    const now = new Date('2026-11-27T01:00:00Z');
    expect(() => refusePastDay('2026-11-26', now)).not.toThrow();
    expect(() => refusePastDay('2026-11-25', now)).toThrow(/over/);
  });
});
