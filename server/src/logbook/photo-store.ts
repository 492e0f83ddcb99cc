import { randomUUID } from 'node:crypto';
import { link, mkdir, readFile, unlink, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { AwsClient } from 'aws4fetch';
import type { photoSizes } from '@bay/contract/logbook';
import type { PhotoPlace } from '../config.ts';
import { inShop } from '../db/connection.ts';
import type { Db } from '../db/connection.ts';

export type PhotoSize = (typeof photoSizes)[number];

export interface Sized {
  mime: string;
  bytes: Buffer;
}

/**
 * Where the bytes of photos lie. What has an id never changes: it is put once, before the record that names it, so that a record
 * never speaks of bytes that are not there; bytes that no record names are harmless.
 */
export interface PhotoStore {
  put: (shopId: string, photoId: string, size: PhotoSize, photo: Sized) => Promise<void>;
  /** Nothing when it is not there. */
  get: (shopId: string, photoId: string, size: PhotoSize) => Promise<Sized | undefined>;
}

/** In the database: any process has them, and a backup of the database is a backup of everything. */
function inDatabase(db: Db): PhotoStore {
  return {
    put: (shopId, photoId, size, { mime, bytes }) =>
      inShop(db, shopId, async (tx) => {
        await tx
          .insertInto('photo_blob')
          .values({ photo_id: photoId, shop_id: shopId, size, mime, bytes })
          .onConflict((c) => c.columns(['shop_id', 'photo_id', 'size']).doNothing())
          .execute();
      }),
    get: (shopId, photoId, size) =>
      inShop(db, shopId, (tx) =>
        tx
          .selectFrom('photo_blob')
          .select(['mime', 'bytes'])
          .where('photo_id', '=', photoId)
          .where('size', '=', size)
          .executeTakeFirst(),
      ),
  };
}

const nameOf = (shopId: string, photoId: string, size: PhotoSize): string => `${shopId}/${photoId}-${size}`;

/** In a folder that every process reaches. The kind of picture stands before the bytes, on a line of its own. */
function inFolder(folder: string): PhotoStore {
  return {
    put: async (shopId, photoId, size, { mime, bytes }) => {
      await mkdir(join(folder, shopId), { recursive: true });
      const path = join(folder, nameOf(shopId, photoId, size));
      // Written beside and then given its name: nobody reads half a photo, and one that is there is not written over.
      const part = `${path}.${randomUUID()}.part`;
      await writeFile(part, Buffer.concat([Buffer.from(`${mime}\n`), bytes]));
      await link(part, path).catch((error: NodeJS.ErrnoException) => {
        if (error.code !== 'EEXIST') throw error;
      });
      await unlink(part);
    },
    get: async (shopId, photoId, size) => {
      const file = await readFile(join(folder, nameOf(shopId, photoId, size))).catch((error: NodeJS.ErrnoException) => {
        if (error.code === 'ENOENT') return undefined;
        throw error;
      });
      if (!file) return undefined;
      const end = file.indexOf('\n');
      return { mime: file.subarray(0, end).toString(), bytes: file.subarray(end + 1) };
    },
  };
}

/** In a bucket of an object store that speaks the S3 protocol. */
function inBucket(place: Extract<PhotoPlace, { kind: 'bucket' }>): PhotoStore {
  const { accessKeyId, secretAccessKey, region, endpoint, bucket } = place;
  const client = new AwsClient({ accessKeyId, secretAccessKey, region, service: 's3', retries: 3 }); // The person who waits is told within a second; their tablet tries again.
  const address = (shopId: string, photoId: string, size: PhotoSize): string =>
    `${endpoint.replace(/\/$/, '')}/${bucket}/${nameOf(shopId, photoId, size)}`;
  return {
    put: async (shopId, photoId, size, { mime, bytes }) => {
      // What is there already is not written over.
      const headers = { 'content-type': mime, 'if-none-match': '*' };
      const answer = await client.fetch(address(shopId, photoId, size), {
        method: 'PUT',
        headers,
        body: new Uint8Array(bytes),
      });
      if (!answer.ok && answer.status !== 412)
        throw new Error(`The object store answered ${answer.status} to a photo.`);
    },
    get: async (shopId, photoId, size) => {
      const answer = await client.fetch(address(shopId, photoId, size));
      if (answer.status === 404) return undefined;
      if (!answer.ok) throw new Error(`The object store answered ${answer.status} when asked for a photo.`);
      return {
        mime: answer.headers.get('content-type') ?? 'application/octet-stream',
        bytes: Buffer.from(await answer.arrayBuffer()),
      };
    },
  };
}

/** Where photos lie that do not lie in the database. */
export const openElsewhere = (place: Exclude<PhotoPlace, { kind: 'database' }>): PhotoStore =>
  place.kind === 'folder' ? inFolder(place.folder) : inBucket(place);

export function openPhotoStore(place: PhotoPlace, db: Db): PhotoStore {
  const database = inDatabase(db);
  if (place.kind === 'database') return database;
  const elsewhere = openElsewhere(place);
  // A shop that moves its photos out keeps seeing those it took before.
  return {
    put: elsewhere.put,
    get: async (...which) => (await elsewhere.get(...which)) ?? database.get(...which),
  };
}
