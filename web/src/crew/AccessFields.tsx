import { Select, TextInput } from '@mantine/core';
import { roles } from '@bay/contract/crew';
import type { Role } from '@bay/contract/crew';
import { words } from '../ui/index.ts';
import type { useForm } from '../ui/index.ts';

/** Who somebody is on the crew, and what they sign in with; nothing of it is kept on a device. */
export interface Access extends Record<string, unknown> {
  initials: string;
  role: Role;
  pin: string;
  email: string;
  password: string;
}

export const noAccess: Access = { initials: '', role: 'technician', pin: '', email: '', password: '' };

/** As it is sent: only a manager signs in with e-mail and password. */
export const accessSent = <V extends Access>({ pin, email, password, ...rest }: V) => ({
  ...rest,
  pin: words(pin),
  ...(rest.role === 'manager' ? { email: words(email), password: words(password) } : {}),
});

export function AccessFields({ of: form }: { of: Pick<ReturnType<typeof useForm<Access>>, 'field' | 'values'> }) {
  return (
    <>
      <TextInput label="Initials" autoComplete="off" {...form.field('initials')} />
      <Select label="Role" data={[...roles]} {...form.field('role')} />
      <TextInput label="PIN, 4 to 8 figures" autoComplete="off" inputMode="numeric" {...form.field('pin')} />
      {form.values.role === 'manager' && (
        <>
          <TextInput label="E-mail" type="email" autoComplete="off" {...form.field('email')} />
          <TextInput label="Password" type="password" autoComplete="new-password" {...form.field('password')} />
        </>
      )}
    </>
  );
}
