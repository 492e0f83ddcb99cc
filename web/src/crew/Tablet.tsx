import { Button } from '@mantine/core';
import { useState } from 'react';
import { signOut, switchPerson } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { PinForm } from './PinForm.tsx';
import { call, sentenceOf, useCrew, useEntering } from '../api/index.ts';
import { dropAllDrafts, Failed, Loading } from '../ui/index.ts';
import styles from './crew.module.css';

/** Tap a name, type a PIN: two seconds. */
export function PickPerson({ onDone }: { onDone?: () => void }) {
  const crew = useCrew();
  const [person, setPerson] = useState<Person>();
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
    <PinForm
      person={person}
      submit="Here I am"
      send={(pin) => entering.mutateAsync({ personId: person.id, pin })}
      after={onDone}
      somebodyElse={() => setPerson(undefined)}
    />
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
