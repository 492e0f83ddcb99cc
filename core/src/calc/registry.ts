import { counted, formatMeasure, parseMeasure } from '../units/index.ts';
import * as sums from '../sums/index.ts';

/** One input of a calculator: a measured value, a number, or one of a few words. */
export interface CalcInput {
  key: string;
  label: string;
  unit?: string;
  options?: readonly string[];
  text?: true;
  optional?: true;
  /** What a measured value of this kind can be, in its unit; wide, so that only what is no such thing is refused. */
  range?: Range;
  example: string;
}

interface Range {
  least: number;
  most: number;
  whole?: true;
}

export interface CalcResult {
  results: readonly { label: string; value: number | string; unit: string; shown: string }[];
  /** The arithmetic with the numbers filled in. */
  because: string;
  source: string;
}

export interface Calculator {
  name: string;
  title: string;
  inputs: readonly CalcInput[];
  source: string;
  run: (v: CalcValues) => { results: CalcResult['results']; because: string };
}

export interface CalcValues {
  num: (key: string) => number;
  maybe: (key: string) => number | undefined;
  word: (key: string) => string;
  maybeWord: (key: string) => string | undefined;
}

const out = (label: string, value: number, unit: string, digits?: number): CalcResult['results'][number] => ({
  label,
  value,
  unit,
  shown: formatMeasure(value, unit, digits),
});
const say = (label: string, value: string): CalcResult['results'][number] => ({ label, value, unit: '', shown: value });
const measure = (
  key: string,
  label: string,
  unit: string,
  example: string,
  least: number,
  most: number,
  more: { optional?: true; whole?: true } = {},
): CalcInput => {
  const { optional, whole } = more;
  const range = { least, most, ...(whole ? { whole } : {}) };
  return { key, label, unit, example, range, ...(optional ? { optional } : {}) };
};
const choice = (key: string, label: string, options: readonly string[]): CalcInput => ({
  key,
  label,
  options,
  example: options[0]!,
});

/** Every calculator. Screens, the API, the docs and `./bay calc` read this list. */
export const calculators: readonly Calculator[] = [
  {
    name: 'thread',
    title: 'Bolt: stress area, proof load, torque',
    source: 'ISO 898-1; T = K·d·F handbook short form, common practice',
    inputs: [
      measure('diameter', 'Diameter', 'mm', '10', 1, 200),
      measure('pitch', 'Pitch', 'mm', '1.5', 0.2, 8),
      choice('class', 'Property class', ['8.8', ...sums.propertyClasses.filter((c) => c !== '8.8')]),
      measure('k', 'Nut factor K', '', '0.2', 0.05, 1, { optional: true }),
    ],
    run: (v) => {
      const area = sums.stressAreaMm2(v.num('diameter'), v.num('pitch'));
      const proof = sums.proofLoadKn(v.num('diameter'), v.num('pitch'), v.word('class') as sums.PropertyClass);
      const k = v.maybe('k') ?? 0.2;
      return {
        results: [
          out('Stress area', area, 'mm²', 1),
          say('Proof load', `${proof.toFixed(1)} kN`),
          out('Torque at 75 % of proof', sums.tighteningTorqueNm(v.num('diameter'), proof * 0.75, k), 'N·m'),
        ],
        because: `π/4 (${v.num('diameter')} − 0.9382 × ${v.num('pitch')})² = ${area.toFixed(1)} mm²; ${k} × ${v.num('diameter')} mm × 0.75 × ${proof.toFixed(1)} kN`,
      };
    },
  },
  {
    name: 'inch-thread',
    title: 'Inch bolt: stress area, proof load, torque',
    source: 'ASME B1.1, SAE J429 (memory); T = K·d·F handbook short form, common practice',
    inputs: [
      measure('diameter', 'Diameter', 'in', '3/8', 0.05, 4),
      measure('threads', 'Threads per inch', '', '16', 4, 80),
      choice('grade', 'Grade', ['5', ...sums.inchGrades.filter((g) => g !== '5')]),
      measure('k', 'Nut factor K', '', '0.2', 0.05, 1, { optional: true }),
    ],
    run: (v) => {
      const [d, n] = [v.num('diameter'), v.num('threads')];
      const area = sums.stressAreaIn2(d, n);
      const proof = sums.inchProofLoadKn(d, n, v.word('grade') as sums.InchGrade);
      const k = v.maybe('k') ?? 0.2;
      return {
        results: [
          say('Stress area', `${area.toFixed(4)} in²`),
          say('Proof load', `${proof.toFixed(1)} kN`),
          out('Torque at 75 % of proof', sums.tighteningTorqueNm(d * 25.4, proof * 0.75, k), 'N·m'),
        ],
        because: `π/4 (${d} − 0.9743 / ${n})² = ${area.toFixed(4)} in²; ${k} × ${d} in × 0.75 × ${proof.toFixed(1)} kN`,
      };
    },
  },
  {
    name: 'bolt-length',
    title: 'Bolt length after a spacer or thicker plate',
    source: 'common practice: steel 1.0 d, cast iron 1.5 d, aluminium 2.0 d',
    inputs: [
      measure('clamped', 'Clamped parts', 'mm', '28', 0.1, 2000),
      measure('washer', 'Washer', 'mm', '2.5', 0, 50),
      measure('diameter', 'Diameter', 'mm', '10', 1, 200),
      choice('material', 'Thread is cut in', ['aluminium', 'cast-iron', 'steel']),
      measure('hole', 'Usable thread depth', 'mm', '26', 0.1, 1000),
    ],
    run: (v) => {
      const b = sums.boltLengthMm({
        clampedMm: v.num('clamped'),
        washerMm: v.num('washer'),
        diameterMm: v.num('diameter'),
        material: v.word('material') as sums.ThreadMaterial,
        holeDepthMm: v.num('hole'),
      });
      return {
        results: [
          out('Bolt length', b.lengthMm, 'mm'),
          out('Engagement', b.engagementMm, 'mm'),
          say('In the hole', b.bottoms ? 'bottoms: deeper hole or washer wanted' : 'does not bottom'),
        ],
        because: `${v.num('clamped')} + ${v.num('washer')} + ${b.leastMm} mm least engagement, rounded up to a length that is sold`,
      };
    },
  },
  {
    name: 'drill',
    title: 'Drills for a thread and for its bolt',
    source: 'ISO 273 medium series (memory); diameter less pitch, common practice',
    inputs: [measure('diameter', 'Diameter', 'mm', '6', 1, 64), measure('pitch', 'Pitch', 'mm', '1', 0.2, 6)],
    run: (v) => {
      const [d, p] = [v.num('diameter'), v.num('pitch')];
      const hole = sums.clearanceHoleMm(d);
      return {
        results: [
          out('Drill for the thread', sums.tapDrillMm(d, p), 'mm', 2),
          hole === undefined ? say('Drill for the bolt', 'not in the table') : out('Drill for the bolt', hole, 'mm', 1),
        ],
        because: `${d} − ${p} mm; clearance hole of the medium series`,
      };
    },
  },
  {
    name: 'pipe-cut',
    title: 'What comes off a pipe between two flanges',
    source: 'geometry; faces parallel within half a degree, common practice',
    inputs: [
      measure('length', 'Pipe as it is', 'mm', '335', 1, 10_000),
      measure('one', 'Between the faces, one side', 'mm', '301', 1, 10_000),
      measure('other', 'Between the faces, other side', 'mm', '301.4', 1, 10_000),
      measure('face', 'Across the face', 'mm', '76', 5, 1000),
      measure('weld', 'Gap for the weld, both ends together', 'mm', '1', 0, 20),
    ],
    run: (v) => {
      const { cutMm, leanDeg } = sums.pipeCut({
        lengthMm: v.num('length'),
        gapOneSideMm: v.num('one'),
        gapOtherSideMm: v.num('other'),
        faceMm: v.num('face'),
        weldGapMm: v.num('weld'),
      });
      return {
        results: [
          cutMm >= 0 ? out('Cut off', cutMm, 'mm', 1) : out('Too short by', -cutMm, 'mm', 1),
          out('Faces lean by', leanDeg, 'deg', 2),
        ],
        because: `${v.num('length')} mm − (mean of ${v.num('one')} and ${v.num('other')} mm − ${v.num('weld')} mm). Cut long, try, then cut the last`,
      };
    },
  },
  {
    name: 'sleeve',
    title: 'Heat sleeve over a line, and what is left of its gap',
    source: 'geometry; overlap 50 mm at each end and a gap kept by the clearance rows, common practice',
    inputs: [
      measure('near', 'Line that lies near the heat', 'mm', '240', 1, 10_000),
      measure('overlap', 'Overlap at each end', 'mm', '50', 0, 500),
      measure('outside', 'Outside of the line with its joints', 'mm', '19', 1, 200),
      measure('layer', 'One layer', 'mm', '3', 0.2, 30),
      measure('layers', 'Layers', '', '1', 1, 4),
      measure('gap', 'Gap to the heat, read bare', 'mm', '40', 0, 1000),
    ],
    run: (v) => {
      const { lengthMm, boreMm, leftMm } = sums.sleevePiece({
        nearMm: v.num('near'),
        overlapMm: v.num('overlap'),
        outsideMm: v.num('outside'),
        layerMm: v.num('layer'),
        layers: v.num('layers'),
        gapMm: v.num('gap'),
      });
      return {
        results: [
          out('Sleeve, long', lengthMm, 'mm', 0),
          out('Bore of the outer one', boreMm, 'mm', 1),
          leftMm >= 0 ? out('Left to the heat', leftMm, 'mm', 1) : out('Too thick by', -leftMm, 'mm', 1),
        ],
        because: `${v.num('near')} mm + 2 × ${v.num('overlap')} mm; ${v.num('gap')} mm − ${v.num('layers')} × ${v.num('layer')} mm. Read again once it is wrapped; joints are photographed before a sleeve hides them`,
      };
    },
  },
  {
    name: 'small-line',
    title: 'What a small line is made of, end by end',
    source: "common practice; the maker's manual goes first",
    inputs: [
      choice('use', 'Carries', Object.keys(sums.lineUses)),
      measure('bore', 'Bore', 'mm', '4', 0.5, 100),
      measure('length', 'Length', 'mm', '420', 1, 20_000),
      choice('one', 'One end', ['banjo', ...sums.lineEnds.filter((e) => e !== 'banjo')]),
      choice('other', 'Other end', sums.lineEnds),
    ],
    run: (v) => {
      const recipe = sums.lineRecipe({
        use: v.word('use') as sums.LineUse,
        boreMm: v.num('bore'),
        lengthMm: v.num('length'),
        ends: [v.word('one') as sums.LineEnd, v.word('other') as sums.LineEnd],
      });
      return {
        results: [
          ...[...recipe.pieces].map(([piece, count]) => out(piece, count, '', 0)),
          out('Hose or tube', v.num('length'), 'mm', 0),
          say('Bore', recipe.wide ? 'as is usual or wider' : `narrower than ${recipe.leastBoreMm} mm, which is usual`),
        ],
        because: `${v.word('one')} and ${v.word('other')}; least bore for ${v.word('use').replaceAll('-', ' ')} ${recipe.leastBoreMm} mm`,
      };
    },
  },
  {
    name: 'stud',
    title: 'Where a stud is cut, and what is left under a cover',
    source: 'common practice: the nut whole, and a thread and a half beyond',
    inputs: [
      measure('clamped', 'What it holds', 'mm', '12', 0, 500),
      measure('washer', 'Washer', 'mm', '2', 0, 20),
      measure('nut', 'Lock nut', 'mm', '10', 1, 60),
      measure('pitch', 'Pitch', 'mm', '1.5', 0.2, 8),
      measure('cover', 'Room over its shoulder to the cover', 'mm', '32', 0, 1000),
    ],
    run: (v) => {
      const { lengthMm, leftMm } = sums.studLength({
        clampedMm: v.num('clamped'),
        washerMm: v.num('washer'),
        nutMm: v.num('nut'),
        pitchMm: v.num('pitch'),
        coverMm: v.num('cover'),
      });
      return {
        results: [
          out('Cut at, from its shoulder', lengthMm, 'mm', 1),
          leftMm >= 0
            ? out('Left under the cover', leftMm, 'mm', 1)
            : say('Left under the cover', `meets it by ${(-leftMm).toFixed(1)} mm`),
        ],
        because: `${v.num('clamped')} + ${v.num('washer')} + ${v.num('nut')} + 1.5 × ${v.num('pitch')} mm; cover pushed down before it is believed`,
      };
    },
  },
  {
    name: 'wire',
    title: 'Wire size, fuse and voltage drop',
    source: 'IEC 60028; limits common practice, the cable maker first',
    inputs: [
      measure('current', 'Current', 'A', '12', 0.01, 2000),
      measure('length', 'Length one way', 'm', '4.2', 0.01, 200),
      choice('load', 'Load', Object.keys(sums.dropLimits)),
      { ...choice('counted', 'Counted', ['one-way', 'both-ways']), optional: true },
    ],
    run: (v) => {
      const counted = v.maybeWord('counted');
      const ways = counted === undefined ? undefined : counted === 'one-way' ? 1 : 2;
      const w = sums.chooseWire(v.num('current'), v.num('length'), v.word('load') as sums.LoadKind, ways);
      return {
        results: [
          out('Wire', w.areaMm2, 'mm²'),
          out('Fuse', w.fuseA, 'A'),
          out('Volts lost', w.dropV, 'V'),
          say('Decided by', w.decidedBy),
          say('Counted', w.ways === 1 ? 'this conductor, one way' : 'feed and return, both ways'),
        ],
        because: `${w.ways} × ${v.num('current')} A × ${v.num('length')} m × 0.017241 / ${w.areaMm2} mm² × 1.24 (80 °C) = ${w.dropV.toFixed(2)} V, ${w.limitV} V allowed`,
      };
    },
  },
  {
    name: 'drop',
    title: 'Voltage drop of a given wire',
    source: 'IEC 60028; ASTM B258 for gauges',
    inputs: [
      measure('current', 'Current', 'A', '12', 0.01, 2000),
      measure('length', 'Length one way', 'm', '4.2', 0.01, 200),
      measure('area', 'Wire', 'mm²', '2.5', 0.05, 500),
      { ...choice('counted', 'Counted', ['both-ways', 'one-way']), optional: true },
    ],
    run: (v) => {
      const ways = v.maybeWord('counted') === 'one-way' ? 1 : 2;
      const d = sums.voltageDrop(v.num('current'), v.num('length'), v.num('area'), { ways });
      return {
        results: [
          out('Volts lost, warm', d, 'V', 3),
          say('Counted', ways === 1 ? 'this conductor, one way' : 'feed and return, both ways'),
        ],
        because: `${ways} × ${v.num('current')} × ${v.num('length')} × 0.017241 / ${v.num('area')} × 1.24`,
      };
    },
  },
  {
    name: 'sling',
    title: 'Load in a sling leg',
    source: 'ASME B30.9, geometry',
    inputs: [
      measure('load', 'Load', 'kg', '180', 0.1, 100_000),
      measure('legs', 'Legs', '', '2', 1, 4, { whole: true }),
      measure('angle', 'Leg angle from level', 'deg', '60', 0, 90),
    ],
    run: (v) => {
      const f = sums.slingLoadFactor(v.num('angle'));
      return {
        results: [
          out('Load factor', f, '', 3),
          out('Each leg carries', sums.slingLegKg(v.num('load'), v.num('legs'), v.num('angle')), 'kg'),
        ],
        because: `${v.num('load')} kg / ${counted(Math.min(v.num('legs'), 2), 'leg')} taken × 1/sin ${v.num('angle')}° (${f.toFixed(3)})`,
      };
    },
  },
  {
    name: 'two-legs',
    title: 'Load on two legs and one hook',
    source: 'statics; ASME B30.9, from memory: legs under 30° refused',
    inputs: [
      measure('load', 'Load', 'kg', '180', 0.1, 100_000),
      measure('front-x', 'Front eye, along', 'mm', '430', -5000, 5000),
      measure('front-z', 'Front eye, up', 'mm', '260', -5000, 5000),
      measure('rear-x', 'Rear eye, along', 'mm', '-40', -5000, 5000),
      measure('rear-z', 'Rear eye, up', 'mm', '240', -5000, 5000),
      measure('hook-x', 'Hook, along', 'mm', '200', -5000, 5000),
      measure('hook-z', 'Hook, up', 'mm', '680', -5000, 10_000),
      measure('balance-x', 'Balance, along', 'mm', '200', -5000, 5000),
      measure('balance-z', 'Balance, up', 'mm', '60', -5000, 5000),
    ],
    run: (v) => {
      const at = (name: string): sums.LiftPoint => ({ x: v.num(`${name}-x`), z: v.num(`${name}-z`) });
      const hung = sums.hungOnTwoLegs(at('front'), at('rear'), at('hook'), at('balance'));
      const flat = Math.min(hung.front.fromLevelDeg, hung.rear.fromLevelDeg);
      if (flat < sums.flattestLegDeg)
        throw new RangeError(
          `A leg stands ${flat.toFixed(0)}° from level: flatter than ${sums.flattestLegDeg}° is refused. Longer legs, or a beam.`,
        );
      return {
        results: [
          out('Front leg, from level', hung.front.fromLevelDeg, 'deg', 1),
          out('Front leg pulls', v.num('load') * hung.front.share, 'kg', 1),
          out('Rear leg, from level', hung.rear.fromLevelDeg, 'deg', 1),
          out('Rear leg pulls', v.num('load') * hung.rear.share, 'kg', 1),
          out('Hangs nose down by', hung.tiltDeg, 'deg', 1),
        ],
        because: 'three forces that meet at the hook; it turns until its balance lies under the hook',
      };
    },
  },
  {
    name: 'rating',
    title: 'What an element of lifting gear keeps of its plate',
    source: 'ASME B30.26 and B30.9, from memory; the plate of the maker first',
    inputs: [
      choice('gear', 'Element', sums.gearSorts),
      measure('rating', 'Rating on its plate', 'kg', '450', 0.1, 100_000),
      measure('angle', 'Its leg, from level', 'deg', '60', 0, 90),
    ],
    run: (v) => {
      const gear = v.word('gear') as sums.GearSort;
      const off = 90 - v.num('angle');
      const kept = sums.ratingLeft(gear, off);
      if (kept === 0)
        throw new RangeError(
          `An ${sums.gearWords[gear]} bears upright pull alone: refused ${off.toFixed(0)}° off upright.`,
        );
      return {
        results: [out('Keeps', kept * 100, '%', 0), out('Carries, as it is used', kept * v.num('rating'), 'kg', 1)],
        because: `${sums.gearWords[gear]}, ${off.toFixed(0)}° off upright: ${kept} × ${v.num('rating')} kg`,
      };
    },
  },
  {
    name: 'stands',
    title: 'How a car stands when its engine leaves',
    source: 'levers',
    inputs: [
      measure('front', 'Front axle', 'kg', '620', 1, 20_000),
      measure('rear', 'Rear axle', 'kg', '540', 1, 20_000),
      measure('wheelbase', 'Wheelbase', 'mm', '2450', 500, 10_000),
      measure('leaves', 'What leaves', 'kg', '210', 1, 10_000),
      measure('leaves-at', 'Its balance, behind the front axle', 'mm', '150', -3000, 10_000),
      measure('front-stands', 'Front supports, behind the front axle', 'mm', '300', -3000, 10_000),
      measure('rear-stands', 'Rear supports, behind the front axle', 'mm', '2200', -3000, 10_000),
    ],
    run: (v) => {
      const { before, after } = sums.carOnStands({
        frontKg: v.num('front'),
        rearKg: v.num('rear'),
        wheelbaseMm: v.num('wheelbase'),
        leavesKg: v.num('leaves'),
        leavesMm: v.num('leaves-at'),
        standsFrontMm: v.num('front-stands'),
        standsRearMm: v.num('rear-stands'),
      });
      const tips = [before, after].some((b) => b.frontKg < 0 || b.rearKg < 0);
      return {
        results: [
          out('Front supports, before', before.frontKg, 'kg', 0),
          out('Rear supports, before', before.rearKg, 'kg', 0),
          out('Front supports, after', after.frontKg, 'kg', 0),
          out('Rear supports, after', after.rearKg, 'kg', 0),
          say('It stands', tips ? 'no: it tips' : 'yes'),
        ],
        because: `balance ${before.balanceMm.toFixed(0)} mm behind the front axle before, ${after.balanceMm.toFixed(0)} mm after`,
      };
    },
  },
  {
    name: 'joint',
    title: 'Speed ripple of a universal joint',
    source: 'kinematics; SAE AE-7, memory',
    inputs: [measure('angle', 'Working angle', 'deg', '3', 0, 45)],
    run: (v) => {
      const low = sums.jointSpeedRatio(v.num('angle'), 90);
      const high = sums.jointSpeedRatio(v.num('angle'), 0);
      return {
        results: [out('Slowest', low, '', 4), out('Fastest', high, '', 4)],
        because: `cos β and 1 / cos β at β = ${v.num('angle')}°`,
      };
    },
  },
  {
    name: 'shaft-line',
    title: 'Joint angles of a shaft in one piece',
    source: 'geometry, kinematics; equal within 1°, each joint 0.5° to 3°, common practice',
    inputs: [
      measure('output', 'Output, tail down', 'deg', '3', -15, 15),
      measure('pinion', 'Pinion, nose up', 'deg', '2.5', -15, 15),
      measure('run', 'Joint to joint along the car', 'mm', '1300', 50, 5000),
      measure('fall', 'Pinion below the output', 'mm', '40', -1000, 1000),
      measure('aside', 'Pinion beside the output', 'mm', '0', -1000, 1000, { optional: true }),
    ],
    run: (v) => {
      const aside = v.maybe('aside') ?? 0;
      const axes = [
        sums.rearward(v.num('output')),
        [-v.num('run'), aside, -v.num('fall')] as const,
        sums.rearward(v.num('pinion')),
      ];
      const [front, rear] = [sums.angleBetweenDeg(axes[0]!, axes[1]!), sums.angleBetweenDeg(axes[1]!, axes[2]!)];
      const ripple = sums.rippleOf(axes);
      const apart = Math.abs(v.num('output') - v.num('pinion'));
      const well = apart <= 1 && [front, rear].every((a) => a >= 0.5 && a <= 3);
      return {
        results: [
          out('Front joint', front, 'deg', 2),
          out('Rear joint', rear, 'deg', 2),
          out('Speed at the pinion swings by', ((ripple.most - ripple.least) / 2) * 100, '%', 3),
          say('Verdict', well ? 'runs well' : 'not as it should: ends alike, joints 0.5° to 3°'),
        ],
        because: `output ${v.num('output')}°, pinion ${v.num('pinion')}°, shaft falls ${v.num('fall')} mm in ${v.num('run')} mm${aside === 0 ? '' : `, ${aside} mm aside`}`,
      };
    },
  },
  {
    name: 'mounts',
    title: 'What two engine mounts and a gearbox mount carry',
    source: 'statics',
    inputs: [
      measure('mass', 'Engine and gearbox', 'kg', '240', 10, 3000),
      measure('centre', 'Balance ahead of the bell face', 'mm', '180', -1500, 1500),
      measure('engine', 'Engine mounts ahead of the bell face', 'mm', '300', -500, 2000),
      measure('gearbox', 'Gearbox mount behind the bell face', 'mm', '650', 50, 2500),
      measure('between', 'Between the engine mounts, across', 'mm', '560', 50, 2000),
      measure('torque', 'Engine torque', 'N·m', '320', 1, 5000, { optional: true }),
      measure('first', 'First gear', '', '3.5', 0.3, 30, { optional: true }),
    ],
    run: (v) => {
      const half = v.num('between') / 2;
      const rest = sums.restingLoads(v.num('mass'), v.num('centre'), {
        engineX: v.num('engine'),
        gearboxX: -v.num('gearbox'),
        leftY: half,
        rightY: half,
      });
      const [torque, first] = [v.maybe('torque'), v.maybe('first')];
      const added =
        torque === undefined || first === undefined
          ? undefined
          : sums.torqueOnMountKg(torque * first, v.num('between'));
      return {
        results: [
          out('Each engine mount at rest', rest.left, 'kg', 0),
          out('Gearbox mount at rest', rest.gearbox, 'kg', 0),
          ...(added === undefined
            ? []
            : [
                out('One mount at full torque in first', rest.right + added, 'kg', 0),
                out('The other', rest.left - added, 'kg', 0),
              ]),
        ],
        because: `moments about each support: ${v.num('mass')} kg, ${v.num('centre')} mm ahead, over ${v.num('engine') + v.num('gearbox')} mm`,
      };
    },
  },
  {
    name: 'shaft',
    title: 'Critical speed of a propshaft',
    source: 'Euler-Bernoulli, first mode, steel; 70 % common practice',
    inputs: [
      measure('outside', 'Tube outside', 'mm', '76.2', 5, 500),
      measure('wall', 'Tube wall', 'mm', '2.1', 0.2, 100),
      measure('length', 'Length between joints', 'm', '1.3', 0.05, 5),
    ],
    run: (v) => {
      const n = sums.shaftCriticalRpm(v.num('outside'), v.num('wall'), v.num('length'));
      return {
        results: [out('Critical speed', n, 'rpm'), out('Run below', n * 0.7, 'rpm')],
        because: `(π / ${v.num('length')} m)² √(E·I / m) for tube ${v.num('outside')} × ${v.num('wall')} mm`,
      };
    },
  },
  {
    name: 'belt',
    title: 'Length of an accessory belt over two pulleys',
    source: 'open-belt geometry',
    inputs: [
      measure('large', 'Large pulley', 'mm', '150', 5, 2000),
      measure('small', 'Small pulley', 'mm', '60', 5, 2000),
      measure('centres', 'Centres', 'mm', '320', 5, 10_000),
    ],
    run: (v) => ({
      results: [
        out('Belt length', sums.openBeltMm(v.num('large'), v.num('small'), v.num('centres')), 'mm', 1),
        out('Wrap on the small pulley', sums.smallWrapDeg(v.num('large'), v.num('small'), v.num('centres')), 'deg', 0),
      ],
      because: `2 C cos λ + π (D + d)/2 + λ (D − d), C = ${v.num('centres')} mm`,
    }),
  },
  {
    name: 'displacement',
    title: 'Engine size',
    source: 'geometry',
    inputs: [
      measure('bore', 'Bore', 'mm', '86', 10, 1000),
      measure('stroke', 'Stroke', 'mm', '86', 10, 2000),
      measure('cylinders', 'Cylinders', '', '4', 1, 48, { whole: true }),
    ],
    run: (v) => ({
      results: [out('Engine size', sums.displacementCm3(v.num('bore'), v.num('stroke'), v.num('cylinders')), 'cm³')],
      because: `π/4 × ${v.num('bore')}² × ${v.num('stroke')} × ${v.num('cylinders')}`,
    }),
  },
  {
    name: 'compression-ratio',
    title: 'Compression ratio',
    source: 'geometry',
    inputs: [
      measure('bore', 'Bore', 'mm', '86', 10, 1000),
      measure('stroke', 'Stroke', 'mm', '86', 10, 2000),
      measure('chamber', 'Chamber', 'cm³', '45', 0.5, 20_000),
      measure('gasket', 'Gasket, pressed', 'mm', '1.2', 0, 20),
      measure('deck', 'Piston below deck', 'mm', '0.3', -20, 50),
      measure('dish', 'Dish (dome negative)', 'cm³', '4', -2000, 5000),
    ],
    run: (v) => {
      const swept = sums.displacementCm3(v.num('bore'), v.num('stroke'), 1);
      const ratio = sums.compressionRatio({
        sweptCm3: swept,
        chamberCm3: v.num('chamber'),
        gasketCm3: sums.discCm3(v.num('bore'), v.num('gasket')),
        deckCm3: sums.discCm3(v.num('bore'), v.num('deck')),
        dishCm3: v.num('dish'),
      });
      return {
        results: [out('Compression ratio', ratio, '', 2)],
        because: `(${swept.toFixed(1)} cm³ + volume above the piston) / volume above the piston`,
      };
    },
  },
  {
    name: 'top-dead-centre',
    title: 'Top dead centre by positive stop',
    source: 'geometry: the middle between the two readings',
    inputs: [
      measure('one', 'Stop one way', 'deg', '-32', -360, 360),
      measure('two', 'Stop the other way', 'deg', '28', -360, 360),
    ],
    run: (v) => ({
      results: [out('Top dead centre stands at', sums.topDeadCentreDeg(v.num('one'), v.num('two')), 'deg')],
      because: `halfway from ${v.num('one')}° to ${v.num('two')}°, the shorter way round the wheel`,
    }),
  },
  {
    name: 'ring-gap',
    title: 'Least ring gap',
    source: 'common practice, street use; the ring maker first',
    inputs: [measure('bore', 'Bore', 'mm', '86', 10, 1000)],
    run: (v) => ({
      results: [out('Least gap', sums.ringGapMm(v.num('bore')), 'mm', 3)],
      because: `0.004 × ${v.num('bore')} mm`,
    }),
  },
  {
    name: 'bearing-clearance',
    title: 'Bearing clearance wanted',
    source: 'common practice; the maker first',
    inputs: [measure('journal', 'Journal', 'mm', '55', 3, 1000)],
    run: (v) => ({
      results: [out('Clearance', sums.bearingClearanceMm(v.num('journal')), 'mm', 3)],
      because: `0.001 × ${v.num('journal')} mm + 0.0127 mm`,
    }),
  },
  {
    name: 'injector',
    title: 'Injector flow at another pressure',
    source: 'orifice equation',
    inputs: [
      measure('flow', 'Flow as rated', 'mL/min', '315', 1, 20_000),
      measure('rated', 'At pressure', 'bar', '3', 0.1, 400),
      measure('pressure', 'Pressure here', 'bar', '4', 0.1, 400),
    ],
    run: (v) => ({
      results: [out('Flow', sums.injectorFlowAt(v.num('flow'), v.num('rated'), v.num('pressure')), 'mL/min')],
      because: `${v.num('flow')} × √(${v.num('pressure')} / ${v.num('rated')})`,
    }),
  },
  {
    name: 'fuel-need',
    title: 'Fuel burnt at full power, pump wanted',
    source: 'common practice: 0.30 kg/kWh, 0.38 boosted, 0.745 kg/L (EN 228), 1.25 times',
    inputs: [measure('power', 'Power', 'kW', '110', 0.1, 10_000), choice('boosted', 'Boosted', ['no', 'yes'])],
    run: (v) => {
      const need = sums.fuelNeedLh(v.num('power'), v.word('boosted') === 'yes');
      return {
        results: [out('Burnt', need, 'L/h'), out('Pump at rail pressure', need * 1.25, 'L/h')],
        because: `${v.num('power')} kW × ${v.word('boosted') === 'yes' ? 0.38 : 0.3} / 0.745 × 1.25`,
      };
    },
  },
  {
    name: 'coolant',
    title: 'Freezing point and boiling under a cap',
    source: 'ASHRAE Fundamentals (freezing, memory); Antoine equation for water (boiling)',
    inputs: [measure('glycol', 'Glycol by volume', '%', '50 %', 0, 100), measure('cap', 'Cap', 'bar', '1.03', 0, 5)],
    run: (v) => ({
      results: [
        out('Freezes near', sums.coolantFreezesC(v.num('glycol') / 100), '°C', 0),
        out('Water boils at', sums.waterBoilsC(v.num('cap')), '°C', 0),
      ],
      because: `${v.num('glycol')} % between table points; ${v.num('cap')} bar over 1.013 bar`,
    }),
  },
  {
    name: 'gearing',
    title: 'Engine speed at a road speed',
    source: 'geometry; tyre by ETRTO, loaded 97 % (common practice)',
    inputs: [
      measure('speed', 'Road speed', 'km/h', '110', 0.1, 700),
      { key: 'tyre', label: 'Tyre size', text: true, example: '205/55 R16' },
      measure('gear', 'Gear ratio', '', '0.8', 0.1, 30),
      measure('axle', 'Axle ratio', '', '3.9', 0.1, 30),
    ],
    run: (v) => {
      const d = sums.tyreDiameterMm(v.word('tyre'));
      if (d === undefined) throw new RangeError(`"${v.word('tyre')}" is not a tyre size: write it like 205/55 R16.`);
      const round = Math.PI * d * 0.97;
      return {
        results: [
          out('Engine speed', sums.engineRpmAt(v.num('speed'), round, v.num('gear'), v.num('axle')), 'rpm'),
          out('Tyre diameter', d, 'mm', 1),
        ],
        because: `${v.num('speed')} km/h over ${round.toFixed(0)} mm a turn × ${v.num('gear')} × ${v.num('axle')}`,
      };
    },
  },
  {
    name: 'traction',
    title: 'Pull at the wheel against its grip',
    source: 'statics; friction of a road tyre on dry asphalt 0.9, 85 % of the torque arrives (common practice)',
    inputs: [
      measure('torque', 'Engine torque', 'N·m', '400 N·m', 1, 5000),
      measure('gear', 'Gear ratio', '', '3.2', 0.1, 30),
      measure('axle', 'Axle ratio', '', '3.45', 0.1, 30),
      measure('circumference', 'Rolling circumference', 'mm', '1960 mm', 500, 6000),
      measure('load', 'Mass on the driven wheels', 'kg', '620 kg', 50, 20_000),
      measure('friction', 'Friction', '', '0.9', 0.05, 3),
    ],
    run: (v) => {
      const pull = sums.wheelPullN(v.num('torque'), v.num('gear'), v.num('axle'), v.num('circumference'), 0.85);
      const grip = sums.gripN(v.num('friction'), v.num('load'), 'all');
      return {
        results: [
          out('Pull', pull, 'N', 0),
          out('Grip at rest', grip, 'N', 0),
          out('Pull over grip', pull / grip, '', 2),
        ],
        because: `${v.num('torque')} N·m × ${v.num('gear')} × ${v.num('axle')} × 0.85 at the rolling radius, over ${v.num('friction')} × ${v.num('load')} kg × 9.81; load that moves to the rear as it pulls is left out`,
      };
    },
  },
  {
    name: 'power-correction',
    title: 'Power corrected to standard air',
    source: 'SAE J1349, memory',
    inputs: [
      measure('dry-pressure', 'Dry pressure', 'hPa', '960', 500, 1200),
      measure('air', 'Air', '°C', '35', -60, 80),
      measure('power', 'Power read', 'kW', '100', 0.1, 10_000),
    ],
    run: (v) => {
      const cf = sums.powerCorrection(v.num('dry-pressure'), v.num('air'));
      return {
        results: [out('Factor', cf, '', 4), out('Corrected', cf * v.num('power'), 'kW')],
        because: `1.180 (990 / ${v.num('dry-pressure')}) √((${v.num('air')} + 273) / 298) − 0.18`,
      };
    },
  },
  {
    name: 'trap-speed',
    title: 'Power from the speed through a quarter mile',
    source: 'common practice, memory',
    inputs: [
      measure('mass', 'Mass with driver', 'lb', '3000 lb', 50, 100_000),
      measure('speed', 'Speed', 'mph', '100 mph', 1, 500),
    ],
    run: (v) => ({
      results: [out('Power', sums.powerFromTrapHp(v.num('mass'), v.num('speed')), 'hp')],
      because: `${v.num('mass').toFixed(0)} lb × (${v.num('speed')} / 234)³`,
    }),
  },
  {
    name: 'identity',
    title: 'Vehicle identification number',
    source: 'ISO 3779; 49 CFR 565',
    inputs: [
      { key: 'vin', label: 'Number', text: true, example: '1M8GDM9AXKP042788' },
      measure('year', 'Model year', '', '1989', 1886, 2100, { optional: true, whole: true }),
    ],
    run: (v) => {
      const check = sums.checkIdentity(v.word('vin'), v.maybe('year'));
      return {
        results: [say('State', check.state.replaceAll('-', ' ')), say('Read', check.vin)],
        because: check.sentence,
      };
    },
  },
  {
    name: 'live-data',
    title: 'Live data by parameter',
    source: 'SAE J1979, ISO 15031-5',
    inputs: [
      choice('pid', 'Parameter', Object.keys(sums.liveValues)),
      { key: 'bytes', label: 'Bytes', text: true, example: '1A F8' },
    ],
    run: (v) => {
      const value = sums.liveValues[v.word('pid')]!;
      const figures = v.word('bytes').replace(/0x|[\s,;:-]/gi, '');
      const bytes = (figures.match(/../g) ?? []).map((b) => Number.parseInt(b, 16));
      if (!/^(?:[0-9a-f]{2})+$/i.test(figures) || bytes.length !== value.bytes)
        throw new RangeError(
          `${value.name} has ${value.bytes} byte${value.bytes > 1 ? 's' : ''}, written as two hexadecimal figures each.`,
        );
      return {
        results: [
          out(
            value.name,
            value.read(bytes[0]!, bytes[1] ?? 0),
            value.unit === 'g/s' || value.unit === 'kPa' ? (value.unit === 'kPa' ? 'kPa' : '') : value.unit,
          ),
        ],
        because: `bytes ${v.word('bytes')}`,
      };
    },
  },
];

const byName = new Map(calculators.map((c) => [c.name, c]));

export type CalcOutcome = { ok: true; result: CalcResult } | { ok: false; errors: Record<string, string> };

/** The sentence that refuses a value which is no such thing; nothing where it can be one. */
function outOf({ label, unit = '', range }: CalcInput, value: number): string | undefined {
  if (!range) return undefined;
  const { least, most, whole } = range;
  if (whole && !Number.isInteger(value)) return `${label} is a whole number.`;
  if (value >= least && value <= most) return undefined;
  return `${label} is from ${least} to ${most}${unit ? ` ${unit}` : ''}, not ${formatMeasure(value, unit)}.`;
}

/** Runs a calculator on what people typed. Bad input comes back as sentences by input; nothing is thrown for it. */
export function runCalculator(name: string, typed: Readonly<Record<string, string>>): CalcOutcome {
  const calc = byName.get(name);
  if (!calc) return { ok: false, errors: { name: `There is no calculator "${name}". "--list" shows them.` } };
  const values: Record<string, number | string> = {};
  const errors: Record<string, string> = {};
  for (const key of Object.keys(typed))
    if (!calc.inputs.some((i) => i.key === key))
      errors[key] = `${calc.title} has no input "${key}": it takes ${calc.inputs.map((i) => i.key).join(', ')}.`;
  for (const input of calc.inputs) {
    const text = typed[input.key]?.trim() ?? '';
    if (text === '') {
      if (!input.optional) errors[input.key] = `${input.label} is wanted, for example ${input.example}.`;
      continue;
    }
    if (input.options) {
      if (input.options.includes(text)) values[input.key] = text;
      else errors[input.key] = `"${text}" is not one of: ${input.options.join(', ')}.`;
    } else if (input.text) values[input.key] = text;
    else {
      const m = parseMeasure(text, input.unit ?? '');
      const fault = m.ok ? outOf(input, m.measure.value) : m.sentence;
      if (m.ok && fault === undefined) values[input.key] = m.measure.value;
      else errors[input.key] = fault!;
    }
  }
  if (Object.keys(errors).length > 0) return { ok: false, errors };
  try {
    const { results, because } = calc.run({
      num: (key) => values[key] as number,
      maybe: (key) => values[key] as number | undefined,
      word: (key) => String(values[key]),
      maybeWord: (key) => values[key] as string | undefined,
    });
    // Values that are possible each by itself may still have no answer together.
    if (results.some((r) => typeof r.value === 'number' && !Number.isFinite(r.value)))
      return { ok: false, errors: { result: 'With these values together the sum has no answer.' } };
    return { ok: true, result: { results, because, source: calc.source } };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ok: false, errors: { result: error.message } };
  }
}
