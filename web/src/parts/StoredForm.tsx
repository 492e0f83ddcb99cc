import { Select, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { partFates, partFateWords } from '@bay/core/parts';
import type { PartFate } from '@bay/core/parts';
import { find, readFloor } from '@bay/contract/jobs';
import { changeStored } from '@bay/contract/parts';
import type { Stored } from '@bay/contract/parts';
import { call, command, keys } from '../api/index.ts';
import { Form, useForm, words } from '../ui/index.ts';

const gone: readonly PartFate[] = ['sold', 'scrapped', 'sent-back'];

/** Jobs to keep a part for: those on the floor, and those that have the words that are typed. */
function useJobsToKeepFor(wanted: boolean, said: string) {
  const [q] = useDebouncedValue(said.trim(), 200);
  const floor = useQuery({ queryKey: keys.floor, queryFn: () => call(readFloor), enabled: wanted });
  const found = useQuery({
    queryKey: keys.find(q),
    queryFn: () => call(find, { query: { q } }),
    enabled: wanted && q !== '',
    placeholderData: keepPreviousData,
  });
  const onFloor = (floor.data?.strips ?? []).map((j) => ({ value: j.id, label: `${j.number} ${j.carName}` }));
  const hits = (found.data?.hits ?? [])
    .filter((h) => h.kind === 'job')
    .map((h) => ({ value: h.to.replace('/jobs/', ''), label: h.title }));
  return [...new Map([...onFloor, ...hits].map((j) => [j.value, j])).values()];
}

/** What becomes of a part or a bag: another place, a job that it is kept for, or that it is gone. */
export function StoredForm({ thing, close }: { thing: Stored; close: () => void }) {
  const client = useQueryClient();
  const isPart = thing.sort === 'part';
  const [said, setSaid] = useState('');
  const own = thing.forJobId === null ? [] : [{ value: thing.forJobId, label: `${thing.forJobNumber ?? ''}` }];
  const found = useJobsToKeepFor(isPart, said);
  const jobs = [...own.filter((o) => !found.some((f) => f.value === o.value)), ...found];
  const form = useForm({
    draft: `store:${thing.id}`,
    since: thing.revision,
    initial: { place: thing.place, forJob: thing.forJobId ?? '', fate: thing.fate, goneTo: '', note: '' },
    command: changeStored,
    sent: (v) => ({
      revision: thing.revision,
      ...(v.place.trim() === thing.place ? {} : { place: v.place.trim() }),
      ...(isPart && v.forJob !== (thing.forJobId ?? '') ? { forJob: v.forJob === '' ? null : v.forJob } : {}),
      ...(isPart && v.fate !== thing.fate ? { fate: v.fate, goneTo: words(v.goneTo), note: words(v.note) } : {}),
    }),
  });
  return (
    <Form
      className="card-open"
      of={form}
      submit="Keep"
      cancel={close}
      after={close}
      send={async (body) => {
        await command(
          changeStored,
          { params: { sort: thing.sort as 'part' | 'bag', thingId: thing.id }, body },
          { label: `${thing.title} changed`, ...(thing.jobId ? { jobId: thing.jobId } : {}) },
        );
        await client.invalidateQueries({ queryKey: keys.store() });
      }}
    >
      <div className="fields">
        <TextInput label="Lies at" data-autofocus autoFocus {...form.field('place')} />
        {isPart && (
          <>
            <Select
              label="Kept for"
              data={[{ value: '', label: 'no job' }, ...jobs]}
              searchable
              onSearchChange={setSaid}
              allowDeselect={false}
              {...form.field('forJob')}
            />
            <Select
              label="What became of it"
              data={partFates.map((value) => ({ value, label: partFateWords[value] }))}
              allowDeselect={false}
              {...form.field('fate')}
            />
            {gone.includes(form.values.fate) && <TextInput label="Who has it now" {...form.field('goneTo')} />}
            {form.values.fate !== thing.fate && [...gone, 'left-off'].includes(form.values.fate) && (
              <TextInput label="Note" placeholder="why it suits nobody here" {...form.field('note')} />
            )}
          </>
        )}
      </div>
    </Form>
  );
}
