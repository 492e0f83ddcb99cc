import { TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { addPerson } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { command, keys, sentenceOf, useCrew, useMe } from '../api/index.ts';
import { ShopCurrency } from '../money/index.ts';
import { Failed, Form, Loading, timeWords, useForm } from '../ui/index.ts';
import { accessSent, AccessFields, noAccess } from './AccessFields.tsx';
import { Devices } from './Devices.tsx';
import { PersonAccess } from './PersonAccess.tsx';
import { WhoLeft } from './WhoLeft.tsx';

function AddPerson() {
  const client = useQueryClient();
  const form = useForm({ initial: { ...noAccess, name: '' }, command: addPerson, sent: accessSent });
  return (
    <Form
      className="panel"
      of={form}
      submit="Add"
      send={(body) => command(addPerson, { body }, { label: 'added to the crew' })}
      after={() => {
        form.startAnew();
        void client.invalidateQueries({ queryKey: keys.crew });
      }}
    >
      <h2>Add somebody</h2>
      <div className="fields" style={{ marginTop: 10 }}>
        <TextInput label="Name" autoComplete="off" {...form.field('name')} />
        <AccessFields of={form} />
      </div>
    </Form>
  );
}

/** The crew: who may do what, and PINs for the shared tablets. */
export function CrewPage() {
  const crew = useCrew();
  const me = useMe();
  const [access, setAccess] = useState<Person>();
  const manager = me.data?.person?.role === 'manager';
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
                    {p.wrongPins && (
                      <span className="tag oxide">
                        {p.wrongPins.tries} wrong PINs tried
                        {p.wrongPins.until ? `, waits until ${timeWords(p.wrongPins.until)}` : ''}
                      </span>
                    )}
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
      {manager && <AddPerson />}
      {manager && crew.data && <WhoLeft left={crew.data.left} />}
      {manager && <ShopCurrency />}
      <Devices />
      {access && <PersonAccess person={access} close={() => setAccess(undefined)} />}
    </div>
  );
}
