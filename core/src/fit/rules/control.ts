import { counted } from '../../units/index.ts';
import { cylindersOf, optionWords } from '../../facts/index.ts';
import { ifKnown, marginIn } from '../../rules/evidence.ts';
import type { Sum } from '../../rules/sum.ts';
import type { Verdict } from '../../rules/verdict.ts';
import { circumferenceMm } from '../driveline/gears.ts';
import { rule } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';

const donorControl = ['donor-unit-trimmed-loom', 'donor-unit-new-loom'];
const automatics = ['automatic-hydraulic', 'automatic-electronic', 'dual-clutch', 'transaxle-automatic'];

/**
 * What share of the true speed the speedometer reads: turns or pulses that the gearbox gives for each km by axle and tyre, over those
 * its dial is made for; nothing while one of them is not known.
 */
function speedometerReads(e: FitEvidence): Sum | undefined {
  const made = e.maybe('rec-speedo-constant');
  const axle = e.maybe('rec-axle-ratio');
  const perTurn = e.maybe('gbx-speed-signal', 'pulses-a-turn');
  const rolled = e.maybe('rec-tyre-size', 'rolling-circumference');
  const size = e.maybeWord('rec-tyre-size');
  // A transaxle takes its signal where it likes: only behind a gearbox that drives a propshaft does it turn with that shaft.
  if (!e.maybeWord('rec-drive-layout')?.startsWith('front-longitudinal')) return undefined;
  if (!made || made.value <= 0 || !axle || !perTurn || (!rolled && !size)) return undefined;
  const round = ifKnown(() => circumferenceMm(e));
  return (
    round &&
    perTurn
      .through(
        'Turns or pulses for each km',
        '',
        (each, ratio, mm) => (each * ratio * 1e6) / mm,
        'geometry',
        axle,
        round,
      )
      .over(made, 'Reads of the true speed')
  );
}

export const controlRules = [
  rule('fit-throttle', 'common practice: by-wire throttle, pedal and unit are one set', (e) => {
    const engine = e.word('eng-throttle-kind');
    const pedal = e.word('rec-throttle-pedal');
    const control = e.word('cho-control');
    const pedalWire = pedal === 'by-wire-module';
    const rod = pedal === 'rod';
    if (engine === 'none') return e.say('bolts-up', 'no throttle on this engine');
    if (engine === 'by-wire') {
      if (['carburettor-distributor', 'mechanical-diesel'].includes(control))
        return e.say('clash', 'by-wire throttle and nothing that drives it');
      if (donorControl.includes(control)) return e.say('adapt', "donor's pedal on a plate, bolted to metal");
      if (control === 'recipient-unit-kept' && !pedalWire)
        return e.say('clash', "the car's unit does not drive a by-wire throttle");
      return e.say('adapt', 'pedal and throttle of one set for this unit');
    }
    if (pedalWire) return e.say('adapt', 'cable engine in a by-wire car: bracket and cable');
    if (rod) return e.say('adapt', 'rod at the pedal, cable at the throttle: bracket and cable');
    return e.say('bolts-up', 'cable at both ends');
  }),
  rule('fit-ecu-engine', 'common practice: unit, loom and engine of one donor', (e) => {
    const control = e.word('cho-control');
    if (['carburettor-distributor', 'mechanical-diesel'].includes(control)) return e.say('bolts-up', 'no engine unit');
    if (control === 'standalone') return e.say('adapt', 'standalone with an input and output table');
    if (control === 'recipient-unit-kept')
      return e.say('adapt', "car's unit, loom and throttle on an engine of the same family");
    e.want(['don-ecu-set', 'engine-unit'], ['don-harness-state', 'cut-plugs']);
    if (e.word('don-ecu-set', 'engine-unit') === 'missing')
      return e.say('clash', 'engine unit of the donor is missing');
    const plugs = e.fact('don-harness-state', 'cut-plugs');
    const branches = e.maybe('don-harness-state', 'missing-branches');
    const sum = branches ? plugs.plus(branches) : plugs;
    const sureOf = (verdict: Verdict): Verdict => e.sure(verdict, ['don-harness-state', 'missing-branches']);
    const cut = sum.value;
    const said = { sum, label: 'Cut plugs and missing branches', margin: marginIn(sum, [-Infinity, 2]) };
    if (control === 'donor-unit-trimmed-loom' && cut > 2)
      return e.say('clash', `${cut} cut plugs or branches: another loom`, said);
    return sureOf(
      e.say(
        cut === 0 && control === 'donor-unit-trimmed-loom' ? 'bolts-up' : 'adapt',
        cut === 0 ? 'unit and loom of one donor' : `${counted(cut, 'plug')} to splice`,
        said,
      ),
    );
  }),
  rule('fit-immobiliser', 'common practice; matching by an authorised person (law)', (e) => {
    const control = e.word('cho-control');
    if (['standalone', 'carburettor-distributor', 'mechanical-diesel'].includes(control))
      return e.say('bolts-up', 'no key function in this control');
    if (control === 'recipient-unit-kept') return e.say('bolts-up', "car's own unit stays with its own key");
    const kind = e.word('eng-immobiliser-kind');
    if (kind === 'none')
      return e.say(
        e.maybeWord('rec-immobiliser-kind') === 'none' ? 'bolts-up' : 'adapt',
        'engine unit asks for no key',
      );
    const set: string[] = (['key', 'reader', 'engine-unit'] as const).filter(
      (part) => e.maybeWord('don-ecu-set', part) !== 'present',
    );
    if (kind === 'key-to-body-unit' && e.maybeWord('don-ecu-set', 'body-unit') !== 'present') set.push('body-unit');
    return set.length === 0
      ? e.say('bolts-up', 'donor set of key, reader and unit moves whole')
      : e.say(
          set.includes('key') && set.includes('reader') ? 'clash' : 'adapt',
          `set lacks ${set.join(', ').replaceAll('-', ' ')}: matching by an authorised person`,
        );
  }),
  rule('fit-crank-trigger', 'common practice: gap 0.5 to 1.5 mm; the maker first', (e) => {
    const control = e.word('cho-control');
    if (['carburettor-distributor', 'mechanical-diesel'].includes(control))
      return e.say('bolts-up', 'no trigger wanted');
    const sensor = e.word('eng-crank-sensor');
    if (sensor === 'distributor-only')
      return e.say(
        control === 'standalone' ? 'adapt' : 'clash',
        control === 'standalone'
          ? 'trigger wheel and sensor to be added'
          : 'unit wants a crank signal, engine has none',
      );
    const gap = e.maybe('eng-crank-trigger', 'gap');
    if (gap && marginIn(gap, [0.5, 1.5]).value < 0)
      return e.say('adapt', `gap ${gap.value} mm, 0.5 to 1.5 wanted`, {
        sum: gap,
        label: 'Gap of the sensor',
        margin: marginIn(gap, [0.5, 1.5]),
      });
    const thick = e.maybe('eng-flywheel', 'thickness');
    const original = e.maybe('eng-flywheel', 'original-thickness');
    if (e.maybeWord('eng-crank-trigger', 'place') === 'flywheel' && thick && original) {
      const moved = thick.minus(original);
      if (Math.abs(moved.value) > 0.5)
        return e.say(
          'adapt',
          `flywheel ${Math.abs(moved.value).toFixed(1)} mm ${moved.value < 0 ? 'thinner' : 'thicker'}: the gap moves with it`,
          {
            sum: moved,
            label: 'Flywheel thicker by',
            margin: marginIn(moved, [-0.5, 0.5]),
          },
        );
    }
    return control === 'standalone'
      ? e.say('adapt', 'unit set for this wheel, offset by positive stop')
      : e.sure(
          e.say('bolts-up', "engine's own wheel and sensor"),
          ['eng-crank-trigger', 'gap'],
          ['eng-crank-trigger', 'place'],
        );
  }),
  rule('fit-body-network', 'common practice; safety units by law', (e) => {
    const network = e.word('rec-body-network');
    if (network !== 'gateway-needs-engine-data')
      return e.say('bolts-up', network === 'none' ? 'no network in the car' : 'body only, wants nothing of the engine');
    return e.word('cho-control') === 'recipient-unit-kept'
      ? e.say('bolts-up', "car's own unit keeps talking")
      : e.say('adapt', 'gateway that sends what dash, brakes and steering want');
  }),
  rule('fit-gearbox-control', 'common practice', (e) => {
    const kind = e.word('gbx-kind');
    if (!automatics.includes(kind)) return e.say('bolts-up', 'shifted by hand');
    const who = e.word('gbx-control');
    if (who === 'hydraulic-governor') {
      const link = e.word('gbx-throttle-link');
      if (link === 'throttle-valve-cable' || link === 'kickdown-cable') {
        const cable = link === 'kickdown-cable' ? 'kickdown cable' : 'throttle-valve cable';
        return e.word('eng-throttle-kind') === 'by-wire'
          ? e.say('clash', `${cable} and no cable throttle to pull it`)
          : e.say('adapt', `${cable}: bracket with the right geometry`);
      }
      if (link === 'vacuum-modulator') {
        if (e.word('eng-fuel') === 'diesel')
          return e.say('adapt', 'vacuum modulator on a diesel: pump, and a valve worked by the lever');
        return e.word('eng-induction') === 'none'
          ? e.say('bolts-up', 'modulator fed by the manifold')
          : e.say('adapt', 'vacuum modulator on a boosted engine: check valve, or another modulator');
      }
      return e.say(
        link === 'bus-torque-signal' ? 'clash' : 'bolts-up',
        link === 'bus-torque-signal' ? 'gearbox wants torque messages nobody sends' : 'shifts by itself',
      );
    }
    const choice = e.word('cho-gearbox-control');
    if (choice === 'engine-unit')
      return donorControl.includes(e.word('cho-control'))
        ? e.say('bolts-up', 'engine unit of the donor shifts its own gearbox')
        : e.say('clash', 'gearbox wants torque messages nobody sends');
    return choice === 'own-controller'
      ? e.say('adapt', 'own controller with throttle, speed and brake signals')
      : e.say(
          choice === 'none' ? 'clash' : 'adapt',
          choice === 'none' ? 'electronic gearbox and nobody to shift it' : 'manual valve body, track only',
        );
  }),
  rule('fit-oil-warning', 'common practice: thresholds within 0.1 bar; low 0.2 to 0.5, high near 1.4 to 1.8', (e) => {
    const logic = e.word('rec-oil-warning-logic');
    if (logic === 'none' || logic === 'gauge-only') return e.say('bolts-up', 'no warning switch to satisfy');
    if (logic === 'two-switch-low-and-high') {
      const ports = e.fact('eng-oil-ports', 'ports');
      const said = { sum: ports, label: 'Oil pressure ports', margin: marginIn(ports, [2, Infinity]) };
      return ports.value >= 2
        ? e.say('adapt', 'two switches: low and high, one opens, the other closes', said)
        : e.say('clash', `dash wants two switches, engine has ${ports.value} port`, said);
    }
    if (logic === 'bus-message') return e.say('adapt', 'message from the engine unit or a logic box');
    e.want(['rec-oil-switch-thresholds', 'low'], ['eng-oil-switch', 'threshold']);
    const sum = e
      .fact('rec-oil-switch-thresholds', 'low')
      .minus(e.fact('eng-oil-switch', 'threshold'))
      .size('Thresholds apart');
    const off = sum.value;
    const contact = e.maybeWord('rec-oil-switch-thresholds', 'contact');
    const has = e.maybeWord('eng-oil-switch', 'contact');
    const extra = { sum, label: 'Thresholds apart', margin: marginIn(sum, [-Infinity, 0.1]) };
    if (contact && has && contact !== has)
      return e.say('adapt', 'contact the other way round: switch of the car fitted', extra);
    return e.sure(
      e.say(
        off <= 0.1 ? 'bolts-up' : 'adapt',
        off <= 0.1 ? 'switch agrees with the dash' : `thresholds ${off.toFixed(2)} bar apart`,
        extra,
      ),
      ['rec-oil-switch-thresholds', 'contact'],
      ['eng-oil-switch', 'contact'],
    );
  }),
  rule('fit-tach', 'geometry: a four-stroke fires half its cylinders a turn', (e) => {
    const input = e.word('rec-tach-input');
    if (input === 'none') return e.say('bolts-up', 'no tachometer to feed');
    const layout = e.word('eng-layout');
    const count = cylindersOf(layout);
    if (input === 'bus') return e.say('adapt', 'bus gateway feeds the tachometer');
    if (count === undefined)
      return {
        ...e.say('not-measured', 'cylinder count not known'),
        needs: [{ factId: 'eng-layout', partKey: 'value' }],
      };
    const wants = e.fact('rec-tach-pulses');
    const gives = e.limit(
      `A ${optionWords(layout)} fires a turn`,
      count / 2,
      '',
      'half the cylinders of a four-stroke',
    );
    const sum = gives.over(wants, 'Pulses given for each wanted');
    const ratio = sum.value;
    const extra = { sum, label: 'Pulses given for each wanted', margin: { value: -Math.abs(ratio - 1), unit: '' } };
    const ignition = input === 'coil-pulse' ? e.word('eng-ignition-kind') : e.maybeWord('eng-ignition-kind');
    if (ignition === 'diesel-none')
      return e.say('adapt', 'a diesel fires no coil: signal from the alternator or the crank', extra);
    if (input === 'coil-pulse' && ignition !== 'points' && ignition !== 'electronic-distributor')
      return e.say('adapt', `coil-pulse dash on ${optionWords(ignition!)}: converter`, extra);
    return ratio === 1
      ? e.sure(e.say('bolts-up', 'pulses agree', extra), ['eng-ignition-kind'])
      : e.say('adapt', `tach reads ${ratio.toFixed(2)} times: converter or output set`, extra);
  }),
  rule('fit-speedo', 'common practice; never below true speed (UN R39, memory; local law first)', (e) => {
    const drive = e.word('rec-speedo-drive');
    const signal = e.word('gbx-speed-signal');
    if (drive === 'none' || drive === 'wheel-speed-bus')
      return e.say('bolts-up', drive === 'none' ? 'no speedometer drive' : 'speed comes from the wheels');
    const matches =
      signal === 'both' ||
      (drive === 'cable' && signal === 'cable-drive') ||
      (drive === 'pulse' && signal === 'pulse-sensor');
    if (matches) {
      const reads = speedometerReads(e);
      const prove = 'constant to be proven at three speeds';
      if (!reads) return e.say('adapt', `same kind of signal: ${prove}`);
      const over = (reads.value - 1) * 100;
      const says = `reads ${Math.abs(over).toFixed(0)} % ${over < 0 ? 'low' : 'high'}`;
      return e.say('adapt', over < -0.5 ? `${says}: other drive gear or converter` : `${says}: ${prove}`, {
        sum: reads,
        label: 'Reads of the true speed',
        margin: { value: reads.value - 1, unit: '' },
      });
    }
    if (signal === 'none')
      return e.word('cho-speedo') === 'satellite'
        ? e.say('adapt', 'satellite unit, where lawful')
        : e.say('clash', 'gearbox gives no speed signal');
    return e.say('adapt', `car wants ${drive}, gearbox gives ${signal.replaceAll('-', ' ')}: converter`);
  }),
  rule('fit-emission-parts', 'law: the inspecting body decides', (e) => {
    const regime = e.word('rec-inspection-regime');
    if (regime === 'none') return e.say('bolts-up', 'no inspection asks');
    const age = e.word('rec-engine-age-rule');
    if (age === 'engine-same-year-or-newer') {
      e.want(['eng-model-year'], ['rec-model-year']);
      const newer = e.fact('eng-model-year').minus(e.fact('rec-model-year'));
      if (newer.value < 0)
        return e.say('clash', `engine is ${counted(-newer.value, 'year')} older than the car`, {
          sum: newer,
          label: 'Engine newer by years',
          margin: { value: newer.value, unit: '' },
        });
    }
    const parts = ['catalysts', 'oxygen-sensors', 'purge-valve-and-canister', 'recirculation-valve'] as const;
    e.want(['don-emission-set', 'catalysts']);
    const missing = parts.filter((part) => e.maybeWord('don-emission-set', part) === 'missing');
    return missing.length === 0
      ? e.sure(
          e.say('bolts-up', 'the set of the donor is whole'),
          ...parts.map((part) => ['don-emission-set', part] as const),
        )
      : e.say('adapt', `to be found: ${missing.join(', ').replaceAll('-', ' ')}`);
  }),
];
