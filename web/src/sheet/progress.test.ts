import { describe, expect, it } from 'vitest';
import { computePlan, planInputOf } from '@bay/core/plan';
import type { JobSheet } from '@bay/contract/jobs';
import { progressOf } from './progress.ts';
import { sheetOf } from './testing.ts';

type Row = JobSheet['records'][number];
const row = (kind: Row['kind'], key: string, data: Record<string, unknown>): Row =>
  ({ kind, key, data, revision: 1, by: 'A', at: '2026-01-01T00:00:00.000Z' }) as Row;
const fact = (bearerId: string, factId: string, value: string): JobSheet['facts'][number] => ({
  bearerId,
  factId,
  parts: { value },
  typed: { value },
  source: 'measured',
  note: null,
  by: 'A',
  at: '2026-01-01T00:00:00.000Z',
  revision: 1,
});

function sheetWith(
  records: Row[],
  over: Partial<JobSheet['job']> = {},
  facts: JobSheet['facts'] = [],
): JobSheet {
  return {
    ...sheetOf(),
    job: { ...sheetOf().job, ...over },
    units: [
      { id: 'car', kind: 'car', role: 'car', name: 'Car', identity: null, place: 'yard' },
      { id: 'eng', kind: 'engine', role: 'engine', name: 'Four', identity: null, place: 'shelf' },
    ],
    facts,
    records,
  };
}
const progress = (sheet: JobSheet) =>
  progressOf(sheet, computePlan(planInputOf({ jobId: sheet.job.id, ...sheet })));

describe('the line of stations', () => {
  it('counts what is done at each station', () => {
    const p = progress(
      sheetWith([
        row('task', 'rm-identify', { status: 'done' }),
        row('task', 'rm-penetrant', { status: 'waived' }),
        row('part', 'p1', { takeId: 'take-ecu' }),
        row('sheet', 'bore:1', {}),
        row('torque', 'head:1', {}),
        row('circuit', 'c1', { title: 'x', labelA: 'A', labelB: 'B', tested: { by: 'A' } }),
        row('attempt', '1', { number: 1 }),
        row('follow-up', 'f', { what: 'oil', on: '2026-02-01' }),
      ]),
    );
    expect(p.pull.said).toMatch(/^2 of \d+$/);
    expect(p.donor.said).toMatch(/^1 of \d+$/);
    expect(p.prep.said).toMatch(/^0 of \d+$/);
    expect(p.pull.share).toBeGreaterThan(0);
    expect(p.pull.share).toBeLessThan(1);
    expect(p.connect.said).toMatch(/^1 of \d+$/);
    expect(p.start.said).toBe('attempt 1');
    expect(p['hand-over'].said).toBe('1 follow-up');
  });

  it('what is signed says so and waits for nobody', () => {
    const p = progress(
      sheetWith([row('case', 'c', { symptom: 'x' })], { signedStations: ['start'] }),
    );
    expect(p.start).toEqual({ said: 'signed', share: 1, waits: false });
  });

  it('an open clash and an open case wait for somebody', () => {
    const clash = sheetWith([row('case', 'c', { symptom: 'x' })], {}, [
      fact('eng', 'eng-fuelling', 'port-injection'),
      fact('car', 'rec-tank-baffled', 'no'),
    ]);
    expect(progress(clash).fit).toMatchObject({ said: '1 to decide', waits: true });
    expect(progress(clash).start.waits).toBe(true);
    expect(progress(sheetWith([])).fit.waits).toBe(false);
  });
});
