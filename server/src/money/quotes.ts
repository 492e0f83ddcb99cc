import type { z } from 'zod';
import { acceptedLines, offerOf, openTitles, reckonedHours, termsMissing, totalsOf } from '@bay/core/money';
import type { QuoteLine } from '@bay/core/money';
import { counted } from '@bay/core/units';
import { draftOfPlan } from '@bay/core/plan';
import { recordsOf } from '@bay/core/records';
import * as contract from '@bay/contract/money';
import type { OwnQuote } from '@bay/contract/money';
import { momentOf, noteChange, runCommand, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Caller, Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { planNow } from '../plan/material.ts';
import { quoteTermsNow } from './terms.ts';

/** Quotes: made from what stands, kept as they were, answered once. */

const rowsOf = (tx: Tx, jobId: string) =>
  tx
    .selectFrom('quote')
    .innerJoin('person', 'person.id', 'quote.made_by')
    .selectAll('quote')
    .select('person.name')
    .where('job_id', '=', jobId)
    .orderBy('number', 'desc');
type Row = Awaited<ReturnType<ReturnType<typeof rowsOf>['executeTakeFirstOrThrow']>>;

const shown = ({ content: { reckoned: _, ...content }, ...row }: Row): OwnQuote => ({
  number: row.number,
  ...content,
  foreseen: content.foreseen ?? [],
  net: row.net,
  gross: row.gross,
  deposit: row.deposit,
  validUntil: row.valid_until,
  madeAt: row.made_at.toISOString(),
  madeBy: row.name,
  state: row.state,
  answer:
    row.answered_by === null || row.answered_at === null
      ? null
      : {
          by: row.answered_by,
          at: row.answered_at.toISOString(),
          declined: row.declined,
          text: row.answer_text,
          net: row.answered_net ?? row.net,
          gross: row.answered_gross ?? row.gross,
        },
});

export const quotesOf = async (tx: Tx, jobId: string): Promise<OwnQuote[]> =>
  (await rowsOf(tx, jobId).execute()).map(shown);

/** The quote that stands, answered or not, or the last that was declined; nothing where none was made or it was taken back. */
export async function standingQuote(tx: Tx, jobId: string): Promise<OwnQuote | undefined> {
  const row = await rowsOf(tx, jobId).where('state', 'not in', ['withdrawn', 'replaced']).executeTakeFirst();
  return row && shown(row);
}

export async function quoteOf(tx: Tx, jobId: string, number: number): Promise<OwnQuote> {
  const row = await rowsOf(tx, jobId).where('number', '=', number).executeTakeFirst();
  if (!row) throw notFound('This quote');
  return shown(row);
}

/** What a quote would be made from now: computed here, whatever a device shows. */
async function draftNow(tx: Tx, jobId: string) {
  const { material, plan } = await planNow(tx, jobId);
  const terms = await quoteTermsNow(tx);
  const withDonor = material.units.some((u) => u.role === 'donor');
  const records = { kit: recordsOf(material, 'kit'), decisions: recordsOf(material, 'quote-line') };
  return { terms, ...draftOfPlan(plan, withDonor, terms, records) };
}

const figureWords = {
  hourRate: 'what an hour is charged at',
  hourCost: 'what an hour costs the shop',
  priceUnit: 'what a unit of the price lists is worth',
} as const;

const titles = (lines: readonly QuoteLine[]): string[] => lines.map((l) => l.title);

/** What of the body of `makeQuote` makes it. */
type Wish = Pick<
  z.infer<typeof contract.makeQuote.body>,
  'net' | 'exclusions' | 'note' | 'despite' | 'after' | 'openAsExtra'
> & {
  /** Nothing is held against it where it is left out. */
  shown?: number;
};

/** Makes a quote from what stands now, computed here whatever a device shows; the one before is replaced by it. */
export async function makeQuoteNow(tx: Tx, caller: Caller, jobId: string, body: Wish, past?: Date): Promise<number> {
  const at = momentOf(caller, past);
  // One after the other: the second reads what the first wrote.
  await tx.selectFrom('job').select('id').where('id', '=', jobId).forUpdate().execute();
  await readHead(tx, jobId);
  const [last] = await quotesOf(tx, jobId);
  if ((last?.number ?? 0) !== body.after)
    throw new Refusal(409, `Quote ${last?.number ?? 0} was made meanwhile. Look at it first.`);
  if (last?.state === 'accepted')
    throw new Refusal(409, 'The customer accepted a quote already. What comes besides is asked as extra work.');
  const { terms, estimate, lines, foreseen } = await draftNow(tx, jobId);
  const missing = termsMissing(lines, terms);
  if (missing.length > 0) throw new Refusal(409, `Not set yet: ${missing.map((m) => figureWords[m]).join(', ')}.`);
  // An outside line or one of the shop's own without a price is nobody's guess.
  const priceless = lines.filter((l) => l.state === 'counted' && l.who !== 'customer' && l.amount === undefined);
  if (priceless.length > 0) throw new Refusal(409, `No price yet: ${titles(priceless).slice(0, 5).join(', ')}.`);
  const open = openTitles(lines, estimate.causes);
  if (open.length > 0 && body.despite === undefined)
    throw badInput({
      despite: `${counted(open.length, 'thing is', 'things are')} open: settle them, leave them off by name, or say why it goes out so.`,
    });
  const offer = offerOf(lines, estimate, terms, body.net);
  if (body.shown !== undefined && offer.lineSum !== body.shown)
    throw new Refusal(409, 'The lines moved since they were shown. Look at them again.', {
      current: { lineSum: offer.lineSum },
    });
  if (offer.net <= 0) throw new Refusal(409, 'A quote asks for something: nothing is counted in yet.');
  await tx
    .updateTable('quote')
    .set({ state: 'replaced' })
    .where('job_id', '=', jobId)
    .where('state', 'in', ['open', 'declined'])
    .execute();
  const number = body.after + 1;
  const until = new Date(at.getTime() + terms.validDays * 86_400_000).toISOString().slice(0, 10);
  await tx
    .insertInto('quote')
    .values({
      shop_id: caller.shopId,
      job_id: jobId,
      number,
      content: JSON.stringify({
        lines: offer.lines,
        taxes: offer.taxes,
        exclusions: body.exclusions,
        foreseen: foreseen.filter((f) => f.state === 'holds').map(({ def: { title, text } }) => ({ title, text })),
        note: body.note,
        waits: estimate.waits.filter((w) => w.state === 'counted').map((w) => w.def.title),
        open,
        asExtra: body.openAsExtra ? titles(lines.filter((l) => l.state === 'open')) : [],
        despite: body.despite ?? null,
        reckoned: reckonedHours(lines, estimate.causes),
      }),
      net: offer.net,
      gross: offer.gross,
      deposit: offer.deposit,
      valid_until: until,
      state: 'open',
      made_by: caller.personId,
      made_at: at,
      declined: '[]',
    })
    .execute();
  // The amount stands with the quote, for those who may see money, and not in the book.
  await writeLogEntry(tx, caller, {
    jobId,
    kind: 'decision',
    station: 'scope',
    text: `quote ${number} made, good until ${until}`,
    at: past,
  });
  noteChange(caller, { kind: 'money' });
  return number;
}

export function quoteRoutes(on: Registry): void {
  on.shop(contract.listQuotes, async (tx, { params }) => {
    await readHead(tx, params.jobId);
    return { quotes: await quotesOf(tx, params.jobId) };
  });

  on.shop(contract.makeQuote, (tx, { params: { jobId }, body }, caller) =>
    runCommand(tx, caller, 'make-quote', body, async () => ({
      reply: { number: await makeQuoteNow(tx, caller, jobId, body) },
      jobId,
    })),
  );

  on.shop(contract.withdrawQuote, (tx, { params: { jobId, number }, body }, caller) =>
    runCommand(tx, caller, 'withdraw-quote', body, async () => {
      const { state } = await quoteOf(tx, jobId, number);
      const row = await tx
        .updateTable('quote')
        .set({ state: 'withdrawn' })
        .where('job_id', '=', jobId)
        .where('number', '=', number)
        .where('state', '=', 'open')
        .returning('number')
        .executeTakeFirst();
      if (!row) throw new Refusal(409, `This quote is ${state} already.`);
      await writeLogEntry(tx, caller, {
        jobId,
        kind: 'decision',
        station: 'scope',
        text: `quote ${number} taken back`,
      });
      noteChange(caller, { kind: 'money' });
      return { reply: { number }, jobId };
    }),
  );
}

/** What the customer says to a quote. */
export interface CustomerAnswer {
  number: number;
  yes: boolean;
  declined: readonly string[];
  name: string;
  text: string;
}

/**
 * Writes the customer's answer, once. One that was answered, replaced, taken back or ran out is refused with a sentence. The caller
 * sees money.
 */
export async function answerQuoteAs(tx: Tx, jobId: string, say: CustomerAnswer, now: Date): Promise<void> {
  const row = await rowsOf(tx, jobId).where('number', '=', say.number).forUpdate('quote').executeTakeFirst();
  if (!row) throw notFound('This quote');
  const refusal = {
    open: undefined,
    accepted: `${row.answered_by ?? 'Somebody'} accepted this quote already.`,
    declined: 'This quote was declined already. Ask the shop for a new one.',
    replaced: 'A newer quote took the place of this one. Read that.',
    withdrawn: 'The shop took this quote back.',
  }[row.state];
  if (refusal !== undefined) throw new Refusal(409, refusal);
  if (row.valid_until < now.toISOString().slice(0, 10))
    throw new Refusal(409, `This quote was good until ${row.valid_until}. Ask the shop for a new one.`);
  const known = new Set(row.content.lines.filter((l) => l.optional).map((l) => l.id));
  const strange = say.declined.filter((id) => !known.has(id));
  if (strange.length > 0) throw new Refusal(409, 'Only the optional lines can be left out alone.');
  const kept = totalsOf(acceptedLines(row.content.lines, say.declined), 0);
  await tx
    .updateTable('quote')
    .set({
      state: say.yes ? 'accepted' : 'declined',
      answered_by: say.name === '' ? 'the customer' : say.name,
      answered_at: now,
      declined: JSON.stringify(say.yes ? say.declined : []),
      answer_text: say.text,
      answered_gross: say.yes ? kept.gross : null,
      answered_net: say.yes ? kept.net : null,
    })
    .where('job_id', '=', jobId)
    .where('number', '=', say.number)
    .execute();
}
