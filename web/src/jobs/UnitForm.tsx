import { Button, Select, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { kindOfRole } from '@bay/core/jobs';
import { addUnit, listUnits, moveUnit } from '@bay/contract/jobs';
import type { UnitRole } from '@bay/contract/jobs';
import { call, fieldsOf, keys, newId } from '../api/index.ts';
import { Trouble } from '../ui/index.ts';

/** Brings a unit to a job: a new one, or one that the shop has on the shelf; its facts come with it. */
export function UnitForm({
  jobId,
  role,
  label,
  done,
}: {
  jobId: string;
  role: UnitRole;
  label: string;
  done?: () => void;
}) {
  const client = useQueryClient();
  const kind = kindOfRole[role];
  const units = useQuery({
    queryKey: [...keys.units(), 'free', kind],
    queryFn: () => call(listUnits, { query: { kind, free: 'true', limit: 200 } }),
  });
  const shelf = units.data?.units ?? [];
  const [from, setFrom] = useState('new');
  const [name, setName] = useState('');
  const [identity, setIdentity] = useState('');
  const [place, setPlace] = useState('');
  const saving = useMutation({
    mutationFn: () =>
      from === 'new'
        ? call(addUnit, {
            body: { commandId: newId(), kind, name, identity, place: place || 'yard', job: { jobId, role } },
          })
        : call(moveUnit, {
            params: { unitId: from },
            body: {
              commandId: newId(),
              place: place || shelf.find((u) => u.id === from)?.place || 'yard',
              job: { jobId, role },
            },
          }),
    onSuccess: () => {
      setName('');
      setIdentity('');
      void client.invalidateQueries({ queryKey: keys.units() });
      void client.invalidateQueries({ queryKey: keys.job(jobId) });
      done?.();
    },
  });
  const fields = fieldsOf(saving.error);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        saving.mutate();
      }}
    >
      <div className="fields">
        <Select
          label={label}
          data={[
            { value: 'new', label: 'A new one' },
            ...shelf.map((u) => ({ value: u.id, label: `${u.name}, ${u.place}` })),
          ]}
          value={from}
          onChange={(f) => setFrom(f ?? 'new')}
        />
        {from === 'new' && (
          <TextInput
            label="Name"
            value={name}
            onChange={(e) => setName(e.currentTarget.value)}
            error={fields['name']}
          />
        )}
        {from === 'new' && (
          <TextInput
            label="Number stamped on it"
            value={identity}
            onChange={(e) => setIdentity(e.currentTarget.value)}
            error={fields['identity']}
            classNames={{ input: 'mono' }}
          />
        )}
        <TextInput
          label="Where it is"
          placeholder="shelf C2"
          value={place}
          onChange={(e) => setPlace(e.currentTarget.value)}
          error={fields['place']}
        />
      </div>
      <Trouble of={saving} />
      <div className="row-actions">
        <Button type="submit" variant="default" loading={saving.isPending}>
          Add
        </Button>
      </div>
    </form>
  );
}
