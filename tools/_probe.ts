import { writeFileSync } from 'node:fs';
import { Browser } from '../e2e/browser.ts';
import { demoShop } from '../demo/shop.ts';
const [base, path] = process.argv.slice(2);
const b = await Browser.open(base!);
try {
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
  await b.go(path!);
  await b.driver.sleep(1500);
  await b.type('Log bar: write a line, plain or in shorthand', 'hello there from the probe');
  await b.press('Log it');
  await b.driver.sleep(2500);
  writeFileSync('/tmp/shots/probe.png', Buffer.from(await b.driver.takeScreenshot(), 'base64'));
  process.stdout.write((await b.complaints()).join('\n') + '\n');
} finally {
  await b.close();
}
