import { withFactLabels } from '../facts/index.ts';
import type { Books } from './evidence.ts';
import { runRule } from './evidence.ts';
import { interfaces } from './data/interfaces.ts';
import { controlRules } from './rules/control.ts';
import { drivelineRules } from './rules/driveline.ts';
import { spaceRules } from './rules/space.ts';
import { systemRules } from './rules/systems.ts';
import type { FitWord, InterfaceDef, Verdict } from './types.ts';

/** Every interface whose verdict is computed; the others are judged by a person against the row's words. */
export const fitRules = [...spaceRules, ...drivelineRules, ...systemRules, ...controlRules];

const ruleById = new Map(fitRules.map((r) => [r.id, r]));
const interfaceById = new Map(interfaces.map((i) => [i.id, i]));

/** An interface by its id. Throws on an id that is not in the content. */
export function interfaceOf(id: string): InterfaceDef {
  const found = interfaceById.get(id);
  if (!found) throw new Error(`Unknown interface "${id}"`);
  return found;
}

export const isComputed = (id: string): boolean => ruleById.has(id);

/** What people recorded at an interface. */
export interface FitRecord {
  judged?: { word: Exclude<FitWord, 'not-measured'>; why: string; by: string; at: string };
  trial?: { word: Exclude<FitWord, 'not-measured'>; gapMm?: number; place: string; condition: 'cold' | 'hot'; by: string; at: string };
  resolution?: { text: string; kit: readonly string[]; by: string; at: string; asked: readonly string[] };
}

export interface FitLine {
  def: InterfaceDef;
  verdict: Verdict;
  /** What the sum alone says, where a trial fit overrules it. */
  forecast?: Verdict;
  resolved: boolean;
  /** Interfaces the resolution reopens and nobody has looked at since. */
  knockOnOpen: readonly string[];
  /** A reading or judgement stands on facts that changed afterwards. */
  stale: boolean;
}

function newestOf(ids: readonly string[], books: Books): string {
  return ids.map((id) => books.job.get(id)?.at ?? '').reduce((a, b) => (a > b ? a : b), '');
}

/** The verdict of one interface: a trial fit overrules the forecast until a fact it stands on changes; a judgement stands where nothing is computed. */
export function judge(def: InterfaceDef, books: Books, record: FitRecord | undefined): FitLine {
  const fitRule = ruleById.get(def.id);
  const forecast: Verdict = fitRule
    ? runRule(fitRule, books)
    : {
        word: 'not-measured',
        headline: `a person judges this: take ${withFactLabels(def.takeFirst)} first`,
        because: [],
        needs: [],
        sum: [],
        basis: 'open',
        source: 'the words of the row',
      };
  const newest = newestOf(def.facts, books);
  let verdict = forecast;
  let stale = false;
  if (record?.trial) {
    stale = newest > record.trial.at;
    if (!stale) {
      const gap = record.trial.gapMm;
      verdict = {
        ...forecast,
        word: record.trial.word,
        headline: gap === undefined ? `trial fit, ${record.trial.place}` : `${gap} mm in the trial fit, ${record.trial.condition}`,
        ...(gap === undefined ? {} : { margin: { value: gap, unit: 'mm' } }),
        basis: 'trial',
        needs: [],
        source: `read by ${record.trial.by}`,
      };
    }
  } else if (record?.judged && (!fitRule || forecast.word === 'not-measured')) {
    stale = newest > record.judged.at;
    verdict = { ...forecast, word: record.judged.word, headline: record.judged.why, basis: 'judged', needs: [], source: `judged by ${record.judged.by}` };
  }
  const resolution = record?.resolution;
  const resolved = resolution !== undefined && (verdict.word === 'adapt' || verdict.word === 'clash');
  const knockOnOpen = resolution ? def.knockOn.filter((id) => !resolution.asked.includes(id)) : [];
  return { def, verdict, ...(verdict === forecast ? {} : { forecast }), resolved, knockOnOpen, stale };
}

/** All interfaces in the order of the content. */
export const judgeAll = (books: Books, records: Readonly<Record<string, FitRecord | undefined>>): FitLine[] =>
  interfaces.map((def) => judge(def, books, records[def.id]));

export interface ChainLink {
  from: string;
  to: string;
  asked: boolean;
}

/** The chain that resolutions draw: from each resolved interface to those it touches, as far as resolutions go on. */
export function knockOnChain(startId: string, records: Readonly<Record<string, FitRecord | undefined>>): ChainLink[] {
  const links: ChainLink[] = [];
  const seen = new Set<string>();
  const walk = (id: string): void => {
    if (seen.has(id)) return;
    seen.add(id);
    const resolution = records[id]?.resolution;
    if (!resolution) return;
    for (const to of interfaceOf(id).knockOn) {
      links.push({ from: id, to, asked: resolution.asked.includes(to) });
      walk(to);
    }
  };
  walk(startId);
  return links;
}
