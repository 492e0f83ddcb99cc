import { totalsOf } from '@bay/core/money';
import { awaitedOf } from '@bay/core/plan';
import { recordsOf } from '@bay/core/records';
import type { Recorded } from '@bay/core/records';
import { counted } from '@bay/core/units';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Request } from 'express';
import { sql } from 'kysely';
import * as contract from '@bay/contract/handover';
import type { CustomerView } from '@bay/contract/handover';
import type { OwnQuote, Quote } from '@bay/contract/money';
import { noteChange, runCommand, writeLogEntry } from '../commands/run.ts';
import { inShop } from '../db/connection.ts';
import type { Db, Tx } from '../db/connection.ts';
import { notFound, Refusal } from '../http/problem.ts';
import type { Tries } from '../http/tries.ts';
import type { Registry } from '../http/register.ts';
import type { PhotoStore } from '../logbook/photo-store.ts';
import { photoFile } from '../logbook/photos.ts';
import { readHead } from '../jobs/store.ts';
import { withMoney } from '../db/sees-money.ts';
import { announce } from '../live/events.ts';
import { answerQuoteAs, quoteOf, standingQuote } from '../money/quotes.ts';
import { paperHeadOf } from '../money/routes.ts';

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

async function linksOf(tx: Tx, jobId: string) {
  const rows = await tx
    .selectFrom('customer_link')
    .innerJoin('person', 'person.id', 'customer_link.made_by')
    .select(['customer_link.id', 'person.name', 'made_at', 'ends_at', 'revoked_at'])
    .where('job_id', '=', jobId)
    .orderBy('made_at', 'desc')
    .execute();
  return rows.map((r) => ({
    id: r.id,
    madeBy: r.name,
    madeAt: r.made_at.toISOString(),
    endsAt: r.ends_at.toISOString(),
    revoked: r.revoked_at !== null,
  }));
}

interface AskData {
  what: string;
  to: string;
  amount?: number;
  tax?: number;
  why?: string;
  otherwise?: string;
  photoId?: string;
  answer?: { yes?: boolean; text: string; at: string };
}

/** What of a quote its customer reads: not who made it, nor what was open when it went out. */
const asCustomerReads = ({ madeBy: _by, open: _open, despite: _despite, ...quote }: OwnQuote): Quote => quote;

async function quoteForCustomer(tx: Tx, jobId: string): Promise<Quote | null> {
  const quote = await withMoney(tx, () => standingQuote(tx, jobId));
  return quote ? asCustomerReads(quote) : null;
}

/** A job as its customer sees it. */
async function viewOf(tx: Tx, jobId: string): Promise<CustomerView> {
  const job = await readHead(tx, jobId);
  const shop = await tx.selectFrom('shop').select(['name', 'currency']).executeTakeFirstOrThrow();
  const records = await withMoney(tx, () =>
    tx
      .selectFrom('recorded')
      .select(['kind', 'key', 'data', 'revision'])
      .where('job_id', '=', jobId)
      .where('kind', 'in', ['ask', 'hold', 'quote-line', 'kit'])
      .orderBy('at')
      .execute(),
  );
  const kept = { records: records as unknown as Recorded[] };
  const asks = records
    .filter((r) => r.kind === 'ask')
    .map((r) => ({ ...(r.data as unknown as AskData), key: r.key, revision: r.revision }));
  const holds = records
    .filter((r) => r.kind === 'hold' && !r.data['released'])
    .map((r) => r.data as { waitsFor: string; due?: string });
  return {
    shop: shop.name,
    currency: shop.currency,
    number: job.number,
    carName: job.carName,
    engineName: job.engineName,
    station: job.station,
    signedStations: job.signedStations,
    promised: job.promised,
    waitsFor: holds.map((h) => ({ what: h.waitsFor, due: h.due ?? null })),
    yours: awaitedOf(recordsOf(kept, 'quote-line'), recordsOf(kept, 'kit'))
      .filter((a) => a.who === 'customer')
      .map((a) => ({ what: a.title, due: a.due ?? null })),
    asks: asks
      .filter((a) => a.to === 'customer')
      .map((a) => ({
        key: a.key,
        what: a.what,
        amount: a.amount ?? null,
        gross: a.amount === undefined ? null : totalsOf([{ amount: a.amount, tax: a.tax ?? 0 }], 0).gross,
        tax: a.tax ?? 0,
        why: a.why ?? '',
        otherwise: a.otherwise ?? '',
        photoId: a.photoId ?? null,
        revision: a.revision,
        answer: a.answer ? { yes: a.answer.yes ?? false, text: a.answer.text, at: a.answer.at } : null,
      })),
    quote: await quoteForCustomer(tx, jobId),
  };
}

const ofPeer = { free: 30, firstWait: '1 minute', longestWait: '15 minutes' };

export function linkRoutes(on: Registry, db: Db, tries: Tries, photos: PhotoStore): void {
  on.shop(contract.listLinks, async (tx, { params }) => {
    await readHead(tx, params.jobId);
    return { links: await linksOf(tx, params.jobId) };
  });

  on.shop(contract.makeLink, async (tx, { params, body }, caller) => {
    const token = randomBytes(24).toString('base64url');
    // The reply is kept so that a command sent twice answers the same; the token itself must not be kept, so it is added behind.
    const { link } = await runCommand(tx, caller, 'make-link', body, async () => {
      noteChange(caller, { kind: 'links' });
      await readHead(tx, params.jobId);
      const linkId = randomUUID();
      await tx
        .insertInto('customer_link')
        .values({
          id: linkId,
          shop_id: caller.shopId,
          job_id: params.jobId,
          token_hash: hashOf(token),
          made_by: caller.personId,
          ends_at: new Date(Date.now() + body.days * 86_400_000),
        })
        .execute();
      await writeLogEntry(tx, caller, {
        jobId: params.jobId,
        kind: 'job',
        text: `link for the customer made, good for ${counted(body.days, 'day')}`,
      });
      return { reply: { link: (await linksOf(tx, params.jobId)).find((l) => l.id === linkId)! }, jobId: params.jobId };
    });
    const known = await tx
      .selectFrom('customer_link')
      .select('id')
      .where('token_hash', '=', hashOf(token))
      .executeTakeFirst();
    if (!known) throw new Refusal(409, 'This link was made already and is shown only once. End it and make a new one.');
    return { link, path: `/c/${token}` };
  });

  on.shop(contract.revokeLink, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'revoke-link', body, async () => {
      noteChange(caller, { kind: 'links' });
      const { numUpdatedRows } = await tx
        .updateTable('customer_link')
        .set({ revoked_at: new Date() })
        .where('id', '=', params.linkId)
        .where('job_id', '=', params.jobId)
        .executeTakeFirst();
      if (numUpdatedRows === 0n) throw notFound('This link');
      await writeLogEntry(tx, caller, { jobId: params.jobId, kind: 'job', text: 'link for the customer ended' });
      return {
        reply: { link: (await linksOf(tx, params.jobId)).find((l) => l.id === params.linkId)! },
        jobId: params.jobId,
      };
    }),
  );

  // Whoever has the right link gets in, however many wrong ones came from the same address.
  const inLink = async <T>(
    token: string,
    req: Request,
    work: (tx: Tx, jobId: string, shopId: string) => Promise<T>,
  ): Promise<T> => {
    const { rows } = await sql<{
      shop_id: string;
      job_id: string;
    }>`select shop_id, job_id from link_candidate(${hashOf(token)})`.execute(db);
    const link = rows[0];
    if (!link) await tries.count([{ key: `link-from:${req.ip ?? 'unknown'}`, patience: ofPeer }]);
    if (!link) throw new Refusal(404, 'This link does not lead anywhere any more. Ask the shop for a new one.');
    return inShop(db, link.shop_id, (tx) => work(tx, link.job_id, link.shop_id));
  };

  on.open(contract.readCustomerView, ({ params, req }) => inLink(params.token, req, viewOf));

  on.open(contract.answerAsCustomer, ({ params, body, req }) =>
    inLink(params.token, req, async (tx, jobId, shopId) => {
      const ask = await tx
        .selectFrom('record')
        .select(['data', 'revision', 'by_id'])
        .where('job_id', '=', jobId)
        .where('kind', '=', 'ask')
        .where('key', '=', body.key)
        .forUpdate()
        .executeTakeFirst();
      const data = ask?.data as AskData | undefined;
      if (!ask || !data || data.to !== 'customer') throw notFound('This question');
      // Answered already: the first answer stands, and a second tap changes nothing.
      if (data.answer) return viewOf(tx, jobId);
      if (body.revision !== undefined && body.revision !== ask.revision)
        throw new Refusal(409, 'What is asked was changed meanwhile. Read it again.');
      const answer = { yes: body.yes, text: body.text, by: 'the customer', at: new Date().toISOString() };
      await tx
        .updateTable('record')
        .set({ data: JSON.stringify({ ...data, answer }), revision: ask.revision + 1, at: new Date() })
        .where('job_id', '=', jobId)
        .where('kind', '=', 'ask')
        .where('key', '=', body.key)
        .execute();
      const asker = await tx
        .selectFrom('person')
        .select(['id', 'name', 'initials', 'role'])
        .where('id', '=', ask.by_id)
        .executeTakeFirstOrThrow();
      const entryId = await writeLogEntry(
        tx,
        { shopId, personId: asker.id, ...asker },
        {
          jobId,
          kind: 'approval',
          text: `the customer says ${body.yes ? 'yes' : 'no'}: ${data.what}${body.text ? `. ${body.text}` : ''}`,
          about: body.key,
          data: { byCustomer: true },
        },
      );
      await announce(tx, {
        shopId,
        jobId,
        by: 'customer',
        changes: [
          { kind: 'record', record: 'ask', key: body.key, revision: ask.revision + 1 },
          { kind: 'log', entryId },
        ],
      });
      return viewOf(tx, jobId);
    }),
  );

  on.open(contract.customerPhoto, async ({ params, req }) => {
    // Of the photos of a job, its customer sees those that go with what they are asked, and no other.
    const shopId = await inLink(params.token, req, async (tx, jobId, shop) => {
      const asked = await tx
        .selectFrom('record')
        .select('key')
        .where('job_id', '=', jobId)
        .where('kind', '=', 'ask')
        .where(sql<string>`data->>'photoId'`, '=', params.photoId)
        .where(sql<string>`data->>'to'`, '=', 'customer')
        .executeTakeFirst();
      if (!asked) throw notFound('This photo');
      return shop;
    });
    return photoFile(photos, shopId, params.photoId, 'screen');
  });

  on.open(contract.customerQuotePdf, ({ params, req }) =>
    inLink(params.token, req, async (tx, jobId) => {
      const quote = await withMoney(tx, () => quoteOf(tx, jobId, params.number));
      if (quote.state === 'withdrawn' || quote.state === 'replaced') throw notFound('This quote');
      const { quotePdfOf } = await import('../money/quote-pdf.ts');
      return quotePdfOf(asCustomerReads(quote), await paperHeadOf(tx, jobId));
    }),
  );

  on.open(contract.answerQuote, ({ params, body, req }) =>
    inLink(params.token, req, async (tx, jobId, shopId) => {
      const asked = await withMoney(tx, async () => {
        const quote = await quoteOf(tx, jobId, body.number);
        if (body.say !== 'ask') await answerQuoteAs(tx, jobId, { ...body, yes: body.say === 'yes' }, new Date());
        return tx
          .selectFrom('quote')
          .innerJoin('person', 'person.id', 'quote.made_by')
          .select(['person.id', 'person.name', 'person.initials', 'person.role'])
          .where('job_id', '=', jobId)
          .where('number', '=', quote.number)
          .executeTakeFirstOrThrow();
      });
      const words = {
        yes: `the customer accepts quote ${body.number}, signed ${body.name}${body.declined.length > 0 ? `, ${counted(body.declined.length, 'optional line')} left out` : ''}`,
        no: `the customer declines quote ${body.number}`,
        ask: `the customer asks about quote ${body.number}`,
      }[body.say];
      // A tap that came twice is one.
      const before = await tx
        .selectFrom('log_entry')
        .select('id')
        .where('job_id', '=', jobId)
        .where('kind', '=', 'approval')
        .where(sql<string>`data->>'sent'`, '=', body.commandId)
        .executeTakeFirst();
      if (before) return viewOf(tx, jobId);
      const entryId = await writeLogEntry(
        tx,
        { shopId, personId: asked.id, ...asked },
        {
          jobId,
          kind: 'approval',
          station: 'scope',
          text: body.text === '' ? words : `${words}. ${body.text}`,
          data: { byCustomer: true, sent: body.commandId },
        },
      );
      await announce(tx, { shopId, jobId, by: 'customer', changes: [{ kind: 'money' }, { kind: 'log', entryId }] });
      return viewOf(tx, jobId);
    }),
  );
}
