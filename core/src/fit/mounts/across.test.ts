import { describe, expect, it } from 'vitest';
import { bookFrom } from '../../plan/testing.ts';
import { interfaceOf, judge, mountSheet } from '../index.ts';

/** A unit across the car, its pulley to the right: engine x lies to the car's right, engine y to its front. */
const unit = {
  'rec-drive-layout': 'front-transverse',
  'cho-pulley-side': 'right',
  'cho-engine-place': {
    'bell-face-ahead-of-firewall-x': '300',
    'sideways-from-centre-line-y': '60',
    'crank-axis-above-body-datum-z': '20',
    'slope-tail-down': '0',
  },
  'eng-cross-bosses': {
    'engine-end-x': '450',
    'engine-end-y': '0',
    'engine-end-z': '150',
    'gearbox-end-x': '-350',
    'gearbox-end-y': '0',
    'gearbox-end-z': '130',
    'rod-x': '-100',
    'rod-y': '-150',
    'rod-z': '-160',
  },
  'rec-cross-pads': {
    'engine-end-x': '300',
    'engine-end-y': '-390',
    'engine-end-z': '170',
    'gearbox-end-x': '300',
    'gearbox-end-y': '410',
    'gearbox-end-z': '150',
    'rod-x': '150',
    'rod-y': '160',
    'rod-z': '-140',
  },
  'eng-mass': '130',
  'gbx-mass': '60',
  'eng-length': '480',
  'gbx-length': '360',
  'eng-cg': { 'x-ahead-of-bell-face': '230' },
  'eng-torque': '200',
  'gbx-ratios': { first: '3.5' },
  'rec-axle-ratio': '4',
};
type Facts = Parameters<typeof bookFrom>[0];
const mounts = (more: Facts = {}) =>
  judge(interfaceOf('fit-mount-pads'), { job: bookFrom({ ...unit, ...more }) }, undefined).verdict;
const pads = (change: Record<string, string>) => ({
  'rec-cross-pads': { ...unit['rec-cross-pads'], ...change },
});
const figures = (more: Facts = {}) =>
  new Map(
    mountSheet({ job: bookFrom({ ...unit, ...more }) }).groups.flatMap((g) =>
      g.figures.map((f) => [f.id, f.sum.value] as const),
    ),
  );

describe('mounts of a unit that lies across', () => {
  it('meet their pads where the turned bosses stand on them (geometry), and say which does not', () => {
    expect(mounts().word).toBe('bolts-up');
    expect(mounts(pads({ 'engine-end-y': '-400' }))).toMatchObject({
      word: 'adapt',
      headline: 'mount at the engine end: its boss 10.0 mm from the pad',
    });
    expect(mounts(pads({ 'rod-x': '60' })).word).toBe('clash');
  });
  it('its leaning turns them about the crank', () => {
    const leaning = { 'cho-engine-place': { ...unit['cho-engine-place'], 'slope-tail-down': '2' } };
    // 150 mm over the crank, two degrees: it stands 5.2 mm farther back.
    expect(figures(leaning).get('engine-end-x')).toBeCloseTo(150 * Math.sin(Math.PI / 90), 3);
    expect(mounts(leaning).word).toBe('adapt');
  });
  it('is not measured while a pad is not read, and never bolts up by what is', () => {
    expect(mounts({ 'rec-cross-pads': { 'engine-end-x': '300' } }).word).toBe('not-measured');
    const { 'rod-z': _, ...rest } = unit['rec-cross-pads'];
    expect(mounts({ 'rec-cross-pads': rest }).word).toBe('not-measured');
    expect(_).toBeDefined();
  });
  it('two rods hold the torque between themselves, over the height between them (statics by hand)', () => {
    const second = { 'second-rod-x': '100', 'second-rod-y': '-150', 'second-rod-z': '240' };
    const bosses = (more: Record<string, string>) => ({
      'eng-cross-bosses': { ...unit['eng-cross-bosses'], ...more },
    });
    expect(figures(bosses(second)).get('rod')).toBeCloseTo((200 * 3.5 * 4) / 0.4 / 9.80665, 6);
    // So near one another they hold nothing.
    const near = { ...second, 'second-rod-z': '-150' };
    expect(figures(bosses(near)).get('rod')).toBeUndefined();
  });
  it('carry by levers, and the rod the torque of the wheels over its height (statics by hand)', () => {
    const carried = figures();
    // 130 kg at 230 and 60 kg at 40 % of 360 behind: they balance 111.9 mm ahead; levers from -350 to 450.
    const centre = (130 * 230 - 60 * 144) / 190;
    expect(carried.get('engine-end')).toBeCloseTo((190 * (centre + 350)) / 800, 6);
    expect(carried.get('engine-end')! + carried.get('gearbox-end')!).toBeCloseTo(190, 6);
    // 200 N·m in 3.5 and 4 on the wheels, 300 mm from the middle of both ends.
    expect(carried.get('rod')).toBeCloseTo((200 * 3.5 * 4) / 0.3 / 9.80665, 6);
    expect(mounts({ 'cho-mount-rating': { 'load-each': '200', 'rod-load': '800' } })).toMatchObject(
      {
        word: 'adapt',
        headline: expect.stringContaining('the torque rod carries 952 kg'),
      },
    );
    expect(mounts({ 'cho-mount-rating': { 'load-each': '200', 'rod-load': '1000' } }).word).toBe(
      'bolts-up',
    );
  });
  it('is drawn from above with its three points', () => {
    const { drawing } = mountSheet({ job: bookFrom(unit) });
    expect(drawing.spots.filter((s) => s.mark === 'ring')).toHaveLength(3);
    expect(drawing.dimensions.map((d) => d.said)).toEqual(['0 mm', '0 mm', '0 mm']);
  });
});
