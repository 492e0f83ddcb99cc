import { describe, expect, it } from 'vitest';
import { computePlan, planInputOf } from './index.ts';

/** What people send as a key may be called like a property of every object: the job stays readable. */
describe.each(['__proto__', 'constructor', 'toString', 'hasOwnProperty'])(
  'a step that is called %s',
  (name) => {
    it.each([
      ['quote-line', { take: 'in', who: 'customer', holds: [name], title: name }],
      ['ask', { ask: 'approval', to: 'customer', what: 'more', holds: [name] }],
      ['hold', { waitsFor: 'paint', about: name }],
      ['link', { what: 'plug', name, fate: 'back', label: name, step: name }],
      [
        'own-line',
        { sort: 'step', title: name, why: '', station: 'pull', before: [name], after: [name] },
      ],
      ['task', { status: 'done' }],
      ['claim', { what: name, saidBy: name, on: 'engine' }],
      [
        'snag',
        {
          step: name,
          sort: 'stuck',
          what: name,
          ways: ['soak'],
          soakHours: 2,
          extraMinutes: 5,
          at: '2027-01-01',
        },
      ],
      ['bag', { what: name, label: name }],
    ] as const)('is held by a record of kind %s like any other', (kind, data) => {
      for (const key of [name, 'k']) {
        const input = planInputOf({
          jobId: 'j',
          units: [],
          facts: [],
          shopSchools: {},
          shopRules: [],
          records: [{ kind, key, data }],
        } as never);
        expect(computePlan(input).gates.length).toBeGreaterThan(0);
        if (kind === 'hold')
          expect(Object.entries(input.waits)).toEqual([[name, [{ waitsFor: 'paint' }]]]);
      }
    });
  },
);
