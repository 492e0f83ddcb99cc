import '@mantine/core/styles/Notification.css';
import '@mantine/notifications/styles.css';
import { Notifications, notifications } from '@mantine/notifications';
import { useHotkeys } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { undoSeconds } from '@bay/contract/logbook';
import { forget, fresh, sentenceOf, takeBack, undoable } from '../api/index.ts';
import type { Done } from '../api/index.ts';
import styles from './notes.module.css';

const secondsLeft = (done: Done): number => Math.max(0, undoSeconds - Math.floor((Date.now() - done.at) / 1000));

function Undo({ done, take }: { done: Done; take: () => void }) {
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((n) => n + 1), 1000);
    return () => clearInterval(timer);
  }, []);
  return (
    <span className={styles['undo']}>
      <span>{done.label.charAt(0).toUpperCase() + done.label.slice(1)}.</span>
      <button type="button" className="plain-button small" onClick={take} aria-keyshortcuts="Control+Z">
        Undo <span className="quiet mono">{secondsLeft(done)} s</span>
      </button>
    </span>
  );
}

/** What was done last, with a button that takes it back for half a minute; and what became of that. */
function useUndoNote(): void {
  const done = useSyncExternalStore(undoable.watch, undoable.last);
  const client = useQueryClient();
  const { mutate, isPending } = useMutation({
    mutationFn: takeBack,
    onSuccess: () => client.invalidateQueries(),
    onError: (error) => notifications.show({ color: 'oxide', message: sentenceOf(error), autoClose: 8000 }),
  });
  useEffect(() => {
    if (!done) return;
    let replaced = false;
    const id = `undo-${done.commandId}`;
    notifications.show({
      id,
      className: `undo-strip ${styles['note']}`,
      role: 'status',
      message: <Undo done={done} take={() => mutate(done)} />,
      autoClose: secondsLeft(done) * 1000,
      closeButtonProps: { 'aria-label': 'Leave it so' },
      onClose: () => {
        if (!replaced) forget(done);
      },
    });
    return () => {
      // What was done before stays to be taken back after this.
      replaced = true;
      notifications.hide(id);
    };
  }, [done, mutate]);
  // Inside a field Ctrl Z is the field's own.
  useHotkeys([['mod+Z', () => done && fresh(done) && !isPending && mutate(done)]]);
}

/** What the application tells in passing, in the head of the page. */
export default function Notes() {
  useUndoNote();
  return <Notifications position="top-center" limit={2} zIndex={250} classNames={{ root: styles['place']! }} />;
}
