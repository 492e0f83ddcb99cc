import { readAccess } from './config.ts';
import { letAppIn } from './db/app-login.ts';
import { migrate } from './db/migrate.ts';

/**
 * What the owner of the database does before the server starts, in a process of its own, so that the server never holds the owner's
 * password: brings it up to date, lets the server in, and prints the address that the server connects to.
 */
async function prepare(): Promise<string> {
  const read = readAccess(process.env);
  if (!read.ok) throw new Error(read.sentences.join('\n'));
  const { DATABASE_URL: ownerUrl, SESSION_SECRET: secret } = read.config;
  await migrate(ownerUrl);
  return letAppIn(ownerUrl, secret);
}

prepare().then(
  (url) => process.stdout.write(`${url}\n`),
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  },
);
