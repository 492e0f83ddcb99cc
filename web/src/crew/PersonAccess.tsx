import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { removePerson, renamePerson, setPassword, setPin } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { command, keys } from '../api/index.ts';
import { Dialog, Form, Trouble, useForm } from '../ui/index.ts';

/** What the manager does when somebody has another name, forgot a PIN or a password, or leaves. */
export function PersonAccess({ person, close }: { person: Person; close: () => void }) {
  const client = useQueryClient();
  const [leaving, setLeaving] = useState(false);
  const params = { personId: person.id };
  const naming = useForm({
    draft: `name of ${person.id}`,
    initial: { name: person.name, initials: person.initials },
    schema: renamePerson.body.pick({ name: true, initials: true }),
  });
  // PINs and passwords are never kept on a device.
  const pinning = useForm({ initial: { pin: '' }, schema: setPin.body.pick({ pin: true }) });
  const wording = useForm({
    initial: { email: '', password: '' },
    schema: setPassword.body.pick({ email: true, password: true }),
    sent: ({ email, password }) => ({ password, ...(email ? { email } : {}) }),
  });
  const again = (): void => void client.invalidateQueries({ queryKey: keys.crew });
  const removing = useMutation({
    mutationFn: () => command(removePerson, { params, body: {} }, { label: 'off the crew' }),
    onSuccess: () => {
      again();
      close();
    },
  });
  const { name, initials } = naming.values;
  return (
    <Dialog close={close} title={person.name}>
      <Form
        of={naming}
        submit="Set the name"
        variant="default"
        disabled={name === person.name && initials === person.initials}
        send={async (body) => {
          await command(renamePerson, { params, body }, { label: 'another name' });
          // The name stands in what this device keeps of every job.
          await client.invalidateQueries();
        }}
        after={close}
      >
        <TextInput label="Name" description="What they wrote and signed stays theirs" {...naming.field('name')} />
        <TextInput label="Initials" {...naming.field('initials')} />
      </Form>
      <hr />
      <Form
        of={pinning}
        submit="Set the PIN"
        variant="default"
        send={async (body) => {
          await command(setPin, { params, body }, { label: 'new PIN' });
          again();
        }}
        after={close}
      >
        <TextInput
          label="New PIN"
          description="4 to 8 figures"
          inputMode="numeric"
          autoComplete="off"
          {...pinning.field('pin')}
        />
      </Form>
      <hr />
      <Form
        of={wording}
        submit="Set the password"
        variant="default"
        send={async (body) => {
          await command(setPassword, { params, body }, { label: 'new password' });
          again();
        }}
        after={close}
      >
        <TextInput
          label="E-mail"
          description={person.signsIn ? 'Left empty, it stays as it is.' : 'Wanted for signing in.'}
          type="email"
          {...wording.field('email')}
        />
        <TextInput
          label="New password"
          description="12 characters or more; every other device of theirs is signed out"
          type="password"
          autoComplete="new-password"
          {...wording.field('password')}
        />
      </Form>
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
    </Dialog>
  );
}
