import { againstShell, donorEntryWords, proofOf, shellDue } from '@bay/core/donors';
import type { ProofRunRecord } from '@bay/core/donors';
import { recordsOf } from '@bay/core/records';
import { sameValue } from '@bay/core/rules';
import { badInput, Refusal } from '../http/problem.ts';
import { planNow } from '../plan/material.ts';
import { kindRule } from '../records/kind.ts';

/** A run without its signature and stamps. */
const bareRun = ({ signed: _s, by: _b, byId: _i, at: _a, ...run }: ProofRunRecord): object =>
  Object.fromEntries(Object.entries(run).filter(([, v]) => v !== undefined));
const unstamped = ({ name, strokes }: { name: string; strokes: unknown }): object => ({ name, strokes });

const claimWords = { engine: 'of the engine', gearbox: 'of the gearbox', car: 'of the car' } as const;

export const donorsKinds = [
  kindRule({
    kind: 'donor-entry',
    logKind: 'decision',
    station: 'donor',
    // A part earns once, and only what it earned: sold where it was sold, issued where it went into a job.
    complete: async (tx, data, { jobId, key }) => {
      const { partKey, sort } = data;
      if (partKey === undefined) return data;
      const { material } = await planNow(tx, jobId);
      const part = recordsOf(material, 'part')[partKey];
      if (!part) throw badInput({ 'data.partKey': 'This part is not in the record of this job.' });
      const earned =
        sort === 'sold'
          ? part.fate === 'sold'
          : sort === 'issued' && (part.forJob !== undefined || part.fate === 'fitted');
      if (!earned)
        throw new Refusal(409, sort === 'sold' ? `${part.title} is not sold.` : `${part.title} is kept for no job.`);
      const twice = Object.entries(recordsOf(material, 'donor-entry')).some(
        ([other, e]) => other !== key && e.partKey === partKey,
      );
      if (twice) throw new Refusal(409, `${part.title} stands in the account already.`);
      return data;
    },
    // The amount stands in the account, for those who may see money, and not in the book.
    describe: ({ sort, what, on }) => `account of the donor, ${donorEntryWords[sort].toLowerCase()}: ${what}, ${on}`,
  }),
  kindRule({
    kind: 'proof-run',
    logKind: 'finding',
    station: 'donor',
    // It goes with the engine, to whichever job or buyer that goes.
    bearer: () => 'engine',
    // A name stands under what was read: what is changed afterwards is signed anew.
    settle: (data, { before }) =>
      before?.signed && sameValue(data.signed, unstamped(before.signed)) && !sameValue(bareRun(data), bareRun(before))
        ? { ...data, signed: undefined }
        : data,
    describe: (data, { before }) => {
      if (data.signed && !before?.signed) return `proof of the run signed by ${data.signed.name}`;
      const { gaps, against } = proofOf(data);
      const said = against.length > 0 ? `; against it: ${against.join(', ')}` : '';
      const open = gaps.filter((g) => g !== 'a second name under it');
      return `run before it was taken apart, ${data.on}${open.length > 0 ? `, without ${open.join(', ')}` : ''}${said}`;
    },
  }),
  kindRule({
    kind: 'shell',
    logKind: 'decision',
    station: 'donor',
    check: (_data, { key }) => {
      if (key !== 'donor') throw badInput({ key: 'The shell is that of the donor.' });
    },
    complete: async (tx, data, { jobId }) => {
      const { material, plan } = await planNow(tx, jobId);
      if (!material.units.some((u) => u.role === 'donor')) throw new Refusal(409, 'There is no donor car on this job.');
      const against = againstShell(shellDue(plan.harvest, Object.values(recordsOf(material, 'part'))));
      if (against !== undefined) throw new Refusal(409, against);
      return data;
    },
    describe: ({ fate, goneTo, on }) => `shell of the donor ${fate}, ${goneTo}, ${on}`,
  }),
  kindRule({
    kind: 'claim',
    logKind: 'finding',
    station: 'donor',
    describe: ({ what, saidBy, on, looked }) =>
      looked
        ? `${looked.holds ? 'holds' : 'does not hold'}, ${claimWords[on]}: ${what}; ${looked.how}`
        : `said by ${saidBy} ${claimWords[on]}, not looked at: ${what}`,
  }),
];
