import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addPhoto } from '@bay/contract/logbook';
import type { PhotoPlace } from '../config.ts';
import { openDb, openPool } from '../db/connection.ts';
import { workOnce } from '../worker.ts';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { startObjectStore } from '../testing/object-store.ts';
import type { ObjectStore } from '../testing/object-store.ts';
import { asFile, phonePhoto } from '../testing/pictures.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import { carryPhotos } from './carry-photos.ts';
import { openElsewhere, openPhotoStore } from './photo-store.ts';

const keys = { accessKeyId: 'key', secretAccessKey: 'secret', region: 'here-1' };
let database: Awaited<ReturnType<typeof freshDatabase>>;
let bucket: ObjectStore;
let folder: string;
const places: Record<string, () => PhotoPlace> = {
  database: () => ({ kind: 'database' }),
  folder: () => ({ kind: 'folder', folder }),
  bucket: () => ({ kind: 'bucket', bucket: 'shop', endpoint: bucket.endpoint, ...keys }),
};

beforeAll(async () => {
  database = await freshDatabase();
  bucket = await startObjectStore(keys);
  folder = mkdtempSync(join(tmpdir(), 'bay-photos-'));
});
afterAll(async () => {
  await bucket.stop();
  rmSync(folder, { recursive: true });
  await database.drop();
});

describe.each(Object.keys(places))('photos in the %s', (name) => {
  it('are sent, copied by a worker, served by any process, and never written over', async () => {
    const place = places[name]!();
    const [one, two] = [
      await startServer(database.url, { photos: place }),
      await startServer(database.url, { photos: place }),
    ];
    const pool = openPool(database.url, { max: 2 });
    try {
      const shop = await shopWithCrew(one, `store-${name}`);
      const jobId = await bookedJob(shop.manager);
      const photoId = randomUUID();
      const file = await phonePhoto(900, 600);
      const body = { photoId, file: asFile(file) } as never;
      const { record } = await shop.technician.good(addPhoto, {
        params: { jobId },
        body: { ...(body as object), commandId: commandId() } as never,
      });
      expect(record).toMatchObject({ kind: 'photo', key: photoId });
      const get = async (from: TestServer, size: string) => {
        const res = await fetch(`${from.url}/api/photos/${photoId}/${size}`, {
          headers: { cookie: shop.onlooker.cookie },
        });
        return {
          status: res.status,
          type: res.headers.get('content-type'),
          bytes: Buffer.from(await res.arrayBuffer()),
        };
      };
      const store = openPhotoStore(place, openDb(pool));
      const shopId = await shopIdOf(one, shop.manager.cookie);
      expect(await store.get(shopId, photoId, 'thumb')).toBeUndefined();
      // A copy that no worker made yet is made when somebody looks.
      expect(await get(two, 'thumb')).toMatchObject({ status: 200, type: 'image/jpeg' });
      await workOnce({
        url: database.url,
        pool,
        photos: store,
        log: pino({ level: 'silent' }),
        keepRepliesDays: 90,
      });
      expect((await store.get(shopId, photoId, 'screen'))!.mime).toBe('image/jpeg');
      const before = await get(two, 'original');
      expect(before.status).toBe(200);
      // Somebody who sends another picture under the same id changes nothing.
      const other = await shop.technician.call(addPhoto, {
        params: { jobId },
        body: {
          photoId,
          file: asFile(await phonePhoto(300, 300)),
          commandId: commandId(),
        } as never,
      });
      expect(other.status).toBe(409);
      expect((await get(one, 'original')).bytes.equals(before.bytes)).toBe(true);
    } finally {
      await pool.end();
      await Promise.all([one.stop(), two.stop()]);
    }
  });
});

describe.each(['folder', 'bucket'])('photos carried from the database to a %s', (name) => {
  it('are the same there, stay in the database until that was seen, and can be carried twice', async () => {
    const server = await startServer(database.url);
    const shop = await shopWithCrew(server, `carry-${name}`);
    const jobId = await bookedJob(shop.manager);
    const ids = [randomUUID(), randomUUID(), randomUUID()];
    for (const [i, photoId] of ids.entries())
      await shop.technician.good(addPhoto, {
        params: { jobId },
        body: {
          photoId,
          file: asFile(await phonePhoto(60 + 2 * i, 40)),
          commandId: commandId(),
        } as never,
      });
    const shopId = await shopIdOf(server, shop.manager.cookie);
    const owner = new pg.Client({ connectionString: database.url });
    await owner.connect();
    const own = openDb(openPool(database.url, { max: 1 }));
    try {
      const to = openElsewhere(places[name]!() as never);
      const inDb = openPhotoStore({ kind: 'database' }, own);
      const originals = await Promise.all(ids.map((id) => inDb.get(shopId, id, 'original')));
      const said: number[] = [];
      const first = await carryPhotos(owner, to, { remove: false, say: (n) => said.push(n) });
      expect(first.removed).toBe(0);
      expect(said.at(-1)).toBe(first.carried);
      expect(await inDb.get(shopId, ids[0]!, 'original')).toBeDefined();
      // A place that gives back something else: nothing is taken away.
      const liar = {
        put: to.put,
        get: () => Promise.resolve({ mime: 'x', bytes: Buffer.from('other') }),
      };
      await expect(
        carryPhotos(owner, liar, { remove: true, say: () => undefined }),
      ).rejects.toThrow('did not arrive as it was');
      expect(await inDb.get(shopId, ids[0]!, 'original')).toBeDefined();
      const second = await carryPhotos(owner, to, { remove: true, say: () => undefined });
      expect(second).toEqual({ carried: first.carried, removed: first.carried });
      for (const [i, id] of ids.entries()) {
        expect(await inDb.get(shopId, id, 'original')).toBeUndefined();
        expect((await to.get(shopId, id, 'original'))!.bytes.equals(originals[i]!.bytes)).toBe(
          true,
        );
      }
    } finally {
      await Promise.all([own.destroy(), owner.end(), server.stop()]);
    }
  });
});

async function shopIdOf(server: TestServer, cookie: string): Promise<string> {
  const me = (await (await fetch(`${server.url}/api/me`, { headers: { cookie } })).json()) as {
    shop: { id: string };
  };
  return me.shop.id;
}

describe('a shop that moves its photos out of the database', () => {
  it('keeps seeing those it took before, and writes the new ones where they go now', async () => {
    const before = await startServer(database.url);
    const shop = await shopWithCrew(before, 'moves-out');
    const jobId = await bookedJob(shop.manager);
    const photoId = randomUUID();
    await shop.technician.good(addPhoto, {
      params: { jobId },
      body: { photoId, file: asFile(await phonePhoto(60, 40)), commandId: commandId() } as never,
    });
    await before.stop();
    const after = await startServer(database.url, { photos: places['folder']!() });
    try {
      const seen = await fetch(`${after.url}/api/photos/${photoId}/original`, {
        headers: { cookie: shop.onlooker.cookie },
      });
      expect(seen.status).toBe(200);
      const later = randomUUID();
      const technician = new Client(after.url);
      Object.assign(technician, { cookie: shop.technician.cookie, token: shop.technician.token });
      await technician.good(addPhoto, {
        params: { jobId },
        body: {
          photoId: later,
          file: asFile(await phonePhoto(62, 40)),
          commandId: commandId(),
        } as never,
      });
      const files = readdirSync(folder, { recursive: true }).map(String);
      expect(files.some((f) => f.includes(later))).toBe(true);
      expect(files.some((f) => f.includes(photoId))).toBe(false);
    } finally {
      await after.stop();
    }
  });
});

describe('a store that fails', () => {
  it('refuses the photo with a sentence, and no record speaks of it', async () => {
    const server = await startServer(database.url, { photos: places['bucket']!() });
    try {
      const shop = await shopWithCrew(server, 'store-fails');
      const jobId = await bookedJob(shop.manager);
      bucket.fail(503);
      const answer = await shop.technician.call(addPhoto, {
        params: { jobId },
        body: {
          photoId: randomUUID(),
          file: asFile(await phonePhoto(60, 40)),
          commandId: commandId(),
        } as never,
      });
      expect(answer).toMatchObject({
        status: 500,
        problem: { title: expect.stringContaining('Nothing was written') as string },
      });
      bucket.fail(undefined);
      expect(JSON.stringify([...bucket.objects.keys()])).not.toContain('undefined');
    } finally {
      bucket.fail(undefined);
      await server.stop();
    }
  });
  it('a wrong key is found out by the signature', async () => {
    const store = openPhotoStore(
      {
        kind: 'bucket',
        bucket: 'shop',
        endpoint: bucket.endpoint,
        ...keys,
        secretAccessKey: 'wrong',
      },
      undefined as never,
    );
    await expect(
      store.put('s', 'p', 'thumb', { mime: 'image/jpeg', bytes: Buffer.from('x') }),
    ).rejects.toThrow(/403/);
  });
  it('a folder leaves no half files behind', () => {
    const left = readdirSync(folder, { recursive: true }).filter((f) =>
      String(f).endsWith('.part'),
    );
    expect(left).toEqual([]);
  });
});
