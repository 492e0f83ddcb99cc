import {
  againstShell,
  donorEntryWords,
  mileageFromWords,
  partsOfEntry,
  proofOf,
  reservationHolds,
  shellDue,
} from '@bay/core/donors';
import type { DonorEntryRecord, ProofRunRecord } from '@bay/core/donors';
import { fluidSystems } from '@bay/core/fluids';
import { recordsOf } from '@bay/core/records';
import { sameValue } from '@bay/core/rules';
import { badInput, Refusal } from '../http/problem.ts';
import { planNow } from '../plan/material.ts';
import { kindRule } from '../records/kind.ts';
import { unstamped } from '../records/stamp.ts';
import { findRecord, writeRecord } from '../records/store.ts';

/** A run without its signature and stamps. */
const bareRun = ({ signed: _s, by: _b, byId: _i, at: _a, ...run }: ProofRunRecord): object =>
  Object.fromEntries(Object.entries(run).filter(([, v]) => v !== undefined));
const bareName = ({ name, strokes }: { name: string; strokes: unknown }): object => ({ name, strokes });

const purchaseWords = { donor: 'donor', engine: 'engine', gearbox: 'gearbox' } as const;
const fluidTitle = (id: string): string => fluidSystems.find((s) => s.id === id)!.title;

const notEarned: Readonly<Record<DonorEntryRecord['sort'], string>> = {
  sold: 'is not sold.',
  issued: 'is kept for no job.',
  core: 'was not sent back.',
  bought: 'earns nothing by what was bought.',
  cost: 'earns nothing by what it cost.',
};

const claimWords = { engine: 'of the engine', gearbox: 'of the gearbox', car: 'of the car' } as const;

export const donorsKinds = [
  kindRule({
    kind: 'donor-entry',
    logKind: 'decision',
    station: 'donor',
    // A part earns once, and only what it earned: sold where it was sold, issued where it went into a job.
    complete: async (tx, data, { jobId, key, before }) => {
      const { sort, soldTo } = data;
      const { material } = await planNow(tx, jobId);
      if (sort === 'bought' && Object.values(recordsOf(material, 'purchase')).some((p) => p.of === 'donor'))
        throw new Refusal(409, 'What it was bought for stands with its purchase already.');
      const keys = partsOfEntry(data);
      if (soldTo !== undefined && (sort !== 'sold' || keys.length === 0))
        throw badInput({ 'data.soldTo': 'Name the parts that are sold, and that they are sold.' });
      const parts = new Map(Object.entries(recordsOf(material, 'part')));
      const others = Object.entries(recordsOf(material, 'donor-entry')).filter(([other]) => other !== key);
      if (new Set(keys).size < keys.length) throw badInput({ 'data.partKeys': 'One part is named twice.' });
      for (const partKey of keys) {
        const part = parts.get(partKey);
        if (!part) throw badInput({ 'data.partKey': 'This part is not in the record of this job.' });
        const sells = soldTo !== undefined && before === undefined;
        if (sells && (part.fate ?? 'here') !== 'here') throw new Refusal(409, `${part.title} is not here any more.`);
        const earned =
          sells ||
          (sort === 'sold'
            ? part.fate === 'sold'
            : sort === 'core'
              ? part.fate === 'sent-back'
              : sort === 'issued' && (part.forJob !== undefined || part.fate === 'fitted'));
        if (!earned) throw new Refusal(409, `${part.title} ${notEarned[sort]}`);
        if (others.some(([, e]) => partsOfEntry(e).includes(partKey)))
          throw new Refusal(409, `${part.title} stands in the account already.`);
      }
      return data;
    },
    // A sale that names who bought sells its parts itself: each by the rules of parts, or none of them.
    after: async (tx, data, { jobId, before, caller }) => {
      if (before !== undefined || data.soldTo === undefined) return;
      for (const key of partsOfEntry(data)) {
        const { data: part, revision } = (await findRecord(tx, jobId, 'part', key))!;
        await writeRecord(tx, caller, {
          jobId,
          kind: 'part',
          key,
          data: { ...unstamped(part), fate: 'sold', goneTo: data.soldTo, ...(data.note ? { note: data.note } : {}) },
          revision,
        });
      }
    },
    // The amount stands in the account, for those who may see money, and not in the book.
    describe: ({ sort, what, on, soldTo }) =>
      `account of the donor, ${donorEntryWords[sort].toLowerCase()}: ${what}${soldTo === undefined ? '' : `, to ${soldTo}`}, ${on}`,
  }),
  kindRule({
    kind: 'donor-terms',
    logKind: 'decision',
    station: 'donor',
    check: (_data, { key }) => {
      if (key !== 'donor') throw badInput({ key: 'The terms are those of the donor.' });
    },
    describe: ({ from }) => `what the donor costs a day while it stands, from ${from}`,
  }),
  kindRule({
    kind: 'purchase',
    logKind: 'decision',
    station: 'donor',
    // An engine that goes to another job or buyer takes it along.
    bearer: ({ of }) => (of === 'donor' ? undefined : of),
    check: (data, { key }) => {
      if (key !== data.of) throw badInput({ key: 'A purchase is that of the donor, the engine or the gearbox.' });
      if (data.odometerKm !== undefined && data.odometerFrom === undefined)
        throw badInput({ 'data.odometerFrom': 'Say where the mileage is from.' });
      if (data.returnBy !== undefined && data.returnBy < data.on)
        throw badInput({ 'data.returnBy': 'It was not to go back before it was bought.' });
    },
    complete: async (tx, data, { jobId }) => {
      if (data.of !== 'donor') return data;
      const { material } = await planNow(tx, jobId);
      if (Object.values(recordsOf(material, 'donor-entry')).some((e) => e.sort === 'bought'))
        throw new Refusal(409, 'What it was bought for stands in the account already. Take that entry back first.');
      return data;
    },
    describe: (data, { before }) => {
      if (data.settled && !before?.settled)
        return `${purchaseWords[data.of]} ${data.settled.how === 'kept' ? 'stays: it does not go back' : `went back to ${data.seller}`}`;
      const miles =
        data.odometerKm === undefined
          ? ''
          : `, ${data.odometerTyped ?? `${data.odometerKm} km`} ${mileageFromWords[data.odometerFrom!]}`;
      return `${purchaseWords[data.of]} bought from ${data.seller}, ${data.on}${miles}${data.returnBy ? `, may go back until ${data.returnBy}` : ''}`;
    },
  }),
  kindRule({
    kind: 'reservation',
    logKind: 'decision',
    station: 'donor',
    check: (data, { before }) => {
      if (before && before.partKey !== data.partKey) throw badInput({ 'data.partKey': 'It stays with its part.' });
    },
    complete: async (tx, data, { jobId, key, at }) => {
      const { material } = await planNow(tx, jobId);
      const part = new Map(Object.entries(recordsOf(material, 'part'))).get(data.partKey);
      if (!part) throw badInput({ 'data.partKey': 'This part is not in the record of this job.' });
      if (data.ended) return data;
      const today = at.slice(0, 10);
      if ((part.fate ?? 'here') !== 'here') throw new Refusal(409, `${part.title} is not here any more.`);
      if (part.forJob !== undefined) throw new Refusal(409, `${part.title} is kept for a job of the shop.`);
      if (data.until < today) throw badInput({ 'data.until': 'That day is over.' });
      const other = Object.entries(recordsOf(material, 'reservation')).find(
        ([k, r]) => k !== key && r.partKey === data.partKey && reservationHolds(r, today),
      )?.[1];
      if (other) throw new Refusal(409, `It is reserved for ${other.who} until ${other.until}. End that first.`);
      return data;
    },
    describe: (data, { before }) =>
      data.ended && !before?.ended
        ? `no longer reserved for ${data.who}: ${data.ended.how}`
        : `reserved for ${data.who} until ${data.until}`,
  }),
  kindRule({
    kind: 'donor-want',
    logKind: 'decision',
    station: 'donor',
    describe: ({ what, ended }) =>
      ended ? `no longer wanted of a donor: ${what}, ${ended.how}` : `wanted of a donor: ${what}`,
    about: ({ takeId }) => takeId,
  }),
  kindRule({
    kind: 'caught',
    logKind: 'fluid',
    describe: ({ from, system, litres, fate, where, on }) =>
      `caught of the ${from}: ${litres} L ${fluidTitle(system)}, ${fate === 'kept' ? `kept at ${where}` : `handed to ${where}`}, ${on}`,
  }),
  kindRule({
    kind: 'proof-run',
    logKind: 'finding',
    station: 'donor',
    // It goes with the engine, to whichever job or buyer that goes.
    bearer: () => 'engine',
    // A name stands under what was read: what is changed afterwards is signed anew.
    settle: (data, { before }) =>
      before?.signed && sameValue(data.signed, bareName(before.signed)) && !sameValue(bareRun(data), bareRun(before))
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
