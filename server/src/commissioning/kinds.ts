import { formatMeasure } from '@bay/core/units';
import { gateLines, refuseProof } from '@bay/core/commissioning';
import { may } from '@bay/contract/rights';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import { kindRule, stamped } from '../records/kind.ts';

const results = { 'no-crank': 'does not crank', 'cranks-no-fire': 'cranks, no fire', 'fires-and-dies': 'fires and dies', runs: 'runs' } as const;

export const commissioningKinds = [
  kindRule({
    kind: 'gate',
    logKind: (data) => (data.override ? 'override' : 'gate'),
    prepare: (data, context) => {
      const def = gateLines.find((l) => l.id === context.key);
      if (!def) throw notFound('This gate line');
      const override = data.override && { ...data.override, by: context.caller.name };
      if (!may(context.caller.role, 'sign-gates')) throw new Refusal(403, 'Your role does not sign gates.');
      if (override && !may(context.caller.role, 'override')) throw new Refusal(403, 'Only the manager overrides a gate line.');
      const proof = stamped({ ...data, override, signedBy: context.caller.name }, context);
      const refused = data.voided ? undefined : refuseProof(def, proof);
      if (refused) throw badInput({ text: refused });
      return proof;
    },
    describe: (data, { key }) => {
      const line = gateLines.find((l) => l.id === key)!;
      if (data.voided) return `proof void: ${line.mustBe} (${data.voided.why})`;
      if (data.override) return `override, ${line.mustBe}: ${data.override.reason}${data.override.second ? `, second signature ${data.override.second}` : ''}`;
      return `proved: ${line.mustBe}${data.reading ? `, ${data.reading}` : ''}${data.text ? `, ${data.text}` : ''}`;
    },
  }),
  kindRule({
    kind: 'priming',
    logKind: 'priming',
    station: 'start',
    prepare: (data, context) => stamped(data, context),
    describe: (data) =>
      `oil pressure before spark: ${formatMeasure(data.bar, 'bar')} after ${data.seconds} s, ${data.way.replaceAll('-', ' ')}${data.note ? ` (${data.note})` : ''}`,
  }),
  kindRule({
    kind: 'attempt',
    logKind: 'attempt',
    station: 'start',
    prepare: (data, context) => stamped(data, context),
    describe: (data) => {
      const extras = [
        data.volts === undefined ? '' : `${data.volts} V at crank`,
        data.rpm === undefined ? '' : `${data.rpm} rpm`,
        data.heard ?? '',
        data.change ? `change: ${data.change}` : '',
      ].filter(Boolean);
      return `attempt ${data.number}: ${results[data.result]}, ${data.seconds} s${extras.length > 0 ? `. ${extras.join(', ')}` : ''}`;
    },
  }),
  kindRule({
    kind: 'signature',
    logKind: 'gate',
    prepare: (data, context) => stamped(data, context),
    describe: (data) => `signed: ${data.what}. ${data.statement}`,
  }),
];
