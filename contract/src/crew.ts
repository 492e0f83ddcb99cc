import { z } from 'zod';
import { clockRow } from './clock.ts';
import { command, endpoint, id, line } from './endpoint.ts';
import { currency } from './money.ts';

export const roles = ['manager', 'technician', 'onlooker'] as const;
export const role = z.enum(roles);
export type Role = z.infer<typeof role>;

export const person = z.object({
  id,
  name: z.string(),
  initials: z.string(),
  role,
  hasPin: z.boolean(),
  signsIn: z.boolean(),
  /** Wrong PINs tried for this person lately, and until when they wait; told to the manager. */
  wrongPins: z.object({ tries: z.number(), until: z.string().nullable() }).optional(),
});
export type Person = z.infer<typeof person>;
/** Somebody who was on the crew; they come back as who they were. */
export const personWhoLeft = person
  .pick({ id: true, name: true, initials: true, role: true })
  .extend({ leftAt: z.string() });
export type PersonWhoLeft = z.infer<typeof personWhoLeft>;

export const shop = z.object({ id, name: z.string(), bays: z.array(z.string()), currency });

const email = z.string().trim().toLowerCase().max(200).pipe(z.email('Not an e-mail address.'));
/** OWASP ASVS 4.0.3, 2.1.1 and 2.1.2, from memory: at least 12 characters, at most 128, no other rule. */
const password = z.string().min(12, 'At least 12 characters.').max(128, 'At most 128 characters.');
const initials = z
  .string()
  .trim()
  .regex(/^[A-Za-zÀ-ž]{2,3}$/, 'Two or three letters.');
const pin = z.string().regex(/^\d{4,8}$/, 'A PIN has 4 to 8 figures.');

export const me = z.object({
  /** True while no shop exists on this server. */
  needsSetup: z.boolean(),
  shop: shop.nullable(),
  person: person.nullable(),
  /** Sent back with every change. */
  token: z.string(),
});
export type Me = z.infer<typeof me>;

export const getMe = endpoint({
  method: 'get',
  path: '/api/me',
  summary: 'Who is signed in on this device',
  access: 'open',
  reply: me,
});
export const setUpShop = endpoint({
  method: 'post',
  path: '/api/setup',
  summary: 'Set up the first shop and its manager',
  access: 'open',
  body: z.object({
    shopName: line(80),
    bays: z.number().int().min(1).max(12),
    name: line(60),
    email,
    password,
    currency: currency.optional(),
  }),
  reply: me,
});
export const signIn = endpoint({
  method: 'post',
  path: '/api/sign-in',
  summary: 'Sign in with e-mail and password',
  access: 'open',
  body: z.object({ email, password: z.string().max(200) }),
  reply: me,
});
export const signOut = endpoint({
  method: 'post',
  path: '/api/sign-out',
  summary: 'Sign this device out of the shop',
  access: 'open',
  reply: me,
});
export const lockTablet = endpoint({
  method: 'post',
  path: '/api/lock',
  summary: 'Nobody at this tablet; the shop stays',
  access: 'shop',
  reply: me,
});
export const switchPerson = endpoint({
  method: 'post',
  path: '/api/switch',
  summary: 'Somebody else at this tablet: name and PIN',
  access: 'shop',
  body: z.object({ personId: id, pin }),
  reply: me,
});
export const listCrew = endpoint({
  method: 'get',
  path: '/api/crew',
  summary: 'The crew of the shop, and for the manager who left it',
  access: 'shop',
  reply: z.object({ crew: z.array(person), left: z.array(personWhoLeft) }),
});
export const addPerson = endpoint({
  method: 'post',
  path: '/api/crew',
  summary: 'Add somebody to the crew',
  access: 'manage',
  body: z.object({
    ...command,
    name: line(60),
    initials,
    role,
    pin: pin.optional(),
    email: email.optional(),
    password: password.optional(),
  }),
  reply: z.object({ person }),
});
export const renamePerson = endpoint({
  method: 'put',
  path: '/api/crew/:personId',
  summary: 'Somebody has another name now; what they did stays theirs',
  access: 'manage',
  params: z.object({ personId: id }),
  body: z.object({ ...command, name: line(60), initials: initials.optional() }),
  reply: z.object({ person }),
});
export const setPin = endpoint({
  method: 'put',
  path: '/api/crew/:personId/pin',
  summary: 'Give somebody a new PIN',
  access: 'manage',
  params: z.object({ personId: id }),
  body: z.object({ ...command, pin }),
  reply: z.object({ person }),
});
export const setPassword = endpoint({
  method: 'put',
  path: '/api/crew/:personId/password',
  summary: 'Give somebody a new e-mail and password to sign in with; their other sessions end',
  access: 'manage',
  params: z.object({ personId: id }),
  body: z.object({ ...command, email: email.optional(), password }),
  reply: z.object({ person }),
});
export const removePerson = endpoint({
  method: 'delete',
  path: '/api/crew/:personId',
  summary: 'Somebody leaves the crew: cannot sign in any more, stays named in the records',
  access: 'manage',
  params: z.object({ personId: id }),
  body: z.object({ ...command }),
  reply: z.object({ person }),
});

export const takeBackPerson = endpoint({
  method: 'put',
  path: '/api/crew/:personId/back',
  summary: 'Somebody who left comes back as who they were: what they wrote and signed before is theirs',
  access: 'manage',
  params: z.object({ personId: id }),
  body: z.object({
    ...command,
    initials: initials.optional(),
    role,
    pin: pin.optional(),
    email: email.optional(),
    password: password.optional(),
  }),
  reply: z.object({ person }),
});

export const deviceSession = z.object({
  id: z.string(),
  /** Who is at the device now; nobody at a locked tablet. */
  person: z.string().nullable(),
  device: z.string(),
  lastSeen: z.string(),
  thisOne: z.boolean(),
});
export const listSessions = endpoint({
  method: 'get',
  path: '/api/sessions',
  summary: 'Devices that are signed in: your own, or all of the shop for the manager',
  access: 'look',
  reply: z.object({ sessions: z.array(deviceSession) }),
});
export const endSession = endpoint({
  method: 'delete',
  path: '/api/sessions/:sessionId',
  summary: 'Sign a device out',
  access: 'look',
  params: z.object({ sessionId: z.string().min(8).max(100) }),
  reply: z.object({ ended: z.boolean() }),
});

/** Something that waits for one person. */
export const waitingItem = z.object({
  sort: z.enum(['step', 'question', 'approval', 'signature', 'reading', 'clock', 'second-signature']),
  jobId: id,
  number: z.string(),
  carName: z.string(),
  /** Kind of the record it is about; none for a clock. */
  kind: z.string().optional(),
  /** Record to answer or to sign, or the step; the clock otherwise. */
  key: z.string(),
  revision: z.number(),
  what: z.string(),
  from: z.string(),
  since: z.string(),
  amount: z.number().optional(),
  /** The record as it stands, for answering it. */
  data: z.record(z.string(), z.unknown()),
});
export type WaitingItem = z.infer<typeof waitingItem>;
export const readWaiting = endpoint({
  method: 'get',
  path: '/api/waiting',
  summary:
    'What waits for you: steps given to you, questions, approvals, signatures, readings asked for, second signatures, forgotten clocks',
  access: 'look',
  reply: z.object({ items: z.array(waitingItem) }),
});

export const benchStep = z.object({
  jobId: id,
  number: z.string(),
  carName: z.string(),
  bay: z.string().nullable(),
  key: z.string(),
  revision: z.number(),
  title: z.string(),
  station: z.string(),
  status: z.string(),
  minutes: z.array(z.number()).optional(),
  caution: z.string().optional(),
  thenWait: z.string().optional(),
  /** Given to this person by name. */
  mine: z.boolean(),
});
export type BenchStep = z.infer<typeof benchStep>;
export const readBench = endpoint({
  method: 'get',
  path: '/api/bench',
  summary: 'What you are on, and the next steps that are free across jobs',
  access: 'look',
  reply: z.object({
    running: clockRow.nullable(),
    step: benchStep.nullable(),
    next: z.array(benchStep),
    jobs: z.array(z.object({ id, number: z.string(), carName: z.string() })),
  }),
});
