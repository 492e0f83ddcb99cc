import { exhaustBoreMm } from '../../sums/index.ts';
import { withGaps, rule } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';

/** Places that a swap meets beside its space and its driveline: mounts that stay, exhaust, air, heads, wheels. */

/** Straight pipe before an air sensor, in bores. Common practice, no source. */
const straightBores = 10;
/** Part of the power that a converter turns to heat. A working estimate. */
const converterHeat = 0.05;
const turbo = (e: FitEvidence): string | undefined => e.maybeWord('eng-induction');

export const besideRules = [
  rule(
    'fit-present-mounts',
    'common practice: within 15 % of the mass and 30 % of the torque that they carried',
    (e) => {
      if (e.word('cho-mount-school') !== 'recipient-arms')
        return e.say('bolts-up', 'its own mounts go: others are looked at where they are made');
      e.want(['eng-mass']);
      const mass = e.fact('eng-mass').over(e.outgoing('eng-mass'), 'Mass, of the engine that leaves');
      const torque = (e.maybe('cho-power-target', 'torque') ?? e.fact('eng-torque')).over(
        e.outgoing('eng-torque'),
        'Torque, of the engine that leaves',
      );
      const times = (n: number): string => `${n.toFixed(2)} times`;
      const heavy = mass.value > 1.15;
      const sum = heavy ? mass : torque;
      const more = { sum, label: heavy ? 'Mass over that of the old' : 'Torque over that of the old' };
      if (mass.value > 1.5 || torque.value > 2)
        return e.say(
          'clash',
          `${times(mass.value)} the mass, ${times(torque.value)} the torque they were made for`,
          more,
        );
      if (heavy || torque.value > 1.3)
        return e.say(
          'adapt',
          `${times(mass.value)} the mass, ${times(torque.value)} the torque: stiffer, and rated for it`,
          more,
        );
      return e.say('bolts-up', 'mass and torque as they were; height and bosses by trial', more);
    },
  ),
  rule('fit-exhaust-bore', 'common practice: 2.2 cfm a horsepower, 115 cfm a square inch', (e) => {
    e.want(['cho-exhaust-bore'], ['cho-exhaust-bore', 'pipes'], ['cho-exhaust-bore', 'steel']);
    const power = e.maybe('cho-power-target') ?? e.fact('eng-power');
    const bore = e.fact('cho-exhaust-bore');
    const pipes = e.fact('cho-exhaust-bore', 'pipes');
    const need = power.through(
      'Bore wanted of each pipe',
      'mm',
      (kw, n) => exhaustBoreMm(kw, n),
      'common practice',
      pipes,
    );
    const spare = bore.minus(need);
    const steel = e.word('cho-exhaust-bore', 'steel');
    // Four fifths of the area are 0.894 of the bore.
    const verdict = e.judge('Bore over what is wanted', spare, {
      boltsUp: [0, Infinity],
      adapt: [(Math.sqrt(0.8) - 1) * need.value, Infinity],
    });
    const charged = turbo(e);
    if (
      verdict.word === 'bolts-up' &&
      ['mild', 'aluminised'].includes(steel) &&
      charged !== undefined &&
      charged !== 'none'
    )
      return e.say(
        'adapt',
        `bore is enough; ${steel} steel burns away behind a turbine: stainless for the first metre`,
        {
          sum: spare,
          label: 'Bore over what is wanted',
        },
      );
    return e.sure(verdict, ['eng-induction']);
  }),
  rule('fit-exhaust-reach', 'by hand and eye; gap to the starter by the clearance rows', (e) => {
    const part = 'cho-exhaust-reach' as const;
    e.want([part, 'comes-off'], [part, 'wastegate'], [part, 'starter-gap']);
    const gate = e.word(part, 'wastegate');
    if (gate === 'touches') return e.say('clash', 'arm of the wastegate touches: boost is not held');
    const gap = e.fact(part, 'starter-gap');
    const need = e.clearance('cl-exh-starter');
    const left = gap.minus(need);
    const shield = e.maybeWord(part, 'starter-shield');
    const more = { sum: left, label: 'Gap to the starter over the least', margin: { value: left.value, unit: 'mm' } };
    if (left.value < 0 && shield !== 'yes')
      return e.say(
        'clash',
        withGaps(`${gap.value} mm to the starter, {cl-exh-starter} wanted, no shield written`),
        more,
      );
    if (left.value < 0) return e.say('adapt', `${gap.value} mm to the starter, behind its shield: read it hot`, more);
    if (e.word(part, 'comes-off') === 'no')
      return e.say('adapt', 'comes off only with the engine moved: said at hand over', more);
    return e.say('bolts-up', 'comes off with the engine in, starter clear', more);
  }),
  rule('fit-air-meter', `common practice: bore within 1 mm, ${straightBores} bores of straight pipe before it`, (e) => {
    const kind = e.word('eng-load-sensor');
    if (!['air-mass', 'both', 'vane'].includes(kind)) return e.say('bolts-up', 'no air sensor to house');
    e.want(
      ['eng-load-sensor', 'style'],
      ['eng-load-sensor', 'body-bore'],
      ['cho-air-housing', 'style'],
      ['cho-air-housing', 'bore'],
      ['cho-air-housing', 'arrow'],
      ['cho-air-housing', 'straight-before'],
    );
    const [style, housing] = [e.word('eng-load-sensor', 'style'), e.word('cho-air-housing', 'style')];
    if (style !== housing) return e.say('clash', `${style} sensor, housing for ${housing}`);
    const arrow = e.word('cho-air-housing', 'arrow');
    if (arrow === 'against') return e.say('clash', 'sits against the flow');
    const step = e
      .fact('cho-air-housing', 'bore')
      .minus(e.fact('eng-load-sensor', 'body-bore'))
      .size('Step of the bores');
    if (step.value > 1)
      return e.say('adapt', `bore ${step.value} mm off: the scale in the engine unit is of another pipe`, {
        sum: step,
        label: 'Step of the bores',
        margin: { value: 1 - step.value, unit: 'mm' },
      });
    const straight = e
      .fact('cho-air-housing', 'straight-before')
      .minus(
        e
          .fact('cho-air-housing', 'bore')
          .times(e.limit('Bores of straight pipe', straightBores, '', 'common practice'), 'Straight run wanted'),
      );
    const verdict = e.judge('Straight run over what is wanted', straight, {
      boltsUp: [0, Infinity],
      adapt: [-Infinity, Infinity],
    });
    if (arrow === 'not-seen' && verdict.word === 'bolts-up')
      return {
        ...verdict,
        word: 'not-measured',
        headline: 'style and bore agree; nobody saw the arrow',
        needs: [{ factId: 'cho-air-housing', partKey: 'arrow' }],
      };
    return verdict;
  }),
  rule(
    'fit-carburettors',
    'common practice: mouths within 0.5 mm, sensor 0.3 to 0.9 V closed, 3.8 to 4.8 V open',
    (e) => {
      if (e.word('eng-fuelling') !== 'carburettor') return e.say('bolts-up', 'no carburettors');
      const bank = 'eng-carburettors' as const;
      e.want([bank, 'spacing'], [bank, 'port-spacing']);
      const off = e.fact(bank, 'spacing').minus(e.fact(bank, 'port-spacing')).size('Off the ports');
      const more = { sum: off, label: 'Off the ports', margin: { value: 0.5 - off.value, unit: 'mm' } };
      if (off.value > 5) return e.say('clash', `mouths ${off.value.toFixed(1)} mm off the ports`, more);
      if (off.value > 0.5)
        return e.say('adapt', `mouths ${off.value.toFixed(1)} mm off: a manifold, or the bank spaced`, more);
      const [closed, open] = [e.maybe(bank, 'closed'), e.maybe(bank, 'open')];
      const out = (sum: typeof closed, least: number, most: number): boolean =>
        sum !== undefined && (sum.value < least || sum.value > most);
      if (out(closed, 0.3, 0.9) || out(open, 3.8, 4.8))
        return e.say(
          'adapt',
          `throttle sensor ${closed?.value ?? '?'} V closed, ${open?.value ?? '?'} V open: set it`,
          more,
        );
      return e.sure(
        e.say('bolts-up', 'mouths on the ports, sensor in its range', more),
        [bank, 'closed'],
        [bank, 'open'],
      );
    },
  ),
  rule('fit-heads', 'common practice; compression by volumes', (e) => {
    const which = e.maybeWord('cho-heads');
    if (which === undefined && e.maybeWord('cho-engine-depth') === 'closed')
      return e.say('bolts-up', 'the engine stays closed: its own heads');
    if (e.word('cho-heads') === 'own') return e.say('bolts-up', 'own heads');
    const part = 'cho-heads' as const;
    e.want(
      [part, 'head-bore'],
      [part, 'block-bore'],
      [part, 'studs'],
      [part, 'oil-passages'],
      [part, 'water-passages'],
    );
    const over = e.fact(part, 'block-bore').minus(e.fact(part, 'head-bore'));
    const more = { sum: over, label: 'Bore of the block over that of the heads' };
    if (over.value > 0)
      return e.say('clash', `bore ${over.value.toFixed(1)} mm larger than the heads are made for`, more);
    const differ = (['studs', 'oil-passages', 'water-passages'] as const).filter((p) => e.word(part, p) === 'differ');
    if (differ.length > 0) return e.say('clash', `differ: ${differ.join(', ').replaceAll('-', ' ')}`, more);
    const [swept, clearance] = [e.maybe(part, 'swept'), e.maybe(part, 'clearance')];
    if (!swept || !clearance || clearance.value <= 0)
      return e.say('adapt', 'faces agree; compression is not known without the volumes; unproved until it ran', more);
    const ratio = swept.through('Compression that results', '', (v, c) => (v + c) / c, 'volumes', clearance);
    return e.say('adapt', `faces agree, compression ${ratio.value.toFixed(1)} to 1; unproved until it ran`, {
      sum: ratio,
      label: 'Compression that results',
    });
  }),
  rule('fit-wheels', 'geometry: patterns within 0.2 mm', (e) => {
    const [wheels, hubs] = [e.maybeWord('cho-outside', 'wheels'), e.word('cho-hubs')];
    if (hubs === 'as-they-are' && wheels === 'as-they-are') return e.say('bolts-up', 'wheels and hubs stay');
    const part = 'rec-wheels' as const;
    e.want(
      [part, 'front-bolts'],
      [part, 'front-circle'],
      [part, 'rear-bolts'],
      [part, 'rear-circle'],
      ['cho-outside', 'wheels'],
    );
    const circle = e.fact(part, 'front-circle').minus(e.fact(part, 'rear-circle')).size('Circles differ by');
    const bolts = e.fact(part, 'front-bolts').minus(e.fact(part, 'rear-bolts')).size('Bolts differ by');
    const extra =
      bolts.value > 0 ? { sum: bolts, label: 'Bolts differ by' } : { sum: circle, label: 'Circles differ by' };
    if (bolts.value > 0 || circle.value > 0.2)
      return e.say('adapt', 'two patterns: a spare serves one axle only', extra);
    return e.sure(
      e.say('bolts-up', 'one pattern front and rear; spigots and nuts by hand', extra),
      [part, 'front-hub'],
      [part, 'rear-hub'],
    );
  }),
  rule(
    'fit-gearbox-cooler',
    "heat of lock-up by the maker, else 5 % of the power, a working estimate; the cooler's data sheet",
    (e) => {
      const part = 'cho-gearbox-cooler' as const;
      const oldWork = e.maybeWord(part, 'old-cooler-was-for');
      if (oldWork !== undefined && oldWork !== 'nothing') {
        const done = e.word(part, 'its-work-done-by');
        if (done === 'nobody')
          return e.say('clash', `the cooler that went was for the ${oldWork.replace('-', ' ')}: nothing does its work`);
      }
      const kind = e.word('gbx-kind');
      if (['manual', 'transaxle-manual'].includes(kind))
        return e.say('bolts-up', 'no converter: no cooler wanted for its kind, unless its maker asks for one');
      const cooler = e.word(part);
      if (cooler === 'none') return e.say('clash', 'a converter without a cooler burns its fluid');
      const duty = e.fact(part, 'duty');
      const power = e.maybe('cho-power-target') ?? e.maybe('eng-power');
      const heat =
        e.maybe('gbx-cooler-ports', 'lock-up-heat') ??
        (power ?? e.fact('eng-power')).times(
          e.assume('Of the power, turned to heat', converterHeat, '', 'working estimate, the converter not locked'),
          'Heat of the converter',
        );
      return e.judge(
        'Duty over the heat',
        duty.minus(heat),
        { boltsUp: [0, Infinity], adapt: [-0.3 * heat.value, Infinity] },
        (word) =>
          word === 'bolts-up'
            ? `carries off ${duty.value} kW`
            : `carries off ${duty.value} of ${heat.value.toFixed(1)} kW: a larger one, or one more in front`,
      );
    },
  ),
];
