import { recordsOf } from '@bay/core/records';
import { computePlan, planInputOf } from '@bay/core/plan';
import { formatMeasure } from '@bay/core/units';
import { gateLines, readingWords, refuseProof, wantsSecond } from '@bay/core/commissioning';
import type { GateProof } from '@bay/core/commissioning';
import type { Tx } from '../db/connection.ts';
import { jobMaterial } from '../plan/material.ts';
import type { WriteContext } from '../records/kind.ts';
import { may } from '@bay/contract/rights';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const results = {
  'no-crank': 'does not crank',
  'cranks-no-fire': 'cranks, no fire',
  'fires-and-dies': 'fires and dies',
  runs: 'runs',
} as const;

const lineOf = (key: string) => gateLines.find((l) => l.id === key);

/** A proof is held against the job as it is at this moment: the numbers, and what the records say against the line by themselves. */
async function provenNow(tx: Tx, data: GateProof, { key, jobId }: WriteContext<'gate'>): Promise<GateProof> {
  if (data.voided) return data;
  const def = lineOf(key)!;
  const material = await jobMaterial(tx, jobId);
  const input = planInputOf(material);
  const plan = computePlan({ ...input, gates: { ...recordsOf(material, 'gate'), [key]: data } });
  const refused = refuseProof(def, data, plan.facts);
  if (refused) throw badInput({ text: refused });
  const against = data.override
    ? undefined
    : plan.gates.flatMap((g) => g.lines).find((l) => l.def.id === key)?.blockers[0];
  if (against) throw new Refusal(409, against.sentence);
  return data;
}

export const commissioningKinds = [
  kindRule({
    kind: 'gate',
    logKind: (data) => (data.override ? 'override' : 'gate'),
    check: (data, { key, caller }) => {
      const def = lineOf(key);
      if (!def) throw notFound('This gate line');
      if (!may(caller.role, 'sign-gates')) throw new Refusal(403, 'Your role does not sign gates.');
      if (data.override && !may(caller.role, 'override'))
        throw new Refusal(403, 'Only the manager overrides a gate line.');
    },
    complete: provenNow,
    wantsSecond: (data, key) => !data.voided && wantsSecond(lineOf(key)!, data),
    title: (_data, key) => lineOf(key)!.mustBe,
    describe: (data, { key }) => {
      const line = lineOf(key)!;
      const read = readingWords(line, data);
      const half = !data.voided && wantsSecond(line, data) && !data.second ? '. A second person is to sign' : '';
      if (data.voided) return `proof void: ${line.mustBe} (${data.voided.why})`;
      if (data.override) return `override, ${line.mustBe}: ${data.override.reason}${half}`;
      return `proved: ${line.mustBe}${read ? `, ${read}` : ''}${data.text ? `, ${data.text}` : ''}${half}`;
    },
  }),
  kindRule({
    kind: 'priming',
    logKind: 'priming',
    station: 'start',
    describe: (data) =>
      `oil pressure before spark: ${formatMeasure(data.bar, 'bar')} after ${data.seconds} s, ${data.way.replaceAll('-', ' ')}${data.note ? ` (${data.note})` : ''}`,
  }),
  kindRule({
    kind: 'attempt',
    logKind: 'attempt',
    station: 'start',
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
  kindRule({ kind: 'signature', logKind: 'gate', describe: (data) => `signed: ${data.what}. ${data.statement}` }),
  kindRule({
    kind: 'provisional',
    logKind: 'provisional',
    describe: (data) =>
      data.ended
        ? `no longer provisional: ${data.what}`
        : `provisional: ${data.what}${data.ends ? `. Ends when ${data.ends}` : ''}`,
  }),
];
