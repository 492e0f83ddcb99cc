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
  provisional: [],
  people: [],
});

/**
 * Reads one line of the log bar. Grammar: docs/formats/log-bar.md. A line that fits no shape is a plain note, and a line that
 * begins like a shape but breaks off is a note with a hint at the words that broke it. Positions count from the start of the
 * line as it was typed.
 */
export function readLogLine(line: string, context: LineContext): LineDraft {
  const text = line.trim();
  const lead = line.length - line.trimStart().length;
  const shift = <T extends { from: number; to: number }>(span: T): T => ({
    ...span,
    from: span.from + lead,
    to: span.to + lead,
  });
  for (const shape of shapes) {
    const read = shape(text, context);
    if (read === undefined) continue;
    if ('broken' in read)
      return { kind: 'note', text, hint: read.broken, at: shift({ from: read.from, to: read.to }), pieces: [] };
    return { ...read, pieces: read.pieces.map(shift) };
  }
  return { kind: 'note', text, pieces: [] };
}

/** What the bar shows before Enter. */
export const understoodWords = (draft: LineDraft): string =>
  draft.kind === 'note' ? `note${draft.hint ? `. ${draft.hint}` : ''}` : draft.understood;
