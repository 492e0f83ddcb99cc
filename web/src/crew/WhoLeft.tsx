import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { takeBackPerson } from '@bay/contract/crew';
import type { PersonWhoLeft } from '@bay/contract/crew';
import { command, keys } from '../api/index.ts';
import { dayWords, exactWords, FormDialog, useForm } from '../ui/index.ts';
import { accessSent, AccessFields, noAccess } from './AccessFields.tsx';

function TakeBack({ person, close }: { person: PersonWhoLeft; close: () => void }) {
  const client = useQueryClient();
  const form = useForm({
    initial: { ...noAccess, initials: person.initials, role: person.role },
    command: takeBackPerson,
    sent: accessSent,
  });
  return (
    <FormDialog
      title={`${person.name} comes back`}
      submit="Take back"
      of={form}
      send={async (body) => {
        await command(takeBackPerson, { params: { personId: person.id }, body }, { label: 'back on the crew' });
        await client.invalidateQueries({ queryKey: keys.crew });
      }}
      close={close}
    >
      <p className="quiet">What they wrote and signed before is theirs. PIN and password are new.</p>
      <AccessFields of={form} />
    </FormDialog>
  );
}

/** Who was on the crew once; folded, because it is seldom wanted. */
export function WhoLeft({ left }: { left: readonly PersonWhoLeft[] }) {
  const [back, setBack] = useState<PersonWhoLeft>();
  if (left.length === 0) return null;
  return (
    <details className="panel">
      <summary>Left the crew ({left.length})</summary>
      <ul className="rows">
        {left.map((p) => (
          <li key={p.id} className="row-actions">
            <span className="disc">{p.initials}</span>
            <span>
              {p.name}{' '}
              <span className="quiet" title={exactWords(p.leftAt)}>
                until {dayWords(p.leftAt)}
              </span>
            </span>
            <button
              type="button"
              className="plain-button small bare"
              onClick={() => setBack(p)}
              aria-label={`Take back ${p.name}`}
            >
              Take back
            </button>
          </li>
        ))}
      </ul>
      {back && <TakeBack person={back} close={() => setBack(undefined)} />}
    </details>
  );
}
