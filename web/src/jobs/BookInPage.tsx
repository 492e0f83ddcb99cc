import { Button, Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { checkIdentity } from '@bay/core/sums';
import { bookIn } from '@bay/contract/jobs';
import { call, fieldsOf, newId, sentenceOf, useMe } from '../api/index.ts';

const empty = {
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
};

/** Books a car in; the identity number is looked over while it is typed. */
export function BookInPage() {
  const me = useMe();
  const navigate = useNavigate();
  const [v, setV] = useState(empty);
  const [waive, setWaive] = useState(false);
  const [why, setWhy] = useState('');
  const [commandId] = useState(newId);
  const year = /^\d{4}$/.test(v.modelYear) ? Number(v.modelYear) : undefined;
  const check = v.identity.trim() === '' ? undefined : checkIdentity(v.identity, year);
  const booking = useMutation({
    mutationFn: () =>
      call(bookIn, {
        body: {
          commandId,
          car: { name: v.name, modelYear: year ?? 0, identity: v.identity },
          customer: v.customer,
          phone: v.phone,
          wish: v.wish,
          faults: v.faults,
          ownEngine: v.ownEngine,
          ...(v.promised ? { promised: v.promised } : {}),
          ...(v.bay ? { bay: v.bay } : {}),
          ...(waive && why.trim() ? { identityWaived: why } : {}),
        },
      }),
    onSuccess: ({ job }) => void navigate(`/jobs/${job.id}/scope`),
  });
  const fields = fieldsOf(booking.error);
  const set = (key: keyof typeof empty) => (e: { currentTarget: { value: string } }) =>
    setV({ ...v, [key]: e.currentTarget.value });
  const wrong = check?.state === 'wrong';
  return (
    <div className="page" style={{ maxWidth: 900 }}>
      <div className="page-head">
        <h1>Book in a car</h1>
        <span className="quiet">What it is, whose it is, what is wanted, what is wrong with it today.</span>
      </div>
      <form
        className="panel"
        onSubmit={(e) => {
          e.preventDefault();
          booking.mutate();
        }}
      >
        <div className="fields">
          <TextInput
            label="Car, as people call it"
            placeholder="1984 … camper"
            value={v.name}
            onChange={set('name')}
            error={fields['car.name']}
            autoFocus
          />
          <TextInput
            label="Model year"
            inputMode="numeric"
            value={v.modelYear}
            onChange={set('modelYear')}
            error={fields['car.modelYear'] ? 'Type the model year, four figures.' : undefined}
          />
          <TextInput
            label="Identity number"
            value={v.identity}
            onChange={set('identity')}
            error={wrong && !waive ? check.sentence : fields['car.identity']}
            description={check && !wrong ? check.sentence : 'From the plate, not from the papers'}
            classNames={{ input: 'mono' }}
          />
          <TextInput label="Its own engine" value={v.ownEngine} onChange={set('ownEngine')} />
          <TextInput label="Customer" value={v.customer} onChange={set('customer')} error={fields['customer']} />
          <TextInput label="Telephone" type="tel" value={v.phone} onChange={set('phone')} />
          <TextInput
            label="Promised for"
            type="date"
            value={v.promised}
            onChange={set('promised')}
            error={fields['promised']}
          />
          <Select
            label="Stands in"
            data={[
              { value: '', label: 'Yard' },
              ...(me.data?.shop?.bays ?? []).map((b) => ({ value: b, label: `Bay ${b}` })),
            ]}
            value={v.bay}
            onChange={(bay) => setV({ ...v, bay: bay ?? '' })}
          />
        </div>
        {wrong && (
          <div className="notice ochre-notice" style={{ marginTop: 10 }}>
            <Checkbox
              label="The plate really says so"
              checked={waive}
              onChange={(e) => setWaive(e.currentTarget.checked)}
            />
            {waive && (
              <TextInput
                label="Who looked, and at what"
                value={why}
                onChange={(e) => setWhy(e.currentTarget.value)}
                mt="xs"
              />
            )}
          </div>
        )}
        <Textarea
          label="What the customer wants"
          value={v.wish}
          onChange={set('wish')}
          error={fields['wish']}
          mt="sm"
        />
        <Textarea
          label="Faults at arrival"
          value={v.faults}
          onChange={set('faults')}
          error={fields['faults']}
          mt="sm"
        />
        {booking.isError && (
          <p role="alert" className="oxide" style={{ marginTop: 10 }}>
            {sentenceOf(booking.error)}
          </p>
        )}
        <div className="row-actions">
          <Button type="submit" loading={booking.isPending}>
            Book in
          </Button>
        </div>
      </form>
    </div>
  );
}
