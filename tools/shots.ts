import { mkdirSync, writeFileSync } from 'node:fs';
import { demoShop } from '../demo/shop.ts';
import { Browser } from '../e2e/browser.ts';
import { demoJobs, runShop } from '../e2e/shop.ts';

/**
 * `./bay shots`: one current picture of each main view, from demo data, in docs/screenshots. With `--into FOLDER` each of them at
 * several widths (`--widths 390,820,1280,1920`), to be looked at and thrown away.
 */
const given = (name: string): string | undefined =>
  process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : undefined;
const folder = given('--into') ?? 'docs/screenshots';
const heights: Readonly<Record<string, number>> = { 390: 844, 768: 1024, 820: 1180, 1280: 800, 1920: 1080 };
const widths = given('--into') ? (given('--widths') ?? '390,820,1280,1920').split(',') : undefined;

const shop = await runShop(true);
const job = await demoJobs(shop.server);
const b = await Browser.open(shop.server.url);

interface Shot {
  name: string;
  path: string;
  words: string | RegExp;
  width?: number;
  height?: number;
  scheme?: 'light' | 'dark';
}

const shots: readonly Shot[] = [
  { name: 'floor', path: '/', words: 'The Yard' },
  { name: 'scope', path: `/jobs/${job('Corvane')}/scope`, words: /is ahead|comes out first/ },
  { name: 'donor', path: `/jobs/${job('Wendling')}/donor`, words: 'C-101' },
  { name: 'pull', path: `/jobs/${job('Larkfield')}/pull`, words: 'Out with' },
  { name: 'prep', path: `/jobs/${job('Brockhurst')}/prep`, words: 'Out of limits' },
  { name: 'fit', path: `/jobs/${job('Wendling')}/fit?at=fit-hood`, words: 'Because' },
  { name: 'position', path: `/jobs/${job('Brockhurst')}/fit?tab=position`, words: /the best there is in the range/ },
  { name: 'connect', path: `/jobs/${job('Sorrel')}/connect`, words: /not built yet/ },
  { name: 'start-gates', path: `/jobs/${job('Sorrel')}/start?tab=gates&gate=First%20crank`, words: 'Proved' },
  { name: 'start-fault', path: `/jobs/${job('Sorrel')}/start?tab=find`, words: 'Next best test' },
  { name: 'hand-over', path: `/jobs/${job('Wendling')}/hand-over`, words: 'Open ends' },
  { name: 'store', path: '/store?at=shelf%20C2', words: 'C-101' },
  { name: 'kit', path: `/jobs/${job('Wendling')}/kit`, words: 'wait for facts' },
  {
    name: 'behind-the-block',
    path: `/jobs/${job('Brockhurst')}/fit?tab=stack`,
    words: 'from bearing to fingers',
  },
  { name: 'quote', path: `/jobs/${job('Larkfield')}/quote`, words: /10,000 trials/ },
  {
    name: 'trial-fit-night-shift',
    path: `/jobs/${job('Wendling')}/fit?tab=trial`,
    words: 'In the bay',
    scheme: 'dark',
  },
  { name: 'takeover', path: `/jobs/${job('Brockhurst')}/takeover`, words: 'In the middle' },
  { name: 'orders', path: '/orders', words: 'Late' },
  { name: 'bench-phone', path: '/bench', words: 'Free next', width: 390, height: 844 },
];

try {
  mkdirSync(folder, { recursive: true });
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
  for (const shot of shots) {
    for (const width of widths ?? [undefined]) {
      await b.size(Number(width ?? shot.width ?? 1280), width ? (heights[width] ?? 900) : (shot.height ?? 800));
      await b.go(shot.path);
      // A page that is loaded anew stands in the theme of the device.
      await b.theme(shot.scheme ?? 'light');
      await b.see(shot.words, '#main');
      await b.driver.sleep(500);
      const file = `${folder}/${shot.name}${width ? `-${width}` : ''}.png`;
      writeFileSync(file, Buffer.from(await b.driver.takeScreenshot(), 'base64'));
      process.stdout.write(`${file}\n`);
    }
  }
} finally {
  await b.close();
  await shop.stop();
}
