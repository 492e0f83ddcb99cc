import { describe, expect, it } from 'vitest';
import { factDef, isFactId, readFact } from '@bay/core/facts';
import { bareContext, readLogLine } from '@bay/core/logbook';
import { titleOf } from '@bay/core/plan';
import { checkIdentity } from '@bay/core/sums';
import { kindSchema } from '@bay/contract/records';
import { camper } from './camper.ts';
import { withDays } from './days.ts';
import { flatbed } from './flatbed.ts';
import { coupe, pickup, saloon } from './others.ts';
import { roadster } from './roadster.ts';
import { demoShop } from './shop.ts';

const all = [camper, flatbed, roadster, pickup, saloon, coupe];
const aJob = '00000000-0000-4000-8000-000000000001';
const crew = new Set(['MH', ...demoShop.crew.map((p) => p.initials)]);

describe('the demo shop', () => {
  it('has five crew besides an onlooker, three bays, six jobs at different stations', () => {
    const workers = [demoShop.manager, ...demoShop.crew.filter((p) => p.role !== 'onlooker')];
    expect(workers).toHaveLength(5);
    expect(demoShop.bays).toHaveLength(3);
    const last = all
      .map((j) => j.acts.filter((a) => 'station' in a).at(-1))
      .map((a) => a && 'station' in a && a.station);
    expect(new Set(last).size).toBeGreaterThanOrEqual(5);
  });

  describe.each(all.map((j) => [j.car.name, j] as const))('%s', (_name, job) => {
    it('has an identity number that could be one', () =>
      expect(checkIdentity(job.car.identity, job.car.modelYear).state).not.toBe('wrong'));

    it('says only facts that exist, in values that can be read', () => {
      for (const act of job.acts) {
        if (!('fact' in act)) continue;
        const [, id, typed] = act.fact;
        expect(isFactId(id), id).toBe(true);
        const entry = readFact(id, typeof typed === 'string' ? { value: typed } : typed);
        expect(entry.ok, `${factDef(id).label} ${JSON.stringify(entry)}`).toBe(true);
      }
    });

    it('writes only records of their schema, about lines that exist', () => {
      for (const act of job.acts) {
        if (!('record' in act)) continue;
        const [kind, key, data] = act.record;
        const told = withDays({ ...data }, aJob, new Date());
        expect(kindSchema(kind).input.safeParse(told).success, `${kind} ${key}`).toBe(true);
        if (kind === 'fit' || kind === 'kit' || kind === 'gate') expect(titleOf(key)).not.toBe(key);
      }
    });

    it('is written by people of the crew, in an order of days', () => {
      expect(job.acts.filter((a) => !crew.has(a.by)).map((a) => a.by)).toEqual([]);
      expect(job.acts.every((a) => a.when[0] <= job.opened[0])).toBe(true);
    });

    it('writes log lines that are understood as meant', () => {
      const lines = job.acts.flatMap((a) => ('line' in a ? [a.line] : []));
      for (const line of lines.filter((l) => /^(held|torque|received|bore)/.test(l))) {
        expect(readLogLine(line, bareContext('2026-11-24')).kind, line).not.toBe('note');
      }
    });
  });
});
