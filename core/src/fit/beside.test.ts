import { describe, expect, it } from 'vitest';
import { exhaustBoreMm } from '../sums/index.ts';
import { bookFrom } from '../plan/testing.ts';
import { interfaceOf, judge } from './index.ts';

/** Places beside space and driveline. Facts of the trade: common practice, no source, where nothing else is said. */

type Typed = Parameters<typeof bookFrom>[0];
const verdictOf = (id: string, facts: Typed, leaving: Typed = {}) =>
  judge(interfaceOf(id), { job: bookFrom(facts), outgoing: bookFrom(leaving) }, undefined).verdict;
const wordOf = (id: string, facts: Typed, leaving: Typed = {}): string =>
  verdictOf(id, facts, leaving).word;

describe('exhaust by one bore', () => {
  // A rule of thumb of the trade: 300 hp (224 kW) through one pipe want some 2.7 in, 400 hp (298 kW) some 3.1 in.
  it.each([
    [223.7, 1, 68.6],
    [298.3, 1, 79.3],
    [298.3, 2, 56.1],
  ])('%d kW through %d pipes want %d mm', (kw, pipes, bore) => {
    expect(exhaustBoreMm(kw, pipes)).toBeCloseTo(bore, 0);
  });
  const pipe = (bore: string, steel = 'stainless-304') => ({ value: bore, pipes: '1', steel });
  it.each([
    [pipe('76 mm'), 'none', 'bolts-up'],
    [pipe('65 mm'), 'none', 'adapt'],
    [pipe('50 mm'), 'none', 'clash'],
    [pipe('76 mm', 'mild'), 'none', 'bolts-up'],
    [pipe('76 mm', 'mild'), 'turbo', 'adapt'],
  ])('%o on 220 kW, %s: %s', (bore, induction, word) => {
    expect(
      wordOf('fit-exhaust-bore', {
        'eng-power': '220 kW',
        'cho-exhaust-bore': bore,
        'eng-induction': induction,
      }),
    ).toBe(word);
  });
  it('is not sure while nobody knows whether it is charged', () => {
    expect(
      wordOf('fit-exhaust-bore', { 'eng-power': '220 kW', 'cho-exhaust-bore': pipe('76 mm') }),
    ).toBe('not-measured');
    expect(wordOf('fit-exhaust-bore', { 'eng-power': '220 kW' })).toBe('not-measured');
  });
});

describe('exhaust with the engine in its place', () => {
  const seen = { 'comes-off': 'yes', wastegate: 'free', 'starter-gap': '60 mm' };
  it.each([
    [seen, 'bolts-up'],
    [{ ...seen, 'comes-off': 'no' }, 'adapt'],
    [{ ...seen, wastegate: 'touches' }, 'clash'],
    [{ ...seen, 'starter-gap': '10 mm' }, 'clash'],
    [{ ...seen, 'starter-gap': '10 mm', 'starter-shield': 'yes' }, 'adapt'],
    [{ ...seen, 'starter-gap': '10 mm', 'starter-shield': 'no' }, 'clash'],
    [{ 'comes-off': 'yes', 'starter-gap': '60 mm' }, 'not-measured'],
  ])('%o: %s', (reach, word) => {
    expect(wordOf('fit-exhaust-reach', { 'cho-exhaust-reach': reach })).toBe(word);
  });
});

describe('air sensor', () => {
  const sensor = { value: 'air-mass', style: 'flat-card', 'body-bore': '70 mm' };
  const housing = {
    style: 'flat-card',
    bore: '70 mm',
    'straight-before': '700 mm',
    arrow: 'with-the-flow',
  };
  const of = (s: object, h: object): string =>
    wordOf('fit-air-meter', { 'eng-load-sensor': s as never, 'cho-air-housing': h as never });
  it('goes into a housing of its own style and bore, with the flow, after straight pipe', () => {
    expect(of(sensor, housing)).toBe('bolts-up');
    expect(of(sensor, { ...housing, style: 'round-card' })).toBe('clash');
    expect(of(sensor, { ...housing, arrow: 'against' })).toBe('clash');
    expect(of(sensor, { ...housing, bore: '76 mm' })).toBe('adapt');
    expect(of(sensor, { ...housing, 'straight-before': '200 mm' })).toBe('adapt');
    expect(of(sensor, { ...housing, arrow: 'not-seen' })).toBe('not-measured');
    const less = { ...housing, arrow: undefined };
    expect(of(sensor, less)).toBe('not-measured');
    expect(of({ value: 'pressure' }, less)).toBe('bolts-up');
  });
});

describe('a bank of carburettors', () => {
  const bank = { spacing: '84 mm', 'port-spacing': '84.3 mm', closed: '0.5 V', open: '4.2 V' };
  const of = (over: object): string =>
    wordOf('fit-carburettors', {
      'eng-fuelling': 'carburettor',
      'eng-carburettors': { ...bank, ...over },
    });
  it('stands on the ports, with a sensor in its range', () => {
    expect(of({})).toBe('bolts-up');
    expect(of({ spacing: '86 mm' })).toBe('adapt');
    expect(of({ spacing: '96 mm' })).toBe('clash');
    expect(of({ closed: '1.4 V' })).toBe('adapt');
    expect(
      wordOf('fit-carburettors', {
        'eng-fuelling': 'carburettor',
        'eng-carburettors': { spacing: '84 mm', 'port-spacing': '84 mm' },
      }),
    ).toBe('not-measured');
    expect(wordOf('fit-carburettors', { 'eng-fuelling': 'port-injection' })).toBe('bolts-up');
  });
});

describe('heads of a sister engine', () => {
  const agree = {
    value: 'of-a-sister-engine',
    'head-bore': '86 mm',
    'block-bore': '84 mm',
    studs: 'agree',
    'oil-passages': 'agree',
    'water-passages': 'agree',
  };
  it('are never more than to be proved, with the compression that results', () => {
    // 500 cm³ over 55 cm³: (500 + 55) / 55 = 10.1.
    const verdict = verdictOf('fit-heads', {
      'cho-heads': { ...agree, swept: '500 cc', clearance: '55 cc' },
    });
    expect(verdict).toMatchObject({
      word: 'adapt',
      headline: 'faces agree, compression 10.1 to 1; unproved until it ran',
    });
    expect(wordOf('fit-heads', { 'cho-heads': agree })).toBe('adapt');
    expect(wordOf('fit-heads', { 'cho-heads': { ...agree, 'block-bore': '88 mm' } })).toBe('clash');
    expect(
      verdictOf('fit-heads', { 'cho-heads': { ...agree, 'oil-passages': 'differ' } }),
    ).toMatchObject({ word: 'clash', headline: 'differ: oil passages' });
    expect(wordOf('fit-heads', {})).toBe('not-measured');
    expect(wordOf('fit-heads', { 'cho-engine-depth': 'closed' })).toBe('bolts-up');
  });
});

describe('the mounts of the car under another engine', () => {
  const old = { 'eng-mass': '100 kg', 'eng-torque': '150 Nm' };
  const of = (mass: string, torque: string, leaving: Typed = old): string =>
    wordOf(
      'fit-present-mounts',
      { 'cho-mount-school': 'recipient-arms', 'eng-mass': mass, 'eng-torque': torque },
      leaving,
    );
  it('carry what is like what they carried', () => {
    expect(of('110 kg', '180 Nm')).toBe('bolts-up');
    expect(of('130 kg', '180 Nm')).toBe('adapt');
    expect(of('110 kg', '220 Nm')).toBe('adapt');
    expect(of('160 kg', '180 Nm')).toBe('clash');
    expect(of('110 kg', '310 Nm')).toBe('clash');
    expect(of('110 kg', '180 Nm', {})).toBe('not-measured');
    expect(wordOf('fit-present-mounts', { 'cho-mount-school': 'fabricated' })).toBe('bolts-up');
  });
});

describe('a body that was sold with the family', () => {
  it('takes the frame mounts of its maker before anything is made, where they are to be had', () => {
    const sold = { value: 'a vee eight', 'like-ours': 'yes', 'frame-mounts': 'yes' };
    const pads = { kind: 'none' };
    const of = (engines: Typed[string]): string =>
      verdictOf('fit-mount-pads', { 'rec-factory-engines': engines, 'rec-mount-pads': pads })
        .headline;
    expect(of(sold)).toContain("maker's frame mounts first");
    expect(of({ ...sold, 'frame-mounts': 'no' })).toContain('brackets to be made');
  });
});

describe('the cooler of a gearbox', () => {
  const auto = { 'gbx-kind': 'automatic-electronic', 'eng-power': '200 kW' };
  const of = (cooler: Typed[string], facts: Typed = auto): string =>
    wordOf('fit-gearbox-cooler', { ...facts, 'cho-gearbox-cooler': cooler });
  it('carries off the heat of its converter', () => {
    expect(of({ value: 'separate', duty: '12 kW' })).toBe('bolts-up');
    expect(of({ value: 'separate', duty: '8 kW' })).toBe('adapt');
    expect(of({ value: 'separate', duty: '4 kW' })).toBe('clash');
    expect(
      of(
        { value: 'separate', duty: '8 kW' },
        { ...auto, 'gbx-cooler-ports': { 'lock-up-heat': '6 kW' } },
      ),
    ).toBe('bolts-up');
    expect(of({ value: 'none' })).toBe('clash');
    expect(of({ value: 'separate' })).toBe('not-measured');
    expect(of({ value: 'none' }, { 'gbx-kind': 'manual' })).toBe('bolts-up');
  });
  it('and what a cooler that went was for is asked', () => {
    expect(
      of(
        { value: 'none', 'old-cooler-was-for': 'steering', 'its-work-done-by': 'nobody' },
        { 'gbx-kind': 'manual' },
      ),
    ).toBe('clash');
    expect(of({ value: 'none', 'old-cooler-was-for': 'steering' }, { 'gbx-kind': 'manual' })).toBe(
      'not-measured',
    );
    expect(
      of(
        { value: 'none', 'old-cooler-was-for': 'steering', 'its-work-done-by': 'a-new-one' },
        { 'gbx-kind': 'manual' },
      ),
    ).toBe('bolts-up');
  });
});

describe('wheels', () => {
  const one = {
    'front-bolts': '5',
    'front-circle': '114.3 mm',
    'front-hub': '64 mm',
    'rear-bolts': '5',
    'rear-circle': '114.3 mm',
    'rear-hub': '64 mm',
  };
  const of = (wheels: object, hubs = 'changed'): string =>
    wordOf('fit-wheels', {
      'rec-wheels': wheels as never,
      'cho-hubs': hubs,
      'cho-outside': { wheels: 'as-they-are' },
    });
  it('match front and rear, or a spare serves one axle', () => {
    expect(of(one)).toBe('bolts-up');
    expect(of({ ...one, 'rear-circle': '108 mm' })).toBe('adapt');
    expect(of({ ...one, 'rear-bolts': '4' })).toBe('adapt');
    const less = { ...one, 'rear-circle': undefined };
    expect(of(less)).toBe('not-measured');
    expect(of(less, 'as-they-are')).toBe('bolts-up');
    expect(wordOf('fit-wheels', {})).toBe('not-measured');
  });
});

describe('what a way in, the air-conditioning and the drive of accessories ask besides', () => {
  it('a line end turned too far kinks; one that nobody looked at is not done', () => {
    const of = (ends: object) =>
      verdictOf('fit-ac', {
        'cho-ac': 'kept',
        'cho-ac-ends': ends as never,
        'rec-ac-state': 'fitted-empty',
      });
    expect(of({ value: 'turned', 'turned-by': '12 deg' }).word).toBe('clash');
    expect(of({ value: 'turned', 'turned-by': '4 deg' }).headline).toContain(
      'nobody looked for a kink',
    );
    expect(of({ value: 'turned' }).word).toBe('not-measured');
  });
  it('a front bracket out of use leaves open what drives the rest until somebody decides', () => {
    const drive = {
      'worst-plane-offset': '0.2 mm',
      'span-there': '300 mm',
      'alternator-wrap': '160 deg',
    };
    const of = (bracket: object): string =>
      wordOf('fit-accessory-drive', {
        'eng-accessory-drive': drive,
        'cho-front-bracket': bracket as never,
      });
    expect(of({ value: 'in-use' })).toBe('bolts-up');
    expect(of({ value: 'out-of-use' })).toBe('not-measured');
    expect(
      of({
        value: 'out-of-use',
        'alternator-by': 'second-belt',
        'steering-pump-by': 'not-decided',
      }),
    ).toBe('not-measured');
    expect(
      of({ value: 'out-of-use', 'alternator-by': 'second-belt', 'steering-pump-by': 'electric' }),
    ).toBe('bolts-up');
  });
});
