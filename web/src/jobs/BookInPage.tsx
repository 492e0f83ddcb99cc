import { Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import { useNavigate } from 'react-router';
import { checkIdentity } from '@bay/core/sums';
import { bookIn } from '@bay/contract/jobs';
import { command, useMe } from '../api/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { Form, useForm, words } from '../ui/index.ts';

/** Books a car in; the identity number is looked over while it is typed. */
export function BookInPage() {
  const me = useMe();
  const navigate = useNavigate();
  const form = useForm({
    draft: 'book in',
    initial: {
      name: '',
      modelYear: '',
      identity: '',
      customer: '',
      phone: '',
      wish: '',
      faults: '',
      ownEngine: '',
      promised: '',
      bay: '',
      waive: false,
      why: '',
    },
    command: bookIn,
    sent: ({ name, modelYear, identity, waive, why, promised, bay, ...v }) => ({
      ...v,
      car: {
        name, // What is no year is sent as it is, so that the rule says so.
        modelYear: (yearOf(modelYear) ?? words(modelYear)) as number,
        identity,
      },
      ...(promised ? { promised } : {}),
      ...(bay ? { bay } : {}),
      ...(waive && why.trim() ? { identityWaived: why } : {}),
    }),
    names: { 'car.name': 'name', 'car.modelYear': 'modelYear', 'car.identity': 'identity', identityWaived: 'why' },
  });
  const { modelYear, identity, waive } = form.values;
  const check = identity.trim() === '' ? undefined : checkIdentity(identity, yearOf(modelYear));
  const identityField = form.field('identity');
  // A number that cannot be, or that another open job has: somebody looked at the plate and says so.
  const wrong = check?.state === 'wrong';
  const doubted = wrong || (check !== undefined && identityField.error !== undefined);
  return (
    <div className="page" style={{ maxWidth: 900 }}>
      <div className="page-head">
        <h1>Book in a car</h1>
        <span className="quiet">What it is, whose it is, what is wanted, what is wrong with it today.</span>
      </div>
      <Form
        className="panel"
        of={form}
        submit="Book in"
        send={async (body) => {
          const { job } = await command(bookIn, { body }, { label: 'car booked in' });
          void navigate(`/jobs/${job.id}/scope`);
        }}
      >
        <div className="fields">
          <TextInput label="Car, as people call it" placeholder="1984 … camper" autoFocus {...form.field('name')} />
          <TextInput label="Model year" inputMode="numeric" {...form.field('modelYear')} />
          <TextInput
            label="Identity number"
            {...identityField}
            error={wrong && !waive ? check.sentence : identityField.error}
            description={check && !wrong ? check.sentence : 'From the plate, not from the papers'}
            classNames={{ input: 'mono' }}
          />
          {(doubted || waive) && (
            <div className="notice ochre-notice whole-row">
              <Checkbox
                label={wrong ? 'The plate really says so' : 'It is another car'}
                checked={waive}
                onChange={(e) => form.set({ waive: e.currentTarget.checked })}
              />
              {waive && <TextInput label="Who looked, and at what" mt="xs" {...form.field('why')} />}
            </div>
          )}
          <TextInput label="Its own engine" {...form.field('ownEngine')} />
          <TextInput label="Customer" {...form.field('customer')} />
          <TextInput label="Telephone" type="tel" {...form.field('phone')} />
          <DateField label="Promised for" {...form.field('promised')} />
          <Select
            label="Stands in"
            data={[
              { value: '', label: 'Yard' },
              ...(me.data?.shop?.bays ?? []).map((b) => ({ value: b, label: `Bay ${b}` })),
            ]}
            {...form.field('bay')}
          />
        </div>
        <Textarea label="What the customer wants" mt="sm" {...form.field('wish')} />
        <Textarea label="Faults at arrival" mt="sm" {...form.field('faults')} />
      </Form>
    </div>
  );
}

const yearOf = (typed: string): number | undefined => (/^\d{4}$/.test(typed) ? Number(typed) : undefined);
