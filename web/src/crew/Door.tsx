import { TextInput } from '@mantine/core';
import { setUpShop, signIn } from '@bay/contract/crew';
import { call, useEntering } from '../api/index.ts';
import { CurrencySelect } from '../money/index.ts';
import { Form, useForm } from '../ui/index.ts';
import styles from './crew.module.css';

function SignIn() {
  const entering = useEntering((body: { email: string; password: string }) => call(signIn, { body }));
  const form = useForm({
    initial: { email: '', password: '' },
    schema: signIn.body,
    sent: ({ email, password }) => ({ email: email.trim(), password }),
  });
  return (
    <Form className="panel" of={form} submit="Sign in" send={(body) => entering.mutateAsync(body)}>
      <h1>Sign in</h1>
      <p className="quiet">The manager signs this device in once. After that the crew taps a name and types a PIN.</p>
      <TextInput label="E-mail" type="email" autoComplete="username" {...form.field('email')} />
      <TextInput label="Password" type="password" autoComplete="current-password" {...form.field('password')} />
    </Form>
  );
}

function SetUp() {
  const form = useForm({
    initial: { shopName: '', bays: '3', currency: null as string | null, name: '', email: '', password: '' },
    schema: setUpShop.body.required({ currency: true }),
    sent: ({ bays, currency, ...v }) => ({
      ...v,
      bays: /^\d+$/.test(bays) ? Number(bays) : (bays as unknown as number),
      currency: currency ?? undefined,
    }),
  });
  const entering = useEntering(
    (body: Parameters<typeof form.submit>[0] extends (input: infer I) => unknown ? I : never) =>
      call(setUpShop, { body }),
  );
  return (
    <Form className="panel" of={form} submit="Open the shop" send={(body) => entering.mutateAsync(body)}>
      <h1>Set up the shop</h1>
      <p className="quiet">Nobody has used this server yet. Name the shop and its manager; the crew comes next.</p>
      <TextInput label="Name of the shop" {...form.field('shopName')} />
      <TextInput label="Bays" inputMode="numeric" {...form.field('bays')} />
      <CurrencySelect label="Counts its money in" {...form.field('currency')} />
      <TextInput label="Your name" {...form.field('name')} />
      <TextInput label="E-mail" type="email" {...form.field('email')} />
      <TextInput label="Password" type="password" description="At least 12 characters" {...form.field('password')} />
    </Form>
  );
}

/** Before anybody of a shop is known on this device. */
export function Door({ needsSetup }: { needsSetup: boolean }) {
  return <main className={styles['door']}>{needsSetup ? <SetUp /> : <SignIn />}</main>;
}
