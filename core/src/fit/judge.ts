import { factDef, isFactId } from '../facts/index.ts';
import type { FactRead } from '../rules/sum.ts';
import { byTime, latest } from '../rules/stamp.ts';
import { sameValue } from '../rules/value.ts';
import type { Books } from '../rules/evidence.ts';
import type { FitWord } from '../rules/condition.ts';
import { gapOfPlace } from './data/clearances.ts';
import { FitEvidence, runRule } from './evidence.ts';
import { interfaces } from './data/interfaces.ts';
import { leastDrawn } from './shapes/drawn.ts';
import { besideRules } from './rules/beside.ts';
import { controlRules } from './rules/control.ts';
import { drivelineRules } from './rules/driveline.ts';
import { spaceRules } from './rules/space.ts';
import { systemRules } from './rules/systems.ts';
import type { FitRecord, GapRecord, StoodOn, TrialReading } from './records.ts';
import type { InterfaceDef, Verdict } from './types.ts';

/** Every interface whose verdict is computed; the others are judged by a person against the row's words. */
export const fitRules = [...spaceRules, ...drivelineRules, ...systemRules, ...controlRules, ...besideRules];

const ruleById = new Map(fitRules.map((r) => [r.id, r]));
const interfaceById = new Map(interfaces.map((i) => [i.id, i]));

/** An interface by its id. Throws on an id that is not in the content. */
export function interfaceOf(id: string): InterfaceDef {
  const found = interfaceById.get(id);
  if (!found) throw new Error(`Unknown interface "${id}"`);
  return found;
}

export const isComputed = (id: string): boolean => ruleById.has(id);

export interface FitLine {
  def: InterfaceDef;
  verdict: Verdict;
  /** What the sum alone says, where a trial fit overrules it. */
  forecast?: Verdict;
  resolved: boolean;
  /** Not measured, and somebody took that on by name. */
  waived: boolean;
  /** Interfaces the resolution reopens and nobody has looked at since. */
  knockOnOpen: readonly string[];
  /** A reading or judgement stands on facts that changed afterwards. */
  stale: boolean;
  /** The engine sat elsewhere when this was read. */
  moved?: true;
  /** When the reading or judgement that stands was made. */
  readAt?: string | undefined;
  /** Every fact it stands on. */
  reads: readonly FactRead[];
}

/** Every fact a verdict stands on: what its rule asked for, or what its interface names where a person judges. */
export const readsOf = (def: InterfaceDef, forecast: Verdict): readonly FactRead[] =>
  ruleById.has(def.id) ? forecast.reads : def.facts.map((factId) => ({ factId, book: 'job' }));

const bookKey = (read: FactRead): string => `${read.book}:${read.factId}`;

/** The facts that a verdict on this interface stands on now, as they are kept with what a person reads or judges. */
export function stoodOn(interfaceId: string, books: Books): StoodOn {
  const def = interfaceOf(interfaceId);
  return Object.fromEntries(
    readsOf(def, forecastOf(def, books)).map((read) => [
      bookKey(read),
      books[read.book]?.get(read.factId)?.parts ?? null,
    ]),
  );
}

/** Did something that an act stood on change since? Told by value; where an old act kept none, by when the facts were typed. */
function changedSince(
  act: { at?: string | undefined; stoodOn?: StoodOn | undefined },
  reads: readonly FactRead[],
  books: Books,
): boolean {
  const now = (read: FactRead) => books[read.book]?.get(read.factId);
  if (!act.stoodOn) return reads.some((read) => (now(read)?.at ?? '') > (act.at ?? ''));
  const then = act.stoodOn;
  // What was read then, and what is read now: a fact that came or went counts as well as one that is other.
  const all = new Map([
    ...Object.keys(then).map((key): [string, FactRead] => {
      const [book, factId] = key.split(':') as ['job' | 'outgoing', string];
      return [key, { book, factId }];
    }),
    ...reads.map((read): [string, FactRead] => [bookKey(read), read]),
  ]);
  return [...all].some(([key, read]) => !sameValue(then[key] ?? undefined, now(read)?.parts));
}

/** What the facts alone say of a place. */
export function forecastOf(def: InterfaceDef, books: Books): Verdict {
  const fitRule = ruleById.get(def.id);
  if (fitRule) return runRule(fitRule, books);
  return {
    word: 'not-measured',
    headline: `a person judges this: take ${isFactId(def.takeFirst) ? factDef(def.takeFirst).label.toLowerCase() : def.takeFirst} first`,
    because: [],
    needs: [],
    sum: [],
    reads: [],
    basis: 'open',
    source: 'the words of the row',
  };
}

const words = ['clash', 'adapt', 'bolts-up'] as const;

/** Does a place of the bay speak of a gap, so that it is another once the engine sits elsewhere? */
export const movesWithEngine = (interfaceId: string): boolean => gapOfPlace[interfaceId] !== undefined;

/** The least gap of a place for the planned cushions, mm; nothing where its row names no gap. */
export function leastGap(interfaceId: string, books: Books): number | undefined {
  const clearanceId = gapOfPlace[interfaceId];
  if (clearanceId === undefined) return undefined;
  const e = new FitEvidence(books);
  return reckonable(() => leastDrawn(e, interfaceId, clearanceId)) ?? e.clearance(clearanceId).value;
}

/** A number, or nothing where readings are such that none can be reckoned from them: the rule of the place asks for them again. */
function reckonable(reckon: () => number | undefined): number | undefined {
  try {
    return reckon();
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** What a gap says against the least of its place, both mm: from half of it on there is something to adapt. Common practice, no source. */
export const wordOfGap = (gapMm: number, leastMm: number): TrialReading['word'] =>
  gapMm >= leastMm ? 'bolts-up' : gapMm >= leastMm / 2 ? 'adapt' : 'clash';

/**
 * What a trial reading says: a gap that was typed is held against the least gap of its row, whatever word somebody put to it; the
 * word may be worse than the gap (it knocks when rocked), never better.
 */
function trialWord(interfaceId: string, trial: TrialReading, books: Books): TrialReading['word'] {
  const least = leastGap(interfaceId, books);
  if (trial.gapMm === undefined || least === undefined) return trial.word;
  const byGap = wordOfGap(trial.gapMm, least);
  return words[Math.min(words.indexOf(byGap), words.indexOf(trial.word))] ?? byGap;
}

/** Does a reading make it worse than the forecast? Against what nobody measured anything counts that is no go. */
const isWorse = (word: TrialReading['word'], forecast: FitWord): boolean =>
  word !== 'bolts-up' && (forecast === 'not-measured' || words.indexOf(word) < words.indexOf(forecast));

/** The readings that stand: of one spot, cold or hot, the last. */
export function standingTrials(first: TrialReading | undefined, gaps: readonly GapRecord[]): TrialReading[] {
  const all = [...(first ? [first] : []), ...gaps.filter((g) => !g.withdrawn).map((g) => g.read)];
  const bySpot = new Map<string, TrialReading>();
  for (const trial of all.sort(byTime)) bySpot.set(`${trial.place.trim().toLowerCase()} ${trial.condition}`, trial);
  return [...bySpot.values()];
}

/** What the worst of the readings makes of a verdict. */
function ofTrial(
  interfaceId: string,
  { trial, word }: { trial: TrialReading; word: TrialReading['word'] },
  books: Books,
  of: number,
): Pick<Verdict, 'word' | 'headline' | 'margin' | 'basis' | 'needs' | 'source'> {
  const { gapMm: gap, condition, place } = trial;
  const spot = of > 1 ? `, ${place}, the worst of ${of}` : '';
  return {
    word,
    headline:
      gap === undefined
        ? `trial fit, ${place}${of > 1 ? `, the worst of ${of}` : ''}`
        : `${gap} mm in the trial fit, ${condition}${spot}${word === trial.word ? '' : `: ${leastGap(interfaceId, books)} mm is the least`}`,
    ...(gap === undefined ? {} : { margin: { value: gap, unit: 'mm' } }),
    basis: 'trial',
    needs: [],
    source: `read by ${trial.by ?? 'somebody'}`,
  };
}

/** A forecast without the weakest of its facts: what somebody read or judged does not lean on it. */
function read({ weakest: _leansOn, ...rest }: Verdict): Verdict {
  return rest;
}

/**
 * The verdict of one interface: a trial fit overrules the forecast until a fact it stands on changes, or the engine is put in
 * anew (`movedAt`); a judgement stands where nothing is computed.
 */
export function judge(
  def: InterfaceDef,
  books: Books,
  record: FitRecord | undefined,
  gaps: readonly GapRecord[] = [],
  movedAt?: string,
): FitLine {
  const forecast = forecastOf(def, books);
  const reads = readsOf(def, forecast);
  let verdict = forecast;
  let stale = false;
  let moved = false;
  let readAt: string | undefined;
  const satElsewhere = (act: { at?: string | undefined }): boolean =>
    movedAt !== undefined && movesWithEngine(def.id) && (act.at ?? '') < movedAt;
  const trials = standingTrials(record?.trial, gaps);
  if (trials.length > 0) {
    const sat = trials.filter((t) => !satElsewhere(t));
    moved = sat.length < trials.length;
    const fresh = sat.filter((t) => !changedSince(t, reads, books));
    stale = fresh.length < trials.length;
    readAt = fresh.length > 0 ? latest(fresh)?.at : undefined;
    const worst = fresh
      .map((trial) => ({ trial, word: trialWord(def.id, trial, books) }))
      .sort((a, b) => words.indexOf(a.word) - words.indexOf(b.word) || (a.trial.gapMm ?? 0) - (b.trial.gapMm ?? 0))[0];
    // While one of several is to be looked at again, the others may make it worse and never a go.
    if (worst && (!stale || isWorse(worst.word, forecast.word)))
      verdict = { ...read(forecast), ...ofTrial(def.id, worst, books, trials.length) };
  } else if (record?.judged && (!ruleById.has(def.id) || forecast.word === 'not-measured')) {
    moved = satElsewhere(record.judged);
    stale = moved || changedSince(record.judged, reads, books);
    // What somebody judged was another car, or the engine elsewhere in it: it is to be looked at again.
    verdict = stale
      ? {
          ...forecast,
          headline: moved
            ? 'judged before the engine was put in anew or moved: look again'
            : 'judged before a fact it stands on changed: look again',
        }
      : {
          ...read(forecast),
          word: record.judged.word,
          headline: record.judged.why,
          basis: 'judged',
          needs: [],
          source: `judged by ${record.judged.by ?? 'somebody'}`,
        };
  }
  const resolution = record?.resolution;
  const resolved = resolution !== undefined && (verdict.word === 'adapt' || verdict.word === 'clash');
  const waived = record?.waived !== undefined && verdict.word === 'not-measured';
  const knockOnOpen = resolution ? def.knockOn.filter((id) => !resolution.asked.includes(id)) : [];
  return {
    def,
    verdict,
    reads,
    ...(verdict === forecast ? {} : { forecast }),
    resolved,
    waived,
    knockOnOpen,
    stale,
    ...(moved ? { moved } : {}),
    ...(readAt === undefined ? {} : { readAt }),
  };
}

/** All interfaces in the order of the content. */
export const judgeAll = (books: Books, records: Readonly<Record<string, FitRecord | undefined>>): FitLine[] =>
  interfaces.map((def) => judge(def, books, records[def.id]));

/** Gaps by the place they were read at. */
export function gapsByPlace(gaps: readonly GapRecord[]): Map<string, GapRecord[]> {
  const places = new Map<string, GapRecord[]>();
  for (const gap of gaps) places.set(gap.interfaceId, [...(places.get(gap.interfaceId) ?? []), gap]);
  return places;
}

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
