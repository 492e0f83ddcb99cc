import sharp from 'sharp';
import type { OutputInfo } from 'sharp';
import type { Express } from 'express';
import { photoSizes } from '@bay/contract/logbook';
import type { RecordRow } from '@bay/contract/records';
import { inShop } from '../db/connection.ts';
import type { Db, Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import { callerOf } from '../http/register.ts';
import type { Caller } from '../http/register.ts';
import { writeRecord } from '../records/store.ts';
import { withoutNotes } from './exif.ts';

// A photo of a phone has some fifty million dots; more is a bomb, not a picture.
const mostDots = 120e6;
sharp.cache(false);

interface Sized {
  mime: string;
  bytes: Buffer;
}

export interface Developed {
  width: number;
  height: number;
  original: Sized;
  screen: Sized;
  thumb: Sized;
}

const mimes: Readonly<Record<string, string>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  gif: 'image/gif',
  tiff: 'image/tiff',
  heif: 'image/avif',
};

/**
 * Reads a photo by its content, whatever its name says; refuses what is no picture. Gives the original without its notes
 * (place, time, device), and upright copies for a screen (1600 px) and a list (320 px).
 */
export async function develop(file: Buffer): Promise<Developed> {
  const open = () => sharp(file, { failOn: 'error', limitInputPixels: mostDots });
  try {
    const { format, orientation } = await open().metadata();
    const mime = mimes[format];
    if (!mime) throw new Error('no picture');
    const original =
      format === 'jpeg'
        ? withoutNotes(file, orientation)
        : await (
            format === 'webp'
              ? open().autoOrient().webp({ lossless: true })
              : format === 'heif'
                ? open().autoOrient().avif({ quality: 90 })
                : open().autoOrient().toFormat(format)
          ).toBuffer();
    const small = (edge: number, quality: number): Promise<{ data: Buffer; info: OutputInfo }> =>
      open()
        .autoOrient()
        .resize(edge, edge, { fit: 'inside', withoutEnlargement: true })
        .flatten({ background: '#ffffff' })
        .jpeg({ quality, mozjpeg: true })
        .toBuffer({ resolveWithObject: true });
    const screen = await small(1600, 82);
    const thumb = await small(320, 70);
    const jpeg = (bytes: Buffer): Sized => ({ mime: 'image/jpeg', bytes });
    return { width: screen.info.width, height: screen.info.height, original: { mime, bytes: original }, screen: jpeg(screen.data), thumb: jpeg(thumb.data) };
  } catch {
    throw new Refusal(415, 'This file is no picture that can be read. JPEG, PNG, WebP, AVIF and TIFF can.');
  }
}

export interface PhotoWrite {
  jobId: string;
  photoId: string;
  caption: string;
  about?: string | undefined;
  at?: Date;
}

/** Keeps a photo in three sizes and writes its record; its bytes lie in the database, where every server process has them. */
export async function keepPhoto(tx: Tx, caller: Caller, file: Buffer | undefined, write: PhotoWrite): Promise<RecordRow> {
  if (!file || file.length === 0) throw badInput({ file: 'No photo came with this.' });
  const photo = await develop(file);
  const { jobId, photoId, caption, about, at } = write;
  const data = { caption, ...(about ? { about } : {}), width: photo.width, height: photo.height };
  const record = await writeRecord(tx, caller, { jobId, kind: 'photo', key: photoId, data, revision: 0, at });
  await tx
    .insertInto('photo_blob')
    .values(photoSizes.map((size) => ({ photo_id: photoId, shop_id: caller.shopId, size, ...photo[size] })))
    .execute();
  return record;
}

/** Serves the sizes of a photo; what has an id never changes, so that a device may keep it. */
export function servePhotos(app: Express, db: Db): void {
  app.get('/api/photos/:photoId/:size', async (req, res) => {
    const { photoId, size } = req.params;
    const { shopId } = req.session;
    if (!shopId) throw new Refusal(401, 'Sign in first.');
    const isSize = (s: string): s is (typeof photoSizes)[number] => (photoSizes as readonly string[]).includes(s);
    if (!/^[0-9a-f-]{36}$/.test(photoId) || !isSize(size)) throw notFound('This photo');
    const row = await inShop(db, shopId, async (tx) => {
      await callerOf(tx, req, 'look');
      return tx.selectFrom('photo_blob').select(['mime', 'bytes']).where('photo_id', '=', photoId).where('size', '=', size).executeTakeFirst();
    });
    if (!row) throw notFound('This photo');
    res.set({ 'content-type': row.mime, 'cache-control': 'private, max-age=31536000, immutable', 'content-security-policy': "default-src 'none'" });
    if (size === 'original') res.set('content-disposition', `attachment; filename="${photoId.slice(0, 8)}.${row.mime.split('/')[1]}"`);
    res.end(row.bytes);
  });
}
