import { factCatalogue, partName } from '../facts/index.ts';
import { parseMeasure } from '../units/index.ts';
import { sheetDefs } from '../prep/sheets.ts';
import type { StationId } from '../jobs/stations.ts';

/**
 * What the log bar understands in one line. Grammar: docs/formats/log-bar.md. A line that fits no shape is a plain note,
 * and a line that starts like a shape but breaks off is a note with a hint at the word that broke it.
 */
export type LogEntryDraft =
  | { kind: 'note'; text: string; hint?: string }
  | { kind: 'measurement'; text: string; sheet: string; place: string; valueMm: number; understood: string }
  | { kind: 'fact'; text: string; factId: string; partKey: string; typed: string; understood: string }
  | { kind: 'torque'; text: string; joint: string; bolt: string; torqueNm: number; angleDeg?: number; understood: string }
  | { kind: 'hold'; text: string; waitsFor: string; due?: string; understood: string }
  | { kind: 'release'; text: string; what: string; understood: string }
  | { kind: 'arrival'; text: string; what: string; label?: string; understood: string }
  | { kind: 'provisional'; text: string; what: string; understood: string };

const weekdays = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'] as const;
const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const;
const pad = (n: number): string => String(n).padStart(2, '0');
const iso = (d: Date): string => `${d.getUTCFullYear()}-${pad(d.getUTCMonth() + 1)}-${pad(d.getUTCDate())}`;

/** A day as people say it ("Thursday", "tomorrow", "in 3 days", "26 Nov", "2026-11-26"), from today (an ISO date). */
export function readDay(text: string, today: string): string | undefined {
  const said = text.trim().toLowerCase().replace(/\.$/, '');
  const now = new Date(`${today}T00:00:00Z`);
  const plus = (days: number): string => iso(new Date(now.getTime() + days * 86_400_000));
  if (said === 'today') return today;
  if (said === 'tomorrow') return plus(1);
  const days = /^in (\d{1,3}) days?$/.exec(said);
  if (days) return plus(Number(days[1]));
  if (/^\d{4}-\d{2}-\d{2}$/.test(said)) return Number.isNaN(Date.parse(said)) ? undefined : said;
  const day = weekdays.findIndex((d) => said.length >= 3 && d.startsWith(said));
  if (day >= 0) return plus((day - now.getUTCDay() + 7) % 7 || 7);
  const dated = /^(\d{1,2})\.? ([a-z]{3})[a-z]*$/.exec(said);
  if (dated) {
    const month = months.indexOf(dated[2] as 'jan');
    if (month < 0) return undefined;
    const year = now.getUTCFullYear() + (month < now.getUTCMonth() ? 1 : 0);
    return `${year}-${pad(month + 1)}-${pad(Number(dated[1]))}`;
  }
  return undefined;
}

const joints = '(?:torque|torqued)';

function readTorque(text: string): LogEntryDraft | undefined {
  const m = new RegExp(
    `^${joints}\\s+(.+?)\\s+(\\d+)\\s+(\\d[\\d.,]*\\s*(?:nm|n·m|n\\.m|lbft|lb-ft|lbf·ft|ftlb))(?:\\s*\\+\\s*(\\d{1,3})\\s*(?:deg|°))?$`,
    'i',
  ).exec(text);
  if (!m) return undefined;
  const [, joint, bolt, amount, angle] = m as unknown as [string, string, string, string, string | undefined];
  const torque = parseMeasure(amount, 'N·m');
  if (!torque.ok) return undefined;
  return {
    kind: 'torque',
    text,
    joint: joint.trim(),
    bolt,
    torqueNm: torque.measure.value,
    ...(angle === undefined ? {} : { angleDeg: Number(angle) }),
    understood: `torque: ${joint}, bolt ${bolt}, ${torque.measure.understood}${angle === undefined ? '' : `, then ${angle} deg`}`,
  };
}

const sheetWords: Readonly<Record<string, string>> = { bore: 'bore', journal: 'journal', 'ring gap': 'ring-gap', lash: 'lash' };

function readMeasurement(text: string): LogEntryDraft | undefined {
  const m = /^(bore|journal|ring gap|lash)\s+(\d{1,2}[a-z]?)\s+(.+)$/i.exec(text);
  if (!m) return undefined;
  const word = m[1]!.toLowerCase();
  const sheet = sheetDefs.find((s) => s.id === sheetWords[word])!;
  const value = parseMeasure(m[3]!, 'mm');
  if (!value.ok) return { kind: 'note', text, hint: `${m[3]}: ${value.sentence}` };
  return {
    kind: 'measurement',
    text,
    sheet: sheet.id,
    place: m[2]!,
    valueMm: value.measure.value,
    understood: `measurement: ${word}, ${sheet.place} ${m[2]}, ${value.measure.understood}`,
  };
}

interface FactWords {
  factId: string;
  partKey: string;
  words: readonly string[];
}

const stop = new Set(['the', 'of', 'at', 'to', 'a', 'in', 'and', 'from', 'over']);
const factWords: FactWords[] = factCatalogue.flatMap((def) =>
  def.parts
    .filter((p) => p.unit !== undefined && p.unit !== '')
    .map((p) => ({
      factId: def.id,
      partKey: p.key,
      words: `${def.label} ${p.label}`
        .toLowerCase()
        .split(/[^a-z0-9]+/)
        .filter((w) => w !== '' && !stop.has(w)),
    })),
);

/** "bay length to radiator support 612": every word before the number belongs to one fact, and only to that one. */
function readFactLine(text: string): LogEntryDraft | undefined {
  const m = /^([a-z][a-z -]{3,}?)\s+(-?[\d.,].*)$/i.exec(text);
  if (!m) return undefined;
  const said = m[1]!
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((w) => w !== '' && !stop.has(w));
  if (said.length < 2) return undefined;
  const hits = factWords.filter((f) => said.every((w) => f.words.some((x) => x === w || (w.length >= 4 && x.startsWith(w)))));
  const best = hits.filter((f) => f.words.length === Math.min(...hits.map((h) => h.words.length)));
  if (best.length !== 1) return undefined;
  const { factId, partKey } = best[0]!;
  const unit = factCatalogue.find((d) => d.id === factId)!.parts.find((p) => p.key === partKey)!.unit!;
  const value = parseMeasure(m[2]!, unit);
  if (!value.ok) return { kind: 'note', text, hint: value.sentence };
  return {
    kind: 'fact',
    text,
    factId,
    partKey,
    typed: m[2]!.trim(),
    understood: `fact: ${partName(factId, partKey).toLowerCase()}, ${value.measure.understood}`,
  };
}

function readHold(text: string, today: string): LogEntryDraft | undefined {
  const m = /^(?:held|hold)\s*(?::|by|for)?\s*(?:waiting for|waits for|by|for)?\s+(.+)$/i.exec(text);
  if (!m) return undefined;
  const rest = m[1]!.trim();
  const comma = /^(.*?)[,;]\s*(?:due|until|by|on)?\s*([^,;]+)$/i.exec(rest);
  const due = comma ? readDay(comma[2]!, today) : undefined;
  const waitsFor = due ? comma![1]!.trim() : rest;
  return { kind: 'hold', text, waitsFor, ...(due ? { due } : {}), understood: `hold: waits for ${waitsFor}${due ? `, due ${due}` : ''}` };
}

function readArrival(text: string): LogEntryDraft | undefined {
  const m = /^(?:arrived|received|here|arrival)\s*:?\s+(.+?)(?:,?\s+label\s+([\w-]+))?$/i.exec(text);
  if (!m) return undefined;
  const [, what, label] = m as unknown as [string, string, string | undefined];
  return { kind: 'arrival', text, what: what.trim(), ...(label ? { label } : {}), understood: `arrived: ${what.trim()}${label ? `, label ${label}` : ''}` };
}

/** Reads one line of the log bar. `today` is an ISO date: days of the week count from it. */
export function readLogLine(line: string, today: string): LogEntryDraft {
  const text = line.trim();
  const release = /^(?:released|release)\s*:?\s+(.+)$/i.exec(text);
  if (release) return { kind: 'release', text, what: release[1]!.trim(), understood: `release: ${release[1]!.trim()}` };
  const provisional = /^(?:loose|tacked|borrowed|capped|provisional)\s*:\s*(.+)$/i.exec(text);
  if (provisional) return { kind: 'provisional', text, what: text, understood: `provisional: ${text}. Blocks the first crank until it is ended` };
  return (
    readHold(text, today) ??
    readArrival(text) ??
    readTorque(text) ??
    readMeasurement(text) ??
    readFactLine(text) ??
    (/^torqued?\b/i.test(text) ? { kind: 'note', text, hint: 'A torque wants: torque main cap 3 65 Nm + 90 deg' } : { kind: 'note', text })
  );
}

/** What the bar shows before Enter. */
export const understoodWords = (draft: LogEntryDraft): string => (draft.kind === 'note' ? `note${draft.hint ? `. ${draft.hint}` : ''}` : draft.understood);

/** Kinds of entry in the logbook. */
export const logKinds = [
  'note',
  'measurement',
  'fact',
  'torque',
  'finding',
  'hold',
  'release',
  'arrival',
  'provisional',
  'step',
  'part',
  'kit',
  'fit',
  'gate',
  'circuit',
  'priming',
  'attempt',
  'diagnosis',
  'follow-up',
  'unit',
  'job',
  'school',
] as const;
export type LogKind = (typeof logKinds)[number];

export const stationOfKind: Partial<Record<LogKind, StationId>> = {
  measurement: 'prep',
  torque: 'prep',
  part: 'donor',
  step: 'pull',
  fit: 'fit',
  circuit: 'connect',
  gate: 'start',
  priming: 'start',
  attempt: 'start',
  diagnosis: 'start',
  'follow-up': 'hand-over',
};
