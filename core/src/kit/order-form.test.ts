import { describe, expect, it } from 'vitest';
import { factDef } from '../facts/index.ts';
import { computePlan, emptyInput } from '../plan/index.ts';
import { bookFrom } from '../plan/testing.ts';
import { kitLines, orderStops } from './index.ts';

/** Order forms fill themselves from the cards and stop at a blank: common practice, no source. */

const base = { 'cho-control': 'donor-unit-new-loom', 'eng-code': 'WX20, variant T44' } as const;
const loom = (facts: Parameters<typeof bookFrom>[0]) => {
  const plan = computePlan(emptyInput({ facts: bookFrom({ ...base, ...facts }) }));
  return { line: plan.kit.find((k) => k.def.id === 'kit-loom')!, facts: plan.facts };
};

describe('what an order asks of the cards', () => {
  it('every part that one asks for is there', () => {
    for (const { id, optionsFrom = [] } of kitLines)
      for (const field of optionsFrom)
        if (typeof field !== 'string')
          for (const part of field.parts ?? [])
            expect(
              factDef(field.fact).parts.map((p) => p.key),
              `${id}: ${field.fact}`,
            ).toContain(part);
  });

  it('a loom asks throttle, injectors, alternator, gearbox control, sensors and fans, each where it belongs', () => {
    const blanks = (facts: Parameters<typeof bookFrom>[0]) => loom(facts).line.blanks;
    expect(blanks({ 'gbx-kind': 'manual' })).not.toContain('gbx-control');
    expect(blanks({ 'gbx-kind': 'automatic-electronic' })).toContain('gbx-control');
    // Nobody said what gearbox it is: the field is asked, and not passed over.
    expect(blanks({})).toContain('gbx-control');
    expect(blanks({ 'eng-fuelling': 'carburettor' })).not.toContain('eng-injectors');
    expect(blanks({})).toEqual(
      expect.arrayContaining([
        'eng-throttle-kind',
        'eng-injectors',
        'eng-alternator',
        'eng-crank-sensor',
        'cho-fan',
      ]),
    );
  });

  it('a donor loom is asked for its state, a loom for a standalone unit is not', () => {
    expect(loom({}).line.blanks).toContain('don-harness-state');
    expect(loom({ 'cho-control': 'standalone' }).line.blanks).not.toContain('don-harness-state');
  });

  it('a card of which the wanted part is blank stops the order, and the part is named', () => {
    const { line, facts } = loom({ 'eng-alternator': { output: '90 A' } });
    expect(line.blanks).toContain('eng-alternator');
    expect(orderStops(line, facts, { status: 'wanted', options: 'as the cards say' })).toContain(
      'Alternator, exciter, is not known',
    );
    expect(loom({ 'eng-alternator': { exciter: 'lamp-wire' } }).line.blanks).not.toContain(
      'eng-alternator',
    );
  });

  it('fans are counted and their current known where they are electric', () => {
    expect(loom({ 'cho-fan': 'engine-driven' }).line.blanks).not.toContain('cho-fan');
    const { line } = loom({ 'cho-fan': { value: 'electric-puller', count: '2' } });
    expect(line.blankParts['cho-fan']).toEqual(['current']);
  });
});
