import { Modal } from '@mantine/core';
import { writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import { command } from '../api/index.ts';
import { today } from '../ui/index.ts';
import { dataWords } from './data-words.ts';
import { TwoVersions } from './TwoVersions.tsx';
import type { Conflict } from './useJob.ts';

/** Two people wrote the same row at once. */
export function ConflictDialog({ jobId, clash, close }: { jobId: string; clash: Conflict; close: () => void }) {
  const { kind, key, mine, theirs } = clash;
  const onMine = async (): Promise<void> => {
    const body = { data: mine, revision: theirs?.revision ?? 0 };
    const { record } = await command(
      putRecord,
      { params: { jobId, kind, key }, body },
      { label: 'mine counts', jobId },
    );
    clash.done(record);
    close();
  };
  const onTheirs = async (): Promise<void> => {
    const line = `Not taken, written at the same time: ${kind}, ${dataWords(mine)}`;
    await command(writeLog, { params: { jobId }, body: { line, today: today() } }, { label: 'kept beside', jobId });
    if (theirs) clash.done(theirs);
    close();
  };
  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      title={`${theirs?.by ?? 'Somebody'} changed this meanwhile`}
      size="xl"
    >
      <TwoVersions
        theirsBy={theirs?.by ?? 'they'}
        theirs={theirs?.data as Record<string, unknown> | undefined}
        mine={mine}
        onMine={onMine}
        onTheirs={onTheirs}
      />
    </Modal>
  );
}
