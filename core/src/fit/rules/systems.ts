import { dieselNeedLh, fuelNeedLh } from '../../sums/index.ts';
import { marginIn } from '../../rules/evidence.ts';
import { farthestOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';
import { rule } from '../evidence.ts';

/** The largest step between bores that a hose must join; each pair is given as this end less that one. */
const largestStep = (label: string, pairs: readonly (readonly [name: string, step: Sum])[]): Sum =>
  farthestOf(pairs).sum.size(label);

/** A formed line end turns so far before it kinks inside, degrees. Common practice, no source. */
const mostTurnedDeg = 5;

export const systemRules = [
  rule('fit-coolant-ports', 'common practice: stub = hose bore, 0 to +1 mm; step hose up to 10 mm', (e) => {
    e.want(
      ['eng-coolant-ports', 'outlet-side'],
      ['eng-coolant-ports', 'inlet-side'],
      ['rec-radiator-ports', 'inlet-side'],
      ['rec-radiator-ports', 'outlet-side'],
      ['eng-coolant-ports', 'outlet-bore'],
      ['eng-coolant-ports', 'inlet-bore'],
      ['rec-radiator-ports', 'inlet-bore'],
      ['rec-radiator-ports', 'outlet-bore'],
    );
    const sum = largestStep('Largest step between bores', [
      [
        'Step at the upper hose',
        e.fact('eng-coolant-ports', 'outlet-bore').minus(e.fact('rec-radiator-ports', 'inlet-bore')),
      ],
      [
        'Step at the lower hose',
        e.fact('eng-coolant-ports', 'inlet-bore').minus(e.fact('rec-radiator-ports', 'outlet-bore')),
      ],
    ]);
    const worst = sum.value;
    const crossed =
      e.word('eng-coolant-ports', 'outlet-side') !== e.word('rec-radiator-ports', 'inlet-side') ||
      e.word('eng-coolant-ports', 'inlet-side') !== e.word('rec-radiator-ports', 'outlet-side');
    const extra = { sum, label: 'Largest step between bores', margin: marginIn(sum, [-Infinity, 10]) };
    if (worst > 10) return e.say('clash', `bores ${worst} mm apart`, extra);
    if (crossed) return e.say('adapt', 'sides differ: cross-over hose', extra);
    return worst <= 1
      ? e.say('bolts-up', 'bores and sides agree', extra)
      : e.say('adapt', `step hose for ${worst} mm`, extra);
  }),
  rule('fit-heater', 'common practice: same bore, step pieces otherwise', (e) => {
    if (e.word('cho-heater') === 'deleted')
      return e.say('bolts-up', 'heater deleted: check that the law lets demist go');
    e.want(
      ['eng-coolant-ports', 'heater-out-bore'],
      ['eng-coolant-ports', 'heater-in-bore'],
      ['rec-heater-bore', 'in'],
      ['rec-heater-bore', 'out'],
    );
    const sum = largestStep('Largest step', [
      [
        'Step at the hose to the heater',
        e.fact('eng-coolant-ports', 'heater-out-bore').minus(e.fact('rec-heater-bore', 'in')),
      ],
      [
        'Step at the hose from the heater',
        e.fact('eng-coolant-ports', 'heater-in-bore').minus(e.fact('rec-heater-bore', 'out')),
      ],
    ]);
    return e.judge('Largest step', sum, { boltsUp: [-Infinity, 1], adapt: [-Infinity, Infinity] }, (word) =>
      word === 'bolts-up' ? 'bores agree' : `step pieces for ${sum.value} mm`,
    );
  }),
  rule('fit-ac', 'common practice; the circuit is opened by a certified person only (law)', (e) => {
    const choice = e.word('cho-ac');
    if (choice !== 'kept') return e.say('bolts-up', choice === 'later' ? 'room reserved for later' : 'deleted');
    if (e.word('rec-ac-state') === 'none') return e.say('clash', 'kept as a wish, but the car has no circuit');
    const ends = e.maybeWord('cho-ac-ends');
    const turned = ends === 'turned' ? e.fact('cho-ac-ends', 'turned-by') : undefined;
    if (turned && Math.abs(turned.value) > mostTurnedDeg)
      return e.say('clash', `line end turned by ${turned.value} deg: it kinks inside`, {
        sum: e.limit('Most that an end turns', mostTurnedDeg, 'deg', 'common practice').minus(turned.size('Turned by')),
        label: 'Left of the turn',
      });
    if (
      ends !== undefined &&
      ends !== 'as-they-are' &&
      ends !== 'made-new' &&
      e.maybeWord('cho-ac-ends', 'looked-at') !== 'yes'
    )
      return e.say('adapt', `line ends ${ends}: nobody looked for a kink yet; evacuated and held before it is charged`);
    if (e.word('eng-ac-compressor') === 'none') return e.say('adapt', 'engine brings no compressor: bracket added');
    const [kind, own] = [e.maybeWord('eng-ac-compressor', 'kind'), e.maybeWord('rec-ac-state', 'compressor-kind')];
    if (kind && own && kind !== own)
      return e.say(
        'adapt',
        kind === 'variable'
          ? 'its compressor is steered by a valve, the car switches a clutch: who sends that signal'
          : 'its compressor has a clutch, the car steers a valve: relay and pressure switch of its own',
      );
    const [pins, wired] = [e.maybe('eng-ac-compressor', 'plug-pins'), e.maybe('rec-ac-state', 'plug-pins')];
    if (pins && wired && pins.value !== wired.value)
      return e.say(
        'adapt',
        `plug of ${pins.value} pins, the car has ${wired.value}: signals told apart before it is wired`,
        {
          sum: pins.minus(wired),
          label: 'Pins more than the car has',
        },
      );
    return e.say(
      'adapt',
      pins && wired ? 'plug pins agree, hose ends to be matched' : 'hose ends and plug pins to be matched',
    );
  }),
  rule('fit-power-steering', 'common practice; the gear maker first', (e) => {
    const choice = e.word('cho-ps');
    const assist = e.word('rec-steering-assist');
    if (choice === 'manual')
      return e.say(
        assist === 'manual' ? 'bolts-up' : 'adapt',
        assist === 'manual' ? 'manual gear stays' : "manual gear as a set, with the customer's consent",
      );
    if (choice === 'electric' || assist.startsWith('electric'))
      return e.say(
        assist.startsWith('electric') ? 'bolts-up' : 'adapt',
        assist.startsWith('electric') ? 'electric already' : 'electric pump with its own fuse, in the charging balance',
      );
    const pump = e.word('eng-ps-pump');
    return pump === 'none'
      ? e.say('clash', 'hydraulic wanted, engine has no pump')
      : e.say('adapt', 'thread, seat and flow of both ends to be matched');
  }),
  rule('fit-booster-vacuum', 'common practice: at least 60 kPa at idle, reservoir from 45', (e) => {
    const assist = e.word('rec-brake-assist');
    if (assist === 'hydraulic') {
      const steering = e.word('cho-ps');
      if (steering !== 'kept-hydraulic') return e.say('clash', 'brake help from the steering pump, and the pump goes');
      return e.word('eng-ps-pump') === 'none'
        ? e.say('clash', 'brake help from a steering pump, and the engine has none')
        : e.say('bolts-up', 'steering pump feeds the brake help');
    }
    if (assist !== 'vacuum') return e.say('bolts-up', 'brakes want no engine vacuum');
    if (e.word('eng-fuel') === 'diesel' && !e.maybe('eng-vacuum-ports', 'idle-vacuum'))
      return e.maybeWord('rec-fuel-before') === 'diesel'
        ? e.say('adapt', "a diesel makes no vacuum: the car's own vacuum pump moves over")
        : e.say('clash', 'a diesel makes no vacuum: pump wanted');
    const spare = e
      .fact('eng-vacuum-ports', 'idle-vacuum')
      .minus(e.limit('Least at idle', 60, 'kPa', 'common practice'));
    const port = e.maybe('eng-vacuum-ports', 'booster-port-bore');
    const hose = e.maybe('rec-booster-hose-bore');
    if (spare.value >= 0 && port && hose && Math.abs(port.value - hose.value) > 0.5)
      return e.say('adapt', `port ${port.value} mm, hose ${hose.value} mm: stepped adapter`, {
        sum: spare,
        label: 'Vacuum over the least',
        margin: { value: spare.value, unit: 'kPa' },
      });
    return e.sure(
      e.judge('Vacuum over the least', spare, { boltsUp: [0, Infinity], adapt: [-15, Infinity] }),
      ['eng-vacuum-ports', 'booster-port-bore'],
      ['rec-booster-hose-bore'],
    );
  }),
  rule(
    'fit-brakes-power',
    'common practice: power up by less than a third; a competent person and the law first',
    (e) => {
      e.want(['rec-power-before'], ['rec-power-before', 'taken-at'], ['rec-brake-kind', 'front']);
      const after = e.maybe('cho-power-target') ?? e.fact('eng-power');
      const typed = e.fact('rec-power-before');
      const atWheels = e.word('rec-power-before', 'taken-at') === 'wheels';
      // Read at the wheels it was at most so much at the crank: a rise above that is certain, one below it is not known.
      const before = atWheels
        ? typed.over(
            e.limit('Least share that reaches the wheels', 0.7, '', 'common practice'),
            'At the crank at the most',
          )
        : typed;
      const sum = after
        .minus(before)
        .over(before, 'Power up by', '')
        .times(e.limit('In a hundred', 100, '%', 'geometry'), 'Power up by', '%');
      const rise = sum.value;
      const weak =
        e.word('rec-brake-kind', 'front') === 'drum' || e.maybeWord('rec-brake-kind', 'hose-age') === 'cracked';
      const word = rise >= 100 && weak ? 'clash' : rise < 100 / 3 && !weak ? 'bolts-up' : 'adapt';
      if (atWheels && rise < 100 / 3)
        return {
          ...e.say('not-measured', 'before is at the wheels, after at the crank: not comparable'),
          needs: [{ factId: 'rec-power-before', partKey: 'value' }],
        };
      const said = { sum, label: 'Power up by', margin: marginIn(sum, [-Infinity, 100 / 3]) };
      if (word !== 'bolts-up')
        return e.say(
          word,
          `power up ${atWheels ? 'at least ' : ''}${rise.toFixed(0)} %${weak ? ', weak front brakes' : ''}: brake and spring review`,
          said,
        );
      const axle = e.fact('rec-axle-masses', 'front');
      const heavier = e
        .fact('eng-mass')
        .minus(e.outgoing('eng-mass'))
        .over(axle, 'Front mass up by', '')
        .times(e.limit('In a hundred', 100, '%', 'geometry'), 'Front mass up by', '%');
      if (heavier.value > 5)
        return e.say('adapt', `front mass up ${heavier.value.toFixed(0)} %: brake and spring review`, {
          sum: heavier,
          label: 'Front mass up by',
          margin: marginIn(heavier, [-Infinity, 5]),
        });
      return e.sure(
        e.say(word, `power up ${rise.toFixed(0)} %`, said),
        ['rec-brake-kind', 'hose-age'],
        ['rec-brake-kind', 'rear'],
      );
    },
  ),
  rule('fit-fuel-pressure', 'common practice: tank, pump, rail and regulator of one kind', (e) => {
    const system = e.word('cho-fuel-system');
    const fuelling = e.word('eng-fuelling');
    if (fuelling === 'carburettor')
      return e.say(
        system === 'carburettor-low-pressure' ? 'bolts-up' : 'adapt',
        system === 'carburettor-low-pressure'
          ? 'low pressure for a carburettor'
          : 'pressure cut to 0.2 to 0.5 bar with a return',
      );
    if (fuelling.startsWith('diesel'))
      return e.say(
        system === 'diesel-suction' ? 'bolts-up' : 'clash',
        system === 'diesel-suction' ? 'suction supply for a diesel' : 'a diesel wants its suction supply',
      );
    if (system === 'carburettor-low-pressure' || system === 'diesel-suction')
      return e.say('clash', 'this supply cannot reach the rail pressure');
    const ports = e.word('eng-rail-ports');
    const tank = e.word('rec-tank-ports');
    const returns = tank !== 'feed-only';
    if (system === 'return-regulator-on-rail') {
      if (ports === 'one') return e.say('clash', 'one-port rail: surplus fuel has no way back');
      return e.say(
        returns ? 'bolts-up' : 'adapt',
        returns ? 'two-port rail, return to the tank' : 'return line to be added to the tank',
      );
    }
    if (system === 'return-regulator-external')
      return e.say('adapt', returns ? 'external regulator with return' : 'external regulator, return line to be added');
    if (ports === 'two')
      return e.say('adapt', 'two-port rail on a returnless supply: one end closed by the right plug');
    return e.say(
      system === 'returnless-tank-regulator' && tank === 'feed-only' ? 'adapt' : 'bolts-up',
      tank === 'feed-only' ? 'filter-regulator plus return' : 'one-port rail, regulator at the tank',
    );
  }),
  rule('fit-tank', 'common practice: pick-up stays covered', (e) => {
    const fuelling = e.word('eng-fuelling');
    if (fuelling === 'carburettor' || fuelling.startsWith('diesel'))
      return e.say('bolts-up', 'a float chamber or suction pump bears a moment of air');
    const baffled = e.word('rec-tank-baffled');
    if (baffled === 'yes') return e.say('bolts-up', 'baffled tank');
    return e.maybeWord('cho-pump-place') === 'surge-pot'
      ? e.say('adapt', 'plain tank, surge pot planned')
      : e.say('clash', 'plain tank under injection sucks air when fuel moves');
  }),
  rule('fit-pump-flow', 'common practice: 0.30 kg/kWh, 0.38 boosted, 0.745 kg/L, at least 1.25 times the need', (e) => {
    if (e.word('eng-fuelling') === 'diesel-mechanical') return e.say('bolts-up', 'pump on the engine');
    const power = e.maybe('cho-power-target') ?? e.fact('eng-power');
    const boosted = e.word('eng-induction') !== 'none';
    const diesel = e.word('eng-fuelling').startsWith('diesel');
    const need = power.through(
      `Burnt at full power, ${diesel ? '0.22' : boosted ? '0.38' : '0.30'} kg/kWh`,
      'L/h',
      (kw) => (diesel ? dieselNeedLh(kw) : fuelNeedLh(kw, boosted)),
      'common practice',
    );
    const flow = e.fact('rec-tank-pump', 'flow-at-rail-pressure');
    const sum = flow.minus(need.times(e.limit('Reserve', 1.25, '', 'common practice'), '1.25 times what is burnt'));
    const times = flow.value / need.value;
    const word = times >= 1.25 ? 'bolts-up' : times >= 1 ? 'adapt' : 'clash';
    return e.say(word, `pump gives ${times.toFixed(2)} times the need`, {
      sum,
      label: 'Flow over 1.25 times the need',
      margin: { value: sum.value, unit: 'L/h' },
    });
  }),
  rule('fit-diesel', 'common practice; the engine maker first', (e) => {
    const fuel = e.word('eng-fuel');
    const before = e.word('rec-fuel-before');
    if (fuel !== 'diesel')
      return e.say(
        before === 'diesel' ? 'adapt' : 'bolts-up',
        before === 'diesel' ? 'diesel tank and lines cleaned or renewed for petrol' : 'no diesel on either side',
      );
    const stop = e.word('eng-diesel-stop');
    if (stop === 'not-diesel') return e.say('clash', 'no sure way to stop the engine');
    return e.say(
      before === 'diesel' ? 'bolts-up' : 'adapt',
      before === 'diesel' ? 'diesel before and after' : 'tank, lines, neck and cap label from petrol to diesel',
    );
  }),
  rule('fit-charging', 'common practice: output at least 1.25 times the running load', (e) => {
    if (e.word('rec-electrical-system') !== '12v-negative-earth')
      return e.say('clash', 'car is not 12 V negative earth');
    const exciter = e.maybeWord('eng-alternator', 'exciter');
    const amps = (label: string, value: number): Sum => e.limit(label, value, 'A', 'working estimate');
    const output = e.fact('eng-alternator', 'output');
    const loads = [amps('Engine unit, coils, injectors, pump', 22), amps('Lamps, blower, wipers, dash', 28)];
    const fan = e.word('cho-fan');
    if (fan !== 'engine-driven') {
      const each = e.maybe('cho-fan', 'current') ?? amps('A fan, current not known', 18);
      loads.push(
        each.times(
          e.maybe('cho-fan', 'count') ?? e.limit('Fans, count not known', 1, '', 'working estimate'),
          'Electric fans',
        ),
      );
    }
    if (e.maybeWord('cho-ps') === 'electric') loads.push(amps('Electric steering, average', 15));
    const load = loads.reduce((sum, one) => sum.plus(one));
    const spare = output
      .minus(load)
      .minus(load.times(e.limit('Reserve', 0.25, '', 'common practice'), 'Reserve of 25 %'));
    const said = { sum: spare, label: 'Output left', margin: { value: spare.value, unit: 'A' } };
    if (
      exciter === 'engine-unit-controlled' &&
      ['standalone', 'carburettor-distributor', 'mechanical-diesel'].includes(e.maybeWord('cho-control') ?? '')
    )
      return e.say('clash', 'alternator is run by an engine unit that will not be there', said);
    const lamp = e.maybeWord('rec-charge-lamp');
    if (spare.value >= 0 && exciter === 'lamp-wire' && lamp !== undefined && lamp !== 'filament-lamp')
      return e.say('adapt', 'exciter wants a lamp: about 50 ohm, 5 W in its wire', said);
    return e.sure(
      e.judge('Output left', spare, { boltsUp: [0, Infinity], adapt: [-0.25 * load.value, Infinity] }),
      ['cho-ps'],
      ['eng-alternator', 'exciter'],
      ['rec-charge-lamp'],
    );
  }),
];
