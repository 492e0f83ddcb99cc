import { Select, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { roles, takeBackPerson } from '@bay/contract/crew';
import type { PersonWhoLeft } from '@bay/contract/crew';
import { command, keys } from '../api/index.ts';
import { dayWords, exactWords, FormDialog, useForm, words } from '../ui/index.ts';

function TakeBack({ person, close }: { person: PersonWhoLeft; close: () => void }) {
  const client = useQueryClient();
  // A PIN and a password stand in it: nothing is kept on the device.
  const form = useForm({
    initial: { initials: person.initials, role: person.role, pin: '', email: '', password: '' },
    command: takeBackPerson,
    sent: ({ pin, email, password, ...v }) => ({
      ...v,
      pin: words(pin),
      ...(v.role === 'manager' ? { email: words(email), password: words(password) } : {}),
    }),
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
      <TextInput label="Initials" autoComplete="off" {...form.field('initials')} />
      <Select label="Role" data={[...roles]} {...form.field('role')} />
      <TextInput label="PIN, 4 to 8 figures" autoComplete="off" inputMode="numeric" {...form.field('pin')} />
      {form.values.role === 'manager' && (
        <TextInput label="E-mail" type="email" autoComplete="off" {...form.field('email')} />
      )}
      {form.values.role === 'manager' && (
        <TextInput label="Password" type="password" autoComplete="new-password" {...form.field('password')} />
      )}
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
