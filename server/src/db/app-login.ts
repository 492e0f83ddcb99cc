import { createHash, createHmac, pbkdf2Sync, randomBytes } from 'node:crypto';
import pg from 'pg';
import { appRole } from './connection.ts';

/** The role that the servers of one database sign in as; it has no more than the application's role, which all databases share. */
function loginOf(database: string): string {
  const plain = /^[a-z0-9_]{1,50}$/.test(database);
  return `bay_at_${plain ? database : createHash('sha256').update(database).digest('hex').slice(0, 32)}`;
}

/** Its password: the same for every process that has the installation's secret, and written down nowhere. */
const passwordOf = (secret: string): string =>
  createHmac('sha256', secret).update('database login').digest('base64url');

/** The database of `ownerUrl`, as its servers connect to it. */
function appUrl(ownerUrl: string, secret: string): URL {
  const url = new URL(ownerUrl);
  url.username = loginOf(decodeURIComponent(url.pathname.slice(1)));
  url.password = passwordOf(secret);
  return url;
}

/** What PostgreSQL keeps of a password, made here so that the password stands in no statement and in no log of them (RFC 5802, RFC 7677). */
function verifierOf(password: string): string {
  const rounds = 4096;
  const salt = randomBytes(16);
  const salted = pbkdf2Sync(password, salt, rounds, 32, 'sha256');
  const hmac = (words: string) => createHmac('sha256', salted).update(words).digest();
  const stored = createHash('sha256').update(hmac('Client Key')).digest('base64');
  return `SCRAM-SHA-256$${rounds}:${salt.toString('base64')}$${stored}:${hmac('Server Key').toString('base64')}`;
}

async function letsIn(url: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: url });
  try {
    await client.connect();
    return true;
  } catch {
    return false;
  } finally {
    await client.end().catch(() => undefined);
  }
}

/**
 * Lets the servers of a database sign in with the password that goes with this secret, and gives the address that they connect to.
 * Nothing is written where they are let in already. Asked by the owner of a database that is migrated.
 */
export async function letAppIn(ownerUrl: string, secret: string): Promise<string> {
  const url = appUrl(ownerUrl, secret);
  if (await letsIn(url.href)) return url.href;
  const owner = new pg.Client({ connectionString: ownerUrl });
  await owner.connect();
  try {
    // Of several that prepare one database at once the others wait here, and find it done.
    await owner.query('select pg_advisory_lock(hashtext($1))', [url.username]);
    const { rowCount: there } = await owner.query('select 1 from pg_roles where rolname = $1', [url.username]);
    const login = `login password '${verifierOf(url.password)}'`;
    await owner.query(
      there ? `alter role ${url.username} ${login}` : `create role ${url.username} ${login} in role ${appRole}`,
    );
  } finally {
    await owner.end();
  }
  if (!(await letsIn(url.href)))
    throw new Error(`${url.username} cannot sign in to the database: its pg_hba.conf must let it in by password.`);
  return url.href;
}
