import { createHash } from 'node:crypto';
import type { Express, Request, RequestHandler, Response } from 'express';
import type { z } from 'zod';
import multer from 'multer';
import { turnsOf } from './turns.ts';
import { mostPhotoBytes } from '@bay/contract/logbook';
import type { Endpoint, FileReply } from '@bay/contract/endpoint';
import type { Role } from '@bay/contract/crew';
import type { Change } from '@bay/contract/live';
import type { Db, Tx } from '../db/connection.ts';
import { inShop } from '../db/connection.ts';
import { seesMoneyByRole } from '../db/sees-money.ts';
import { badInput, fieldsOf, Refusal } from './problem.ts';
import { fromOurPages } from './security.ts';

/** Who calls: known for every access but "open". */
export interface Caller {
  shopId: string;
  personId: string;
  name: string;
  initials: string;
  role: Role;
  /** What was asked, in short: of a command that comes again it tells whether it is the same. */
  asked?: string | undefined;
  /** The command that runs for this caller. */
  command?: { id: string; at?: Date; about?: string; changes: Change[] };
}

export interface Call<E extends Endpoint> {
  params: z.infer<E['params']>;
  query: z.infer<E['query']>;
  body: z.infer<E['body']>;
  req: Request;
  res: Response;
}

/** One file of a form, held in memory: it is on its way into the database. */
const upload = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: mostPhotoBytes, files: 1, fields: 12, fieldSize: 4000 },
}).single('file');
const oneFile: RequestHandler = (req, res, next) =>
  void upload(req, res, (error: unknown) => {
    if (error instanceof multer.MulterError)
      return next(
        new Refusal(
          error.code === 'LIMIT_FILE_SIZE' ? 413 : 400,
          error.code === 'LIMIT_FILE_SIZE' ? 'A photo has 20 MB at most.' : 'This form cannot be read.',
        ),
      );
    if (error) return next(new Refusal(400, 'The upload broke off. Nothing was written; send it again.'));
    next();
  });

const allowed: Record<Endpoint['access'], readonly Role[]> = {
  open: ['manager', 'technician', 'onlooker'],
  shop: ['manager', 'technician', 'onlooker'],
  look: ['manager', 'technician', 'onlooker'],
  work: ['manager', 'technician'],
  manage: ['manager'],
};

function part<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const read = schema.safeParse(keepable(value ?? {}));
  if (!read.success) throw badInput(fieldsOf(read.error));
  return read.data;
}

const deepest = 12;

/**
 * The one door through which all text comes: signs that no database keeps (NUL, halves of a pair) are taken out, and what is
 * nested deeper than anything of ours is refused.
 */
function keepable(value: unknown, depth = 0): unknown {
  if (typeof value === 'string') return value.replaceAll('\0', '').replace(loneHalves, '\uFFFD');
  if (typeof value !== 'object' || value === null) return value;
  if (depth > deepest) throw new Refusal(422, 'This is nested deeper than anything here.');
  if (Array.isArray(value)) return value.map((v) => keepable(v, depth + 1));
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key]) => key !== '__proto__')
      .map(([key, v]) => [keepable(key) as string, keepable(v, depth + 1)]),
  );
}
/** What stands before a handler reads only what may be kept. */
const keepableBody: RequestHandler = (req, _res, next) => {
  req.body = keepable(req.body);
  next();
};
const loneHalves = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

/** A value with the keys of its objects in order, so that the same is written the same. */
const inOrder = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(inOrder)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([k, v]) => [k, inOrder(v)]),
        )
      : value;

/** What was asked, without how long ago it was done: a device that sends it again counts that anew. */
function digestOf(req: Request): string | undefined {
  const body = { ...(req.body as Record<string, unknown> | undefined) };
  if (body['commandId'] === undefined) return undefined;
  delete body['agoMs'];
  return createHash('sha256')
    .update(`${req.method} ${req.path} ${JSON.stringify(inOrder(body))}`)
    .digest('base64url');
}

/** The person of this session, read inside the shop. Refuses when nobody is at the tablet or the role may not. */
export async function callerOf(tx: Tx, req: Request, access: Endpoint['access']): Promise<Caller> {
  const { personId, shopId } = req.session;
  if (!shopId) throw new Refusal(401, 'Sign in first.');
  if (!personId) throw new Refusal(401, 'Nobody is at this tablet. Tap your name.');
  const person = await tx
    .selectFrom('person')
    .select(['id', 'name', 'initials', 'role', seesMoneyByRole.as('sees')])
    .where('id', '=', personId)
    .where('active', '=', true)
    .executeTakeFirst();
  if (!person) throw new Refusal(401, 'Sign in first.');
  if (!allowed[access].includes(person.role)) {
    throw new Refusal(403, access === 'manage' ? 'Only the manager does this.' : 'Onlookers read; they do not write.');
  }
  const { id, name, initials, role } = person;
  return { shopId, personId: id, name, initials, role, asked: digestOf(req) };
}

const read = <E extends Endpoint>(e: E, req: Request, res: Response): Call<E> => ({
  params: part(e.params, req.params) as z.infer<E['params']>,
  query: part(e.query, req.query) as z.infer<E['query']>,
  body: part(e.body, req.body) as z.infer<E['body']>,
  req,
  res,
});

/** Sends a reply: JSON, or a file where the endpoint gives one. */
function send(e: Endpoint, res: Response, reply: unknown): void {
  if (!e.gives) return void res.json(reply);
  const { name, type, bytes, keep } = reply as FileReply;
  res.set({
    'content-type': type,
    'cache-control': keep === 'for-good' ? 'private, max-age=31536000, immutable' : 'no-store',
    // A file that is opened by itself runs nothing and asks nobody.
    'content-security-policy': "default-src 'none'",
    ...(name ? { 'content-disposition': `attachment; filename="${name.replace(/[^\w. -]/g, '_')}"` } : {}),
  });
  res.end(typeof bytes === 'string' ? bytes : Buffer.from(bytes));
}

/** Writes on one job take turns in the database anyway. A few of them hold connections at a time, so that a job that is stuck leaves some for the others. */
const writesOnJob = turnsOf(3);

/** Registers handlers against endpoints of the contract. */
export class Registry {
  private readonly app: Express;
  private readonly db: Db;

  constructor(app: Express, db: Db) {
    this.app = app;
    this.db = db;
  }

  /** An endpoint that works outside of a shop: signing in, setting up, calculators. */
  open<E extends Endpoint>(
    e: E,
    handler: (call: Call<E>) => Promise<z.infer<E['reply']>>,
    ...before: RequestHandler[]
  ): void {
    this.app[e.method](e.path, fromOurPages(e), keepableBody, ...before, async (req, res) => {
      send(e, res, await handler(read(e, req, res)));
    });
  }

  /** An endpoint inside the caller's shop: one transaction, row-level security on. */
  shop<E extends Endpoint>(
    e: E,
    handler: (tx: Tx, call: Call<E>, caller: Caller) => Promise<z.infer<E['reply']>>,
    ...before: RequestHandler[]
  ): void {
    this.app[e.method](
      e.path,
      fromOurPages(e),
      keepableBody,
      ...before,
      ...(e.form ? [oneFile] : []),
      async (req, res) => {
        const { shopId } = req.session;
        if (!shopId) throw new Refusal(401, 'Sign in first.');
        const work = () =>
          inShop(this.db, shopId, async (tx) => {
            // Who may not is told so before what they sent is looked at.
            const caller = await callerOf(tx, req, e.access);
            return handler(tx, read(e, req, res), caller);
          });
        const jobId = req.params['jobId'];
        const changes = e.method !== 'get' && typeof jobId === 'string';
        send(e, res, await (changes ? writesOnJob(`${shopId} ${jobId.toLowerCase()}`, work) : work()));
      },
    );
  }

  /**
   * An endpoint with work that takes long before the change itself: who calls is looked at first, then the work is done without
   * holding a connection, then the change is one transaction.
   */
  staged<E extends Endpoint, P>(
    e: E,
    prepare: (call: Call<E>, caller: Caller) => Promise<P>,
    handler: (tx: Tx, call: Call<E>, caller: Caller, prepared: P) => Promise<z.infer<E['reply']>>,
  ): void {
    this.app[e.method](e.path, fromOurPages(e), ...(e.form ? [oneFile] : []), async (req, res) => {
      const { shopId } = req.session;
      if (!shopId) throw new Refusal(401, 'Sign in first.');
      const first = await inShop(this.db, shopId, (tx) => callerOf(tx, req, e.access));
      const call = read(e, req, res);
      const prepared = await prepare(call, first);
      // Who may was asked minutes ago, perhaps: it is asked again with the change.
      const reply = await inShop(this.db, shopId, async (tx) =>
        handler(tx, call, await callerOf(tx, req, e.access), prepared),
      );
      send(e, res, reply);
    });
  }

  /** An endpoint that looks something up in the shop and then does without the database: a file from elsewhere. */
  lookedUp<E extends Endpoint, P>(
    e: E,
    look: (tx: Tx, call: Call<E>, caller: Caller) => Promise<P>,
    give: (found: P, call: Call<E>, caller: Caller) => Promise<z.infer<E['reply']>>,
  ): void {
    this.app[e.method](e.path, fromOurPages(e), async (req, res) => {
      const { shopId } = req.session;
      if (!shopId) throw new Refusal(401, 'Sign in first.');
      const [caller, call, found] = await inShop(this.db, shopId, async (tx) => {
        const who = await callerOf(tx, req, e.access);
        const asked = read(e, req, res);
        return [who, asked, await look(tx, asked, who)] as const;
      });
      send(e, res, await give(found, call, caller));
    });
  }
}
