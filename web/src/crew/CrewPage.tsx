import { Button, Select, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { addPerson, roles } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { command, fieldsOf, keys, sentenceOf, useCrew, useMe } from '../api/index.ts';
import { Failed, Loading, Trouble } from '../ui/index.ts';
import { Devices } from './Devices.tsx';
import { PersonAccess } from './PersonAccess.tsx';

const empty = { name: '', initials: '', role: 'technician', pin: '', email: '', password: '' };

/** The crew: who may do what, and PINs for the shared tablets. */
export function CrewPage() {
  const crew = useCrew();
  const me = useMe();
  const client = useQueryClient();
  const [values, setValues] = useState(empty);
  const [access, setAccess] = useState<Person>();
  const again = () => client.invalidateQueries({ queryKey: keys.crew });
  const adding = useMutation({
    mutationFn: () =>
      command(
        addPerson,
        {
          body: {
            name: values.name,
            initials: values.initials,
            role: values.role as 'technician',
            ...(values.pin ? { pin: values.pin } : {}),
            ...(values.email ? { email: values.email, password: values.password } : {}),
          },
        },
        { label: 'added to the crew' },
      ),
    onSuccess: () => {
      setValues(empty);
      return again();
    },
  });
  const fields = fieldsOf(adding.error);
  const manager = me.data?.person?.role === 'manager';
  const field = (key: keyof typeof empty, label: string, type = 'text') => (
    <TextInput
      label={label}
      type={type}
      value={values[key]}
      onChange={(e) => setValues({ ...values, [key]: e.currentTarget.value })}
      error={fields[key]}
      autoComplete="off"
    />
  );
  return (
    <div className="page">
      <div className="page-head">
        <h1>Crew</h1>
        <span className="quiet">The manager runs jobs, people and schools; technicians work; onlookers read.</span>
      </div>
      {crew.isPending && <Loading />}
      {crew.isError && <Failed sentence={sentenceOf(crew.error)} again={() => void crew.refetch()} />}
      {crew.data && (
        <div className="panel scroll-x">
          <table className="data">
            <thead>
              <tr>
                <th>Name</th>
                <th>Role</th>
                <th>PIN and sign-in</th>
              </tr>
            </thead>
            <tbody>
              {crew.data.crew.map((p) => (
                <tr key={p.id}>
                  <td>
                    <span style={{ display: 'flex', gap: 10, alignItems: 'center' }}>
                      <span className="disc">{p.initials}</span> {p.name}
                    </span>
                  </td>
                  <td>{p.role}</td>
                  <td>
                    {p.hasPin ? 'set' : 'none'}
                    {p.signsIn ? ', signs in with e-mail' : ''}{' '}
                    {manager && (
                      <button
                        type="button"
                        className="plain-button small bare"
                        aria-label={`Name, PIN, password, leaving: ${p.name}`}
                        onClick={() => setAccess(p)}
                      >
                        Change
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {manager && (
        <form
          className="panel"
          onSubmit={(e) => {
            e.preventDefault();
            adding.mutate();
          }}
        >
          <h2>Add somebody</h2>
          <div className="fields" style={{ marginTop: 10 }}>
            {field('name', 'Name')}
            {field('initials', 'Initials')}
            <Select
              label="Role"
              data={[...roles]}
              value={values.role}
              onChange={(role) => setValues({ ...values, role: role ?? 'technician' })}
            />
            {field('pin', 'PIN, 4 to 8 figures')}
            {values.role === 'manager' && field('email', 'E-mail', 'email')}
            {values.role === 'manager' && field('password', 'Password', 'password')}
          </div>
          <Trouble of={adding} />
          <div className="row-actions">
            <Button type="submit" loading={adding.isPending}>
              Add
            </Button>
          </div>
        </form>
      )}
      <Devices />
      {access && <PersonAccess person={access} close={() => setAccess(undefined)} />}
    </div>
  );
}
