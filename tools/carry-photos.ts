import pg from 'pg';
import { readConfig } from '../server/src/config.ts';
import { carryPhotos } from '../server/src/logbook/carry-photos.ts';
import { openElsewhere } from '../server/src/logbook/photo-store.ts';

/** `./bay carry-photos [--remove]`: photos that lie in the database go to where PHOTOS says. */
async function run(): Promise<string> {
  const read = readConfig({ SESSION_SECRET: 'not asked here, only photos are carried', ...process.env });
  if (!read.ok) throw new Error(read.sentences.join(' '));
  const { photos, databaseUrl } = read.config;
  if (photos.kind === 'database') throw new Error('PHOTOS says where to: "folder:/path" or "bucket:name".');
  const stop = new AbortController();
  process.once('SIGINT', () => stop.abort());
  const owner = new pg.Client({ connectionString: databaseUrl });
  await owner.connect();
  try {
    const { carried, removed } = await carryPhotos(owner, openElsewhere(photos), {
      remove: process.argv.includes('--remove'),
      say: (done, of) => process.stderr.write(`\r${done} of ${of}`),
      stop: stop.signal,
    });
    const rest = stop.signal.aborted ? ' Broken off; begin again, and it goes on.' : '';
    return `${carried} sizes of photos carried, ${removed} taken away from the database.${rest}`;
  } finally {
    await owner.end();
  }
}

run().then(
  (said) => process.stderr.write(`\n${said}\n`),
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  },
);
