import { VisuallyHidden } from '@mantine/core';
import type { LineDraft } from '@bay/core/logbook';
import type { LogKind } from '@bay/core/logbook';
import { understoodWords } from '@bay/core/logbook';
import { faceOf } from './faces.ts';
import styles from './logbook.module.css';

/** What a line becomes in the book, where that is called otherwise. */
const inTheBook: Record<Exclude<LineDraft['kind'], LogKind>, LogKind> = {
  final: 'provisional',
  moved: 'part',
  freed: 'link',
  mated: 'link',
  tested: 'circuit',
  ask: 'question',
  'clock-on': 'clock',
  'clock-off': 'clock',
};

type Other = keyof typeof inTheBook;

/** What the bar took a line for: its kind with its sign, and each piece with its name; a hint where it is only a note. */
export function Took({ draft }: { draft: LineDraft }) {
  const { Icon, word } = faceOf(draft.kind in inTheBook ? inTheBook[draft.kind as Other] : (draft.kind as LogKind));
  const note = draft.kind === 'note';
  const broken = note ? draft.at : undefined;
  return (
    <span className={styles['took-row']} title={understoodWords(draft)}>
      <VisuallyHidden>{understoodWords(draft)}</VisuallyHidden>
      <span className={`${styles['took']} ${note ? 'note' : ''}`} aria-hidden="true">
        <Icon size={16} /> {note ? 'Only a note' : word}
      </span>
      {draft.pieces.map((p) => (
        <span key={p.name + p.from} className={styles['piece']} aria-hidden="true">
          <small>{p.name}</small> {p.shown}
        </span>
      ))}
      {note && draft.hint && (
        <span className={styles['hint']} aria-hidden="true">
          {draft.hint}{' '}
          {broken && (
            <span className={`mono ${styles['broken-words']}`}>{draft.text.slice(broken.from, broken.to)}</span>
          )}
        </span>
      )}
    </span>
  );
}
