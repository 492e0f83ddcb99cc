import { describe, expect, it } from 'vitest';
import { evaluate, scopeOf } from '../rules/index.ts';
import { readCondition, when } from './index.ts';
import type { FactValue } from './index.ts';

const book = (facts: Record<string, Record<string, number | string>>) =>
  scopeOf({
    facts: new Map(
      Object.entries(facts).map(([id, parts]): [string, FactValue] => [
        id,
        { parts, typed: {}, source: 'measured' },
      ]),
    ),
  });

describe('conditions are checked against the facts they speak of', () => {
  // The check runs in the compiler: `./bay test` compiles this file, and a line that stopped failing would be an error there.
  it('when they are compiled', () => {
    when('eng-fuel = diesel and don-storage-months > 12 or gbx-kind in {manual, dual-clutch}');
    const wrong = [
      // @ts-expect-error a fact that does not exist
      () => when('eng-fule = diesel'),
      // @ts-expect-error an option the fact does not have
      () => when('eng-fuel = kerosene'),
      // @ts-expect-error one of several options is none
      () => when('gbx-kind in {manual, sequential}'),
      // @ts-expect-error a word where a number is compared
      () => when('don-storage-months > abc'),
      // @ts-expect-error a number compared with a fact that is a word
      () => when('eng-fuel > 3'),
      // @ts-expect-error words that are no condition
      () => when('engine is loud'),
      // @ts-expect-error the second half is wrong
      () => when('eng-fuel = diesel and eng-fuel = stone'),
    ];
    for (const read of wrong) expect(read).toThrow(/not understood/);
  });
  it('and when they are read', () => {
    for (const text of [
      'don-storage-months > abc',
      'eng-fuel > 3',
      'gbx-kind in {manual, sequential}',
      'eng-nothing known',
      'eng-fuel = kerosene',
    ])
      expect(() => readCondition(text), text).toThrow(/not understood/);
  });
});

describe('what a condition says', () => {
  it('`=` and `in` treat capitals and spaces alike', () => {
    const facts = book({ 'eng-bell-pattern': { value: ' K24 ' } });
    for (const text of [
      'eng-bell-pattern = k24',
      'eng-bell-pattern in {K24, other}',
      'eng-bell-pattern = K24',
    ])
      expect(evaluate(readCondition(text), facts).is, text).toBe(true);
    expect(evaluate(readCondition('eng-bell-pattern not in {k24}'), facts).is).toBe(false);
  });
  it('of a fact with several parts, only those that could answer are asked, and one that is not known is no no', () => {
    const asks = (parts: Record<string, number | string>) =>
      evaluate(readCondition('eng-o2-sensors > 0'), book({ 'eng-o2-sensors': parts })).is;
    expect(asks({ upstream: 0 })).toBe('waits');
    expect(asks({ upstream: 0, downstream: 0 })).toBe(false);
    expect(asks({ upstream: 0, downstream: 1 })).toBe(true);
    expect(
      evaluate(readCondition('rec-battery = boot'), book({ 'rec-battery': { capacity: 60 } })).is,
    ).toBe('waits');
  });
});
