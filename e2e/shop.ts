import { loadDemo } from '../demo/load.ts';
import { demoShop } from '../demo/shop.ts';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { openDb, openPool } from '../server/src/db/connection.ts';
import {
  Client,
  copiedDatabase,
  freshDatabase,
  startServer,
} from '../server/src/testing/harness.ts';
import { Browser } from './browser.ts';
import type { TestServer } from '../server/src/testing/harness.ts';

export interface Running {
  server: TestServer;
  stop: () => Promise<void>;
}

/** A database with the demo shop in it. */
export const demoDatabase = () =>
  copiedDatabase('demo_shop', async (url) => {
    const pool = openPool(url, { max: 4 });
    await loadDemo(openDb(pool), new Date());
    await pool.end();
  });

/** The built web application on a real server and a database of its own. */
export async function runShop(demo: boolean): Promise<Running> {
  const database = demo ? await demoDatabase() : await freshDatabase();
  const server = await startServer(database.url, { webDir: 'web/dist' });
  return {
    server,
    stop: async () => {
      await server.stop();
      await database.drop();
    },
  };
}

/** A signed-in client of the demo shop, for what a test needs to know and a person would not click. */
export async function demoManager(server: TestServer): Promise<Client> {
  const client = new Client(server.url);
  await client.good(crew.signIn, {
    body: { email: demoShop.manager.email, password: demoShop.manager.password },
  });
  return client;
}

/** Ids of the demo jobs by a word of the car's name. */
export async function demoJobs(server: TestServer): Promise<(word: string) => string> {
  const manager = await demoManager(server);
  const { strips } = await manager.good(jobs.readFloor);
  const all = [...strips, ...(await manager.good(jobs.readFinishedJobs)).jobs];
  return (word) => all.find((j) => j.carName.includes(word))!.id;
}

/** The demo shop with its manager at a browser. */
export interface Desk {
  shop: Running;
  b: Browser;
  job: (word: string) => string;
  /** Goes to a view of the job whose car has this word in its name. */
  at: (word: string, path: string) => Promise<void>;
  close: () => Promise<void>;
}

export async function openDesk(): Promise<Desk> {
  const shop = await runShop(true);
  const job = await demoJobs(shop.server);
  const b = await Browser.open(shop.server.url);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
  return {
    shop,
    b,
    job,
    at: async (word, path) => {
      await b.visit(`/jobs/${job(word)}/${path}`);
      await b.find('.app-bench h2');
    },
    close: async () => {
      await b.close();
      await shop.stop();
    },
  };
}
