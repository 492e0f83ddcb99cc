import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { signOut, switchPerson } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { call, sentenceOf, useCrew, useEntering } from '../api/index.ts';
import { Failed, Loading } from '../ui/index.ts';

/** Tap a name, type a PIN: two seconds. */
export function PickPerson({ onDone }: { onDone?: () => void }) {
  const crew = useCrew();
  const [person, setPerson] = useState<Person>();
  const [pin, setPin] = useState('');
  const entering = useEntering((body: { personId: string; pin: string }) => call(switchPerson, { body }));
  if (crew.isPending) return <Loading />;
  if (crew.isError && !crew.data) return <Failed sentence={sentenceOf(crew.error)} again={() => void crew.refetch()} />;
  const enter = (typed: string): void => {
    if (person) entering.mutate({ personId: person.id, pin: typed }, { onSuccess: onDone, onError: () => setPin('') });
  };
  if (!person) {
    return (
      <div className="person-tiles">
        {crew.data.crew.map((p) => (
          <button key={p.id} type="button" aria-label={p.name} disabled={!p.hasPin} onClick={() => setPerson(p)}>
            <span className="disc">{p.initials}</span> {p.name}
          </button>
        ))}
      </div>
    );
  }
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        enter(pin);
      }}
      style={{ display: 'grid', gap: 12, maxWidth: 320 }}
    >
      <TextInput
        label={`PIN of ${person.name}`}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
        data-autofocus
        value={pin}
        onChange={(e) => setPin(e.currentTarget.value.replace(/\D/g, ''))}
        error={entering.isError ? sentenceOf(entering.error) : undefined}
      />
      <div className="row-actions">
        <Button type="submit" loading={entering.isPending} disabled={pin.length < 4}>
          Here I am
        </Button>
        <Button variant="subtle" onClick={() => setPerson(undefined)}>
          Somebody else
        </Button>
      </div>
    </form>
  );
}

/** A tablet of the shop with nobody at it. */
export function Tablet({ shopName }: { shopName: string }) {
  const leaving = useEntering(() => call(signOut));
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
