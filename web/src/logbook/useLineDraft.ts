import { useState } from 'react';
import { useMe } from '../api/index.ts';
import { dropDraft, keepDraft, readDraft } from '../ui/index.ts';

/** The line that is being written on a job: it stands there again after another page or a reload, for whoever wrote it. */
export function useLineDraft(jobId: string): [string, (line: string) => void] {
  const person = useMe().data?.person?.id;
  const form = `line:${jobId}`;
  const [line, setLine] = useState(() =>
    person ? (readDraft<{ line: string }>(person, form)?.values.line ?? '') : '',
  );
  const write = (next: string): void => {
    setLine(next);
    if (!person) return;
    if (next === '') dropDraft(person, form);
    else keepDraft(person, form, { values: { line: next }, before: { line: '' }, at: Date.now() });
  };
  return [line, write];
}
