import { randomUUID } from 'node:crypto';

/**
 * `./bay supplier --url http://127.0.0.1:4170 --email … --password … [--seed N]`: a simulated supplier. It signs in, looks at the open
 * orders that carry a number of theirs, moves some of their days, and says so in the format of docs/formats/supplier-feed.md: a real
 * feed takes its place without a change.
 */
const option = (name: string): string | undefined =>
  process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : undefined;
const stop = (sentence: string): never => {
  process.stderr.write(`${sentence}\n`);
  process.exit(2);
};
const url = option('--url') ?? 'http://127.0.0.1:4170';
const email = option('--email') ?? stop('Say whose name it writes under: --email and --password.');
const password = option('--password') ?? stop('Say whose name it writes under: --email and --password.');
let seed = Number(option('--seed') ?? 1);
if (!Number.isInteger(seed)) stop('--seed wants a whole number.');

/** Mulberry32: the same days for the same seed. */
function random(): number {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}

interface OpenOrder {
  supplierId: string;
  supplier: string;
  reference: string;
  promisedOn: string | null;
  orderedOn: string;
}

const signedIn = await fetch(`${url}/api/sign-in`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ email, password }),
}).catch(() => stop(`Nobody answers at ${url}.`));
if (!signedIn.ok) stop(((await signedIn.json()) as { title: string }).title);
const { token } = (await signedIn.json()) as { token: string };
const cookie = signedIn.headers
  .getSetCookie()
  .map((c) => c.split(';')[0])
  .join('; ');
const headers = { cookie, 'content-type': 'application/json', 'x-bay-token': token };

const { orders } = (await (await fetch(`${url}/api/orders?open=true`, { headers })).json()) as { orders: OpenOrder[] };
const numbered = orders.filter((o) => o.reference !== '');
for (const supplierId of new Set(numbered.map((o) => o.supplierId))) {
  const own = numbered.filter((o) => o.supplierId === supplierId);
  const says = own.map((o) => {
    // Most go out as promised, some slip by a few days.
    const slip = random() < 0.5 ? 0 : 1 + Math.floor(random() * 6);
    const from = new Date(`${o.promisedOn ?? o.orderedOn}T00:00:00Z`);
    const promisedOn = new Date(from.getTime() + slip * 86_400_000).toISOString().slice(0, 10);
    return { reference: o.reference, promisedOn, tracking: slip === 0 ? 'on its way' : `held up, ${slip} days later` };
  });
  const told = await fetch(`${url}/api/orders/feed`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ commandId: randomUUID(), supplierId, orders: says }),
  });
  const reply = (await told.json()) as { moved?: number; title?: string };
  if (!told.ok) stop(reply.title ?? 'The feed was refused.');
  process.stdout.write(`${own[0]!.supplier}: ${says.length} told of, ${reply.moved ?? 0} moved\n`);
}
if (numbered.length === 0) process.stdout.write('No open order carries a number of its supplier.\n');
