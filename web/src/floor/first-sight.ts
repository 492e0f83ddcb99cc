import type { Strip } from '@bay/contract/jobs';
import { firstSightId } from './first-sight-place.ts';

/**
 * The Floor before the application is there: on a slow line the whole of it takes long to come, and what people want to see are a
 * few words about each bay. This small script asks for them at once and writes them down plainly; the application is fetched
 * behind them and takes their place when it can. Where the device has it already there is nothing to bridge.
 */

type FirstStrip = Pick<Strip, 'bay' | 'carName' | 'engineName' | 'doing' | 'state'>;

const looks = `
#${firstSightId} { max-width: 1240px; margin: 0 auto; padding: 16px; font: 15px/1.4 'IBM Plex Sans', system-ui, sans-serif; }
#${firstSightId} h1 { margin: 0 0 12px; font-size: 26px; line-height: 1.15; }
#${firstSightId} ul { margin: 0; padding: 0; list-style: none; }
#${firstSightId} li { display: grid; grid-template-columns: 44px minmax(0, 1.2fr) minmax(0, 2fr) minmax(0, 1.4fr); gap: 4px 16px; padding: 14px 10px; margin-bottom: 10px; border: 1px solid #d3d0c2; border-left: 6px solid #0e5a5e; border-radius: 4px; background: #fbfaf6; color: #1d2325; }
#${firstSightId} li.held, #${firstSightId} li.waits { border-left-color: #e0a92e; }
#${firstSightId} li.stop { border-left-color: #a0341d; }
#${firstSightId}:not(:empty) + #root { display: none; }
@media (max-width: 700px) { #${firstSightId} li { grid-template-columns: 44px minmax(0, 1fr); } #${firstSightId} li > * { grid-column: 2; } #${firstSightId} li > :first-child { grid-column: 1; } }
#${firstSightId}.night { min-height: 100vh; box-sizing: border-box; max-width: none; background: #171a1b; color: #e8e6de; }
#${firstSightId}.night li { background: #1f2425; color: #e8e6de; border-color: #353c3d; }
`;

/** Days in words, without the library of dates, which is larger than all of this. */
const days = (sentence: string): string =>
  sentence.replace(/\b\d{4}-\d{2}-\d{2}\b/g, (day) =>
    new Date(`${day}T12:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' }),
  );

function add(to: HTMLElement, tag: string, words: string): HTMLElement {
  const made = document.createElement(tag);
  made.textContent = words;
  to.append(made);
  return made;
}

async function show(place: HTMLElement): Promise<void> {
  const answer = await fetch('/api/floor', { headers: { accept: 'application/json' } });
  if (!answer.ok) return;
  const { bays, strips } = (await answer.json()) as { bays: string[]; strips: FirstStrip[] };
  // Meanwhile the application may have come.
  if (!place.isConnected) return;
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(looks);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  const list = document.createElement('ul');
  list.setAttribute('aria-label', 'The Floor');
  for (const bay of bays) {
    const strip = strips.find((s) => s.bay === bay);
    const row = add(list, 'li', '');
    add(row, 'b', bay);
    if (!strip) {
      add(row, 'span', `Bay ${bay} is free.`);
      continue;
    }
    row.className = strip.state.kind;
    add(add(row, 'span', ''), 'b', strip.carName).after(` gets ${strip.engineName ?? 'an engine to be chosen'}`);
    add(row, 'span', strip.doing);
    add(add(row, 'span', ''), 'b', `${strip.state.title}: `).after(days(strip.state.sentence));
  }
  // As the person chose it on this device; where nobody chose, as the device has it.
  const chosen = localStorage.getItem('mantine-color-scheme-value');
  const night = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches);
  if (night) place.classList.add('night');
  add(place, 'h1', 'The Floor');
  place.append(list);
}

/** Fetches the application, all its files at once. */
function fetchApplication(): void {
  const named = document.querySelector<HTMLMetaElement>('meta[name=application]')?.content.split(' ') ?? [];
  for (const href of named.slice(1)) {
    const link = document.createElement('link');
    Object.assign(link, { rel: 'modulepreload', href, crossOrigin: '' });
    document.head.append(link);
  }
  if (named[0]) void import(named[0]);
}

/** The longest that the application waits for the first sight, ms. */
const patience = 2500;

const place = document.getElementById(firstSightId);
const bridges = place && location.pathname === '/' && !navigator.serviceWorker?.controller;
if (bridges)
  void Promise.race([show(place).catch(() => undefined), new Promise((go) => setTimeout(go, patience))]).then(
    fetchApplication,
  );
else fetchApplication();
