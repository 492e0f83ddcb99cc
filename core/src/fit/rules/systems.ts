import { fuelNeedLh } from '../../sums/index.ts';
import { rule } from '../evidence.ts';
import type { Evidence } from '../evidence.ts';

/** Two bores that a hose must join. */
function bores(e: Evidence, pairs: readonly (readonly [string, string, string, string])[]): { worst: number } {
  let worst = 0;
  e.want(
    ...pairs.flatMap(
      ([a, ak, b, bk]) =>
        [
          [a, ak],
          [b, bk],
        ] as const,
    ),
  );
  for (const [a, ak, b, bk] of pairs) {
    const off = e.line('+', a, ak) - e.line('−', b, bk);
    worst = Math.max(worst, Math.abs(off));
  }
  return { worst };
}

export const systemRules = [
  rule('fit-coolant-ports', 'common practice: stub = hose bore, 0 to +1 mm; step hose up to 10 mm', (e) => {
    e.want(
      ['eng-coolant-ports', 'outlet-side'],
      ['eng-coolant-ports', 'inlet-side'],
      ['rec-radiator-ports', 'inlet-side'],
      ['rec-radiator-ports', 'outlet-side'],
    );
    const { worst } = bores(e, [
      ['eng-coolant-ports', 'outlet-bore', 'rec-radiator-ports', 'inlet-bore'],
      ['eng-coolant-ports', 'inlet-bore', 'rec-radiator-ports', 'outlet-bore'],
    ]);
    const crossed =
      e.word('eng-coolant-ports', 'outlet-side') !== e.word('rec-radiator-ports', 'inlet-side') ||
      e.word('eng-coolant-ports', 'inlet-side') !== e.word('rec-radiator-ports', 'outlet-side');
    const extra = { result: { label: 'Largest step between bores', value: worst, unit: 'mm' }, margin: { value: 10 - worst, unit: 'mm' } };
    if (worst > 10) return e.say('clash', `bores ${worst} mm apart`, extra);
    if (crossed) return e.say('adapt', 'sides differ: cross-over hose', extra);
    return worst <= 1 ? e.say('bolts-up', 'bores and sides agree', extra) : e.say('adapt', `step hose for ${worst} mm`, extra);
  }),
  rule('fit-heater', 'common practice: same bore, step pieces otherwise', (e) => {
    if (e.word('cho-heater') === 'deleted') return e.say('bolts-up', 'heater deleted: check that the law lets demist go');
    const { worst } = bores(e, [
      ['eng-coolant-ports', 'heater-out-bore', 'rec-heater-bore', 'in'],
      ['eng-coolant-ports', 'heater-in-bore', 'rec-heater-bore', 'out'],
    ]);
    return e.say(worst <= 1 ? 'bolts-up' : 'adapt', worst <= 1 ? 'bores agree' : `step pieces for ${worst} mm`, {
      result: { label: 'Largest step', value: worst, unit: 'mm' },
      margin: { value: 1 - worst, unit: 'mm' },
    });
  }),
  rule('fit-ac', 'common practice; the circuit is opened by a certified person only (law)', (e) => {
    const choice = e.word('cho-ac');
    if (choice !== 'kept') return e.say('bolts-up', choice === 'later' ? 'room reserved for later' : 'deleted');
    if (e.word('rec-ac-state') === 'none') return e.say('clash', 'kept as a wish, but the car has no circuit');
    return e.word('eng-ac-compressor') === 'none'
      ? e.say('adapt', 'engine brings no compressor: bracket added')
      : e.say('adapt', 'hose ends and plug pins to be matched');
  }),
  rule('fit-power-steering', 'common practice; the gear maker first', (e) => {
    const choice = e.word('cho-ps');
    const assist = e.word('rec-steering-assist');
    if (choice === 'manual')
      return e.say(assist === 'manual' ? 'bolts-up' : 'adapt', assist === 'manual' ? 'manual gear stays' : "manual gear as a set, with the customer's consent");
    if (choice === 'electric' || assist.startsWith('electric'))
      return e.say(
        assist.startsWith('electric') ? 'bolts-up' : 'adapt',
        assist.startsWith('electric') ? 'electric already' : 'electric pump with its own fuse, in the charging balance',
      );
    const pump = e.word('eng-ps-pump');
    return pump === 'none' ? e.say('clash', 'hydraulic wanted, engine has no pump') : e.say('adapt', 'thread, seat and flow of both ends to be matched');
  }),
  rule('fit-booster-vacuum', 'common practice: at least 60 kPa at idle, reservoir from 45', (e) => {
    if (e.word('rec-brake-assist') !== 'vacuum') return e.say('bolts-up', 'brakes want no engine vacuum');
    if (e.word('eng-fuel') === 'diesel') return e.say('clash', 'a diesel makes no vacuum: pump wanted');
    const vacuum = e.line('+', 'eng-vacuum-ports', 'idle-vacuum', 'kPa');
    const spare = vacuum - e.row('−', 'Least at idle', 60, 'kPa', { basis: 'common practice' });
    if (spare < 0) return e.left('Vacuum over the least', spare, { boltsUp: 0, adapt: -15 }, 'kPa');
    const port = e.maybe('eng-vacuum-ports', 'booster-port-bore');
    const hose = e.maybe('rec-booster-hose-bore');
    if (port !== undefined && hose !== undefined && Math.abs(port - hose) > 0.5)
      return e.say('adapt', `port ${port} mm, hose ${hose} mm: stepped adapter`, { margin: { value: spare, unit: 'kPa' } });
    return e.left('Vacuum over the least', spare, { boltsUp: 0, adapt: -15 }, 'kPa');
  }),
  rule('fit-brakes-power', 'common practice: power up by less than a third; a competent person and the law first', (e) => {
    if (e.maybeWord('rec-power-before', 'taken-at') === 'wheels')
      return e.say('not-measured', 'before is at the wheels, after at the crank: not comparable', {
        needs: [{ factId: 'rec-power-before', partKey: 'value' }],
      });
    e.want(['rec-power-before'], ['rec-brake-kind', 'front']);
    const after = e.row('+', 'Power after', e.maybe('cho-power-target') ?? e.number('eng-power'), 'kW', { factId: 'eng-power' });
    const before = e.line('−', 'rec-power-before', 'value', 'kW');
    const rise = e.row('', 'Power up by', ((after - before) / before) * 100, '%');
    const weak = e.word('rec-brake-kind', 'front') === 'drum' || e.maybeWord('rec-brake-kind', 'hose-age') === 'cracked';
    const word = rise >= 100 && weak ? 'clash' : rise < 100 / 3 && !weak ? 'bolts-up' : 'adapt';
    return e.say(
      word,
      word === 'bolts-up' ? `power up ${rise.toFixed(0)} %` : `power up ${rise.toFixed(0)} %${weak ? ', weak front brakes' : ''}: brake and spring review`,
      { margin: { value: 100 / 3 - rise, unit: '%' } },
    );
  }),
  rule('fit-fuel-pressure', 'common practice: tank, pump, rail and regulator of one kind', (e) => {
    const system = e.word('cho-fuel-system');
    const fuelling = e.word('eng-fuelling');
    if (fuelling === 'carburettor')
      return e.say(
        system === 'carburettor-low-pressure' ? 'bolts-up' : 'adapt',
        system === 'carburettor-low-pressure' ? 'low pressure for a carburettor' : 'pressure cut to 0.2 to 0.5 bar with a return',
      );
    if (fuelling.startsWith('diesel'))
      return e.say(
        system === 'diesel-suction' ? 'bolts-up' : 'clash',
        system === 'diesel-suction' ? 'suction supply for a diesel' : 'a diesel wants its suction supply',
      );
    if (system === 'carburettor-low-pressure' || system === 'diesel-suction') return e.say('clash', 'this supply cannot reach the rail pressure');
    const ports = e.word('eng-rail-ports');
    const tank = e.word('rec-tank-ports');
    const returns = tank !== 'feed-only';
    if (system === 'return-regulator-on-rail') {
      if (ports === 'one') return e.say('clash', 'one-port rail: surplus fuel has no way back');
      return e.say(returns ? 'bolts-up' : 'adapt', returns ? 'two-port rail, return to the tank' : 'return line to be added to the tank');
    }
    if (system === 'return-regulator-external')
      return e.say('adapt', returns ? 'external regulator with return' : 'external regulator, return line to be added');
    if (ports === 'two') return e.say('adapt', 'two-port rail on a returnless supply: one end closed by the right plug');
    return e.say(
      system === 'returnless-tank-regulator' && tank === 'feed-only' ? 'adapt' : 'bolts-up',
      tank === 'feed-only' ? 'filter-regulator plus return' : 'one-port rail, regulator at the tank',
    );
  }),
  rule('fit-tank', 'common practice: pick-up stays covered', (e) => {
    const fuelling = e.word('eng-fuelling');
    if (fuelling === 'carburettor' || fuelling.startsWith('diesel')) return e.say('bolts-up', 'a float chamber or suction pump bears a moment of air');
    const baffled = e.word('rec-tank-baffled');
    if (baffled === 'yes') return e.say('bolts-up', 'baffled tank');
    return e.maybeWord('cho-pump-place') === 'surge-pot'
      ? e.say('adapt', 'plain tank, surge pot planned')
      : e.say('clash', 'plain tank under injection sucks air when fuel moves');
  }),
  rule('fit-pump-flow', 'common practice: 0.30 kg/kWh, 0.38 boosted, 0.745 kg/L, at least 1.25 times the need', (e) => {
    if (e.word('eng-fuelling') === 'diesel-mechanical') return e.say('bolts-up', 'pump on the engine');
    const power = e.row('', 'Power', e.maybe('cho-power-target') ?? e.number('eng-power'), 'kW', { factId: 'eng-power' });
    const boosted = e.word('eng-induction') !== 'none';
    const need = e.row('', `Burnt at full power, ${boosted ? '0.38' : '0.30'} kg/kWh`, fuelNeedLh(power, boosted), 'L/h', { basis: 'common practice' });
    e.want(['rec-tank-pump', 'flow-at-rail-pressure']);
    const flow = e.line('', 'rec-tank-pump', 'flow-at-rail-pressure', 'L/h');
    const times = flow / need;
    const word = times >= 1.25 ? 'bolts-up' : times >= 1 ? 'adapt' : 'clash';
    return e.say(word, `pump gives ${times.toFixed(2)} times the need`, {
      result: { label: 'Flow over 1.25 times the need', value: flow - 1.25 * need, unit: 'L/h' },
      margin: { value: flow - 1.25 * need, unit: 'L/h' },
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
      before === 'diesel' && stop !== 'vacuum-shutoff' ? 'bolts-up' : 'adapt',
      before === 'diesel' ? 'diesel before and after' : 'tank, lines, neck and cap label from petrol to diesel',
    );
  }),
  rule('fit-charging', 'common practice: output at least 1.25 times the running load', (e) => {
    if (e.word('rec-electrical-system') !== '12v-negative-earth') return e.say('clash', 'car is not 12 V negative earth');
    const exciter = e.maybeWord('eng-alternator', 'exciter');
    e.want(['eng-alternator', 'output']);
    const base = e.row('−', 'Engine unit, coils, injectors, pump', 22, 'A', { basis: 'working estimate' });
    const body = e.row('−', 'Lamps, blower, wipers, dash', 28, 'A', { basis: 'working estimate' });
    const fanEach =
      (e.maybeWord('cho-fan') ?? 'engine-driven') === 'engine-driven' ? 0 : (e.maybe('cho-fan', 'current') ?? 18) * (e.maybe('cho-fan', 'count') ?? 1);
    if (fanEach > 0) e.row('−', 'Electric fans', fanEach, 'A', { factId: 'cho-fan' });
    const steering = e.maybeWord('cho-ps') === 'electric' ? e.row('−', 'Electric steering, average', 15, 'A', { basis: 'working estimate' }) : 0;
    const load = base + body + fanEach + steering;
    const spare =
      e.row('+', 'Alternator output', e.number('eng-alternator', 'output'), 'A', { factId: 'eng-alternator' }) -
      load -
      e.row('−', 'Reserve of 25 %', load * 0.25, 'A', { basis: 'common practice' });
    if (exciter === 'engine-unit-controlled' && ['standalone', 'carburettor-distributor', 'mechanical-diesel'].includes(e.maybeWord('cho-control') ?? ''))
      return e.say('clash', 'alternator is run by an engine unit that will not be there', { margin: { value: spare, unit: 'A' } });
    const lamp = e.maybeWord('rec-charge-lamp');
    if (spare >= 0 && exciter === 'lamp-wire' && lamp !== undefined && lamp !== 'filament-lamp')
      return e.say('adapt', 'exciter wants a lamp: about 50 ohm, 5 W in its wire', { margin: { value: spare, unit: 'A' } });
    return e.left('Output left', spare, { boltsUp: 0, adapt: -0.25 * load }, 'A');
  }),
];
