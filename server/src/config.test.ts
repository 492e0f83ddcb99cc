import { describe, expect, it } from 'vitest';
import { readConfig } from './config.ts';

const good = {
  DATABASE_URL: 'postgres://u@127.0.0.1/d',
  SESSION_SECRET: 'sixteen characters or more',
};
const sentences = (env: Record<string, string | undefined>): string[] => {
  const read = readConfig(env);
  return read.ok ? [] : read.sentences;
};

describe('settings', () => {
  it('need a database and a secret, the rest has its usual value', () => {
    expect(readConfig(good)).toMatchObject({
      ok: true,
      config: {
        port: 4170,
        host: '127.0.0.1',
        photos: { kind: 'database' },
        pool: { max: 12 },
        workers: 1,
      },
    });
  });
  it.each([
    [{ DATABASE_URL: undefined }, 'DATABASE_URL is not set. Start with ./bay demo, or set it.'],
    [{ DATABASE_URL: 'mysql://x' }, 'DATABASE_URL begins with postgres://.'],
    [{ SESSION_SECRET: 'short' }, 'SESSION_SECRET is too short: 16 characters or more.'],
    [{ PORT: 'eighty' }, 'PORT is a whole number from 1 to 65535, not "eighty".'],
    [{ PORT: '70000' }, 'PORT is a whole number from 1 to 65535, not "70000".'],
    [{ LOG_LEVEL: 'loud' }, 'LOG_LEVEL is one of fatal, error, warn, info, debug, trace, silent.'],
    [{ SECURE_COOKIES: 'maybe' }, 'SECURE_COOKIES is yes or no.'],
    [{ PHOTOS: 'folder:relative' }, 'PHOTOS is "database", "folder:/path" or "bucket:name".'],
    [
      { PHOTOS: 'bucket:shop' },
      'PHOTOS names a bucket: S3_ENDPOINT, S3_KEY and S3_SECRET belong to it.',
    ],
  ])('%o gives one sentence', (env, sentence) =>
    expect(sentences({ ...good, ...env })).toEqual([sentence]),
  );
  it('says every fault at once', () => expect(sentences({ PORT: 'x' })).toHaveLength(3));
  it('takes a folder and a bucket for photos', () => {
    expect(readConfig({ ...good, PHOTOS: 'folder:/srv/photos' })).toMatchObject({
      config: { photos: { kind: 'folder', folder: '/srv/photos' } },
    });
    const s3 = {
      PHOTOS: 'bucket:shop',
      S3_ENDPOINT: 'https://store.example',
      S3_KEY: 'k',
      S3_SECRET: 's',
    };
    expect(readConfig({ ...good, ...s3 })).toMatchObject({
      config: { photos: { kind: 'bucket', bucket: 'shop', region: 'us-east-1' } },
    });
  });
});
