import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as sums from './index.ts';

describe('size steps and standard lengths', () => {
  // ISO 898-1, from memory: 8.8 carries 580 MPa up to M16 and 600 above; there is no 9.8 above M16.
  it.each([
    [16, 2, '8.8', 91],
    [20, 2.5, '8.8', 147],
    [12, 1.75, '4.6', 19],
    [12, 1.75, '9.8', 54.8],
  ] as const)('M%d x %d, %s: %d kN', (d, p, grade, kn) =>
    expect(Math.abs(sums.proofLoadKn(d, p, grade) / kn - 1)).toBeLessThan(0.01),
  );
  it('refuses a class that the size does not have', () =>
    expect(() => sums.proofLoadKn(20, 2.5, '9.8')).toThrow(/no class 9\.8 at M20/));
  // SAE J429, from memory: 1/2-13 grade 5 carries 12,050 lbf of proof load, grade 8 17,050.
  it.each([
    [0.5, 13, '5', 12_050],
    [0.5, 13, '8', 17_050],
  ] as const)('%d-%d grade %s', (d, n, grade, lbf) =>
    expect(
      Math.abs(sums.inchProofLoadKn(d, n, grade) / ((lbf * 4.4482216) / 1000) - 1),
    ).toBeLessThan(0.01),
  );
  // ISO 4014 and 4017, from memory.
  it('a length is one that is sold', () => {
    const length = (clampedMm: number) =>
      sums.boltLengthMm({
        clampedMm,
        washerMm: 0,
        diameterMm: 10,
        material: 'steel',
        holeDepthMm: 100,
      }).lengthMm;
    expect([3, 8, 62, 72, 160, 175].map(length)).toEqual([16, 20, 80, 90, 180, 200]);
    expect(() => length(400)).toThrow(/longer than the bolts that are sold/);
  });
  // Geometry.
  it.each([
    [350, 10, 0],
    [10, 350, 0],
    [-32, 28, -2],
    [358, 58, 28],
  ])('stops at %d and %d: top dead centre at %d', (one, two, top) =>
    expect(sums.topDeadCentreDeg(one, two)).toBeCloseTo(top, 9),
  );
  it('half a turn apart has no answer', () =>
    expect(() => sums.topDeadCentreDeg(-90, 90)).toThrow(/half a turn/));
  // ASHRAE Fundamentals, from memory, by volume.
  it.each([
    [0.1, -3.7],
    [0.2, -8.9],
  ])('glycol %d freezes near %d', (share, c) =>
    expect(Math.abs(sums.coolantFreezesC(share) - c)).toBeLessThan(1),
  );
  it('a starter feed is counted over its own cable, a fan over feed and return', () => {
    expect(sums.chooseWire(150, 2, 'starter feed').ways).toBe(1);
    expect(sums.chooseWire(12, 2, 'pump or fan').ways).toBe(2);
    expect(sums.voltageDrop(10, 2, 4, { ways: 1 }) * 2).toBeCloseTo(sums.voltageDrop(10, 2, 4), 12);
  });
});

describe('threads', () => {
  // ISO 898-1 tables, from memory; they agree with the formula to the figures printed.
  it.each([
    [6, 1, 20.1],
    [8, 1.25, 36.6],
    [10, 1.5, 58],
    [10, 1.25, 61.2],
    [12, 1.75, 84.3],
    [12, 1.25, 92.1],
    [14, 2, 115],
    [16, 2, 157],
  ])('stress area of M%dx%d is %d mm²', (d, p, area) => {
    expect(sums.stressAreaMm2(d, p)).toBeCloseTo(area, area > 99 ? 0 : 1);
  });
  // ASME B1.1, from memory
  it.each([
    [0.375, 16, 0.0775],
    [0.375, 24, 0.0878],
    [0.4375, 14, 0.1063],
    [0.5, 13, 0.1419],
    [0.5, 20, 0.1599],
  ])('stress area of %d-%d is %d in²', (d, n, area) => {
    expect(sums.stressAreaIn2(d, n)).toBeCloseTo(area, 3);
  });
  // ISO 898-1, from memory
  it.each([
    ['8.8', 8, 1.25, 21.2],
    ['8.8', 10, 1.5, 33.7],
    ['8.8', 12, 1.75, 48.9],
    ['10.9', 8, 1.25, 30.4],
    ['10.9', 10, 1.5, 48.1],
    ['10.9', 12, 1.75, 70],
  ] as const)('proof load of class %s M%dx%d is %d kN', (c, d, p, kn) => {
    expect(sums.proofLoadKn(d, p, c)).toBeCloseTo(kn, 0);
  });
  // Handbook short form, common practice
  it('M10 8.8 at 75 % of proof, dry, is about 50.5 N·m', () => {
    expect(sums.tighteningTorqueNm(10, sums.proofLoadKn(10, 1.5, '8.8') * 0.75)).toBeCloseTo(
      50.5,
      0,
    );
  });
  it('a bolt is long enough and says when it bottoms', () => {
    expect(
      sums.boltLengthMm({
        clampedMm: 28,
        washerMm: 2.5,
        diameterMm: 10,
        material: 'aluminium',
        holeDepthMm: 30,
      }),
    ).toEqual({
      lengthMm: 55,
      engagementMm: 24.5,
      leastMm: 20,
      bottoms: false,
    });
    expect(
      sums.boltLengthMm({
        clampedMm: 28,
        washerMm: 2.5,
        diameterMm: 10,
        material: 'aluminium',
        holeDepthMm: 22,
      }).bottoms,
    ).toBe(true);
  });
  it('always engages at least the least (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 50 }),
        fc.constantFrom('steel', 'cast-iron', 'aluminium'),
        fc.integer({ min: 5, max: 20 }),
        (clamped, material, d) => {
          const b = sums.boltLengthMm({
            clampedMm: clamped,
            washerMm: 2,
            diameterMm: d,
            material: material,
            holeDepthMm: 100,
          });
          return b.engagementMm >= b.leastMm - 1e-9 && b.engagementMm < b.leastMm + 10;
        },
      ),
    );
  });
  it('refuses a thread that is all pitch', () => {
    expect(() => sums.stressAreaMm2(2, 3)).toThrow(RangeError);
  });
});

describe('wire', () => {
  // IEC 60028 with ASTM B258
  it.each([
    [12, 5.211],
    [10, 3.277],
    [4, 0.8152],
  ])('%d AWG has %d Ω/km', (g, ohm) => expect(sums.gaugeOhmPerKm(g)).toBeCloseTo(ohm, 2));
  it('doubles the length, doubles the drop', () => {
    expect(sums.voltageDrop(10, 4, 2.5)).toBeCloseTo(2 * sums.voltageDrop(10, 2, 2.5), 9);
  });
  it('chooses a wire that keeps the drop and that its fuse protects (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.double({ min: 0.2, max: 6, noNaN: true }),
        (a, m) => {
          let w: sums.WireChoice;
          try {
            w = sums.chooseWire(a, m, 'pump or fan');
          } catch (e) {
            return e instanceof RangeError;
          }
          const size = sums.wireSizes.find((s) => s.areaMm2 === w.areaMm2)!;
          return w.dropV <= w.limitV + 1e-9 && w.fuseA <= size.fuseA && a <= w.fuseA * 0.8 + 1e-9;
        },
      ),
    );
  });
  it('refuses a current no listed wire carries', () => {
    expect(() => sums.chooseWire(400, 1, 'starter feed')).toThrow(/more than the fuses listed/);
  });
});

describe('driveline', () => {
  // Kinematics; SAE AE-7, memory
  it('a joint at 30 degrees ripples from 0.866 to 1.1547', () => {
    expect(sums.jointSpeedRatio(30, 90)).toBeCloseTo(0.866, 3);
    expect(sums.jointSpeedRatio(30, 0)).toBeCloseTo(1.1547, 4);
  });
  it('a joint at 3 degrees stays within 1.4 per mille', () => {
    for (const r of [0, 45, 90])
      expect(Math.abs(sums.jointSpeedRatio(3, r) - 1)).toBeLessThan(0.0014);
  });
  // Euler-Bernoulli, first mode
  it.each([
    [76.2, 2.1, 1.3, 7506],
    [88.9, 2.1, 1.5, 6603],
  ])('tube %d x %d over %d m is critical at %d rpm', (o, w, l, rpm) =>
    expect(sums.shaftCriticalRpm(o, w, l)).toBeCloseTo(rpm, -1),
  );
  // ETRTO geometry
  it('205/55 R16 stands 631.9 mm high', () =>
    expect(sums.tyreDiameterMm('205/55 R16')).toBeCloseTo(631.9, 1));
  // ETRTO and common practice: what a size of another kind stands for, within 5 %.
  it.each([
    ['31x10.50 R15', 787.4],
    ['185 R14', 659],
    ['165 SR 13', 601],
    ['6.00-16', 711],
    ['LT235/75 R15', 733.5],
    ['255/40 ZR18', 661.2],
    ['P205/55R16', 631.9],
    ['220/55 R390', 632],
  ])('%s stands %d mm high', (size, mm) =>
    expect(Math.abs(sums.tyreDiameterMm(size)! / mm - 1)).toBeLessThan(0.02),
  );
  it.each(['wide', '205', '55/205 R16', '205/55', ''])(
    'a size it cannot read is undefined: %s',
    (size) => expect(sums.tyreDiameterMm(size)).toBeUndefined(),
  );
  it('engine speed grows with both ratios', () =>
    expect(sums.engineRpmAt(110, 2000, 0.8, 3.9)).toBeCloseTo((110e6 / 60 / 2000) * 0.8 * 3.9, 6));
});

describe('engine', () => {
  it('86 x 86 x 4 is 1998.2 cm³', () =>
    expect(sums.displacementCm3(86, 86, 4)).toBeCloseTo(1998.2, 1));
  it('4.000 x 3.480 x 8 is 349.85 in³', () =>
    expect(sums.displacementCm3(4 * 25.4, 3.48 * 25.4, 8) / 25.4 ** 3 / 1e-3).toBeCloseTo(
      349.85,
      2,
    ));
  it('ten to one: swept volume nine times the clearance', () =>
    expect(
      sums.compressionRatio({
        sweptCm3: 450,
        chamberCm3: 40,
        gasketCm3: 6,
        deckCm3: 2,
        dishCm3: 2,
      }),
    ).toBeCloseTo(10, 9));
  // Common practice, no source
  it('top dead centre is the mean of the two stops', () =>
    expect(sums.topDeadCentreDeg(-32, 28)).toBe(-2));
  it('ring gap 0.004 in per inch of bore', () =>
    expect(sums.ringGapMm(101.6) / 25.4).toBeCloseTo(0.016, 6));
  it('bearing clearance 0.001 in per inch plus 0.0005 in', () =>
    expect(sums.bearingClearanceMm(50.8) / 25.4).toBeCloseTo(0.0025, 6));
  it('compression: lowest at least 75 % of the highest', () => {
    expect(sums.judgeCompression([12, 11.8, 9.1, 12]).word).toBe('even');
    expect(sums.judgeCompression([12, 11.8, 8.9, 12])).toMatchObject({ word: 'uneven', lowest: 2 });
    expect(() => sums.judgeCompression([12])).toThrow(RangeError);
  });
  it('leak-down under 10 % good, over 20 % look further', () =>
    expect([8, 15, 24].map(sums.judgeLeakDown)).toEqual(['good', 'watch', 'look further']));
  it('about 10 psi for each 1000 rpm', () =>
    expect(sums.leastOilPressureBar(3000)).toBeCloseTo((30 * 6894.757) / 1e5, 2));
  // SAE J1349, memory
  it('960 hPa and 35 °C correct by 1.0571', () =>
    expect(sums.powerCorrection(960, 35)).toBeCloseTo(1.0571, 3));
  // Common practice, memory
  it('3000 lb at 100 mph is 234 hp', () =>
    expect(sums.powerFromTrapHp(3000, 100)).toBeCloseTo(234.1, 0));
});

describe('fluids', () => {
  it('30 lb/h at 43.5 psi is 34.64 at 58 psi (orifice equation)', () =>
    expect(sums.injectorFlowAt(30, 43.5, 58)).toBeCloseTo(34.64, 2));
  // ASHRAE Fundamentals, from memory
  it.each([
    [0.5, -37],
    [0.4, -24],
    [0.6, -52],
  ])('glycol %d freezes near %d °C', (s, t) => expect(sums.coolantFreezesC(s)).toBeCloseTo(t, 6));
  it('refuses more glycol than protects', () =>
    expect(() => sums.coolantFreezesC(0.8)).toThrow(RangeError));
  // Steam tables, from memory
  it('water under a 1.03 bar cap boils at about 121 °C', () =>
    expect(Math.abs(sums.waterBoilsC(1.03) - 121)).toBeLessThan(0.6));
  it('water boils at 100 °C in the open', () =>
    expect(Math.abs(sums.waterBoilsC(0) - 100)).toBeLessThan(0.3));
  // Common practice: 255 L/h covers a stock port-injected petrol V8 of 5 to 6 L (some 300 kW)
  it('255 L/h is enough for 300 kW with its margin', () =>
    expect(sums.fuelNeedLh(300, false) * 1.25).toBeLessThan(255));
});

describe('belts and slings', () => {
  it('150 and 60 mm at 320 mm take 976.2 mm', () =>
    expect(sums.openBeltMm(150, 60, 320)).toBeCloseTo(976.2, 1));
  it('equal pulleys wrap half a turn', () =>
    expect(sums.smallWrapDeg(100, 100, 300)).toBeCloseTo(180, 9));
  // ASME B30.9, geometry
  it.each([
    [60, 1.155],
    [45, 1.414],
    [30, 2],
  ])('a leg at %d degrees from level carries %d times its share', (a, f) =>
    expect(sums.slingLoadFactor(a)).toBeCloseTo(f, 3),
  );
  it('refuses a leg below 30 degrees', () =>
    expect(() => sums.slingLoadFactor(29)).toThrow(/refused/));
  it('counts at most two of four legs', () => expect(sums.slingLegKg(200, 4, 90)).toBe(100));
});

describe('identity', () => {
  // ISO 3779; 49 CFR 565
  it.each(['1M8GDM9AXKP042788', '11111111111111111'])('%s is good', (vin) =>
    expect(sums.checkIdentity(vin).state).toBe('good'),
  );
  it('finds any single misread figure where a check digit applies (property)', () => {
    const good = '1M8GDM9AXKP042788';
    fc.assert(
      fc.property(
        fc.constantFrom(11, 12, 13, 14, 15, 16),
        fc.integer({ min: 0, max: 9 }),
        (i, figure) => {
          const vin = good.slice(0, i) + figure + good.slice(i + 1);
          return vin === good || sums.checkIdentity(vin).state === 'wrong';
        },
      ),
    );
  });
  it.each([
    ['1M8GDM9AXKP04278', 16, /1 is missing/],
    ['1M8GDM9AXKP0427888', 18, /1 is too many/],
    ['1M8GDM9AOKP042788', 17, /Character 9 is O.*a 0/],
    ['1M8GDM9A1KP042788', 17, /asks for X/],
    ['1M8GDM9A?KP042788', 17, /cannot stand/],
  ])('%s (%d) is refused with a sentence', (vin, _n, sentence) => {
    const check = sums.checkIdentity(vin);
    expect(check.state).toBe('wrong');
    expect(check.sentence).toMatch(sentence);
  });
  it('takes a short chassis number of an early car', () =>
    expect(sums.checkIdentity('BH30-118824', 1971).state).toBe('chassis-number'));
  it('says where no check digit applies', () =>
    expect(sums.checkIdentity('WVB25A4C3CH004187').state).toBe('no-check-digit'));
  // SAE J2012, ISO 15031-6
  it.each([
    [0x01, 0x33, 'P0133'],
    [0xc1, 0x00, 'U0100'],
    [0x92, 0x34, 'B1234'],
  ])('bytes %d %d are %s', (a, b, code) => expect(sums.troubleCode(a, b)).toBe(code));
  // SAE J1979, ISO 15031-5
  it.each([
    ['0C', 0x1a, 0xf8, 1726],
    ['05', 0x7b, 0, 83],
    ['04', 255, 0, 100],
    ['06', 128, 0, 0],
    ['0A', 10, 0, 30],
    ['0B', 101, 0, 101],
    ['0E', 128, 0, 0],
    ['10', 1, 0, 2.56],
    ['23', 1, 0, 2560],
    ['42', 0x37, 0x78, 14.2],
    ['5C', 130, 0, 90],
  ])('parameter %s of %d %d reads %d', (pid, a, b, wanted) =>
    expect(sums.liveValues[pid]!.read(a, b)).toBeCloseTo(wanted, 2),
  );
});
