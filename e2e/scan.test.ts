import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import QRCode from 'qrcode';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

/** A label is held before the camera of a phone, or under a scanner that types: what it stands on opens, also without a network. */

const partId = '00000000-0000-4000-8000-000000000102';
/** Printed where the shop had another address. */
const printed = `https://old-address.example/parts/${partId}`;

let shop: Running;
let job: (word: string) => string;
let b: Browser;
let folder: string;

/** A film in which somebody holds a code still before the camera: raw frames, a code in the middle of grey. */
async function filmOf(text: string): Promise<string> {
  const [wide, high, side] = [640, 480, 9];
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const luma = Buffer.alloc(wide * high, 170);
  const around = 4 * side;
  const [left, top] = [
    Math.floor((wide - modules.size * side) / 2),
    Math.floor((high - modules.size * side) / 2),
  ];
  for (let y = -around; y < modules.size * side + around; y += 1)
    for (let x = -around; x < modules.size * side + around; x += 1) {
      const [column, row] = [Math.floor(x / side), Math.floor(y / side)];
      const inside = column >= 0 && row >= 0 && column < modules.size && row < modules.size;
      const dark = inside && modules.get(row, column);
      luma[(top + y) * wide + left + x] = dark ? 25 : 230;
    }
  const frame = Buffer.concat([Buffer.from('FRAME\n'), luma, Buffer.alloc((wide * high) / 2, 128)]);
  const file = join(folder, 'film.y4m');
  await writeFile(
    file,
    Buffer.concat([
      Buffer.from(`YUV4MPEG2 W${wide} H${high} F10:1 Ip A1:1 C420\n`),
      ...Array.from({ length: 10 }, () => frame),
    ]),
  );
  return file;
}

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'bay-film-'));
  shop = await runShop(true);
  job = await demoJobs(shop.server);
  b = await Browser.open(shop.server.url, undefined, [
    '--use-fake-ui-for-media-stream',
    '--use-fake-device-for-media-stream',
    `--use-file-for-fake-video-capture=${await filmOf(printed)}`,
  ]);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
});
afterAll(async () => {
  await b.close();
  await shop.stop();
  await rm(folder, { recursive: true, force: true });
});

describe('a label', () => {
  it('opens what it stands on when the camera sees it', async () => {
    await b.visit('/store');
    await b.see('C-101', '[aria-label="What lies here"]');
    await b.press('Scan a label');
    await b.wait(async () => (await b.path()) === `/parts/${partId}`, 60_000, 'nothing was seen');
    await b.see('C-103', '.parts-label-sheet');
  });

  it('opens it when a scanner types it into the search, at whatever address it was printed', async () => {
    await b.visit('/');
    await b.see('The Yard');
    await b.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform();
    await b.find('[role=dialog] input');
    await b.keys(printed);
    await b.see('What this label stands on', '[role=dialog]');
    await b.keys(Key.ENTER);
    await b.wait(async () => (await b.path()) === `/parts/${partId}`, 25_000, 'it did not open');
  });

  it('opens it without a network, from what this device read of the job', async () => {
    await b.visit(`/jobs/${job('Wendling')}/donor`);
    await b.see('C-103', '.app-bench');
    await b.shellKept();
    await b.visit('/store');
    await b.see('C-101', '[aria-label="What lies here"]');
    await b.driver.setNetworkConditions({
      offline: true,
      latency: 0,
      download_throughput: 0,
      upload_throughput: 0,
    });
    try {
      await b.press('Scan a label');
      await b.wait(async () => (await b.path()) === `/parts/${partId}`, 60_000, 'nothing was seen');
      await b.see('C-103', '.parts-label-sheet');
    } finally {
      await b.driver.deleteNetworkConditions();
    }
    expect(await b.path()).toBe(`/parts/${partId}`);
  });
});
