import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { provisionalKindOf, provisionalKinds } from '@bay/core/commissioning';
import type { ProvisionalKindId } from '@bay/core/commissioning';
import { titleOf } from '@bay/core/plan';
import { newId } from '../api/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { dayWords, FormModal, Trouble } from '../ui/index.ts';

function ProvisionalForm({ close }: { close: () => void }) {
  const put = usePut();
  const [key] = useState(newId);
  const [kind, setKind] = useState<ProvisionalKindId>('loose');
  const [what, setWhat] = useState('');
  const [ends, setEnds] = useState('');
  const def = provisionalKindOf(kind);
  return (
    <FormModal
      title="Something is provisional"
      submit="Write it down"
      of={put}
      disabled={what.trim().length < 2}
      onSubmit={() =>
        put.mutate(
          { kind: 'provisional', key, data: { what, kind, ...(ends.trim() ? { ends } : {}) }, revision: 0 },
          { onSuccess: close },
        )
      }
      close={close}
    >
      <Select
        label="How"
        data={provisionalKinds.map((k) => ({ value: k.id, label: k.title }))}
        value={kind}
        onChange={(k) => setKind(k ?? 'other')}
      />
      <TextInput
        label="What"
        placeholder="left mount, 2 bolts"
        value={what}
        onChange={(e) => setWhat(e.currentTarget.value)}
        data-autofocus
      />
      <TextInput
        label="What ends it"
        placeholder={def.endsWith}
        value={ends}
        onChange={(e) => setEnds(e.currentTarget.value)}
        description={`None of it may be open at: ${def.forbiddenAt}.`}
      />
    </FormModal>
  );
}

/** The register of what is not final, with what ends each and the gate at which none may be open. */
export function ProvisionalList() {
  const { plan, mayWrite } = useJob();
  const records = useRecords('provisional');
  const put = usePut();
  const [adding, setAdding] = useState(false);
  return (
    <>
      {plan.provisional.length === 0 && (
        <p className="quiet">Nothing is loose, tacked, borrowed, capped or on trial.</p>
      )}
      <ul className="provisional">
        {plan.provisional.map((p) => (
          <li key={p.key}>
            <span className="tag ochre">{provisionalKindOf(p.kind).title}</span> <b>{p.title}</b>
            <span className="quiet">
              {' '}
              {p.by}
              {p.since ? `, ${dayWords(p.since)}` : ''}. Ends:{' '}
              {p.endedBy ? titleOf(p.endedBy).split(/[:;]/)[0] : p.endsWith}. None at {p.forbiddenAt.toLowerCase()}.
            </span>
            {mayWrite && p.from === 'person' && (
              <button
                type="button"
                className="plain-button small bare no-print"
                aria-label={`No longer provisional: ${p.title}`}
                onClick={() => put.mutate({ kind: 'provisional', key: p.key, data: { ...records[p.key], ended: {} } })}
              >
                No longer
              </button>
            )}
          </li>
        ))}
      </ul>
      <Trouble of={put} />
      {mayWrite && (
        <button type="button" className="plain-button small no-print" onClick={() => setAdding(true)}>
          Add one
        </button>
      )}
      {adding && <ProvisionalForm close={() => setAdding(false)} />}
    </>
  );
}
