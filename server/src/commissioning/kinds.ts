import { recordsOf } from '@bay/core/records';
import { computePlan, planInputOf } from '@bay/core/plan';
import { formatMeasure } from '@bay/core/units';
import { liftsInOrder, placeNotRead } from '@bay/core/fit';
import { gateLines, readingWords, refuseProof, wantsSecond } from '@bay/core/commissioning';
import type { Deviation, GateName, GateProof } from '@bay/core/commissioning';
import type { Tx } from '../db/connection.ts';
import { jobMaterial, planNow } from '../plan/material.ts';
import { signedDespite, standBefore, standWords } from './standing.ts';
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
  const plan = computePlan({ ...input, gates: { ...input.gates, [key]: data } });
  const refused = refuseProof(def, data, plan.facts);
  if (refused) throw badInput({ text: refused });
  const against = data.override
    ? undefined
    : plan.gates.flatMap((g) => g.lines).find((l) => l.def.id === key)?.blockers[0];
  if (against) throw new Refusal(409, against.sentence);
  return data;
}

/** Nobody cranks or starts past a gate that is shut, unless they say why; then it is kept with what stood, and two people sign it. */
async function pastGates<T extends { deviation?: Deviation | undefined }>(
  tx: Tx,
  data: T,
  { jobId, before }: { jobId: string; before: T | undefined },
  gates: readonly GateName[],
): Promise<T> {
  const { deviation, ...plain } = data;
  // What is corrected afterwards was let through when it was written.
  const kept = deviation ?? before?.deviation;
  if (before) return { ...plain, ...(kept ? { deviation: kept } : {}) } as unknown as T;
  const against = standBefore((await planNow(tx, jobId)).plan, gates);
  if (against.length === 0) return plain as unknown as T;
  if (!deviation)
    throw new Refusal(409, `${standWords(against, gates)} If it was done all the same, write why.`, {
      fields: { deviation: 'Say in a sentence why it was done all the same.' },
    });
  return { ...plain, deviation: { ...deviation, stoodOn: { against, harm: true } } } as unknown as T;
}

const outOfOrder = (data: { deviation?: Deviation | undefined; second?: unknown }): string =>
  data.deviation ? `. With a gate shut: ${data.deviation.why}${data.second ? '' : '. A second person is to sign'}` : '';
const wantsTwo = (data: { deviation?: Deviation | undefined }): boolean => data.deviation !== undefined;

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
    complete: async (tx, data, context) =>
      data.way === 'crank-without-fuel-and-spark' ? pastGates(tx, data, context, ['First crank']) : data,
    wantsSecond: wantsTwo,
    title: () => 'Oil pressure before spark, with a gate shut',
    describe: (data) =>
      `oil pressure before spark: ${formatMeasure(data.bar, 'bar')} after ${data.seconds} s, ${data.way.replaceAll('-', ' ')}${data.note ? ` (${data.note})` : ''}${outOfOrder(data)}`,
  }),
  kindRule({
    kind: 'warm-up',
    logKind: 'measurement',
    station: 'start',
    describe: ({ minute, coolantC, oilBar, volts, rpm, note }) =>
      `warming up, ${minute} min: ${[
        coolantC === undefined ? '' : `coolant ${formatMeasure(coolantC, '°C')}`,
        oilBar === undefined ? '' : `oil ${formatMeasure(oilBar, 'bar')}`,
        volts === undefined ? '' : formatMeasure(volts, 'V'),
        rpm === undefined ? '' : `at ${rpm} rpm`,
      ]
        .filter(Boolean)
        .join(', ')}${note ? ` (${note})` : ''}`,
  }),
  kindRule({
    kind: 'attempt',
    logKind: 'attempt',
    station: 'start',
    complete: (tx, data, context) => pastGates(tx, data, context, ['First crank', 'First start']),
    wantsSecond: wantsTwo,
    title: (data) => `Start attempt ${data.number}, with a gate shut`,
    describe: (data) => {
      const extras = [
        data.volts === undefined ? '' : `${data.volts} V at crank`,
        data.rpm === undefined ? '' : `${data.rpm} rpm`,
        data.heard ?? '',
        data.change ? `change: ${data.change}` : '',
      ].filter(Boolean);
      return `attempt ${data.number}: ${results[data.result]}, ${data.seconds} s${extras.length > 0 ? `. ${extras.join(', ')}` : ''}${outOfOrder(data)}`;
    },
  }),
  kindRule({
    kind: 'signature',
    logKind: 'gate',
    // A start is signed for when it ran, and through open gates.
    complete: async (tx, data, { jobId, key }) => {
      if (key === 'hand-over') await signedDespite(tx, jobId, 'hand-over', undefined);
      if (key !== 'first-start') return data;
      const { material, plan } = await planNow(tx, jobId);
      const against = standBefore(plan, ['First crank', 'First start']);
      if (against.length > 0)
        throw new Refusal(
          409,
          `Gates open first: ${against[0]!}${against.length > 1 ? ` and ${against.length - 1} more` : ''}.`,
        );
      const attempts = Object.values(recordsOf(material, 'attempt')).sort((a, b) => a.number - b.number);
      if (attempts.at(-1)?.result !== 'runs')
        throw new Refusal(409, 'The last attempt did not run: there is no start to sign for.');
      return data;
    },
    describe: (data) => `signed: ${data.what}. ${data.statement}`,
  }),
  kindRule({
    kind: 'provisional',
    logKind: 'provisional',
    // What is tacked is welded out where the engine is known to sit, and not before.
    complete: async (tx, data, { jobId, before }) => {
      if ((before ?? data).kind !== 'tacked' || !data.ended || before?.ended) return data;
      const open = placeNotRead(liftsInOrder(recordsOf(await jobMaterial(tx, jobId), 'lift')));
      if (open !== undefined) throw new Refusal(409, `Not welded out yet: ${open}.`);
      return data;
    },
    describe: (data) =>
      data.ended
        ? `no longer provisional: ${data.what}`
        : `provisional: ${data.what}${data.ends ? `. Ends when ${data.ends}` : ''}`,
  }),
];
