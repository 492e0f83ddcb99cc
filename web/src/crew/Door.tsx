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

/** What this is, for who sees it for the first time: a bay, a car on its way through the stations, and what holds it. */
function Welcome() {
  return (
    <figure className={styles['welcome']}>
      <svg
        viewBox="0 0 420 96"
        role="img"
        aria-label="A strip of the Floor: a bay, its car, the line of eight stations, what holds it"
      >
        <rect x="1" y="1" width="418" height="94" rx="3" className={styles['strip']} />
        <text x="22" y="62" className={styles['bay']}>
          1
        </text>
        <path d="M56 1V95M312 1V95" className={styles['edge']} />
        <path
          d="M70 34l10 -14h26l12 14h10v14h-62v-14zM84 48a6 6 0 1 0 .1 0M114 48a6 6 0 1 0 .1 0"
          className={styles['edge']}
        />
        <path d="M76 76H296" className={styles['rail']} />
        <path d="M76 76H202" className={styles['done']} />
        {[0, 1, 2, 3, 4, 5, 6, 7].map((i) =>
          i === 4 ? (
            <path key={i} d="M202 67l9 9l-9 9l-9 -9z" className={styles['here']} />
          ) : (
            <rect
              key={i}
              x={70 + i * 31.5}
              y="70"
              width="12"
              height="12"
              className={i < 4 ? styles['signed'] : styles['open']}
            />
          ),
        )}
        <path d="M326 28H400M326 44H380M326 76H366" className={styles['words']} />
      </svg>
      <figcaption>
        Veteran Bay runs the engine swaps of a shop: every car has a strip, eight stations from the first call to the
        hand over, and always says what holds it and what comes next. It does the sums, keeps the book, and asks before
        something can hurt.
      </figcaption>
    </figure>
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
    <>
      <Welcome />
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
    </>
  );
}

/** Before anybody of a shop is known on this device. */
export function Door({ needsSetup }: { needsSetup: boolean }) {
  return <main className={styles['door']}>{needsSetup ? <SetUp /> : <SignIn />}</main>;
}
