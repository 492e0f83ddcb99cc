import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { setUpShop, signIn } from '@bay/contract/crew';
import { call, fieldsOf, useEntering } from '../api/index.ts';
import { Trouble } from '../ui/index.ts';

function SignIn() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const entering = useEntering((body: { email: string; password: string }) => call(signIn, { body }));
  const fields = fieldsOf(entering.error);
  return (
    <form
      className="panel"
      onSubmit={(e) => {
        e.preventDefault();
        entering.mutate({ email: email.trim(), password });
      }}
    >
      <h1>Sign in</h1>
      <p className="quiet">The manager signs this device in once. After that the crew taps a name and types a PIN.</p>
      <TextInput
        label="E-mail"
        type="email"
        autoComplete="username"
        value={email}
        onChange={(e) => setEmail(e.currentTarget.value)}
        error={fields['email']}
        required
        withAsterisk={false}
      />
      <TextInput
        label="Password"
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(e) => setPassword(e.currentTarget.value)}
        error={fields['password']}
        required
        withAsterisk={false}
      />
      <Trouble of={entering} />
      <Button type="submit" loading={entering.isPending}>
        Sign in
      </Button>
    </form>
  );
}

function SetUp() {
  const [values, setValues] = useState({ shopName: '', bays: '3', name: '', email: '', password: '' });
  const entering = useEntering((body: typeof values) =>
    call(setUpShop, { body: { ...body, bays: Number(body.bays) } }),
  );
  const fields = fieldsOf(entering.error);
  const field = (key: keyof typeof values, label: string, type = 'text', description?: string) => (
    <TextInput
      label={label}
      type={type}
      value={values[key]}
      onChange={(e) => setValues({ ...values, [key]: e.currentTarget.value })}
      error={fields[key]}
      {...(description ? { description } : {})}
    />
  );
  return (
    <form
      className="panel"
      onSubmit={(e) => {
        e.preventDefault();
        entering.mutate(values);
      }}
    >
      <h1>Set up the shop</h1>
      <p className="quiet">Nobody has used this server yet. Name the shop and its manager; the crew comes next.</p>
      {field('shopName', 'Name of the shop')}
      {field('bays', 'Bays', 'number')}
      {field('name', 'Your name')}
      {field('email', 'E-mail', 'email')}
      {field('password', 'Password', 'password', 'At least 10 characters')}
      <Trouble of={entering} />
      <Button type="submit" loading={entering.isPending}>
        Open the shop
      </Button>
    </form>
  );
}

/** Before anybody of a shop is known on this device. */
export function Door({ needsSetup }: { needsSetup: boolean }) {
  return <main className="door">{needsSetup ? <SetUp /> : <SignIn />}</main>;
}
