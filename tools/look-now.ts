// BASE? args: name|/path/{CarWord}|WxH|theme|press:..|type:Label=text|scroll:n|js:..|shot
import { mkdirSync, writeFileSync } from 'node:fs';
import { Browser } from '../e2e/browser.ts';
const [base, ...views] = process.argv.slice(2);
mkdirSync('/tmp/look', { recursive: true });
const b = await Browser.open(base!);
try {
  await b.go('/');
  await new Promise((r) => setTimeout(r, 2500));
  await b.driver.executeAsyncScript(`const done = arguments[0];
    fetch('/api/sign-in', { method: 'POST', headers: {'content-type':'application/json'}, body: JSON.stringify({ email: 'maren@quarryroad.example', password: 'quarry-road-demo' }) }).then(r => r.text()).then(done, e => done(String(e)))`).then((x) => console.log('signin', String(x).slice(0, 80)));
  const jobs = await b.driver.executeAsyncScript<{ id: string; carName: string }[]>(`const done = arguments[0];
    fetch('/api/floor').then(r => r.json()).then(f => done(f.strips.map(s => ({ id: s.id, carName: s.carName }))), e => done([]))`);
  for (const v of views) {
    const [name, path, size = '1280x800', theme = 'light', ...acts] = v.split('|');
    const [w, h] = size!.split('x').map(Number);
    await b.size(w!, h!);
    const p = path!.replace(/\{(\w+)\}/g, (_, word) => jobs.find((j) => j.carName.includes(word))?.id ?? `no-${word}`);
    if (p !== '') { await b.go(p); await new Promise((r) => setTimeout(r, Number(process.env.WAIT ?? 4000))); }
    await b.theme(theme as 'light');
    for (const a of acts) {
      const [verb, ...rest] = a.split(':'); const arg = rest.join(':');
      try {
        if (verb === 'press') await b.press(arg);
        else if (verb === 'type') { const [l, t] = arg.split('='); await b.type(l!, t!); }
        else if (verb === 'choose') { const [l, t] = arg.split('='); await b.choose(l!, t!); }
        else if (verb === 'scroll') await b.driver.executeScript(`(document.querySelector('.app-bench') ?? document.scrollingElement).scrollTop = ${arg}; window.scrollTo(0, ${arg});`);
        else if (verb === 'js') console.log(name, await b.driver.executeScript(arg));
      } catch (e) { console.log(name, a, 'FAILED', String(e).slice(0, 160)); }
      await new Promise((r) => setTimeout(r, 1200));
    }
    writeFileSync(`/tmp/look/${name}.png`, Buffer.from(await b.driver.takeScreenshot(), 'base64'));
    console.log('saw', name);
  }
} finally { await b.close(); }
