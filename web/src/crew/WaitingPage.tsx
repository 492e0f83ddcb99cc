import { showMoney } from '@bay/core/money';
import { useCurrency } from '../money/index.ts';
import { Button, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { correctClock } from '@bay/contract/clock';
import type { WaitingItem } from '@bay/contract/crew';
import type { RecordKind } from '@bay/contract/records';
import { command, sentenceOf } from '../api/index.ts';
import { dayWords, Empty, Failed, Loading, timeWords, Trouble } from '../ui/index.ts';
import { Answer } from './Answer.tsx';
import { SecondSignature } from './SecondSignature.tsx';
import { waitingQuery } from './useWaiting.ts';

const sorts: Record<WaitingItem['sort'], string> = {
  step: 'Step for you',
  question: 'Question',
  approval: 'Approval',
  signature: 'Signature',
  reading: 'Reading asked for',
  clock: 'Your clock still runs',
  'second-signature': 'Second signature',
};

/** A clock that was forgotten: when was it really over? */
function Forgotten({ item }: { item: WaitingItem }) {
  const client = useQueryClient();
  const [time, setTime] = useState('');
  const day = item.since.slice(0, 10);
  const ended = time === '' ? undefined : new Date(`${dayOfDevice(item.since)}T${time}`);
  const correcting = useMutation({
    mutationFn: () =>
      command(
        correctClock,
        {
          params: { clockId: item.key },
          body: {
            revision: item.revision,
            startedAt: item.since,
            endedAt: ended!.toISOString(),
            reason: 'forgotten, ended afterwards',
          },
        },
        { label: 'clock ended', jobId: item.jobId },
      ),
    onSuccess: () => client.invalidateQueries(),
  });
  return (
    <>
      <div className="row-actions">
        <TextInput
          label={`When did you stop on ${dayWords(day)}?`}
          type="time"
          value={time}
          onChange={(e) => setTime(e.currentTarget.value)}
        />
        <Button
          style={{ alignSelf: 'end' }}
          disabled={!ended || ended.toISOString() <= item.since}
          loading={correcting.isPending}
          onClick={() => correcting.mutate()}
        >
          It ended then
        </Button>
      </div>
      <Trouble of={correcting} />
    </>
  );
}

const dayOfDevice = (iso: string): string => {
  const at = new Date(iso);
  return `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`;
};

/** Who signed what waits for a second signature: the override where there is one, the whole otherwise. */
function firstSigner(item: WaitingItem): string | undefined {
  const { override, byId } = item.data as { override?: { byId?: string }; byId?: string };
  return override?.byId ?? byId;
}

/** A person's own list: what others wait for, the oldest first. */
export function WaitingPage() {
  const currency = useCurrency();
  const waiting = useQuery(waitingQuery);
  if (waiting.isPending)
    return (
      <div className="page">
        <Loading />
      </div>
    );
  if (waiting.isError && !waiting.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(waiting.error)} again={() => void waiting.refetch()} />
      </div>
    );
  const { items } = waiting.data;
  return (
    <div className="page" style={{ maxWidth: 900 }}>
      <div className="page-head">
        <h1>Waiting for you</h1>
        <span className="quiet">{items.length === 0 ? 'nothing' : 'the oldest first'}</span>
      </div>
      {items.length === 0 && (
        <Empty title="Nobody waits for you">
          Steps given to you, questions, approvals, signatures, second signatures and readings asked for come here by
          themselves.
        </Empty>
      )}
      <ul>
        {items.map((item) => (
          <li key={item.sort + item.key} className="panel">
            <p>
              <span className="tag ochre">{sorts[item.sort]}</span>{' '}
              <Link
                to={`/jobs/${item.jobId}/${item.sort === 'step' ? 'pull' : item.sort === 'second-signature' ? 'start' : 'scope'}`}
              >
                {item.number} {item.carName}
              </Link>{' '}
              <span className="quiet">
                {item.sort === 'clock' ? 'since' : `from ${item.from},`} {dayWords(item.since)} {timeWords(item.since)}
              </span>
            </p>
            <p className="waiting-what">
              {item.what}
              {item.amount === undefined ? '' : `: ${showMoney(item.amount, currency)}`}
            </p>
            {item.sort === 'clock' ? (
              <Forgotten item={item} />
            ) : item.sort === 'step' ? (
              <div className="row-actions">
                <Button component={Link} to="/bench" variant="default">
                  To my bench
                </Button>
              </div>
            ) : item.sort === 'second-signature' ? (
              <SecondSignature
                of={{
                  jobId: item.jobId,
                  kind: item.kind as RecordKind,
                  key: item.key,
                  revision: item.revision,
                  firstId: firstSigner(item),
                  what: item.what,
                }}
              />
            ) : (
              <Answer item={item} />
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
