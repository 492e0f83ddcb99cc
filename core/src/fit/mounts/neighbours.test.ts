import { describe, expect, it } from 'vitest';
import { bookFrom } from '../../plan/testing.ts';
import { interfaceOf, judge } from '../index.ts';

/** Both mounts straight out from boss to pad: an arm of 100 mm along y, at x 200 and z -50. */
const mounts = {
  'cho-engine-place': {
    'bell-face-ahead-of-firewall-x': '50',
    'crank-axis-above-body-datum-z': '100',
    'sideways-from-centre-line-y': '0',
  },
  'eng-slope-design': '0',
  'eng-mount-bosses': {
    'left-x': '200',
    'left-y': '150',
    'left-z': '-50',
    'right-x': '200',
    'right-y': '-150',
    'right-z': '-50',
    'shared-with': 'none',
  },
  'rec-mount-pads': {
    'left-x': '250',
    'left-y': '250',
    'left-z': '50',
    'right-x': '250',
    'right-y': '-250',
    'right-z': '50',
  },
};
const tensioner = (x: string, across: string) => ({
  'eng-belt-tensioner': {
    value: 'automatic',
    'bosses-used': 'front left',
    x,
    y: '200',
    z: '-50',
    across,
  },
});
const boss = (facts: Parameters<typeof bookFrom>[0]) =>
  judge(interfaceOf('fit-mount-boss'), { job: bookFrom({ ...mounts, ...facts }) }, undefined)
    .verdict;

describe('a part beside the arm of a mount (distance of a point from a line, closed form)', () => {
  // The arm is 60 mm across (common practice), the part is taken as a ball of its size.
  it.each([
    ['300', '80', 30, 'bolts-up'],
    ['275', '80', 5, 'adapt'],
    ['230', '80', -40, 'clash'],
  ] as const)('a tensioner at x %s, %s mm across: %i mm, %s', (x, across, gap, word) => {
    const said = boss(tensioner(x, across));
    expect(said.word).toBe(word);
    if (word !== 'bolts-up') expect(said.result!.value).toBeCloseTo(gap - 10, 6);
  });
  it('the filter on the other side is held against the arm there, and a slope turns both alike', () => {
    const filter = {
      'eng-filter-dipstick': {
        'filter-x': '200',
        'filter-y': '-200',
        'filter-z': '-60',
        'filter-across': '90',
      },
      ...tensioner('500', '80'),
    };
    expect(boss(filter)).toMatchObject({
      word: 'clash',
      headline: expect.stringContaining('oil filter beside the right mount'),
    });
    expect(boss({ ...filter, 'eng-slope-design': '4' }).word).toBe('clash');
  });
  it('while its place is not known the words of the bosses say what they can', () => {
    expect(
      boss({ 'eng-belt-tensioner': { value: 'automatic', 'bosses-used': 'front left' } }).word,
    ).toBe('bolts-up');
  });
});
