import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import axe from 'axe-core';
import type { AxeResults } from 'axe-core';
import { Builder, By, Key, until } from 'selenium-webdriver';
import type { Condition, WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js';
import type { Driver } from 'selenium-webdriver/chrome.js';

const flags = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // Nothing slides: what a test waits for is there at once.
  '--force-prefers-reduced-motion',
  '--disable-dev-shm-usage',
  '--window-size=1280,943',
];
/** How long a person would not wait, but a machine that also does other things may. */
const patience = 25_000;

/** A real Chromium at a real server, with the words a person would use for what they do. */
export class Browser {
  readonly driver: Driver;
  private readonly base: string;
  private readonly profile: string;

  private constructor(driver: Driver, base: string, profile: string) {
    this.driver = driver;
    this.base = base;
    this.profile = profile;
  }

  /** A new device, or one that was put aside before with what it keeps. */
  static async open(
    base: string,
    keptProfile?: string,
    more: readonly string[] = [],
  ): Promise<Browser> {
    process.env['SE_MANAGER_PATH'] = '/bin/false';
    const profile = keptProfile ?? (await mkdtemp(join(tmpdir(), 'bay-browser-')));
    const options = new Options();
    options.setBinaryPath('/usr/bin/chromium');
    options.addArguments(...flags, ...more, `--user-data-dir=${profile}`);
    const driver = (await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
      .build()) as Driver;
    const browser = new Browser(driver, base, profile);
    await browser.size(1280, 800);
    return browser;
  }

  /** Closes the browser as a person does; what the device keeps is there when it is opened again. */
  async putAside(): Promise<string> {
    await this.driver.quit();
    return this.profile;
  }

  async close(): Promise<void> {
    await this.driver.quit();
    await rm(this.profile, { recursive: true, force: true, maxRetries: 5 });
  }

  /** The shell is kept on the device, so that it opens without a network. */
  async shellKept(): Promise<void> {
    await this.wait(
      async () =>
        this.driver.executeAsyncScript<boolean>(
          'const done = arguments[0]; navigator.serviceWorker.ready.then(() => done(navigator.serviceWorker.controller !== null), () => done(false))',
        ),
      patience,
      'no service worker',
    );
  }

  /** Chooses files as the camera or the file dialog does. */
  async chooseFiles(label: string, ...paths: string[]): Promise<void> {
    await this.unmoved(async () => {
      const input = await this.find(`input[type=file][aria-label^="${label}"]`);
      await input.sendKeys(paths.join('\n'));
    }, `"${label}" takes no file`);
  }

  async size(width: number, height: number): Promise<void> {
    await this.driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    });
  }

  /** By day or on the night shift, as the page stands. */
  async theme(scheme: 'light' | 'dark'): Promise<void> {
    await this.driver.executeScript(
      "document.documentElement.setAttribute('data-mantine-color-scheme', arguments[0])",
      scheme,
    );
  }

  /** Opens an address as from a bookmark: the page is loaded anew. */
  go(path: string): Promise<void> {
    return this.driver.get(this.base + path);
  }

  /** Goes to another view of the page that is open, as a link of it does. */
  visit(path: string): Promise<void> {
    return this.driver.executeScript(
      "history.pushState({}, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate'));",
      path,
    );
  }

  async path(): Promise<string> {
    return new URL(await this.driver.getCurrentUrl()).pathname;
  }

  /** Waits until something holds, looking often: the library's own pace of five looks a second is slower than the pages. */
  wait<T>(
    condition: Condition<T> | (() => T | Promise<T>),
    ms = patience,
    message?: string,
  ): Promise<T> {
    return this.driver.wait<T>(condition as Condition<T>, ms, message, 40);
  }

  find(css: string): Promise<WebElement> {
    return this.wait(until.elementLocated(By.css(css)), patience, `nothing like ${css}`);
  }

  /** The accessible name that stands on it now: asked of the page in one go, since it may be drawn anew in between. */
  named(css: string): Promise<string> {
    return this.driver.executeScript<string>(
      "return document.querySelector(arguments[0])?.getAttribute('aria-label') ?? ''",
      css,
    );
  }

  count(css: string): Promise<number> {
    return this.driver.findElements(By.css(css)).then((all) => all.length);
  }

  /** What a person reads there now; nothing where there is no such place. The page itself says it, far faster than the driver. */
  text(within = 'body'): Promise<string | null> {
    return this.driver.executeScript<string | null>(
      'return document.querySelector(arguments[0])?.innerText ?? null',
      within,
    );
  }

  /** Waits until some text stands on the page, and gives all that stands there. */
  see(text: string | RegExp, within = 'body', ms = patience): Promise<string> {
    return this.wait(
      async () => {
        const shown = await this.text(within);
        const there =
          shown !== null && (typeof text === 'string' ? shown.includes(text) : text.test(shown));
        return there ? shown : '';
      },
      ms,
      `"${String(text)}" did not appear in ${within}`,
    );
  }

  async unseen(text: string, within = 'body', ms = patience): Promise<void> {
    await this.wait(
      async () => (await this.text(within))?.includes(text) === false,
      ms,
      `"${text}" is still there`,
    );
  }

  /** A field by its label. */
  async field(label: string, within = ''): Promise<WebElement> {
    const quoted = JSON.stringify(label);
    const scope =
      within === ''
        ? 'document'
        : `(document.querySelector(${JSON.stringify(within)}) ?? document)`;
    return this.wait(
      async () =>
        this.driver.executeScript<WebElement | null>(`
          const scope = ${scope};
          const wanted = ${quoted};
          const labels = [...scope.querySelectorAll('label')].filter((l) => l.textContent.trim() === wanted && l.offsetParent !== null);
          const named = [...scope.querySelectorAll('[aria-label]')].filter((e) => e.getAttribute('aria-label') === wanted && e.offsetParent !== null);
          const label = labels.at(-1);
          return (label && document.getElementById(label.htmlFor)) || named.at(-1) || null;`) as Promise<WebElement>,
      patience,
      `no field "${label}"`,
    );
  }

  /** Does something to what stands there, and looks again if the page was drawn anew in between or something slid over it. */
  private async unmoved(act: () => Promise<void>, failed: string): Promise<void> {
    const done = async (): Promise<boolean> => {
      try {
        await act();
        return true;
      } catch (error) {
        if (/stale|intercepted/i.test(String(error))) return false;
        throw error;
      }
    };
    await this.wait(done, patience, failed);
  }

  async type(label: string, text: string, within = ''): Promise<void> {
    await this.unmoved(async () => {
      const field = await this.field(label, within);
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', field);
      await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text);
    }, `"${label}" does not stay`);
  }

  async value(label: string): Promise<string> {
    let value = '';
    await this.unmoved(async () => {
      value = (await (await this.field(label)).getAttribute('value')) ?? '';
    }, `"${label}" does not stay`);
    return value;
  }

  /** Chooses from a list by the words shown. */
  async choose(label: string, option: string): Promise<void> {
    await this.unmoved(async () => {
      const field = await this.field(label);
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', field);
      await field.click();
    }, `"${label}" does not stay`);
    const item = await this.wait(
      async () =>
        this.driver.executeScript<WebElement | null>(
          `return [...document.querySelectorAll('[role=option]')].find((o) => o.offsetParent !== null && o.textContent.trim() === ${JSON.stringify(option)}) ?? null`,
        ) as Promise<WebElement>,
      patience,
      `no option "${option}"`,
    );
    await item.click();
  }

  /** A button, link or tab by its words, or by its accessible name. */
  button(words: string, within = ''): Promise<WebElement> {
    const scope =
      within === ''
        ? 'document'
        : `(document.querySelector(${JSON.stringify(within)}) ?? document)`;
    return this.wait(
      async () =>
        this.driver.executeScript<WebElement | null>(`
          const wanted = ${JSON.stringify(words)};
          const all = [...${scope}.querySelectorAll('button, a, [role=tab], summary')].filter((e) => e.offsetParent !== null && !e.disabled);
          return all.find((e) => e.getAttribute('aria-label') === wanted) ?? all.find((e) => e.textContent.trim() === wanted) ?? all.find((e) => e.textContent.trim().startsWith(wanted)) ?? all.find((e) => e.getAttribute('aria-label')?.startsWith(wanted)) ?? null;`) as Promise<WebElement>,
      patience,
      `no button "${words}"`,
    );
  }

  /** Taps what stands there by its place, or a box by its label. */
  tap(css: string): Promise<void> {
    return this.unmoved(async () => (await this.find(css)).click(), `${css} stays covered`);
  }
  tick(label: string, within = ''): Promise<void> {
    return this.unmoved(
      async () => (await this.field(label, within)).click(),
      `"${label}" stays covered`,
    );
  }

  press(words: string, within = ''): Promise<void> {
    return this.unmoved(async () => {
      const button = await this.button(words, within);
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', button);
      await button.click();
    }, `"${words}" stays covered`);
  }

  /** What was read is kept on the device: `words` stand in what it would show without a network. */
  async readingKept(words: string): Promise<void> {
    await this.wait(
      () =>
        this.driver.executeAsyncScript<boolean>(
          `const [words, done] = arguments;
          const open = indexedDB.open('bay-shown');
          open.onsuccess = () => {
            if (!open.result.objectStoreNames.contains('queries')) return done(false);
            const all = open.result.transaction('queries').objectStore('queries').getAll();
            all.onsuccess = () => { open.result.close(); done(JSON.stringify(all.result).includes(words)); };
          };`,
          words,
        ),
      patience,
      `"${words}" is not kept on the device`,
    );
  }

  async enabled(words: string): Promise<boolean> {
    return this.driver.executeScript<boolean>(`
      const b = [...document.querySelectorAll('button')].filter((e) => e.offsetParent !== null).find((e) => e.textContent.trim().startsWith(${JSON.stringify(words)}));
      return b !== undefined && !b.disabled;`);
  }

  keys(...keys: string[]): Promise<void> {
    return this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  async signIn(email: string, password: string): Promise<void> {
    await this.go('/');
    await this.type('E-mail', email);
    await this.type('Password', password);
    await this.press('Sign in', 'form');
    await this.see('The Floor');
  }

  /** Somebody else at this device: name and PIN. */
  async switchTo(name: string, pin: string): Promise<void> {
    await this.tap('.app-who');
    await this.press(name, '[role=dialog]');
    await this.type(`PIN of ${name}`, pin);
    await this.press('Here I am', '[role=dialog]');
    await this.wait(
      async () => (await this.named('.app-who')).startsWith(name),
      patience,
      `${name} is not at this device`,
    );
  }

  /** Serious faults that axe finds on what is shown now; `but` leaves out a part that is the same on every page. */
  async axe(rules?: string[], but?: string): Promise<string[]> {
    // It is handed to a page once: its half a megabyte is read longer than most pages are looked at.
    const there = await this.driver.executeScript<boolean>('return window.axe !== undefined');
    if (!there) await this.driver.executeScript(axe.source);
    const { violations } = await this.driver.executeAsyncScript<AxeResults>(
      'const [context, options, done] = arguments; axe.run(context, options).then(done);',
      { include: [['html']], exclude: but ? [[but]] : [] },
      {
        resultTypes: ['violations'],
        runOnly: rules
          ? { type: 'rule', values: rules }
          : { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'] },
      },
    );
    return violations
      .filter((v) => v.impact === 'serious' || v.impact === 'critical')
      .map(
        (v) =>
          `${v.id}: ${v.nodes
            .slice(0, 3)
            .map((n) => `${n.target.join(' ')} ${n.any[0]?.message ?? ''}`)
            .join(' | ')}`,
      );
  }

  /** Words of what fingers touch and is lower than 44 px. */
  smallTargets(): Promise<string[]> {
    return this.driver.executeScript<string[]>(`
      return [...document.querySelectorAll('button, a.plain, .app-line a, .row-button')].filter((e) => e.offsetParent !== null && !e.closest('[role=listbox]'))
        .filter((e) => { const r = e.getBoundingClientRect(); return r.height > 0 && r.height < 43.5; }).map((e) => e.textContent.trim().slice(0, 30)).slice(0, 5);`);
  }

  /** With the bench scrolled to its end: what is pressed there and lies under the entry line. */
  hiddenUnderTheBar(): Promise<string[]> {
    return this.driver.executeScript<string[]>(`
      const bar = document.querySelector('.logbook-log-bar'), bench = document.querySelector('.app-bench');
      if (!bar || !bench) return [];
      const scrolled = [bench.scrollTop, scrollY];
      bench.scrollTop = 1e6; scrollTo(0, 1e6);
      const line = bar.getBoundingClientRect().top;
      const under = [...bench.querySelectorAll('button, a, input')].filter((e) => e.offsetParent !== null && e.getBoundingClientRect().bottom > line + 1).map((e) => e.textContent.trim().slice(0, 30));
      bench.scrollTop = scrolled[0]; scrollTo(0, scrolled[1]);
      return under;`);
  }

  /** Does the page scroll although the bench does? */
  scrollsTwice(): Promise<boolean> {
    return this.driver.executeScript<boolean>(
      "const bench = document.querySelector('.app-bench'); return bench !== null && document.documentElement.scrollHeight > innerHeight + 1;",
    );
  }

  /** Is anything wider than the window, or the column of stations wider than its place? */
  tooWide(): Promise<boolean> {
    return this.driver.executeScript<boolean>(`
      const column = document.querySelector('nav.app-line');
      const upright = column && getComputedStyle(column).display !== 'flex';
      return document.documentElement.scrollWidth > window.innerWidth + 1 || Boolean(upright && column.scrollWidth > column.clientWidth + 1);`);
  }

  /** Ids of content, marks of a writer and counts that do not agree with their noun, anywhere a person reads or a screen reader speaks. */
  async codes(known: ReadonlySet<string>): Promise<string[]> {
    const said = await this.driver.executeScript<string[]>(`
      const seen = [document.title];
      const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      while (walk.nextNode()) if (!walk.currentNode.parentElement.closest('script, style')) seen.push(walk.currentNode.data);
      for (const e of document.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
        for (const name of ['aria-label', 'title', 'placeholder', 'alt']) if (e.hasAttribute(name)) seen.push(e.getAttribute(name));
      for (const e of document.querySelectorAll('p, li, td, th, h1, h2, h3, h4, button, span, label')) seen.push(e.textContent);
      return [...new Set(seen.map((s) => s.trim()).filter(Boolean))];`);
    const marks =
      /\((?:mk|cp|phys|std-m)\b|\bCP;|\bMAN first|\*|\bundefined\b|\bNaN\b|\[object |\bnull\b/;
    // One of a thing is not many of it: "1 lines", "0 of 1 bolt".
    const oneOfMany =
      /\b1 (?:lines|steps|bolts|photos|facts|checks|cylinders|parts|minutes|days|hours|attempts|readings|records|circuits|jobs|units|sheets|torques|plugs|tests|months|years|people|questions|kits|orders|interfaces)\b/;
    return said.flatMap((text) => [
      ...(text.match(/\b[a-z]+(?:-[a-z0-9]+)+\b/g) ?? []).filter((word) => known.has(word)),
      ...(marks.exec(text)?.slice(0, 1) ?? []),
      ...(oneOfMany.exec(text)?.slice(0, 1) ?? []),
    ]);
  }

  /** Texts that end before their end and nowhere say the rest: cut off at an edge, or shortened without a title. */
  cutTexts(): Promise<string[]> {
    return this.driver.executeScript(`
      const cut = [];
      for (const e of document.querySelectorAll('#main *, .app-top *')) {
        if (e.offsetParent === null || !(e instanceof HTMLElement) || e.matches('input, textarea, select, svg *')) continue;
        const own = [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim() !== '');
        if (!own) continue;
        const style = getComputedStyle(e);
        const hides = (way) => style[way] === 'hidden' || style[way] === 'clip';
        const over = (hides('overflowX') && e.scrollWidth > e.clientWidth + 1) || (hides('overflowY') && e.scrollHeight > e.clientHeight + 2);
        if (over && e.clientWidth > 2 && !e.closest('[title]')) cut.push(e.className + ': ' + e.textContent.trim().slice(0, 60));
      }
      return cut;`);
  }

  /** How the page comes out on paper: sheets, and how much of their width its text takes, 0 to 1. */
  async paper(): Promise<{ sheets: number; width: number }> {
    const { data } = (await this.driver.sendAndGetDevToolsCommand('Page.printToPDF', {
      preferCSSPageSize: true,
    })) as unknown as { data: string };
    const sheets = Buffer.from(data, 'base64')
      .toString('latin1')
      .match(/\/Type\s*\/Page\b/g)!.length;
    await this.driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: 'print' });
    const width = await this.driver.executeScript<number>(
      `const texts = [...document.querySelectorAll('#main p, #main li, #main td, #main h2, #main h3')].filter((e) => e.offsetParent !== null).map((e) => e.getBoundingClientRect());
       return (Math.max(...texts.map((r) => r.right)) - Math.min(...texts.map((r) => r.left))) / innerWidth;`,
    );
    await this.driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: '' });
    return { sheets, width };
  }

  /** What the console complained of; a sentence we refused with is not a fault. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get('browser');
    return entries
      .filter(
        (e) =>
          e.level.name === 'SEVERE' &&
          !/status of (401|403|404|409|413|415|422|429|503)/.test(e.message),
      )
      .map((e) => e.message);
  }
}
