import { Select, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { kindOfRole } from '@bay/core/jobs';
import { addUnit, listUnits, moveUnit } from '@bay/contract/jobs';
import type { UnitRole } from '@bay/contract/jobs';
import { call, command, keys } from '../api/index.ts';
import { Form, useForm } from '../ui/index.ts';

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
  const form = useForm({
    draft: `${jobId}:unit:${role}`,
    initial: { from: 'new', name: '', identity: '', place: '' },
    schema: addUnit.body.pick({ name: true, identity: true, place: true }),
    // One from the shelf has a name already.
    sent: ({ from, name, identity, place }) => {
      const known = shelf.find((u) => u.id === from);
      return { name: known?.name ?? name, identity, place: place.trim() || (known?.place ?? '') };
    },
  });
  const { from } = form.values;
  return (
    <Form
      of={form}
      submit="Add"
      variant="default"
      send={async ({ name, identity, place }) => {
        const job = { jobId, role };
        await (from === 'new'
          ? command(addUnit, { body: { kind, name, identity, place, job } }, { label: 'unit added', jobId })
          : command(moveUnit, { params: { unitId: from }, body: { place, job } }, { label: 'unit moved', jobId }));
        void client.invalidateQueries({ queryKey: keys.units() });
        void client.invalidateQueries({ queryKey: keys.job(jobId) });
      }}
      after={() => {
        form.startAnew();
        done?.();
      }}
      cancel={done}
    >
      <div className="fields">
        <Select
          label={label}
          data={[
            { value: 'new', label: 'A new one' },
            ...shelf.map((u) => ({ value: u.id, label: `${u.name}, ${u.place}` })),
          ]}
          {...form.field('from')}
        />
        {from === 'new' && <TextInput label="Name" autoFocus={done !== undefined} {...form.field('name')} />}
        {from === 'new' && (
          <TextInput label="Number stamped on it" classNames={{ input: 'mono' }} {...form.field('identity')} />
        )}
        <TextInput label="Where it is" placeholder="shelf C2" {...form.field('place')} />
      </div>
    </Form>
  );
}
