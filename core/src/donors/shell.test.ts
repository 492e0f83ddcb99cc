import { describe, expect, it } from 'vitest';
import { againstShell, harvestParts, shellDue } from './index.ts';

const [one, two] = harvestParts as unknown as [
  (typeof harvestParts)[number],
  (typeof harvestParts)[number],
];
const harvest = [one, two].map((part) => ({ part, because: [], needs: [] }));
const part = (takeId: string, more = {}) => ({
  takeId,
  title: takeId,
  condition: 'good' as const,
  label: 'P-1',
  place: 'C2',
  ...more,
});

describe('the last chance before a shell goes', () => {
  it('names what nobody took', () => {
    expect(againstShell(shellDue(harvest, [part(one.id)]))).toBe(
      `Still on it by the harvest list: ${two.title}. Take it off, or write it as left on its car.`,
    );
  });
  it('is settled by a part that came off, is missing, or was left on by name', () => {
    const left = part(two.id, { fate: 'left-off', place: '' });
    expect(
      againstShell(
        shellDue(harvest, [part(one.id, { condition: 'missing', fate: 'left-off' }), left]),
      ),
    ).toBeUndefined();
  });
  it('does not let a part go with it that has no place', () => {
    expect(againstShell(shellDue(harvest, [part(one.id), part(two.id, { place: '' })]))).toMatch(
      /without a place/,
    );
    expect(
      againstShell(shellDue(harvest, [part(one.id), part(two.id, { place: '', fate: 'sold' })])),
    ).toBeUndefined();
  });
});
