import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { solvePosition } from '@bay/contract/fit';
import { fitProblem } from '@bay/contract/fit-problem';
import { Client, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'position');
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const problem = fitProblem.parse({
  units: 'mm',
  bay: [
    { id: 'above', box: { x: [-50, 50], y: [-50, 50], z: [100, 110] } },
    { id: 'below', box: { x: [-50, 50], y: [-50, 50], z: [-110, -60] } },
  ],
  unit: [{ id: 'drum', points: [[0, 0, 0]], r: 20 }],
  pairs: [
    { id: 'up', unit: ['drum'], bay: ['above'], needMm: 10 },
    { id: 'down', unit: ['drum'], bay: ['below'], needMm: 10 },
  ],
  pose: { x: [0, 0], y: [0, 0], z: [-50, 50], slopeDeg: [0, 0], yawDeg: [0, 0] },
});

describe('a position over the network', () => {
  it('is worked through in a thread, for whoever may look', async () => {
    const answer = await shop.onlooker.good(solvePosition, { body: problem });
    expect(answer).toMatchObject({
      worstMm: 50,
      pose: { z: 20 },
      binding: ['up', 'down'],
      exact: true,
    });
  });

  it('is refused by name, and to whoever is not signed in', async () => {
    const refused = await shop.manager.call(solvePosition, {
      body: { ...problem, pairs: [{ ...problem.pairs[0]!, bay: ['roof'] }] },
    });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain(
      'names \\"roof\\", which is no shape of the bay',
    );
    expect((await new Client(server.url).call(solvePosition, { body: problem })).status).toBe(401);
  });

  it('takes several at once, and each has its own answer', async () => {
    const answers = await Promise.all(
      [0, 5, 10].map((lift) =>
        shop.manager.good(solvePosition, {
          body: { ...problem, pose: { ...problem.pose, z: [lift, lift] } },
        }),
      ),
    );
    expect(answers.map((a) => a.margins['up'])).toEqual([70, 65, 60]);
  });
});
