import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { readLogLine, understoodWords } from '@bay/core/logbook';
import { writeLog } from '@bay/contract/logbook';
import { call, newId, sentenceOf } from '../api/index.ts';
import { useJob } from '../jobs/useJob.ts';
import { today } from '../ui/index.ts';

/** One line in plain words or shorthand; what it understood shows before Enter. */
export function LogBar() {
  const { sheet, mayWrite } = useJob();
  const jobId = sheet.job.id;
  const [line, setLine] = useState('');
  const field = useRef<HTMLInputElement>(null);
  // Kept until the line is written, so that a second Enter after a lost answer does not write twice.
  const commandId = useRef(newId());
  const client = useQueryClient();
  useHotkeys([['/', () => field.current?.focus()]]);
  const writing = useMutation({
    mutationFn: (typed: string) => call(writeLog, { params: { jobId }, body: { commandId: commandId.current, line: typed, today: today() } }),
    onSuccess: () => {
      setLine('');
      commandId.current = newId();
      return client.invalidateQueries({ queryKey: ['job', jobId] });
    },
  });
  if (!mayWrite) return <div className="log-bar quiet">Onlookers read the book; they do not write in it.</div>;
  const draft = line.trim() === '' ? undefined : readLogLine(line, today());
  const hint = draft?.kind === 'note' && draft.hint !== undefined;
  return (
    <div className="log-bar">
      <span className="key" aria-hidden="true">
        /
      </span>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (line.trim() !== '') writing.mutate(line);
        }}
      >
        <div className="log-field">
          <input
            ref={field}
            aria-label="Log bar: a note, or bore 3 86.02, held: waiting for …, arrived …, torque …"
            placeholder="Write a line: note, bore 3 86.02, held: waiting for …"
            value={line}
            onChange={(e) => {
              setLine(e.target.value);
              if (!writing.isPending) commandId.current = newId();
            }}
            onKeyDown={(e) => e.key === 'Escape' && field.current?.blur()}
            autoComplete="off"
          />
          <span role="status" className={draft ? `took${hint ? ' hint' : ''}` : ''}>
            {draft ? understoodWords(draft) : ''}
          </span>
          {writing.isError && (
            <span role="alert" className="took hint">
              {sentenceOf(writing.error)}
            </span>
          )}
        </div>
        <Button type="submit" loading={writing.isPending} disabled={line.trim() === ''}>
          Log it
        </Button>
      </form>
    </div>
  );
}
