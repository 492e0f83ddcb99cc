import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { WaitingItem } from '@bay/contract/crew';
import { putRecord } from '@bay/contract/records';
import type { RecordRow } from '@bay/contract/records';
import { command, keys, nowIso } from '../api/index.ts';
import { Trouble } from '../ui/index.ts';

/** What is asked, wherever it is shown. */
export type Asked = Pick<WaitingItem, 'sort' | 'jobId' | 'key' | 'revision' | 'what' | 'data'>;

/** Answers an ask on the record it is. */
export function Answer({ item, after }: { item: Asked; after?: () => void }) {
  const client = useQueryClient();
  const [text, setText] = useState('');
  const decides = item.sort === 'approval' || item.sort === 'signature';
  const answering = useMutation({
    mutationFn: (yes: boolean | undefined) => {
      const data = { ...item.data, answer: { ...(yes === undefined ? {} : { yes }), text } };
      const params = { jobId: item.jobId, kind: 'ask' as const, key: item.key };
      // A signature and a yes to money want everybody to know at once.
      const offline = decides
        ? undefined
        : () => ({
            record: {
              kind: 'ask',
              key: item.key,
              data,
              revision: item.revision + 1,
              by: '',
              at: nowIso(),
            } as unknown as RecordRow,
          });
      return command(
        putRecord,
        { params, body: { data, revision: item.revision } },
        { label: 'answer written', jobId: item.jobId, offline },
      );
    },
    onSuccess: async () => {
      after?.();
      await client.invalidateQueries({ queryKey: keys.waiting });
      await client.invalidateQueries({ queryKey: keys.job(item.jobId) });
    },
  });
  return (
    <>
      <div className="row-actions">
        <TextInput
          aria-label={`Answer: ${item.what}`}
          placeholder={decides ? 'A word with it, where one is wanted' : 'Answer'}
          value={text}
          onChange={(e) => setText(e.currentTarget.value)}
          style={{ flex: '1 1 220px' }}
        />
        {decides ? (
          <>
            <Button loading={answering.isPending} onClick={() => answering.mutate(true)}>
              {item.sort === 'approval' ? 'Approve' : 'Sign'}
            </Button>
            <Button
              variant="default"
              disabled={text.trim().length < 3 || answering.isPending}
              onClick={() => answering.mutate(false)}
              title="A no says why"
            >
              No
            </Button>
          </>
        ) : (
          <Button
            loading={answering.isPending}
            disabled={text.trim() === ''}
            onClick={() => answering.mutate(undefined)}
          >
            Answer
          </Button>
        )}
      </div>
      <Trouble of={answering} />
    </>
  );
}
