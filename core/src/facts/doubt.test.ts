import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { factCatalogue, readFact, withInferred } from './index.ts';
import { inferences } from './data/inferred.ts';

/** What cars and engines can be: common practice, no source. */
describe('a value that hardly is one of a car or engine', () => {
  const asks = (factId: string, typed: Record<string, string>) => {
    const entry = readFact(factId, typed);
    return entry.ok ? Object.values(entry.asks).join(' ') : 'refused';
  };
  it.each([
    ['eng-width', { 'left-at-covers-and-coils': '7,200,000 mm' }],
    ['eng-mass', { value: '2 kg' }],
    ['eng-mass', { value: '90000 kg' }],
    ['eng-max-rpm', { value: '65000' }],
    ['rec-model-year', { value: '1789' }],
    ['rec-axle-ratio', { value: '345' }],
    ['eng-displacement', { value: '2.5 cm³' }],
    ['eng-rail-pressure', { 'high-side': '-3 bar' }],
  ])('%s %o is asked about and not refused', (id, typed) => {
    expect(asks(id, typed)).not.toBe('');
    expect(asks(id, typed)).not.toBe('refused');
  });
  it.each([
    ['eng-width', { 'left-at-covers-and-coils': '366 mm' }],
    ['eng-mass', { value: '214 kg' }],
    ['eng-max-rpm', { value: '9000' }],
    ['rec-axle-ratio', { value: '3.45' }],
    ['eng-displacement', { value: '0.6 L' }],
    // Springs are lowered, or stay.
    ['rec-ground-at-crossmember', { 'planned-ride-height-change': '-40 mm' }],
    ['rec-ground-at-crossmember', { 'planned-ride-height-change': '0 mm' }],
  ])('%s %o is taken as it is', (id, typed) => expect(asks(id, typed)).toBe(''));
  it('every measured part of every fact has a range outside of which it asks', () => {
    const parts = factCatalogue.flatMap((f) =>
      f.parts.flatMap((p) => (p.unit ? [[f.id, p.key, p.unit] as const] : [])),
    );
    expect(parts.length).toBeGreaterThan(100);
    const silent = parts.filter(
      ([id, key, unit]) => asks(id, { [key]: `9000000000 ${unit}` }) === '',
    );
    expect(silent).toEqual([]);
  });
});

describe('what follows from other facts', () => {
  const inferred = (facts: Parameters<typeof bookFrom>[0], id: string) =>
    withInferred(bookFrom(facts)).get(id);
  it('an old car with a carburettor waits for no question that nobody would ask', () => {
    const old = {
      'rec-model-year': '1978',
      'rec-fuel-before': 'petrol-carburettor',
      'eng-fuelling': 'carburettor',
    };
    expect(inferred(old, 'rec-hv-system')).toMatchObject({
      parts: { value: 'no' },
      source: 'inferred',
    });
    expect(inferred(old, 'rec-immobiliser-kind')?.parts).toEqual({ value: 'none' });
    expect(inferred(old, 'eng-throttle-kind')?.parts).toEqual({ value: 'cable' });
    expect(inferred(old, 'rec-hv-system')?.note).toMatch(/traction battery/);
  });
  it('whoever looks goes before it', () => {
    const seen = { 'rec-model-year': '1978', 'rec-hv-system': 'yes' };
    expect(inferred(seen, 'rec-hv-system')).toMatchObject({ parts: { value: 'yes' } });
    expect(inferred(seen, 'rec-hv-system')?.source).not.toBe('inferred');
  });
  it('a newer car, or one whose year nobody knows, is not taken for one without high voltage', () => {
    expect(inferred({ 'rec-model-year': '2012' }, 'rec-hv-system')).toBeUndefined();
    expect(inferred({ 'rec-axle-ratio': '3.4' }, 'rec-hv-system')).toBeUndefined();
  });
  it('says nothing about a thing that is not there', () => {
    expect(inferred({ 'rec-model-year': '1978' }, 'eng-throttle-kind')).toBeUndefined();
    expect(inferred({ 'rec-model-year': '1978' }, 'eng-immobiliser-kind')).toBeUndefined();
  });
  it('every inference has a reason in words', () =>
    expect(inferences.filter((i) => i.reason.length < 10)).toEqual([]));
});
