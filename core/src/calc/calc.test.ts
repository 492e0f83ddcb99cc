import { describe, expect, it } from 'vitest';
import { calculators, runCalculator } from './index.ts';

const run = (name: string, typed: Record<string, string>) => {
  const outcome = runCalculator(name, typed);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.errors));
  return outcome.result;
};

describe('the registry of calculators', () => {
  it.each(calculators.map((c) => [c.name, c] as const))(
    '%s runs on its own example, with its arithmetic and source',
    (name, calc) => {
      const typed = Object.fromEntries(
        calc.inputs.filter((i) => !i.optional).map((i) => [i.key, i.example]),
      );
      const result = run(name, typed);
      expect(result.results.length).toBeGreaterThan(0);
      expect(result.results.every((r) => r.shown !== '' && r.shown !== 'NaN')).toBe(true);
      expect(result.because.length).toBeGreaterThan(3);
      expect(result.source).toBe(calc.source);
    },
  );

  it('takes mixed entry', () => {
    expect(
      run('wire', { current: '12', length: '14\'6"', load: 'pump or fan' }).results[0]!.shown,
    ).toBe('6 mm²');
    expect(
      run('drop', { current: '12 A', length: '4.2', area: '12 AWG' }).results[0]!.value,
    ).toBeCloseTo((2 * 12 * 4.2 * 0.017241 * 1.24) / 3.309, 2);
  });

  it.each([
    ['nothing', {}, /no calculator/],
    ['wire', { current: 'lots', length: '2', load: 'lamps' }, /does not start with a number/],
    ['wire', { current: '5' }, /wanted/],
    ['wire', { current: '5', length: '2', load: 'toaster' }, /not one of/],
    ['sling', { load: '100', legs: '2', angle: '20' }, /refused/],
    ['belt', { large: '200', small: '100', centres: '10' }, /apart/],
    ['ring-gap', { bore: '86', stroke: '86' }, /no input "stroke"/],
  ])('%s with %o is refused with a sentence', (name, typed, sentence) => {
    const outcome = runCalculator(name, typed);
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) expect(Object.values(outcome.errors).join(' ')).toMatch(sentence);
  });
});

describe('whatever is typed', () => {
  const measured = calculators.filter((c) => c.inputs.some((i) => i.range));
  /** Every mixture of the least, the most and a usual value of each input. */
  const mixtures = (inputs: (typeof measured)[number]['inputs']): Record<string, string>[] =>
    inputs.reduce<Record<string, string>[]>(
      (all, i) => {
        const values = i.range
          ? [String(i.range.least), i.example, String(i.range.most)]
          : [i.example];
        return all.flatMap((typed) => values.map((v) => ({ ...typed, [i.key]: v })));
      },
      [{}],
    );

  it.each(measured.map((c) => [c.name, c] as const))(
    '%s gives numbers or a sentence, never anything else',
    (name, calc) => {
      for (const typed of mixtures(calc.inputs)) {
        const outcome = runCalculator(name, typed);
        const said = JSON.stringify(outcome);
        expect(said, JSON.stringify(typed)).not.toMatch(/NaN|Infinity|null|undefined/);
        if (outcome.ok) for (const r of outcome.result.results) expect(r.shown).not.toBe('');
      }
    },
  );

  it.each(
    measured.flatMap((c) =>
      c.inputs.filter((i) => i.range).map((i) => [c.name, i.key, c, i] as const),
    ),
  )('%s refuses a %s that can be none, and names what it can be', (name, key, calc, input) => {
    const { least, most, whole } = input.range!;
    const usual = Object.fromEntries(calc.inputs.map((i) => [i.key, i.example]));
    const over = [
      String(least - Math.max(1, Math.abs(least))),
      String(most * 2),
      '1e300',
      '-1e300',
      '1e999',
    ];
    for (const value of [...over, ...(whole ? [String(least + 0.5)] : [])]) {
      const outcome = runCalculator(name, { ...usual, [key]: value });
      expect(outcome.ok, `${key} = ${value}`).toBe(false);
      if (!outcome.ok) expect(Object.keys(outcome.errors)).toEqual([key]);
    }
  });
});
