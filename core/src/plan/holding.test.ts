import { describe, expect, it } from 'vitest';
import { recordsOf } from '../records/index.ts';
import type { Recorded } from '../records/index.ts';
import {
  againstTask,
  computePlan,
  firstSuspect,
  holdAs,
  holdingOf,
  holdingWords,
  nextGate,
  openAt,
  orderedAs,
  planInputOf,
  stepList,
  workSteps,
} from './index.ts';
import type { JobMaterial } from './index.ts';

const row = (kind: string, key: string, data: Record<string, unknown>): Recorded =>
  ({ kind, key, data }) as Recorded;
const materialOf = (...records: Recorded[]): JobMaterial => ({
  jobId: 'j',
  units: [{ id: 'e', role: 'engine' }],
  facts: [],
  records,
  shopSchools: {},
  shopRules: [],
});
const planOf = (m: JobMaterial) => computePlan(planInputOf(m));
const today = '2026-11-27';
const attempt = (n: number, result: string) =>
  row('attempt', String(n), { number: n, result, at: `2026-11-2${n}T10:00:00Z` });

describe('what holds a job', () => {
  const held = (...records: Recorded[]) => {
    const m = materialOf(...records);
    return holdingOf(m, planOf(m), today, firstSuspect);
  };
  it('nothing, of a job on which nothing was written', () => expect(held()).toEqual([]));
  it('three starts in vain go before everything else, counted since it last ran', () => {
    const all = [1, 2, 3, 4].map((n) => attempt(n, n === 1 ? 'runs' : 'cranks-no-fire'));
    const found = held(...all, row('hold', 'h', { waitsFor: 'coolant neck' }));
    expect(found.map((h) => h.sort)).toEqual(['attempts', 'hold']);
    expect(holdingWords(found[0]!).title).toBe('Stop: 3 starts in vain');
    expect(held(...all, attempt(5, 'runs'))).toEqual([]);
  });
  it('a search for a fault names its first suspect, or its symptom alone where nobody ranks', () => {
    const m = materialOf(row('case', 'c', { symptom: 'cranks and does not fire', touched: [] }));
    expect(holdingWords(holdingOf(m, planOf(m), today, firstSuspect)[0]!).sentence).toMatch(
      /^\d+ % \S/,
    );
    expect(holdingWords(holdingOf(m, planOf(m), today)[0]!)).toEqual({
      title: 'Fault: cranks and does not fire',
      sentence: 'open',
    });
  });
  it('holds by their day, the overdue one first; one that was ordered can arrive', () => {
    const found = held(
      row('hold', 'later', { waitsFor: 'paint', due: '2026-12-04' }),
      row('hold', 'late', { waitsFor: 'adapter plate', due: '2026-11-20' }),
      row('hold', 'over', { waitsFor: 'radio', released: {} }),
      row('kit', 'kit-bell-adapter', { status: 'ordered' }),
    );
    expect(found).toMatchObject([
      { sort: 'hold', key: 'late', late: true, comes: true },
      { sort: 'hold', key: 'later', late: false, comes: false },
    ]);
  });
  it('a question that is open stands there, an answered one does not', () => {
    expect(
      held(row('ask', 'q', { ask: 'question', to: 'manager', what: 'which way round?' })),
    ).toMatchObject([{ sort: 'ask', key: 'q' }]);
    expect(
      held(row('ask', 'q', { ask: 'question', to: 'manager', what: 'x', answer: { text: 'y' } })),
    ).toEqual([]);
  });
});

describe('what arrives', () => {
  const m = materialOf(
    row('hold', 'short', { waitsFor: 'coolant neck' }),
    row('hold', 'long', { waitsFor: 'coolant neck gasket' }),
    row('hold', 'other', { waitsFor: 'coolant hose' }),
  );
  it('said whole, it is that one, whatever longer name holds the same words', () =>
    expect(holdAs(m, 'coolant neck')).toBe('short'));
  it('is nothing where it could be two, or where nothing was ordered', () => {
    expect(holdAs(m, 'coolant')).toBeUndefined();
    expect(orderedAs(m, 'coolant neck')).toBeUndefined();
  });
});

describe('a step that waits for something', () => {
  const waiting = materialOf(
    row('hold', 'h', { waitsFor: 'long extension', due: '2026-12-01', about: 'rm-identify' }),
  );
  it('is held by it, in every list and at the door', () => {
    const plan = planOf(waiting);
    const tasks = recordsOf(waiting, 'task');
    expect(stepList(plan, 'pull', tasks).states.get('rm-identify')!.status).toBe('held');
    expect(workSteps(plan, tasks, false).find((s) => s.key === 'rm-identify')).toMatchObject({
      status: 'held',
      waits: ['long extension'],
    });
    expect(againstTask(plan, tasks, 'rm-identify', 'on-it').against).toEqual([
      'waits for long extension, due 2026-12-01',
    ]);
  });
  it('is free once it came', () => {
    const over = materialOf(
      row('hold', 'h', { waitsFor: 'x', about: 'rm-identify', released: {} }),
    );
    expect(stepList(planOf(over), 'pull', {}).states.get('rm-identify')!.status).toBe('free');
  });
  it('of the donor is not the one of the car', () => {
    const donor = materialOf(row('hold', 'h', { waitsFor: 'x', about: 'donor-rm-chock' }));
    const plan = planOf(donor);
    expect(stepList(plan, 'pull', {}).states.get('rm-chock')!.waits).toEqual([]);
    expect(stepList(plan, 'donor', {}).states.get('rm-chock')?.waits).toEqual([{ waitsFor: 'x' }]);
  });
});

describe('the next gate', () => {
  const plan = planOf(materialOf());
  it('is the first that is shut, with the first line that stands before it', () => {
    const next = nextGate({ signedStations: [] }, plan)!;
    expect(next.gate).toBe('High voltage');
    expect(['open', 'blocked']).toContain(next.line.state);
  });
  it('of a station that is signed lies behind', () =>
    expect(nextGate({ signedStations: ['scope', 'donor', 'pull'] }, plan)!.gate).toBe(
      'Engine closed up',
    ));
  it('is none when every station is signed', () =>
    expect(
      nextGate(
        {
          signedStations: [
            'scope',
            'donor',
            'pull',
            'prep',
            'fit',
            'connect',
            'start',
            'hand-over',
          ],
        },
        plan,
      ),
    ).toBeUndefined());
});

describe('what is open at a station', () => {
  const m = materialOf();
  it('names its shut gate, its steps, and what is its own', () => {
    const open = openAt('fit', m, planOf(m)).map((o) => o.what);
    expect(open[0]).toMatch(/^\d+ of \d+ lines before "Engine in"$/);
    expect(open.at(-1)).toMatch(/^\d+ places not measured$/);
  });
  it('nothing at the donor where no donor is on the job', () =>
    expect(openAt('donor', m, planOf(m))).toEqual([]));
  it('at Connect what the plan wants and nobody built, not only what was built and not tested', () => {
    expect(openAt('connect', m, planOf(m)).at(-1)!.what).toMatch(
      /^\d+ circuits not built or not tested$/,
    );
  });
  it('a step that waits for its second signature is open still', () => {
    const steps = (...records: Recorded[]) => {
      const job = materialOf(...records);
      return openAt('pull', job, planOf(job)).find((o) => o.what.endsWith('steps open'))!.what;
    };
    const done = {
      status: 'done',
      at: '2026-11-26T10:00:00Z',
      deviation: { why: 'hung already', stoodOn: { against: ['x'], harm: true } },
    };
    const count = (words: string): number => Number.parseInt(words, 10);
    const all = count(steps());
    expect(count(steps(row('task', 'rm-mounts-free', done)))).toBe(all);
    expect(
      count(steps(row('task', 'rm-mounts-free', { ...done, second: { by: 'A' } }))),
    ).toBeLessThan(all);
  });
  it('at Start that it never ran', () =>
    expect(openAt('start', m, planOf(m)).map((o) => o.what)).toContain(
      'no start on record that ran',
    ));
  it('an open search for a fault at Start', () => {
    const searching = materialOf(row('case', 'c', { symptom: 'x', touched: [] }));
    expect(openAt('start', searching, planOf(searching)).map((o) => o.what)).toContain(
      '1 search for a fault',
    );
  });
});
