import { Checkbox, NumberInput, Select, TextInput } from '@mantine/core';
import { quoteSections, typedMoney } from '@bay/core/money';
import type { QuoteLine, QuoteLineRecord } from '@bay/core/money';
import { shortTitleOf } from '@bay/core/plan';
import { useOpenSteps, useRecordForm } from '../../sheet/index.ts';
import { Form, FormDialog, money, MoneyInput, Several, words } from '../../ui/index.ts';
import { DateField } from '../../ui/DateField.tsx';
import { useCurrency } from '../useCurrency.ts';

const doers = [
  { value: 'shop', label: 'The shop' },
  { value: 'customer', label: 'The customer does or brings it' },
  { value: 'outside', label: 'Somebody outside' },
  { value: 'donor', label: 'It comes off the donor' },
];

/** Hours as three figures, or nothing where none is typed. */
const hoursOf = (typed: readonly (number | string)[]): number[] | undefined =>
  typed.every((t) => t === '') ? undefined : typed.map((t) => (typeof t === 'number' ? t : Number.NaN));

/** What somebody decides of a line that the plan made. */
export function LineForm({
  line,
  record,
  seesMoney,
  close,
}: {
  line: QuoteLine;
  record: QuoteLineRecord | undefined;
  seesMoney: boolean;
  close: () => void;
}) {
  const currency = useCurrency();
  const form = useRecordForm({
    kind: 'quote-line',
    key: line.id,
    initial: {
      take: record?.take ?? (line.state === 'left-off' ? 'out' : 'in'),
      why: record?.why ?? '',
      who: record?.who ?? line.who,
      low: record?.hours?.[0] ?? '',
      likely: record?.hours?.[1] ?? '',
      high: record?.hours?.[2] ?? '',
      price: record?.price === undefined ? '' : typedMoney(record.price, currency),
      optional: record?.optional ?? false,
      tax: record?.tax ?? '',
      holds: [...(record?.holds ?? [])],
      due: record?.due ?? '',
      done: record?.done !== undefined,
    },
    sent: (v) => ({
      take: v.take,
      why: words(v.why),
      who: v.who,
      hours: hoursOf([v.low, v.likely, v.high]),
      optional: v.optional || undefined,
      tax: v.tax === '' ? undefined : v.tax,
      ...(v.take === 'in' && v.who !== 'shop'
        ? {
            holds: v.holds.length > 0 ? v.holds : undefined,
            due: words(v.due),
            done: v.done ? (record?.done ?? {}) : undefined,
          }
        : {}),
      ...(seesMoney ? { price: money(v.price, currency) } : {}),
      ...(record?.title === undefined ? {} : { title: record.title, section: record.section }),
    }),
    names: { hours: 'low' },
  });
  const { take, who } = form.values;
  const elsewhere = take === 'in' && who !== 'shop';
  const open = useOpenSteps(elsewhere);
  const ofHours = line.section === 'work' && who === 'shop';
  return (
    <Form of={form} submit="Keep" variant="default" send={form.send} after={close} cancel={close}>
      <div className="fields">
        <Select
          label="In the quote"
          data={[
            { value: 'in', label: 'Counted in' },
            { value: 'out', label: 'Left off' },
          ]}
          allowDeselect={false}
          {...form.field('take')}
        />
        {take === 'out' ? (
          <TextInput label="Why it is left off" {...form.field('why')} />
        ) : (
          <>
            <Select label="Who does it" data={doers} allowDeselect={false} {...form.field('who')} />
            {ofHours && (
              <>
                <NumberInput label="Hours, low" min={0} {...form.field('low')} />
                <NumberInput label="Hours, likely" min={0} {...form.field('likely')} />
                <NumberInput label="Hours, high" min={0} {...form.field('high')} />
              </>
            )}
            {seesMoney && !ofHours && who !== 'customer' && who !== 'donor' && (
              <MoneyInput label="What it costs the shop" currency={currency} {...form.field('price')} />
            )}
            {elsewhere && (
              <>
                <Several
                  label="Steps that wait for it"
                  data={[
                    ...form.values.holds
                      .filter((key) => !open.some((o) => o.value === key))
                      .map((key) => ({ value: key, label: shortTitleOf(key) })),
                    ...open,
                  ]}
                  {...form.field('holds')}
                />
                <DateField label="Due" {...form.field('due')} />
                <Checkbox
                  label={who === 'customer' ? 'The customer has done or brought it' : 'It is done'}
                  checked={form.values.done}
                  onChange={(e) => form.set({ done: e.currentTarget.checked })}
                />
              </>
            )}
            {seesMoney && <NumberInput label="Tax, % (blank: as usual)" min={0} max={100} {...form.field('tax')} />}
            <Checkbox
              label="The customer may leave it out"
              checked={form.values.optional}
              onChange={(e) => form.set({ optional: e.currentTarget.checked })}
            />
          </>
        )}
      </div>
    </Form>
  );
}

const sectionWords = { work: 'Work of the shop', parts: 'A part', outside: 'Outside work' } as const;

/** A line that no rule knew. */
export function OwnLineForm({ seesMoney, close }: { seesMoney: boolean; close: () => void }) {
  const currency = useCurrency();
  const form = useRecordForm({
    kind: 'quote-line',
    about: 'own',
    initial: { title: '', section: 'work', low: '', likely: '', high: '', price: '' },
    sent: (v) => ({
      take: 'in',
      title: v.title,
      section: v.section,
      ...(v.section === 'work' ? { hours: hoursOf([v.low, v.likely, v.high]) } : {}),
      ...(v.section === 'work' || !seesMoney ? {} : { price: money(v.price, currency) }),
    }),
    names: { hours: 'low' },
  });
  const isWork = form.values.section === 'work';
  return (
    <FormDialog title="A line of our own" submit="Add it" of={form} send={form.send} close={close}>
      <TextInput label="What it is" data-autofocus {...form.field('title')} />
      <Select
        label="What kind"
        data={quoteSections.map((value) => ({ value, label: sectionWords[value] }))}
        allowDeselect={false}
        {...form.field('section')}
      />
      {isWork ? (
        <div className="fields">
          <NumberInput label="Hours, low" min={0} {...form.field('low')} />
          <NumberInput label="Hours, likely" min={0} {...form.field('likely')} />
          <NumberInput label="Hours, high" min={0} {...form.field('high')} />
        </div>
      ) : (
        seesMoney && <MoneyInput label="What it costs the shop" currency={currency} {...form.field('price')} />
      )}
    </FormDialog>
  );
}
