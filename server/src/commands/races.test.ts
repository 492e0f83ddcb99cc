import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as clock from '@bay/contract/clock';
import { factHistory, putFact } from '@bay/contract/facts';
import * as jobs from '@bay/contract/jobs';
import * as kit from '@bay/contract/kit';
import { readLog, undoCommand } from '@bay/contract/logbook';
import { countersign, putRecord } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { Client, TestServer } from '../testing/harness.ts';
import { kindsInOrder, samples } from '../testing/samples.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Several write the same at once: one is taken, the others are told, and what was answered 200 stands. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let servers: TestServer[];
let shop: TestShop;
let jobId: string;
/** Three devices, of two server processes. */
let writers: Client[];

const rounds = Array.from({ length: 10 }, (_, i) => i);

beforeAll(async () => {
  database = await freshDatabase();
  servers = [await startServer(database.url), await startServer(database.url)];
  shop = await shopWithCrew(servers[0]!, 'race');
  const elsewhere = await shop.tablet();
  writers = [shop.manager, shop.technician, Object.assign(elsewhere, { url: servers[1]!.url })];
  jobId = await bookedJob(shop.manager);
  for (const role of ['engine', 'gearbox'] as const) await added(role, role, jobId);
  await added('car', 'donor', jobId);
});
afterAll(async () => {
  await Promise.all(servers.map((s) => s.stop()));
  await database.drop();
});

async function added(
  kind: 'engine' | 'gearbox' | 'car',
  role: 'engine' | 'gearbox' | 'donor',
  job: string,
) {
  const body = {
    commandId: commandId(),
    kind,
    name: `a ${kind}`,
    place: 'floor',
    job: { jobId: job, role },
  };
  return (await shop.manager.good(jobs.addUnit, { body })).unitId;
}
/** How many of several answers were good; the others must have been told that somebody was faster. */
const taken = (answers: readonly { status: number }[]): number => {
  expect(new Set(answers.map((a) => a.status).filter((s) => s !== 200))).toEqual(new Set([409]));
  return answers.filter((a) => a.status === 200).length;
};
const book = async (job = jobId) =>
  (await shop.manager.good(readLog, { params: { jobId: job }, query: { limit: 200 } })).entries;

describe('a record', () => {
  // A line may be written once only: what it is to begin with depends on no other.
  it.each(kindsInOrder.filter((k) => k !== 'photo'))('%s', async (kind) => {
    const { key: sampleKey, data: plain, begins, ends, speaksOf = [], counts } = samples[kind];
    for (const other of speaksOf)
      await shop.manager.good(putRecord, {
        params: { jobId, kind: other.kind, key: other.key },
        body: { commandId: commandId(), data: other.data, revision: 0 },
      });
    const named = /^[0-9a-f-]{36}$/.test(sampleKey);
    for (const round of rounds) {
      const key = named ? randomUUID() : sampleKey;
      const now = (await shop.manager.good(jobs.readJob, { params: { jobId } })).records.find(
        (r) => r.kind === kind && r.key === key,
      );
      const revision = now?.revision ?? 0;
      const data = { ...plain, ...begins, ...(counts ? { [counts]: revision + 1 } : {}) };
      const answers = await Promise.all(
        writers.map((w) =>
          w.call(putRecord, {
            params: { jobId, kind, key },
            body: { commandId: commandId(), data, revision },
          }),
        ),
      );
      expect(taken(answers), `round ${round}`).toBe(1);
      if (ends)
        await shop.manager.good(putRecord, {
          params: { jobId, kind, key },
          body: { commandId: commandId(), data: { ...data, ...ends }, revision: revision + 1 },
        });
    }
  });

  it('is signed a second time by one of two', async () => {
    const key = 'gate-fc-clear';
    await shop.manager.good(putRecord, {
      params: { jobId, kind: 'gate', key },
      body: {
        commandId: commandId(),
        data: { text: '', override: { reason: 'lift broken, chocked instead' } },
        revision: 0,
      },
    });
    const sign = () =>
      shop.technician.call(countersign, {
        params: { jobId, kind: 'gate', key },
        body: { commandId: commandId(), revision: 1 },
      });
    expect(taken(await Promise.all([sign(), sign(), sign()]))).toBe(1);
  });
});

describe('a fact', () => {
  const put = (w: Client, job: string, value: string, revision: number) =>
    w.call(putFact, {
      params: { jobId: job, bearer: 'engine', factId: 'eng-length' },
      body: { commandId: commandId(), typed: { value }, source: 'measured', revision },
    });

  it('of an engine that serves two jobs is written by one, and what was taken is in its history', async () => {
    const other = await bookedJob(shop.manager, '1985 Test saloon');
    const third = await bookedJob(shop.manager, '1986 Test wagon');
    const { unitId } = await shop.manager.good(jobs.addUnit, {
      body: { commandId: commandId(), kind: 'engine', name: 'the shared one', place: 'shelf' },
    });
    for (const job of [other, third])
      await shop.manager.good(jobs.moveUnit, {
        params: { unitId },
        body: { commandId: commandId(), place: 'floor', job: { jobId: job, role: 'engine' } },
      });
    let revision = 0;
    const kept: string[] = [];
    for (const round of rounds) {
      const tries = [
        [writers[0]!, other, `${500 + round} mm`],
        [writers[1]!, third, `${600 + round} mm`],
        [writers[2]!, other, `${700 + round} mm`],
      ] as const;
      const answers = await Promise.all(
        tries.map(([w, job, value]) => put(w, job, value, revision)),
      );
      expect(taken(answers), `round ${round}`).toBe(1);
      revision += 1;
      kept.push(tries[answers.findIndex((a) => a.status === 200)]![2]);
      // Whoever was slower reads what stands there now.
      const slower = answers.find((a) => a.status === 409)!;
      expect(JSON.stringify(slower.problem.current)).toContain(kept.at(-1)!);
    }
    const { versions } = await shop.manager.good(factHistory, {
      params: { jobId: other, bearer: 'engine', factId: 'eng-length' },
    });
    expect(versions.map((v) => v.typed['value']).reverse()).toEqual(kept);
  });
});

describe('a clock', () => {
  it('is ended by one of ten, and the book says so once', async () => {
    await shop.technician.good(clock.startClock, {
      params: { jobId },
      body: { commandId: commandId(), title: 'looms', station: 'connect', work: 'work' },
    });
    const stops = await Promise.all(
      Array.from({ length: 10 }, () =>
        shop.technician.good(clock.stopClock, { body: { commandId: commandId() } }),
      ),
    );
    expect(stops.filter((s) => s.clock !== null)).toHaveLength(1);
    expect((await book()).filter((l) => l.text.startsWith('off: looms'))).toHaveLength(1);
  });

  it('is corrected by one of three, ten times over, and keeps each reason', async () => {
    const { clock: begun } = await shop.technician.good(clock.startClock, {
      params: { jobId },
      body: { commandId: commandId(), title: 'plugs', station: 'connect', work: 'work' },
    });
    for (const round of rounds) {
      const answers = await Promise.all(
        writers.map((w, i) =>
          w.call(clock.correctClock, {
            params: { clockId: begun.id },
            body: {
              commandId: commandId(),
              startedAt: new Date(Date.parse(begun.startedAt) - (i + 1) * 60_000).toISOString(),
              endedAt: null,
              reason: `round ${round}, writer ${i}`,
              revision: begun.revision + round,
            },
          }),
        ),
      );
      expect(taken(answers), `round ${round}`).toBe(1);
    }
    const { clocks } = await shop.manager.good(clock.readClocks, { params: { jobId } });
    expect(clocks.find((c) => c.id === begun.id)!.corrections).toHaveLength(rounds.length);
  });
});

describe('a job', () => {
  it('takes one of three engines, and the book names that one', async () => {
    for (const round of rounds) {
      const job = await bookedJob(shop.manager, `19${70 + round} Test coupe`);
      const answers = await Promise.all(
        writers.map((w, i) =>
          w.call(jobs.addUnit, {
            body: {
              commandId: commandId(),
              kind: 'engine',
              name: `engine ${i}`,
              place: 'floor',
              job: { jobId: job, role: 'engine' },
            },
          }),
        ),
      );
      expect(taken(answers), `round ${round}`).toBe(1);
      const there = (
        await shop.manager.good(jobs.readJob, { params: { jobId: job } })
      ).units.filter((u) => u.role === 'engine');
      const said = (await book(job)).filter((l) => l.text.startsWith('added: engine'));
      expect(said.map((l) => l.text)).toEqual([`added: ${there[0]!.name} as engine, floor`]);
    }
  });

  it('takes a unit once in one role', async () => {
    const job = await bookedJob(shop.manager, '1968 Test pickup');
    const { unitId } = await shop.manager.good(jobs.addUnit, {
      body: { commandId: commandId(), kind: 'engine', name: 'a candidate', place: 'shelf' },
    });
    const come = () =>
      shop.manager.call(jobs.moveUnit, {
        params: { unitId },
        body: { commandId: commandId(), place: 'floor', job: { jobId: job, role: 'candidate' } },
      });
    expect(taken(await Promise.all([come(), come(), come()]))).toBe(1);
    expect((await book(job)).filter((l) => l.text.startsWith('came to the job'))).toHaveLength(1);
  });

  it('is changed by one of three who read the same', async () => {
    const job = await bookedJob(shop.manager, '1969 Test pickup');
    for (const round of rounds) {
      const answers = await Promise.all(
        writers.map((w, i) =>
          w.call(jobs.changeJob, {
            params: { jobId: job },
            body: { commandId: commandId(), wish: `wish ${round} ${i}`, revision: 1 + round },
          }),
        ),
      );
      expect(taken(answers), `round ${round}`).toBe(1);
    }
  });
});

describe('a supplier', () => {
  it('is renamed by one of three', async () => {
    const supplierId = randomUUID();
    await shop.manager.good(kit.addSupplier, {
      body: { commandId: commandId(), supplierId, name: 'Lathe and Loom' },
    });
    for (const round of rounds) {
      const answers = await Promise.all(
        writers.map((w, i) =>
          w.call(kit.renameSupplier, {
            params: { supplierId },
            body: { commandId: commandId(), name: `Name ${round} ${i}`, revision: 1 + round },
          }),
        ),
      );
      expect(taken(answers), `round ${round}`).toBe(1);
    }
  });
});

describe('undo', () => {
  const undone = (w: Client, target: string) =>
    w.call(undoCommand, { params: { target }, body: { commandId: commandId() } });
  const bookIn = async () => {
    const target = commandId();
    const { job } = await shop.manager.good(jobs.bookIn, {
      body: {
        commandId: target,
        car: { name: '1977 Test van', modelYear: 1977, identity: `TV-${commandId().slice(0, 8)}` },
        customer: 'B. Customer',
        wish: 'louder',
        ownEngine: '2.0 four',
      },
    });
    return { target, job: job.id };
  };

  it('takes a booking away as long as nobody else wrote on it', async () => {
    const { target, job } = await bookIn();
    expect((await undone(shop.manager, target)).status).toBe(200);
    expect((await shop.manager.call(jobs.readJob, { params: { jobId: job } })).status).toBe(404);
  });

  it.each<[string, (job: string) => Promise<unknown>]>([
    [
      'a record',
      (job) =>
        shop.technician.good(putRecord, {
          params: { jobId: job, kind: 'hold', key: randomUUID() },
          body: { commandId: commandId(), data: { waitsFor: 'paint' }, revision: 0 },
        }),
    ],
    [
      'a fact',
      (job) =>
        shop.technician.good(putFact, {
          params: { jobId: job, bearer: 'car', factId: 'rec-bay-length' },
          body: {
            commandId: commandId(),
            typed: { 'to-core-rear-face': '600' },
            source: 'measured',
            revision: 0,
          },
        }),
    ],
    [
      'a clock',
      (job) =>
        shop.technician.good(clock.startClock, {
          params: { jobId: job },
          body: { commandId: commandId(), title: 'washing', station: 'pull', work: 'work' },
        }),
    ],
  ])('never takes a booking on which somebody else wrote meanwhile: %s', async (_, write) => {
    const { target, job } = await bookIn();
    await write(job);
    const answer = await undone(shop.manager, target);
    expect(answer.status).toBe(409);
    expect(answer.problem.title).toContain('built on this');
    expect((await shop.manager.call(jobs.readJob, { params: { jobId: job } })).status).toBe(200);
  });

  it('never takes a unit of which somebody else wrote something', async () => {
    const job = await bookedJob(shop.manager, '1978 Test van');
    const target = commandId();
    await shop.manager.good(jobs.addUnit, {
      body: {
        commandId: target,
        kind: 'engine',
        name: 'new one',
        place: 'floor',
        job: { jobId: job, role: 'engine' },
      },
    });
    await shop.technician.good(putFact, {
      params: { jobId: job, bearer: 'engine', factId: 'eng-length' },
      body: { commandId: commandId(), typed: { value: '612' }, source: 'measured', revision: 0 },
    });
    expect((await undone(shop.manager, target)).status).toBe(409);
    const sheet = await shop.manager.good(jobs.readJob, { params: { jobId: job } });
    expect(sheet.units.some((u) => u.name === 'new one')).toBe(true);
    expect(sheet.facts.some((f) => f.factId === 'eng-length')).toBe(true);
  });

  it('and a write that comes at the same moment either finds the job or is told that it is gone', async () => {
    for (const round of rounds) {
      const { target, job } = await bookIn();
      const [back, written] = await Promise.all([
        undone(shop.manager, target),
        shop.technician.call(putRecord, {
          params: { jobId: job, kind: 'hold', key: randomUUID() },
          body: { commandId: commandId(), data: { waitsFor: 'paint' }, revision: 0 },
        }),
      ]);
      expect([back.status, written.status].sort(), `round ${round}`).toSatisfy(
        ([a, b]: number[]) => a === 200 && (b === 404 || b === 409),
      );
    }
  });
});
