import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { signOut, switchPerson } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { call, sentenceOf, useCrew, useEntering } from '../api/index.ts';
import { dropAllDrafts, Failed, Form, Loading, useForm } from '../ui/index.ts';
import styles from './crew.module.css';

/** Tap a name, type a PIN: two seconds. */
export function PickPerson({ onDone }: { onDone?: () => void }) {
  const crew = useCrew();
  const [person, setPerson] = useState<Person>();
  const form = useForm({ initial: { pin: '' }, schema: switchPerson.body.pick({ pin: true }) });
  const entering = useEntering((body: { personId: string; pin: string }) => call(switchPerson, { body }));
  if (crew.isPending) return <Loading />;
  if (crew.isError && !crew.data) return <Failed sentence={sentenceOf(crew.error)} again={() => void crew.refetch()} />;
  if (!person) {
    return (
      <div className={styles['person-tiles']}>
        {crew.data.crew.map((p) => (
          <button key={p.id} type="button" aria-label={p.name} disabled={!p.hasPin} onClick={() => setPerson(p)}>
            <span className="disc">{p.initials}</span> {p.name}
          </button>
        ))}
      </div>
    );
  }
  return (
    <Form
      className={styles['pin-form']}
      of={form}
      submit="Here I am"
      send={async ({ pin }) => {
        try {
          await entering.mutateAsync({ personId: person.id, pin });
        } catch (error) {
          form.set({ pin: '' });
          throw error;
        }
      }}
      after={onDone}
      cancel={() => setPerson(undefined)}
      cancelWord="Somebody else"
    >
      <TextInput
        label={`PIN of ${person.name}`}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
        data-autofocus
        {...form.field('pin')}
      />
    </Form>
  );
}

/** A tablet of the shop with nobody at it. */
export function Tablet({ shopName }: { shopName: string }) {
  const leaving = useEntering(() => {
    dropAllDrafts();
    return call(signOut);
  });
  return (
    <main className="page" style={{ maxWidth: 860 }}>
      <div className="page-head">
        <h1>{shopName}</h1>
        <span className="quiet">Who is here? Tap your name.</span>
      </div>
      <PickPerson />
      <p style={{ marginTop: 30 }}>
        <Button variant="subtle" onClick={() => leaving.mutate(undefined)}>
          Sign this device out of the shop
        </Button>
      </p>
    </main>
  );
}
