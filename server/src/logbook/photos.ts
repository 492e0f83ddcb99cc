import sharp from 'sharp';
import type { OutputInfo, Sharp } from 'sharp';
import type { FileReply } from '@bay/contract/endpoint';
import type { RecordRow } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { writeRecord } from '../records/store.ts';
import { enqueue } from '../queue/enqueue.ts';
import { withoutNotes } from './exif.ts';
import { limited, turnsOf } from '../http/turns.ts';
import type { PhotoSize, PhotoStore, Sized } from './photo-store.ts';

// A photo of a phone has some fifty million dots; more is a bomb, not a picture. What is declared is looked at before anything is unpacked.
const mostDots = 60e6;
/** A picture that was taken, drawn or shown has more than one byte for so many dots; one that has fewer was made to cost time. */
const mostDotsPerByte = 400;
const smallEnough = 4e6;
sharp.cache(false);

export interface Developed {
  /** Of the copy for a screen, upright. */
  width: number;
  height: number;
  original: Sized;
}

/** Edges of the copies, dots, and how finely they are kept. */
const copies = { screen: { edge: 1600, quality: 82 }, thumb: { edge: 320, quality: 70 } } as const;

const mimes: Readonly<Record<string, string>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  gif: 'image/gif',
  tiff: 'image/tiff',
  heif: 'image/avif',
};

const opened = (file: Buffer) => sharp(file, { failOn: 'error', limitInputPixels: mostDots });

/** A few at a time: developing fills memory, and a shop's tablets may all send at once. */
const developing = limited(2);
/** One at a time of one person: however many somebody sends, a place is left for the others. */
const inTurn = turnsOf(1);

async function smaller(file: Buffer, size: keyof typeof copies): Promise<{ data: Buffer; info: OutputInfo }> {
  const { edge, quality } = copies[size];
  return opened(file)
    .autoOrient()
    .resize(edge, edge, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality, mozjpeg: true })
    .toBuffer({ resolveWithObject: true });
}

/** A copy of a photo for a screen (1600 px) or a list (320 px), upright. */
export const copyOf = (original: Buffer, size: keyof typeof copies): Promise<Sized> =>
  developing(async () => ({ mime: 'image/jpeg', bytes: (await smaller(original, size)).data }));

/** Reads a photo by its content, whatever its name says; refuses what is no picture. Gives the original without its notes (place, time, device). */
export const develop = (file: Buffer): Promise<Developed> =>
  developing(async () => {
    try {
      const { format, orientation, width: across, height: down } = await opened(file).metadata();
      const dots = across * down;
      if (dots > mostDots || (dots > smallEnough && dots > file.length * mostDotsPerByte))
        throw new Error('made to cost time');
      const mime = mimes[format];
      if (!mime) throw new Error('no picture');
      const upright = (): Sharp => opened(file).autoOrient();
      const lossless = (): Sharp => {
        if (format === 'webp') return upright().webp({ lossless: true });
        return format === 'heif' ? upright().avif({ quality: 90 }) : upright().toFormat(format);
      };
      const original = format === 'jpeg' ? withoutNotes(file, orientation) : await lossless().toBuffer();
      // Made once here, so that what cannot be read to its end is refused before anything is kept.
      const { width, height } = (await smaller(file, 'screen')).info;
      return { width, height, original: { mime, bytes: original } };
    } catch {
      throw new Refusal(415, 'This file is no picture that can be read. JPEG, PNG, WebP, AVIF and TIFF can.');
    }
  });

export interface PhotoWrite {
  jobId: string;
  photoId: string;
  caption: string;
  about?: string | undefined;
  at?: Date;
}

/** Reads what came along and keeps its bytes, outside of any transaction: no connection is held meanwhile. */
export async function takeIn(
  store: PhotoStore,
  { shopId, personId }: Pick<Caller, 'shopId' | 'personId'>,
  photoId: string,
  file: Buffer | undefined,
): Promise<Developed> {
  if (!file || file.length === 0) throw badInput({ file: 'No photo came with this.' });
  const photo = await inTurn(personId, () => develop(file));
  await store.put(shopId, photoId, 'original', photo.original);
  return photo;
}

/** Writes the record of a photo whose bytes are kept; its copies are made by a worker. */
export async function keepPhoto(tx: Tx, caller: Caller, photo: Developed, write: PhotoWrite): Promise<RecordRow> {
  const { jobId, photoId, caption, about, at } = write;
  const data = { caption, ...(about ? { about } : {}), width: photo.width, height: photo.height };
  const record = await writeRecord(tx, caller, { jobId, kind: 'photo', key: photoId, data, revision: 0, at });
  await enqueue(tx, 'photo-copies', { shopId: caller.shopId, photoId });
  return record;
}

/** Makes and keeps the copies of a photo that are not there yet. */
export async function makeCopies(store: PhotoStore, shopId: string, photoId: string): Promise<void> {
  const original = await store.get(shopId, photoId, 'original');
  if (!original) return;
  for (const size of ['thumb', 'screen'] as const)
    if (!(await store.get(shopId, photoId, size)))
      await store.put(shopId, photoId, size, await copyOf(original.bytes, size));
}

/** A size of a photo: a copy that no worker made yet is made on the spot. */
async function sizeOf(store: PhotoStore, shopId: string, photoId: string, size: PhotoSize): Promise<Sized | undefined> {
  const kept = await store.get(shopId, photoId, size);
  if (kept || size === 'original') return kept;
  const original = await store.get(shopId, photoId, 'original');
  if (!original) return undefined;
  const copy = await copyOf(original.bytes, size);
  await store.put(shopId, photoId, size, copy);
  return copy;
}

/** What a shop has a record of is served; a photo whose record was refused is nobody's. */
export async function photoOfShop(tx: Tx, photoId: string): Promise<void> {
  const record = await tx
    .selectFrom('record')
    .select('key')
    .where('kind', '=', 'photo')
    .where('key', '=', photoId)
    .executeTakeFirst();
  if (!record) throw notFound('This photo');
}

/** A size of a photo as a file; what has an id never changes, so that a device may keep it. */
export async function photoFile(
  store: PhotoStore,
  shopId: string,
  photoId: string,
  size: PhotoSize,
): Promise<FileReply> {
  const photo = await sizeOf(store, shopId, photoId, size);
  if (!photo) throw notFound('This photo');
  const { mime, bytes } = photo;
  return {
    type: mime,
    bytes,
    keep: 'for-good',
    ...(size === 'original' ? { name: `${photoId.slice(0, 8)}.${mime.split('/')[1]}` } : {}),
  };
}
