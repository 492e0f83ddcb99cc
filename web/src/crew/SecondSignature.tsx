import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { countersign } from '@bay/contract/records';
import type { RecordKind, RecordRow } from '@bay/contract/records';
import type { JobSheet } from '@bay/contract/jobs';
import type { Person } from '@bay/contract/crew';
import { PinForm } from './PinForm.tsx';
import { command, keys, useCrew, useMe } from '../api/index.ts';
import { Dialog, Trouble } from '../ui/index.ts';
import styles from './crew.module.css';

export interface HalfSigned {
  jobId: string;
  kind: RecordKind;
  key: string;
  revision: number;
  /** Who signed first; the second is another person. */
  firstId: string | undefined;
  what: string;
}

/** Signs as the second person: whoever is at this device, or somebody who taps their name here and types their PIN. */
function useCountersign(of: HalfSigned) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (person?: { personId: string; pin: string }) => {
      const params = { jobId: of.jobId, kind: of.kind, key: of.key };
      const body = { revision: of.revision, ...(person ? { person } : {}) };
      const { record } = await command(countersign, { params, body }, { label: 'second signature', jobId: of.jobId });
      return record;
    },
    onSuccess: (row: RecordRow) => {
      client.setQueryData<JobSheet>(
        keys.job(of.jobId),
        (old) =>
          old && { ...old, records: [...old.records.filter((r) => !(r.kind === row.kind && r.key === row.key)), row] },
      );
      void client.invalidateQueries({ queryKey: keys.waiting });
    },
  });
}

function WithPin({ of, close }: { of: HalfSigned; close: () => void }) {
  const crew = useCrew();
  const me = useMe().data?.person;
  const [person, setPerson] = useState<Person>();
  const signing = useCountersign(of);
  const others = (crew.data?.crew ?? []).filter(
    (p) => p.id !== of.firstId && p.role !== 'onlooker' && p.hasPin && p.id !== me?.id,
  );
  return (
    <Dialog close={close} title="Second signature">
      <p>{of.what}</p>
      {!person ? (
        <>
          <p className="quiet">Who signs with you? They tap their own name and type their own PIN.</p>
          <div className={styles['person-tiles']}>
            {others.map((p) => (
              <button key={p.id} type="button" aria-label={p.name} onClick={() => setPerson(p)}>
                <span className="disc">{p.initials}</span> {p.name}
              </button>
            ))}
          </div>
        </>
      ) : (
        <PinForm
          person={person}
          submit={`Signed, ${person.name}`}
          send={(pin) => signing.mutateAsync({ personId: person.id, pin })}
          after={close}
          somebodyElse={() => setPerson(undefined)}
        />
      )}
    </Dialog>
  );
}

/** The ways to give a second signature: as the person at this device, or at a shared tablet with name and PIN. */
export function SecondSignature({ of }: { of: HalfSigned }) {
  const me = useMe().data?.person;
  const [asking, setAsking] = useState(false);
  const signing = useCountersign(of);
  const mayMyself = me && me.id !== of.firstId && me.role !== 'onlooker';
  return (
    <>
      <div className="row-actions" style={{ marginTop: 6 }}>
        {mayMyself && (
          <Button
            loading={signing.isPending}
            onClick={() => signing.mutate(undefined)}
            aria-label={`Sign as the second person: ${of.what}`}
          >
            Sign as second, {me.name}
          </Button>
        )}
        <Button
          variant="default"
          onClick={() => setAsking(true)}
          aria-label={`Second signature at this tablet: ${of.what}`}
        >
          {mayMyself ? 'Somebody else signs here' : 'Second person signs here'}
        </Button>
      </div>
      <Trouble of={signing} />
      {asking && <WithPin of={of} close={() => setAsking(false)} />}
    </>
  );
}
