import { TextInput } from '@mantine/core';
import { setPin } from '@bay/contract/crew';
import type { Person } from '@bay/contract/crew';
import { Form, useForm } from '../ui/index.ts';
import styles from './crew.module.css';

const rule = setPin.body.pick({ pin: true });

/** One person types their own PIN; a wrong one is gone from the field before the next try. */
export function PinForm({
  person,
  submit,
  send,
  after,
  somebodyElse,
}: {
  person: Person;
  submit: string;
  send: (pin: string) => Promise<unknown>;
  after: (() => void) | undefined;
  somebodyElse: () => void;
}) {
  const form = useForm({ initial: { pin: '' }, schema: rule });
  return (
    <Form
      className={styles['pin-form']}
      of={form}
      submit={submit}
      send={async ({ pin }) => {
        try {
          await send(pin);
        } catch (error) {
          form.set({ pin: '' });
          throw error;
        }
      }}
      after={after}
      cancel={somebodyElse}
      cancelWord="Somebody else"
    >
      <TextInput
        label={`PIN of ${person.name}`}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
        data-autofocus
        {...form.field('pin')}
      />
    </Form>
  );
}
