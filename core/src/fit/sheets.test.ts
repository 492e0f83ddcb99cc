import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { computePlan } from '../plan/index.ts';
import { bookFrom, emptyInput } from '../plan/testing.ts';
import {
  interfaceOf,
  judge,
  sceneOfJob,
  bayKinds,
  bestPosition,
  sayPosition,
  withUsual,
  drivelineSheet,
  gearsOf,
  mountSheet,
  stackSheet,
  tryKey,
  wayInSheet,
  withTries,
} from './index.ts';
import type { Books, FitSheet } from './index.ts';
import { cures } from './driveline/cures.ts';
import { outBy, workingAngles } from './driveline/line.ts';
import type { LineOfShafts } from './driveline/line.ts';
import { restingLoads, torqueOnMountKg } from '../sums/index.ts';
import { heightOf, longestCut, mostTiltDeg, tilted, tiltFor } from './way-in/outline.ts';

type Typed = Parameters<typeof bookFrom>[0];
const books = (job: Typed, outgoing: Typed = {}): Books => ({
  job: bookFrom(job),
  outgoing: bookFrom(outgoing),
});
const says = (id: string, b: Books) => judge(interfaceOf(id), b, undefined).verdict;
const value = (sheet: FitSheet, id: string): number | undefined =>
  sheet.groups.flatMap((g) => g.figures).find((f) => f.id === id)?.sum.value;

const long = { 'rec-drive-layout': 'front-longitudinal-rear-drive' } as const;
const auto: Typed = {
  'gbx-kind': 'automatic-hydraulic',
  'gbx-converter-seat': { 'pads-behind-bell-face-when-home': '18' },
  'eng-crank-flange': { 'depth-behind-bell-face': '6' },
  'eng-flywheel': { kind: 'flexplate', 'face-from-crank-flange': '20' },
};
const manual: Typed = {
  'gbx-kind': 'manual',
  'gbx-release-kind': 'concentric-slave',
  'gbx-input-shaft': {
    'spline-count': '23',
    'disc-spline-count': '23',
    'disc-diameter': '240',
    'reach-ahead-of-bell-face': '40',
    'tip-diameter': '15',
  },
  'eng-flywheel': { 'friction-size': '240', 'face-from-crank-flange': '58' },
  'eng-crank-flange': { 'depth-behind-bell-face': '18' },
  'eng-pilot-bore': { depth: '40', 'bearing-length': '18', 'bearing-inner-size': '15' },
  'gbx-clutch-set': {
    'finger-height': '50',
    'bearing-behind-bell-face': '94',
    'bearing-travel': '20',
    'release-travel': '9',
  },
};

describe('what lies behind the block', () => {
  it('adds up from flange, spacer and plate: 20 − 6 + 0 is 14, and pads home at 18 draw 4 mm', () => {
    const verdict = says(
      'fit-converter-seat',
      books({ ...auto, 'cho-stack': { 'crank-spacer': '0' } }),
    );
    expect(verdict.result?.value).toBeCloseTo(4, 9);
    expect(verdict.word).toBe('bolts-up');
  });
  it('a plate takes the gearbox back, a spacer takes the pads after it: both of 10 mm leave all as it was', () => {
    const both = says(
      'fit-converter-seat',
      books({ ...auto, 'cho-stack': { 'adapter-plate': '10', 'crank-spacer': '10' } }),
    );
    expect(both.result?.value).toBeCloseTo(4, 9);
    const plate = says(
      'fit-converter-seat',
      books({ ...auto, 'cho-stack': { 'adapter-plate': '10', 'crank-spacer': '0' } }),
    );
    expect(plate.result?.value).toBeCloseTo(14, 9);
    expect(plate.word).toBe('clash');
    const washers = says(
      'fit-converter-seat',
      books({
        ...auto,
        'cho-stack': { 'adapter-plate': '10', 'crank-spacer': '0', 'pad-spacer': '9.5' },
      }),
    );
    expect(washers.result?.value).toBeCloseTo(4.5, 9);
    expect(washers.word).toBe('bolts-up');
  });
  it('says nothing on top of a reading that what adds up contradicts', () => {
    const flywheel = { ...(auto['eng-flywheel'] as object), 'pad-depth-behind-bell-face': '15.2' };
    const verdict = says(
      'fit-converter-seat',
      books({ ...auto, 'eng-flywheel': flywheel, 'cho-stack': { 'crank-spacer': '0' } }),
    );
    expect(verdict.word).toBe('not-measured');
    expect(verdict.headline).toContain('differ by 1.2 mm');
    expect(verdict.needs.map((n) => n.partKey)).toContain('pad-depth-behind-bell-face');
  });
  it('asks for the plate where the two patterns differ, and for none where they are one', () => {
    const patterns = { 'eng-bell-pattern': 'ten-bolt', 'gbx-bell-pattern': 'six-bolt' };
    const open = says('fit-converter-seat', books({ ...auto, ...patterns }));
    expect(open.word).toBe('not-measured');
    expect(open.needs).toEqual([{ factId: 'cho-stack', partKey: 'adapter-plate' }]);
    expect(
      says('fit-converter-seat', books({ ...auto, ...patterns, 'gbx-bell-pattern': ' Ten-bolt' }))
        .word,
    ).toBe('bolts-up');
  });
  it('a chain without a word of a spacer stands on an assumption and says so', () => {
    expect(says('fit-converter-seat', books(auto)).weakest).toBe('assumed');
  });
  it('a plate takes the tip of the shaft out of the crank by its thickness', () => {
    expect(says('fit-pilot', books(manual)).result?.value).toBeCloseTo(40 - 18 - 12, 9);
    expect(
      says('fit-pilot', books({ ...manual, 'cho-stack': { 'adapter-plate': '12' } })).result?.value,
    ).toBeCloseTo(-2, 9);
  });
  it.each([
    ['94', 'bolts-up', '4.0 mm'],
    ['89', 'clash', 'meets the fingers'],
    ['92', 'adapt', '2.0 mm'],
    ['104', 'clash', 'does not free the disc'],
  ])('a bearing pushed home %s mm inside the bell is %s: %s', (at, word, said) => {
    const set = { ...(manual['gbx-clutch-set'] as object), 'bearing-behind-bell-face': at };
    const verdict = says('fit-clutch', books({ ...manual, 'gbx-clutch-set': set }));
    expect([verdict.word, verdict.headline]).toEqual([word, expect.stringContaining(said)]);
  });
  it('a bearing round the input shaft is no go before its height is known', () => {
    const rest = Object.fromEntries(
      Object.entries(manual).filter(([id]) => id !== 'gbx-clutch-set'),
    ) as Typed;
    expect(says('fit-clutch', books(rest)).word).toBe('not-measured');
    expect(says('fit-clutch', books({ ...rest, 'gbx-release-kind': 'external-slave' })).word).toBe(
      'bolts-up',
    );
  });
  it('draws what is there, dashes what is not, and asks for it', () => {
    const sheet = stackSheet(books(auto));
    expect(sheet.drawing.shapes.find((s) => s.id === 'bell-1')!.ink).toBe('assumed');
    expect(sheet.wants).toContainEqual({ factId: 'gbx-bell-depth', partKey: 'value' });
    expect(value(sheet, 'draw')).toBeCloseTo(4, 9);
    expect(stackSheet(books({})).drawing.dimensions).toEqual([]);
  });
});

describe('what if', () => {
  const as = books({
    ...manual,
    'eng-starter-side': 'on-gearbox',
    'eng-ring-gear': { 'pinion-rest-gap': '2', 'starter-teeth-module-match': 'yes' },
  });
  it('moves the readings that move with it: a starter on the gearbox by plate less spacer', () => {
    const tried = withTries(as, {
      [tryKey('cho-stack', 'adapter-plate')]: 5,
      [tryKey('cho-stack', 'crank-spacer')]: 2,
    });
    expect(tried.job.get('eng-ring-gear')!.parts['pinion-rest-gap']).toBeCloseTo(5, 9);
    expect(as.job.get('eng-ring-gear')!.parts['pinion-rest-gap']).toBe(2);
  });
  it('a starter beside the block stands ahead of the ring; of one that nobody knows the reading falls', () => {
    const side = (where: string) =>
      withTries(
        books({
          ...manual,
          'eng-starter-side': where,
          'eng-ring-gear': { 'pinion-rest-gap': '2' },
        }),
        { [tryKey('cho-stack', 'crank-spacer')]: 3 },
      ).job.get('eng-ring-gear')!.parts['pinion-rest-gap'];
    expect(side('left')).toBeCloseTo(5, 9);
    expect(side('above')).toBeUndefined();
  });
  it('what is tried is not a measure', () => {
    const tried = withTries(as, { [tryKey('gbx-clutch-set', 'finger-height')]: 49 });
    expect(tried.job.get('gbx-clutch-set')!.source).toBe('assumed');
    expect(says('fit-clutch', tried).weakest).toBe('assumed');
  });
  it('nothing tried leaves the very same facts', () => {
    expect(withTries(as, {})).toBe(as);
  });
});

const line: LineOfShafts = {
  output: [-700, 0, 70],
  outputSlopeDeg: 3,
  pinion: [-2000, 0, 20],
  pinionUpDeg: 3,
};

describe('the line of shafts', () => {
  const job: Typed = {
    ...long,
    'cho-engine-place': {
      'bell-face-ahead-of-firewall-x': '0',
      'crank-axis-above-body-datum-z': '100',
      'sideways-from-centre-line-y': '0',
    },
    'gbx-length': '700',
    'gbx-output': { 'output-slope-tail-down': '3' },
    'rec-pinion-place': { 'flange-x': '-2000', y: '0', 'z-at-ride-height': '25' },
    'rec-pinion-angle': '3',
  };
  it('works at the difference of the slopes (by hand: fall over run)', () => {
    // Output at (−699.05, 63.36); run 1300.95, fall 38.36, so the shaft falls by 1.689° and either joint works at 1.311°.
    const sheet = drivelineSheet(books(job), { slopeDeg: [0, 5] });
    const shaft =
      (Math.atan2(
        100 - 700 * Math.sin((3 * Math.PI) / 180) - 25,
        2000 - 700 * Math.cos((3 * Math.PI) / 180),
      ) *
        180) /
      Math.PI;
    expect(value(sheet, 'ride-0')).toBeCloseTo(3 - shaft, 6);
    expect(value(sheet, 'ride-1')).toBeCloseTo(3 - shaft, 6);
    expect(value(sheet, 'left-over')).toBeCloseTo(0, 4);
  });
  it('counts what stands off the centre line: 60 mm in 1300 are another 2.6 degrees, square to the rest', () => {
    const aside = {
      ...job,
      'rec-pinion-place': { 'flange-x': '-2000', y: '60', 'z-at-ride-height': '25' },
    };
    const level = value(drivelineSheet(books(job), { slopeDeg: [0, 5] }), 'ride-0')!;
    const both = value(drivelineSheet(books(aside), { slopeDeg: [0, 5] }), 'ride-0')!;
    expect(both).toBeCloseTo(Math.hypot(level, 2.64), 1);
    expect(drivelineSheet(books(aside), { slopeDeg: [0, 5] }).above).toBeDefined();
  });
  it('a plate between block and bell moves the output back by its thickness', () => {
    const length = (extra: Typed) =>
      value(drivelineSheet(books({ ...job, ...extra }), { slopeDeg: [0, 5] }), 'length-0')!;
    expect(length({}) - length({ 'cho-stack': { 'adapter-plate': '20' } })).toBeCloseTo(20, 1);
  });
  it('bump and droop: a yoke that bottoms in bump is a clash, whatever is left at ride height', () => {
    const shaft = {
      'shaft-length': '1300',
      'tube-outside-diameter': '101.6',
      'tube-wall': '2.1',
      'slip-left': '24',
      'output-slope-tail-down': '3',
    };
    const drive: Typed = {
      ...job,
      'gbx-output': shaft,
      'eng-max-rpm': '5000',
      'gbx-ratios': { top: '1' },
    };
    expect(says('fit-propshaft-length', books(drive)).word).toBe('bolts-up');
    const low = { 'flange-x': '-2000', y: '0', 'z-at-ride-height': '-200' };
    const travels: Typed = {
      ...drive,
      'rec-pinion-place': { ...low, 'z-at-bump': '40', 'z-at-droop': '-240' },
      'rec-pinion-angle': { value: '3', 'at-bump': '5', 'at-droop': '1' },
    };
    const verdict = says('fit-propshaft-length', books(travels));
    expect([verdict.word, verdict.headline]).toEqual([
      'clash',
      expect.stringContaining('bottoms in full bump'),
    ]);
  });
  it('a shaft in two pieces is judged by what its three joints leave over, not by its ends', () => {
    const carrier: Typed = { ...job, 'cho-carrier': { value: 'one', x: '-1300', y: '0', z: '45' } };
    expect(
      drivelineSheet(books(carrier), { slopeDeg: [0, 5] }).groups[0]!.figures.filter((f) =>
        f.id.startsWith('ride'),
      ),
    ).toHaveLength(3);
    const bent: Typed = { ...job, 'rec-pinion-angle': '5' };
    expect(says('fit-driveline-angles', books(bent)).headline).toContain('between the ends');
    expect(
      says('fit-driveline-angles', books({ ...bent, 'cho-carrier': carrier['cho-carrier']! }))
        .headline,
    ).not.toContain('between the ends');
  });
  it('an output read at another slope than the engine is to sit at is read again there', () => {
    const place = { ...(job['cho-engine-place'] as object), 'slope-tail-down': '4' };
    const verdict = says('fit-driveline-angles', books({ ...job, 'cho-engine-place': place }));
    expect([verdict.word, verdict.headline]).toEqual([
      'not-measured',
      expect.stringContaining('1.0 deg off the slope'),
    ]);
  });
  it('a centre bearing makes the critical speed that of the longer piece, wherever the whole was read', () => {
    const tube = {
      'shaft-length': '1300',
      'tube-outside-diameter': '60',
      'tube-wall': '2',
      'slip-left': '24',
      'output-slope-tail-down': '3',
    };
    const drive: Typed = {
      ...job,
      'gbx-output': tube,
      'eng-max-rpm': '5000',
      'gbx-ratios': { top: '1' },
    };
    expect(says('fit-propshaft-length', books(drive)).word).toBe('clash');
    const halved: Typed = {
      ...drive,
      'cho-carrier': { value: 'one', x: '-1350', y: '0', z: '45' },
    };
    expect(says('fit-propshaft-length', books(halved)).word).toBe('bolts-up');
  });
  it('a shaft that nobody read is as long as its ends stand apart', () => {
    const tube = {
      'tube-outside-diameter': '101.6',
      'tube-wall': '2.1',
      'slip-left': '24',
      'output-slope-tail-down': '3',
    };
    const drive: Typed = {
      ...job,
      'gbx-output': tube,
      'eng-max-rpm': '5000',
      'gbx-ratios': { top: '1' },
    };
    expect(says('fit-propshaft-length', books(drive)).word).toBe('bolts-up');
  });
  it('a centre bearing of which nobody read the place is no go', () => {
    expect(
      says('fit-driveline-angles', books({ ...job, 'cho-carrier': { value: 'one', x: '-1300' } }))
        .word,
    ).toBe('not-measured');
  });
  it('cures are well, are the least of their kind, and stay within what the engine stands (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: -2, max: 6, noNaN: true }),
        (z, out, up) => {
          const bad: LineOfShafts = {
            ...line,
            pinion: [-2000, 0, z],
            outputSlopeDeg: out,
            pinionUpDeg: up,
          };
          for (const { by, angles } of cures(bad, { slopeDeg: [0, 5], reachMm: 700 })) {
            expect(out + by.slopeDeg).toBeGreaterThanOrEqual(-1e-9);
            expect(out + by.slopeDeg).toBeLessThanOrEqual(5 + 1e-9);
            for (const angle of angles) expect(angle).toBeGreaterThan(0.48);
            for (const angle of angles) expect(angle).toBeLessThan(3.02);
          }
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });
  it('a line that is well wants no cure', () => {
    expect(outBy(line)).toBe(0);
    expect(workingAngles(line)[0]).toBeCloseTo(0.797, 2);
    expect(cures(line, { slopeDeg: [0, 5], reachMm: 700 })).toEqual([]);
  });
  it('gears: 205/55 R16 at 97 % and 3.9 : 1 turn 1890 rpm a 60 km/h in direct (geometry)', () => {
    const drive: Typed = {
      'rec-tyre-size': '205/55 R16',
      'rec-axle-ratio': '3.9',
      'eng-max-rpm': '6000',
      'gbx-ratios': { fourth: '1' },
    };
    const [gear] = gearsOf(books(drive));
    const round = Math.PI * 631.9 * 0.97;
    expect(gear!.rpmAt100).toBeCloseTo((100e6 / 60 / round) * 3.9, 0);
    expect(gear!.topKmh).toBeCloseTo((6000 / gear!.rpmAt100) * 100, 6);
  });
  it('weight by levers: what stands over the front axle goes on it whole, half way goes on both (statics)', () => {
    const weigh: Typed = {
      ...long,
      'cho-engine-place': { 'bell-face-ahead-of-firewall-x': '0' },
      'eng-mass': '200',
      'eng-cg': { 'x-ahead-of-bell-face': '500' },
      'rec-wheelbase': { value: '2500', 'front-axle-x': '500' },
      'rec-axle-masses': { front: '700', rear: '600' },
      'rec-axle-limits': { front: '1000', rear: '700' },
    };
    const over = drivelineSheet(books(weigh, { 'eng-mass': '150' }), { slopeDeg: [0, 5] });
    expect([value(over, 'front'), value(over, 'rear')]).toEqual([
      expect.closeTo(50, 6),
      expect.closeTo(0, 6),
    ]);
    const half = drivelineSheet(
      books(
        { ...weigh, 'rec-wheelbase': { value: '2500', 'front-axle-x': '1750' } },
        { 'eng-mass': '150' },
      ),
      { slopeDeg: [0, 5] },
    );
    expect([value(half, 'front'), value(half, 'rear')]).toEqual([
      expect.closeTo(25, 6),
      expect.closeTo(25, 6),
    ]);
    const rearOver = says(
      'fit-axle-load',
      books(
        {
          ...weigh,
          'rec-wheelbase': { value: '2500', 'front-axle-x': '3000' },
          'rec-axle-limits': { front: '1000', rear: '630' },
        },
        { 'eng-mass': '150' },
      ),
    );
    expect([rearOver.word, rearOver.headline]).toEqual([
      'clash',
      expect.stringContaining('rear plate limit'),
    ]);
  });
  it('a battery moved to the boot unloads the front by its levers, and weighs nothing more (statics)', () => {
    const weigh: Typed = {
      ...long,
      'cho-engine-place': { 'bell-face-ahead-of-firewall-x': '0' },
      'eng-mass': '200',
      'eng-cg': { 'x-ahead-of-bell-face': '500' },
      'rec-wheelbase': { value: '2500', 'front-axle-x': '500' },
      'rec-axle-masses': { front: '700', rear: '600' },
      'rec-axle-limits': { front: '1000', rear: '700', gross: '1700' },
      'cho-masses-moved': { list: '-2500; 18\n500; -18' },
    };
    const moved = drivelineSheet(books(weigh, { 'eng-mass': '200' }), { slopeDeg: [0, 5] });
    // From over the front axle to 500 mm behind the rear one, 2500 mm apart: lever 3000 over 2500.
    expect(value(moved, 'front')).toBeCloseTo(-18 * (3000 / 2500), 6);
    expect(value(moved, 'rear')).toBeCloseTo(18 * (3000 / 2500), 6);
    const said = says('fit-axle-load', books(weigh, { 'eng-mass': '200' }));
    expect(said.because).toContain('cho-masses-moved');
    const { 'rec-wheelbase': _, ...noLevers } = weigh;
    expect(_).toBeDefined();
    expect(says('fit-axle-load', books(noLevers, { 'eng-mass': '200' })).word).toBe('not-measured');
  });
  it('a wedge turns the pinion by its angle, and is bought', () => {
    const wedge = (deg: string) => ({
      ...job,
      'cho-wedge': deg,
      'gbx-output': { 'output-slope-tail-down': '4.5' },
    });
    const at = (deg: string) =>
      value(drivelineSheet(books(wedge(deg)), { slopeDeg: [0, 5] }), 'ride-1')!;
    expect(at('1.5') - at('0')).toBeCloseTo(1.5, 6);
    expect(says('fit-driveline-angles', books(wedge('0'))).word).not.toBe('bolts-up');
    expect(says('fit-driveline-angles', books(wedge('1.5'))).because).toContain('cho-wedge');
    const kit = (deg: string) =>
      computePlan(emptyInput({ facts: bookFrom(wedge(deg)) })).kit.find(
        (l) => l.def.id === 'kit-axle-wedge',
      );
    expect(kit('1.5')).toBeDefined();
    expect(kit('0')).toBeUndefined();
    const across = { 'rec-drive-layout': 'front-transverse', 'cho-wedge': '2' };
    const plan = computePlan(emptyInput({ facts: bookFrom(across) }));
    expect(plan.kit.map((l) => l.def.id)).not.toContain('kit-axle-wedge');
  });
  it.each([
    ['1000', 0.995, 'reads 0 % low'],
    ['1100', 0.905, 'reads 10 % low: other drive gear'],
    ['950', 1.047, 'reads 5 % high: constant to be proven'],
  ])(
    'a speedometer made for %s turns a km reads %d of the true speed (turns over a km, by hand)',
    (made, share, words) => {
      // 2010 mm a turn of the wheel, axle 4, half a turn of the cable for each of the shaft: 995 turns a km.
      const dash: Typed = {
        ...long,
        'rec-speedo-drive': 'cable',
        'rec-speedo-constant': made,
        'gbx-speed-signal': { value: 'cable-drive', 'pulses-a-turn': '0.5' },
        'rec-axle-ratio': '4',
        'rec-tyre-size': { value: '205/55 R16', 'rolling-circumference': '2010' },
      };
      const said = says('fit-speedo', books(dash));
      expect(said.word).toBe('adapt');
      expect(said.headline).toContain(words);
      expect(said.result!.value).toBeCloseTo(share, 3);
      const { 'rec-axle-ratio': _, ...less } = dash;
      expect(_).toBeDefined();
      expect(says('fit-speedo', books(less)).headline).toContain('same kind of signal');
    },
  );
});

describe('half shafts', () => {
  const side = (which: 'left' | 'right', sign: 1 | -1, y: number): Record<string, string> => ({
    [`${which}-x`]: '100',
    [`${which}-y`]: String(sign * y),
    [`${which}-z`]: '-50',
  });
  const travel = (which: string) => ({
    [`${which}-z-at-bump`]: '30',
    [`${which}-z-at-droop`]: '-130',
  });
  const job: Typed = {
    'rec-drive-layout': 'front-transverse',
    'cho-side-outputs': { ...side('left', 1, 200), ...side('right', -1, 250) },
    'rec-hub-places': {
      ...side('left', 1, 700),
      ...side('right', -1, 700),
      ...travel('left'),
      ...travel('right'),
    },
    'cho-halfshafts': {
      'length-left': '503',
      'length-right': '453.5',
      plunge: '40',
      'largest-angle': '20',
    },
  };
  it('are 500 long at ride height and 506.4 in bump and droop of 80 (by hand: the root of the squares)', () => {
    const sheet = drivelineSheet(books(job), { slopeDeg: [0, 5] });
    expect(value(sheet, 'left-ride')).toBeCloseTo(500, 9);
    expect(value(sheet, 'left-bump')).toBeCloseTo(Math.hypot(500, 80), 9);
    expect(value(sheet, 'left-bump-angle')).toBeCloseTo((Math.atan(80 / 500) * 180) / Math.PI, 6);
    expect(value(sheet, 'left-even')).toBeCloseTo((500 + Math.hypot(500, 80)) / 2, 9);
    expect(value(sheet, 'left-left')).toBeCloseTo(20 - (Math.hypot(500, 80) - 503), 6);
    expect(says('fit-halfshafts', books(job)).word).toBe('bolts-up');
  });
  it.each([
    [
      'a shaft too short',
      { 'length-left': '485', 'length-right': '453.5', plunge: '40', 'largest-angle': '20' },
      'clash',
      'short',
    ],
    [
      'a joint that stands less',
      { 'length-left': '503', 'length-right': '453.5', plunge: '40', 'largest-angle': '9.5' },
      'clash',
      'over what it stands',
    ],
    [
      'no shafts yet',
      { plunge: '40', 'largest-angle': '20' },
      'adapt',
      'to be made: left 503 mm, right 4',
    ],
  ])('%s', (_, set, word, said) => {
    const verdict = says('fit-halfshafts', books({ ...job, 'cho-halfshafts': set }));
    expect([verdict.word, verdict.headline]).toEqual([word, expect.stringContaining(said)]);
  });
  it('are no go before bump and droop are read', () => {
    const level = { ...side('left', 1, 700), ...side('right', -1, 700) };
    const set = {
      'length-left': '500',
      'length-right': '450',
      plunge: '40',
      'largest-angle': '20',
    };
    const verdict = says(
      'fit-halfshafts',
      books({ ...job, 'rec-hub-places': level, 'cho-halfshafts': set }),
    );
    expect(verdict.word).toBe('not-measured');
    expect(verdict.needs.map((n) => n.partKey)).toContain('left-z-at-droop');
  });
  it('are no matter of a car with a propshaft', () => {
    expect(says('fit-halfshafts', books(long)).word).toBe('bolts-up');
  });
});

describe('mounts', () => {
  it('loads at rest balance about any support (statics by hand: 300 kg, 100 mm ahead of a span of 1000)', () => {
    // Engine mounts at 300, gearbox at −700, centre at 200: 90 % on the engine's, split 1 : 2 by 200 and 400 mm.
    const loads = restingLoads(300, 200, { engineX: 300, gearboxX: -700, leftY: 200, rightY: 400 });
    expect(loads.left).toBeCloseTo(180, 9);
    expect(loads.right).toBeCloseTo(90, 9);
    expect(loads.gearbox).toBeCloseTo(30, 9);
  });
  it('a centre ahead of the engine mounts lifts the tail', () => {
    expect(
      restingLoads(200, 400, { engineX: 300, gearboxX: -700, leftY: 250, rightY: 250 }).gearbox,
    ).toBeLessThan(0);
  });
  it('1200 N·m over 600 mm are 2000 N, 204 kg, on one side (statics by hand)', () => {
    expect(torqueOnMountKg(1200, 600)).toBeCloseTo(203.9, 1);
  });
  it('refuses mounts in one place', () => {
    expect(() =>
      restingLoads(200, 100, { engineX: 0, gearboxX: 0, leftY: 200, rightY: 200 }),
    ).toThrow(RangeError);
  });
  const job: Typed = {
    ...long,
    'cho-engine-place': {
      'bell-face-ahead-of-firewall-x': '20',
      'crank-axis-above-body-datum-z': '100',
      'slope-tail-down': '4',
    },
    'rec-mount-pads': {
      kind: 'rail-brackets',
      'left-x': '320',
      'left-y': '300',
      'left-z': '20',
      'right-x': '320',
      'right-y': '-300',
      'right-z': '20',
    },
    'eng-mount-bosses': {
      'left-x': '300',
      'left-y': '250',
      'left-z': '-80',
      'right-x': '300',
      'right-y': '-250',
      'right-z': '-80',
    },
  };
  it('stand where slope and place put them: at 4° a boss 300 mm ahead rises by 21 and one 80 below goes 5 forward', () => {
    const sheet = mountSheet(books(job));
    const turn = (4 * Math.PI) / 180;
    const x = 20 + 300 * Math.cos(turn) + 80 * Math.sin(turn) - 320;
    const z = 100 - 80 * Math.cos(turn) + 300 * Math.sin(turn) - 20;
    expect(value(sheet, 'left-x')).toBeCloseTo(Math.abs(x), 6);
    expect(value(sheet, 'left-z')).toBeCloseTo(Math.abs(z), 6);
    expect(value(sheet, 'left-y')).toBeCloseTo(50, 6);
    expect(sheet.groups[0]!.figures.map((f) => f.name)).toContain('Boss to the right of its pad');
    expect(sheet.groups[1]!.figures.map((f) => f.name)).toContain('Boss to the left of its pad');
  });
  it('left lies above right from above, and the front to the right', () => {
    const { drawing } = mountSheet(books(job));
    const spot = (id: string) => drawing.spots.find((s) => s.id === id)!.at;
    expect(spot('boss-left').y).toBeGreaterThan(spot('boss-right').y);
    const front = drawing.shapes.find((s) => s.id === 'front')!.points;
    expect(Math.max(...front.map((p) => p.x))).toBeGreaterThan(spot('boss-left').x);
  });
  it('the slope that was chosen goes before the one the engine was made for', () => {
    const made = { ...job, 'eng-slope-design': '0' };
    expect(value(mountSheet(books(made)), 'left-z')).toBeCloseTo(
      value(mountSheet(books(job)), 'left-z')!,
      9,
    );
  });
  it('says nothing of torque where the unit drives its wheels at its sides: it pitches and does not roll', () => {
    const weighed: Typed = {
      ...job,
      'cho-pulley-side': 'rear',
      'rec-drive-layout': 'rear-engine',
      'eng-mass': '120',
      'gbx-mass': '45',
      'gbx-length': '500',
      'eng-cg': { 'x-ahead-of-bell-face': '200' },
      'gbx-mount-place': { 'bell-face-to-mount': '450' },
      'eng-torque': '200',
      'gbx-ratios': { first: '4' },
    };
    expect(value(mountSheet(books(weighed)), 'rest-left')).toBeGreaterThan(0);
    expect(value(mountSheet(books(weighed)), 'full-left')).toBeUndefined();
    const { drawing } = mountSheet(books(weighed));
    const boss = (side: string) => drawing.spots.find((s) => s.id === `boss-${side}`)!.at.y;
    // The rear to the right: seen from above the left side lies below.
    expect(boss('left')).toBeLessThan(boss('right'));
  });
  it('bosses on their pads are no go over what the mounts are rated for', () => {
    const on: Typed = {
      ...job,
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': '20',
        'crank-axis-above-body-datum-z': '100',
        'slope-tail-down': '0',
      },
      'rec-mount-pads': {
        kind: 'rail-brackets',
        'left-x': '320',
        'left-y': '250',
        'left-z': '20',
        'right-x': '320',
        'right-y': '-250',
        'right-z': '20',
      },
      'eng-mass': '200',
      'gbx-mass': '50',
      'gbx-length': '700',
      'eng-cg': { 'x-ahead-of-bell-face': '300' },
      'gbx-mount-place': { 'bell-face-to-mount': '600' },
      'eng-torque': '300',
      'gbx-ratios': { first: '4' },
    };
    expect(says('fit-mount-pads', books(on)).word).toBe('bolts-up');
    const rated = says(
      'fit-mount-pads',
      books({ ...on, 'cho-mount-rating': { 'load-each': '150' } }),
    );
    expect([rated.word, rated.headline]).toEqual([
      'adapt',
      expect.stringContaining('at full torque in first'),
    ]);
    expect(
      says('fit-mount-pads', books({ ...on, 'cho-mount-rating': { 'load-each': '500' } })).word,
    ).toBe('bolts-up');
  });
});

describe('the way in', () => {
  const boxes = [
    { rear: 0, front: 600, low: -200, high: 400 },
    { rear: -700, front: 0, low: -150, high: 150 },
  ];
  it('a box hung level is as long as it is, hung steeper as high over the sine (geometry)', () => {
    const bar = [{ rear: -1000, front: 0, low: -50, high: 50 }];
    expect(longestCut(tilted(bar, 0))).toBeCloseTo(1000, 6);
    expect(longestCut(tilted(bar, 30))).toBeCloseTo(100 / Math.sin(Math.PI / 6), 3);
    const { low, high } = heightOf(tilted(bar, 90));
    expect(high - low).toBeCloseTo(1000, 6);
  });
  it('hangs as little as lets it pass, and what passes more room hangs no steeper (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 1500 }),
        fc.integer({ min: 0, max: 300 }),
        (room, more) => {
          const tilt = tiltFor(boxes, room);
          const cut = longestCut(tilted(boxes, tilt));
          if (cut > room) {
            // Where no tilt lets it pass, it is the one at which least is missing.
            for (let other = 0; other <= mostTiltDeg; other += 0.5)
              expect(longestCut(tilted(boxes, other))).toBeGreaterThanOrEqual(cut - 1e-6);
            return;
          }
          if (tilt > 0) expect(longestCut(tilted(boxes, tilt - 0.5))).toBeGreaterThan(room);
          expect(tiltFor(boxes, room + more)).toBeLessThanOrEqual(tilt);
        },
      ),
      { seed: 3 },
    );
  });
  const job: Typed = {
    'rec-install-path': {
      value: 'over-the-front',
      'hoist-rating-at-boom-place': '600',
      'opening-length': '1100',
      'opening-width': '800',
      'lift-height': '1900',
      'panel-height': '900',
      'hook-height': '2600',
    },
    'cho-unit-lift': 'engine-and-gearbox',
    'eng-mass': '180',
    'gbx-mass': '50',
    'eng-length': '600',
    'gbx-length': '700',
    'eng-height-up': { 'highest-point': '400' },
    'eng-sump-depth': { 'at-bowl': '200' },
    'eng-width': { 'left-at-heads': '200', 'right-at-heads': '200' },
  };
  it('engine with gearbox hangs tail down where the engine alone goes level', () => {
    const sheet = wayInSheet(books(job));
    expect(sheet.ways[0]).toMatch(/^Engine with gearbox hangs tail down by [\d.]+°/);
    expect(sheet.ways[1]).toMatch(/^Engine alone goes in level/);
    expect(says('fit-install-path', books(job)).headline).toContain('hangs tail down by');
    expect(says('fit-install-path', books({ ...job, 'cho-unit-lift': 'engine-alone' })).word).toBe(
      'bolts-up',
    );
  });
  it('over the front is no go before panel and hook are measured', () => {
    const { 'panel-height': panel, ...path } = job['rec-install-path'] as Record<string, string>;
    expect(panel).toBeDefined();
    const open = says(
      'fit-install-path',
      books({ ...job, 'cho-unit-lift': 'engine-alone', 'rec-install-path': path }),
    );
    expect([open.word, open.needs.map((n) => n.partKey)]).toEqual([
      'not-measured',
      ['panel-height'],
    ]);
  });
  it('a hook that stays too low is a clash that says by how much', () => {
    const path = { ...(job['rec-install-path'] as object), 'hook-height': '1900' };
    const verdict = says('fit-install-path', books({ ...job, 'rec-install-path': path }));
    expect([verdict.word, verdict.headline]).toEqual([
      'clash',
      expect.stringMatching(/height of the hook \d+ mm short/),
    ]);
  });
  it('a boom that does not reach where the unit balances is a clash', () => {
    const path = {
      ...(job['rec-install-path'] as object),
      'boom-reach': '900',
      'front-edge-x': '1500',
    };
    const far: Typed = {
      ...job,
      'rec-install-path': path,
      'cho-unit-lift': 'engine-alone',
      'cho-engine-place': { 'bell-face-ahead-of-firewall-x': '20' },
      'eng-cg': { 'x-ahead-of-bell-face': '300' },
    };
    // 1500 − 20 − 300 leaves 1180 to reach: 280 more than 900.
    expect(says('fit-install-path', books(far)).headline).toBe('reach of the boom 280 mm short');
  });
  it('what it is dressed with and is too wide for the opening comes off first (sums by hand)', () => {
    const dressed: Typed = {
      ...job,
      'rec-install-path': {
        value: 'over-the-front',
        'opening-width': '700',
        'opening-length': '1300',
      },
      'eng-width': {
        'left-at-covers-and-coils': '250',
        'right-at-covers-and-coils': '250',
        'left-at-manifolds': '320',
        'right-at-manifolds': '330',
      },
    };
    const off = wayInSheet(books(dressed)).groups.find((g) =>
      g.title.startsWith('Comes off'),
    )!.figures;
    // 650 wide and 50 mm of air on each side, through 700.
    expect(off.map((f) => [f.name, f.sum.value])).toEqual([['Manifolds, too far out by', 50]]);
    const wide = {
      ...dressed,
      'rec-install-path': { value: 'over-the-front', 'opening-width': '760' },
    };
    expect(wayInSheet(books(wide)).groups.some((g) => g.title.startsWith('Comes off'))).toBe(false);
  });
});

describe('the slope of the position', () => {
  const shaft: Typed = { ...long, 'eng-slope-design': '3', 'rec-pinion-angle': '2' };
  const slope = (job: Typed) => sceneOfJob(books(job)).problem.range.slopeDeg;
  it('is held to what leaves the ends of the shaft alike, of what the engine stands', () => {
    expect(slope(shaft)).toEqual([1, 3]);
    expect(slope({ ...shaft, 'rec-pinion-angle': '4.5' })).toEqual([3.5, 5]);
    expect(sceneOfJob(books(shaft)).held[0]).toContain('1° to 3°');
  });
  it("is the engine's own where no slope of it does, where the shaft is in two pieces, and where there is none", () => {
    expect(slope({ ...shaft, 'rec-pinion-angle': '9' })).toEqual([1, 5]);
    expect(sceneOfJob(books({ ...shaft, 'rec-pinion-angle': '9' })).held[0]).toContain('No slope');
    expect(slope({ ...shaft, 'cho-carrier': { value: 'one' } })).toEqual([1, 5]);
    expect(slope({ 'eng-slope-design': '3', 'rec-pinion-angle': '2' })).toEqual([1, 5]);
  });
  it('reaches as far as somebody chose, so that it is drawn where it was chosen', () => {
    const place = {
      'bell-face-ahead-of-firewall-x': '0',
      'crank-axis-above-body-datum-z': '100',
      'slope-tail-down': '4.4',
    };
    expect(slope({ ...shaft, 'cho-engine-place': place })).toEqual([1, 4.4]);
  });
});

describe('usual sizes', () => {
  const known: Typed = {
    ...long,
    'eng-layout': 'vee-8',
    'eng-length': '610',
    'rec-bay-length': { 'to-core-rear-face': '900' },
  };
  it('fill up what nobody knows, as something assumed, and change nothing that is known', () => {
    const { job } = withUsual(books(known), 'large-car');
    expect(job.get('eng-length')!.source).not.toBe('assumed');
    expect(job.get('eng-length')!.parts['value']).toBe(610);
    expect(job.get('rec-bay-length')!.parts['to-core-rear-face']).toBe(900);
    expect(job.get('rec-bay-length')!.source).toBe('assumed');
    expect(job.get('eng-height-up')!.source).toBe('assumed');
    expect(withUsual(books(known), undefined).job.get('eng-height-up')).toBeUndefined();
  });
  it.each(['inline-4', 'inline-6', 'vee-6', 'vee-8', 'flat-4'])(
    'draw a whole %s in every bay, and never say that it fits without more',
    (layout) => {
      for (const kind of bayKinds) {
        const scene = sceneOfJob(
          withUsual(books({ ...long, 'eng-layout': layout, 'cho-fan': 'electric-puller' }), kind),
        );
        expect(scene.shapes.filter((s) => s.side === 'unit').length).toBeGreaterThan(10);
        const best = bestPosition(scene.problem, { work: 20_000 });
        const { headline, doubts } = sayPosition(scene, best);
        expect(doubts.join(' ')).toContain('Stands on assumed facts');
        expect(headline).toMatch(/as far as it is known|Not known yet/i);
      }
    },
  );
});

describe('the place that mounts reach', () => {
  const pads = {
    kind: 'rail-brackets',
    'left-x': '350',
    'left-y': '270',
    'left-z': '10',
    'right-x': '350',
    'right-y': '-270',
    'right-z': '10',
  };
  const bosses = {
    'left-x': '300',
    'left-y': '220',
    'left-z': '-80',
    'right-x': '300',
    'right-y': '-220',
    'right-z': '-80',
  };
  const job: Typed = { ...long, 'rec-mount-pads': pads, 'eng-mount-bosses': bosses };
  it('is where every boss stands within 60 mm of its pad', () => {
    const { range } = sceneOfJob(books(job)).problem;
    expect(range.x).toEqual([0, 110]);
    expect(range.y).toEqual([-10, 10]);
    expect(range.z).toEqual([30, 150]);
  });
  it('holds nothing where mounts are made, and keeps what somebody chose within', () => {
    expect(sceneOfJob(books({ ...job, 'cho-mount-school': 'fabricated' })).problem.range.x).toEqual(
      [0, 160],
    );
    const place = {
      'bell-face-ahead-of-firewall-x': '130',
      'crank-axis-above-body-datum-z': '100',
    };
    expect(sceneOfJob(books({ ...job, 'cho-engine-place': place })).problem.range.x).toEqual([
      70, 130,
    ]);
  });
  it('says so where no place suits both sides', () => {
    const far = { ...bosses, 'left-y': '60', 'right-y': '-60' };
    const scene = sceneOfJob(books({ ...job, 'eng-mount-bosses': far }));
    expect(scene.held.join(' ')).toContain('No mount of 60 mm reaches');
    expect(scene.problem.range.y).toEqual([-25, 25]);
  });
});
