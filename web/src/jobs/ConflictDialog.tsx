import { Button, Modal } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { putRecord } from '@bay/contract/records';
import { call, newId } from '../api/index.ts';
import type { Conflict } from './useJob.ts';
import { Trouble } from '../ui/index.ts';

const lines = (data: Record<string, unknown> | undefined): [string, string][] =>
  Object.entries(data ?? {})
    .filter(([k, v]) => v !== undefined && k !== 'by' && k !== 'at')
    .map(([k, v]) => [k.replaceAll('-', ' '), typeof v === 'object' ? JSON.stringify(v).replace(/[{}"]/g, '').replaceAll(',', ', ') : String(v)]);

/** Two people wrote the same row: both versions side by side, and a choice. */
export function ConflictDialog({ jobId, clash, close }: { jobId: string; clash: Conflict; close: () => void }) {
  const keeping = useMutation({
    mutationFn: () =>
      call(putRecord, {
        params: { jobId, kind: clash.kind, key: clash.key },
        body: { commandId: newId(), data: clash.mine, revision: clash.theirs?.revision ?? 0 },
      }),
    onSuccess: ({ record }) => {
      clash.done(record);
      close();
    },
  });
  const version = (title: string, data: Record<string, unknown> | undefined) => (
    <div className="panel">
      <h3>{title}</h3>
      <table className="data">
        <tbody>
          {lines(data).map(([k, v]) => (
            <tr key={k}>
              <td className="quiet">{k}</td>
              <td style={{ overflowWrap: 'anywhere' }}>{v}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
  return (
    <Modal opened onClose={() => undefined} withCloseButton={false} title={`${clash.theirs?.by ?? 'Somebody'} changed this meanwhile`} size="xl">
      <p>Both versions are kept in the logbook. Which one counts from here?</p>
      <div className="grid-2" style={{ marginTop: 10 }}>
        {version(`What ${clash.theirs?.by ?? 'they'} saved`, clash.theirs?.data)}
        {version('What you typed', clash.mine)}
      </div>
      <Trouble of={keeping} />
      <div className="row-actions">
        <Button loading={keeping.isPending} onClick={() => keeping.mutate()}>
          Mine counts
        </Button>
        <Button
          variant="default"
          onClick={() => {
            if (clash.theirs) clash.done(clash.theirs);
            close();
          }}
        >
          Theirs counts
        </Button>
      </div>
    </Modal>
  );
}
