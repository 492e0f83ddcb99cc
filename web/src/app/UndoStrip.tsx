import { useHotkeys } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { undoSeconds } from '@bay/contract/logbook';
import { forget, fresh, sentenceOf, takeBack, undoable } from '../api/index.ts';

/** What was done last, and a button that takes it back for half a minute. */
export function UndoStrip() {
  const done = useSyncExternalStore(undoable.watch, undoable.last);
  const client = useQueryClient();
  const [, tick] = useState(0);
  const taking = useMutation({
    mutationFn: takeBack,
    onSuccess: () => client.invalidateQueries(),
  });
  useEffect(() => {
    if (!done) return;
    const timer = setInterval(() => {
      if (!fresh(done)) forget(done);
      tick((n) => n + 1);
    }, 1000);
    return () => clearInterval(timer);
  }, [done]);
  useEffect(() => {
    // A refusal is read, then it goes.
    if (!taking.isError) return;
    const timer = setTimeout(() => taking.reset(), 8000);
    return () => clearTimeout(timer);
  }, [taking]);
  // Inside a field Ctrl Z is the field's own.
  useHotkeys([['mod+Z', () => done && fresh(done) && !taking.isPending && taking.mutate(done)]]);
  if (!done && !taking.isError) return null;
  const left = done ? Math.max(0, undoSeconds - Math.floor((Date.now() - done.at) / 1000)) : 0;
  return (
    <div className="undo-strip" role="status">
      {taking.isError ? (
        <span className="oxide">{sentenceOf(taking.error)}</span>
      ) : (
        done && (
          <>
            <span>{done.label.charAt(0).toUpperCase() + done.label.slice(1)}.</span>
            <button
              type="button"
              className="plain-button small"
              disabled={taking.isPending}
              onClick={() => taking.mutate(done)}
              aria-keyshortcuts="Control+Z"
            >
              Undo <span className="quiet mono">{left} s</span>
            </button>
            <button
              type="button"
              className="plain-button small bare"
              aria-label="Leave it so"
              onClick={() => forget(done)}
            >
              ✕
            </button>
          </>
        )
      )}
    </div>
  );
}
