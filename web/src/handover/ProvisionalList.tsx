import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { gateNames, provisionalKindOf, provisionalKinds } from '@bay/core/commissioning';
import type { GateName, ProvisionalKindId } from '@bay/core/commissioning';
import { shortTitleOf } from '@bay/core/plan';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, FormDialog, Trouble, words } from '../ui/index.ts';
import styles from './handover.module.css';

function ProvisionalForm({ close }: { close: () => void }) {
  const initial: { kind: ProvisionalKindId; what: string; ends: string; forbiddenAt: GateName | null } = {
    kind: 'loose',
    what: '',
    ends: '',
    forbiddenAt: null,
  };
  const form = useRecordForm({
    kind: 'provisional',
    initial,
    sent: ({ ends, forbiddenAt, ...v }) => ({ ...v, ends: words(ends), ...(forbiddenAt ? { forbiddenAt } : {}) }),
  });
  const def = provisionalKindOf(form.values.kind);
  return (
    <FormDialog title="Something is provisional" submit="Write it down" of={form} send={form.send} close={close}>
      <Select
        label="How"
        data={provisionalKinds.map((k) => ({ value: k.id, label: k.title }))}
        {...form.field('kind')}
      />
      <TextInput label="What" placeholder="left mount, 2 bolts" data-autofocus {...form.field('what')} />
      <TextInput label="What ends it" placeholder={def.endsWith} {...form.field('ends')} />
      <Select
        label="None of it may be open at"
        placeholder={`${def.forbiddenAt}, as usual`}
        clearable
        data={[...gateNames]}
        {...form.field('forbiddenAt')}
      />
    </FormDialog>
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
      <ul className={styles['provisional']}>
        {plan.provisional.map((p) => (
          <li key={p.key}>
            <span className="tag ochre">{provisionalKindOf(p.kind).title}</span> <b>{p.title}</b>
            <span className="quiet">
              {' '}
              {p.by}
              {p.since ? `, ${dayWords(p.since)}` : ''}. Ends: {p.endedBy ? shortTitleOf(p.endedBy) : p.endsWith}. None
              at {p.forbiddenAt.toLowerCase()}.
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
