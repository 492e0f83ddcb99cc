import { describe, expect, it } from 'vitest';
import type { StationId } from '../jobs/index.ts';
import { computePlan, planInputOf, takeoverOf } from '../plan/index.ts';
import type { JobMaterial } from '../plan/index.ts';
import type { Running } from './index.ts';

type Row = JobMaterial['records'][number];
const row = (kind: string, key: string, data: Record<string, unknown>, on?: Row['on']): Row =>
  ({ kind, key, data, ...(on ? { on } : {}) }) as Row;
const done = (at = '2026-11-24T10:00:00Z') => ({ status: 'done', at, by: 'OT' });

function sheetOf(
  records: readonly Row[],
  station: StationId = 'pull',
  running: readonly Running[] = [],
) {
  const material: JobMaterial = {
    jobId: 'j',
    units: [{ id: 'e', role: 'engine' }],
    facts: [],
    records,
    shopSchools: {},
    shopRules: [],
  };
  return takeoverOf(
    { station, signedStations: [] },
    material,
    computePlan(planInputOf(material)),
    running,
  );
}

describe('the takeover sheet', () => {
  it('of an untouched job: nothing in the middle, the first steps free', () => {
    const s = sheetOf([]);
    expect(s.middle).toEqual([]);
    expect(s.provisional).toEqual([]);
    expect(s.next[0]).toMatchObject({ key: 'rm-identify', status: 'free' });
    expect(s.stands).toMatch(
      /^Pull, 0 of \d+ steps\. Next gate: High voltage, \d+ of \d+ lines open$/,
    );
  });
  it('says who is in the middle of what, and how far', () => {
    const s = sheetOf(
      [
        row('task', 'rm-identify', { status: 'on-it', by: 'OT', at: '2026-11-24T09:00:00Z' }),
        row('task', 'rm-chock', { status: 'on-it', by: 'DP', at: '2026-11-24T09:30:00Z' }),
        row(
          'sheet',
          'bore:4',
          {
            sheet: 'bore',
            place: '4',
            readings: { 'top-along': 84 },
            typed: {},
            by: 'DP',
            at: '2026-11-23T10:00:00Z',
          },
          'engine',
        ),
        row(
          'sheet',
          'lash:1',
          { sheet: 'lash', place: '1', readings: { intake: 0.2, exhaust: 0.3 }, typed: {} },
          'engine',
        ),
        row('joint', 'j1', { name: 'main caps', bolts: 10 }, 'engine'),
        row(
          'torque',
          'main caps:1',
          {
            joint: 'main caps',
            bolt: '1',
            stagesNm: [30],
            source: 'manual',
            by: 'DP',
            at: '2026-11-23T11:00:00Z',
          },
          'engine',
        ),
      ],
      'pull',
      [
        {
          about: 'rm-identify',
          title: 'Read it',
          person: 'Osk Tiller',
          startedAt: '2026-11-26T08:00:00Z',
        },
      ],
    );
    expect(s.middle.map((m) => [m.how, m.by])).toEqual([
      ['on it now', 'Osk Tiller'],
      ['started, nobody on the clock', 'DP'],
      ['1 of 6 read', 'DP'],
      ['1 of 10 bolts tight', 'DP'],
    ]);
  });
  it('a clock on work that is no step is in the middle too', () => {
    const s = sheetOf([], 'pull', [
      { about: null, title: 'making a bracket', person: 'JV', startedAt: '2026-11-26T08:00:00Z' },
    ]);
    expect(s.middle).toMatchObject([{ title: 'making a bracket', how: 'on it now', by: 'JV' }]);
  });
  it('lists what is provisional, by hand and by step', () => {
    const s = sheetOf([
      row('task', 'rm-battery-off', done()),
      row('provisional', 'p', { what: 'left mount', kind: 'loose', by: 'OT' }),
      row('provisional', 'q', { what: 'right mount', kind: 'loose', ended: { by: 'OT' } }),
    ]);
    expect(s.provisional.map((p) => p.title)).toEqual(['left mount', 'Battery disconnected']);
  });
  it('knows where the bags are that are not back, and the parts', () => {
    const s = sheetOf([
      row('bag', 'a', { label: '31', what: '6 bell bolts', place: 'shelf C2' }),
      row('bag', 'b', { label: '4', what: '2 clips' }),
      row('bag', 'c', { label: '5', what: 'gone back', back: { by: 'OT' } }),
      row('part', 'd', {
        label: 'C-1',
        title: 'Engine unit',
        place: 'shelf D1',
        takeId: 'take-ecu',
        condition: 'good',
      }),
    ]);
    expect(s.places).toEqual([
      { label: 'bag 4', what: '2 clips', place: 'no place written' },
      { label: 'bag 31', what: '6 bell bolts', place: 'shelf C2' },
      { label: 'C-1', what: 'Engine unit', place: 'shelf D1' },
    ]);
  });
  it('shows the cautions of what is being done and comes next, and what is awaited', () => {
    const s = sheetOf([
      row('ask', 'a', { ask: 'reading', to: 'x', what: 'tunnel width' }),
      row('ask', 'b', { ask: 'approval', to: 'manager', what: 'regrind', answer: { yes: true } }),
    ]);
    expect(s.cautions.length).toBeGreaterThan(0);
    expect(s.awaited[0]).toEqual({ what: 'tunnel width', lines: 1 });
    expect(s.awaited[1]!.lines).toBeGreaterThanOrEqual(s.awaited[2]!.lines);
    expect(s.asks).toEqual([]);
  });
  it('holds that are open, findings that are not settled', () => {
    const s = sheetOf([
      row('hold', 'a', { waitsFor: 'plate', due: '2026-11-27' }),
      row('hold', 'b', { waitsFor: 'paint', released: { by: 'OT' } }),
      row('finding', 'c', { on: 'engine', what: 'journal 4 scored' }, 'engine'),
      row('finding', 'd', { on: 'engine', what: 'weep', settled: { how: 'new seal' } }, 'engine'),
    ]);
    expect(s.holds).toMatchObject([{ waitsFor: 'plate' }]);
    expect(s.findings).toEqual(['journal 4 scored']);
  });
});
