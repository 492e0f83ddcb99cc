import { findUnit } from '../units/index.ts';
import { shapes } from './shapes.ts';
import type { LineContext, LogEntryDraft, Piece } from './shapes.ts';

/** A plain note. `hint` says what broke a line that began like a shape; `at` is where it broke. */
export interface NoteDraft {
  kind: 'note';
  text: string;
  hint?: string;
  at?: { from: number; to: number };
  pieces: readonly Piece[];
}

export type LineDraft = NoteDraft | LogEntryDraft;

/** A context in which nothing is known but the day. */
export const bareContext = (today: string): LineContext => ({
  today,
  steps: [],
  parts: [],
  circuits: [],
  links: [],
  provisional: [],
  joints: [],
  people: [],
});

/** What is longer than anybody writes in shorthand is a note, and is not looked at for shapes. */
const longestShorthand = 1000;

/**
 * The line with one space wherever there were several, and where each of its signs stood: a shape then has one way to be read,
 * however many spaces somebody's key brought along.
 */
function withSingleSpaces(line: string): { plain: string; at: readonly number[] } {
  const signs: string[] = [];
  const at: number[] = [];
  let spaced = true;
  for (let i = 0; i < line.length; i += 1) {
    const space = /\s/.test(line[i]!);
    if (!space || !spaced) {
      signs.push(space ? ' ' : line[i]!);
      at.push(i);
    }
    spaced = space;
  }
  if (signs.at(-1) === ' ') {
    signs.pop();
    at.pop();
  }
  return { plain: signs.join(''), at };
}

/**
 * Reads one line of the log bar. Grammar: docs/formats/log-bar.md. A line that fits no shape is a plain note, and a line that
 * begins like a shape but breaks off is a note with a hint at the words that broke it. Positions count from the start of the
 * line as it was typed.
 */
export function readLogLine(line: string, context: LineContext): LineDraft {
  const text = line.trim();
  if (text.length > longestShorthand) return { kind: 'note', text, pieces: [] };
  const { plain, at } = withSingleSpaces(line);
  const shift = <T extends { from: number; to: number }>(span: T): T => ({
    ...span,
    from: at[span.from]!,
    to: (at[span.to - 1] ?? -1) + 1,
  });
  for (const shape of shapes) {
    const read = shape(plain, context);
    if (read === undefined) continue;
    if ('broken' in read)
      return { kind: 'note', text, hint: read.broken, at: shift({ from: read.from, to: read.to }), pieces: [] };
    return { ...read, text, pieces: read.pieces.map(shift) };
  }
  const reading = readingIn(plain);
  if (reading)
    return {
      kind: 'note',
      text,
      hint: `Only a note: "${reading.words}" is not kept as a reading. Name what was read, as in "bore 3 86.02"`,
      at: shift(reading),
      pieces: [],
    };
  return { kind: 'note', text, pieces: [] };
}

/** A number with its unit that nothing took. */
function readingIn(line: string): { words: string; from: number; to: number } | undefined {
  for (const m of line.matchAll(/(?<![\w.,/-])\d[\d.,]{0,12}\s?([a-zµ°Ω·/²³]{1,6})(?![\w-])/gi)) {
    const unit = findUnit(m[1]!);
    // Minutes and hours of a day, litres of a shopping list and lone letters are words as often as readings.
    if (unit && !['time', 'number', 'fraction'].includes(unit.kind) && m[1]!.length > 1)
      return { words: m[0], from: m.index, to: m.index + m[0].length };
  }
  return undefined;
}

/** What the bar shows before Enter. */
export const understoodWords = (draft: LineDraft): string =>
  draft.kind === 'note' ? `note${draft.hint ? `. ${draft.hint}` : ''}` : draft.understood;
