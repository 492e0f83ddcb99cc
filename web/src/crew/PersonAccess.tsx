import { Button, Modal, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { removePerson, renamePerson, setPassword, setPin } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { command, fieldsOf, keys } from '../api/index.ts';
import { Trouble } from '../ui/index.ts';

/** What the manager does when somebody has another name, forgot a PIN or a password, or leaves. */
export function PersonAccess({ person, close }: { person: Person; close: () => void }) {
  const client = useQueryClient();
  const [name, setName] = useState(person.name);
  const [initials, setInitials] = useState(person.initials);
  const [pin, setPinText] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPasswordText] = useState('');
  const [leaving, setLeaving] = useState(false);
  const done = (): void => {
    void client.invalidateQueries({ queryKey: keys.crew });
    close();
  };
  const params = { personId: person.id };
  const naming = useMutation({
    mutationFn: () => command(renamePerson, { params, body: { name, initials } }, { label: 'another name' }),
    onSuccess: async () => {
      // The name stands in what this device keeps of every job.
      await client.invalidateQueries();
      close();
    },
  });
  const pinning = useMutation({
    mutationFn: () => command(setPin, { params, body: { pin } }, { label: 'new PIN' }),
    onSuccess: done,
  });
  const wording = useMutation({
    mutationFn: () =>
      command(setPassword, { params, body: { password, ...(email ? { email } : {}) } }, { label: 'new password' }),
    onSuccess: done,
  });
  const removing = useMutation({
    mutationFn: () => command(removePerson, { params, body: {} }, { label: 'off the crew' }),
    onSuccess: done,
  });
  const fields = fieldsOf(wording.error);
  const misnamed = fieldsOf(naming.error);
  return (
    <Modal opened onClose={close} title={person.name}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          naming.mutate();
        }}
      >
        <TextInput
          label="Name"
          description="What they wrote and signed stays theirs"
          value={name}
          onChange={(e) => setName(e.currentTarget.value)}
          error={misnamed['name']}
        />
        <TextInput
          label="Initials"
          value={initials}
          onChange={(e) => setInitials(e.currentTarget.value)}
          error={misnamed['initials']}
        />
        {!misnamed['name'] && !misnamed['initials'] && <Trouble of={naming} />}
        <div className="row-actions">
          <Button
            type="submit"
            variant="default"
            disabled={name.trim() === '' || (name === person.name && initials === person.initials)}
            loading={naming.isPending}
          >
            Set the name
          </Button>
        </div>
      </form>
      <hr />
      <form
        onSubmit={(e) => {
          e.preventDefault();
          pinning.mutate();
        }}
      >
        <TextInput
          label="New PIN"
          description="4 to 8 figures"
          inputMode="numeric"
          value={pin}
          onChange={(e) => setPinText(e.currentTarget.value.replace(/\D/g, ''))}
        />
        <Trouble of={pinning} />
        <div className="row-actions">
          <Button type="submit" variant="default" disabled={pin.length < 4} loading={pinning.isPending}>
            Set the PIN
          </Button>
        </div>
      </form>
      <hr />
      <form
        onSubmit={(e) => {
          e.preventDefault();
          wording.mutate();
        }}
      >
        <TextInput
          label="E-mail"
          description={person.signsIn ? 'Left empty, it stays as it is.' : 'Wanted for signing in.'}
          type="email"
          value={email}
          onChange={(e) => setEmail(e.currentTarget.value)}
          error={fields['email']}
        />
        <TextInput
          label="New password"
          description="10 characters or more; every other device of theirs is signed out"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPasswordText(e.currentTarget.value)}
          error={fields['password']}
        />
        {!fields['email'] && !fields['password'] && <Trouble of={wording} />}
        <div className="row-actions">
          <Button type="submit" variant="default" disabled={password.length < 10} loading={wording.isPending}>
            Set the password
          </Button>
        </div>
      </form>
      <hr />
      {leaving ? (
        <div className="row-actions">
          <span>Cannot sign in any more; stays named in the records.</span>
          <Button color="red" loading={removing.isPending} onClick={() => removing.mutate()}>
            {person.name} leaves the crew
          </Button>
        </div>
      ) : (
        <button type="button" className="plain-button small bare" onClick={() => setLeaving(true)}>
          Take off the crew
        </button>
      )}
      <Trouble of={removing} />
    </Modal>
  );
}
