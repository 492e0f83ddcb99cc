import { describe, expect, it } from 'vitest';
import { contentFaults } from '../plan/index.ts';
import { bookFrom } from '../plan/testing.ts';
import {
  becauseWords,
  factCatalogue,
  factDef,
  factPart,
  partName,
  readFact,
  showFact,
  showPart,
} from './index.ts';

describe('the content', () => {
  it('has no dangling or double ids, no rings, no facts nothing uses, no odd options', () =>
    expect(contentFaults()).toEqual([]));
  it('has every fact of the catalogue with a way to find it', () => {
    expect(factCatalogue.length).toBeGreaterThan(150);
    expect(
      factCatalogue.every((f) => f.howTo.length > 2 && f.parts.length > 0 && f.neededBy.length > 0),
    ).toBe(true);
  });
  it('gives each part exactly one kind', () => {
    const odd = factCatalogue.flatMap((f) =>
      f.parts
        .filter(
          (p) =>
            [p.unit !== undefined, p.options !== undefined, p.text, p.columns].filter(Boolean)
              .length !== 1,
        )
        .map((p) => `${f.id}.${p.key}`),
    );
    expect(odd).toEqual([]);
  });
  it('names parts uniquely within a fact', () => {
    expect(
      factCatalogue
        .filter((f) => new Set(f.parts.map((p) => p.key)).size !== f.parts.length)
        .map((f) => f.id),
    ).toEqual([]);
  });
});

describe('reading what was typed', () => {
  it('takes several parts at once, each in its unit', () => {
    const entry = readFact('rec-bay-length', {
      'to-core-rear-face': '25 1/4 in',
      'to-radiator-support': '655',
    });
    expect(entry).toMatchObject({ ok: true, parts: { 'to-radiator-support': 655 } });
    expect(entry.ok && entry.parts['to-core-rear-face']).toBeCloseTo(641.35, 6);
  });
  it('reads options by word and by their beginning', () => {
    expect(readFact('rec-drive-layout', { value: 'rear engine' })).toMatchObject({
      ok: true,
      parts: { value: 'rear-engine' },
    });
    expect(readFact('rec-drive-layout', { value: 'mid' })).toMatchObject({
      ok: true,
      parts: { value: 'mid-engine' },
    });
  });
  it.each([
    ['rec-drive-layout', { value: 'sideways' }, /not one of/],
    ['rec-bay-length', { 'to-core-rear-face': 'long' }, /does not start/],
    ['rec-bay-length', {}, /at least one/],
    ['rec-bay-length', { nonsense: '3' }, /no value called/],
    ['eng-code', { value: 'x'.repeat(501) }, /Over 500/],
  ])('%s %o is refused', (id, typed, sentence) => {
    const entry = readFact(id, typed);
    expect(entry.ok).toBe(false);
    if (!entry.ok) expect(Object.values(entry.errors).join(' ')).toMatch(sentence);
  });
  it('shows a value the way it was typed, the other system beside', () => {
    expect(showPart('rec-bay-length', 'to-core-rear-face', 641.35, '25 1/4 in')).toEqual({
      main: '25 1/4 in',
      beside: '641.35 mm',
    });
    expect(showPart('rec-bay-length', 'to-core-rear-face', 612, '612')).toEqual({
      main: '612 mm',
      beside: '24.0945 in',
    });
    expect(showPart('rec-drive-layout', 'value', 'rear-engine')).toEqual({ main: 'rear engine' });
  });
  it('shows all known parts in one line', () => {
    expect(
      showFact('rec-axle-masses', {
        parts: { front: 742, rear: 868 },
        typed: {},
        source: 'measured',
      }),
    ).toBe('front 742 kg, rear 868 kg');
  });
  it('names parts and throws on what does not exist', () => {
    expect(partName('rec-bay-length', 'to-core-rear-face')).toBe('Bay length, to core rear face');
    expect(() => factDef('rec-nothing')).toThrow(/Unknown fact/);
    expect(() => factPart('eng-mass', 'nothing')).toThrow(/no part/);
  });
});

describe('a fact that decided something', () => {
  it('is told as it was typed: its sign, and the hyphens of its own name', () => {
    const facts = bookFrom({
      'rec-crossmember-place': { 'top-z': '-122 mm', fixing: 'fixed' },
      'eng-oil-spec': '5W-40',
      'cho-control': 'donor-unit-trimmed-loom',
    });
    expect(becauseWords('rec-crossmember-place', facts)).toBe(
      'Crossmember place: top z -122 mm, fixing fixed',
    );
    expect(becauseWords('eng-oil-spec', facts)).toBe('Oil spec: 5W-40');
    expect(becauseWords('cho-control', facts)).toBe('Engine control: donor unit trimmed loom');
  });
});
