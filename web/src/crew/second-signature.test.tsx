// @vitest-environment happy-dom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { keys } from '../api/index.ts';
import { showAs } from '../testing.tsx';
import { SecondSignature } from './SecondSignature.tsx';

const osk = {
  id: '00000000-0000-4000-8000-000000000001',
  name: 'Osk Tiller',
  initials: 'OT',
  role: 'technician',
  hasPin: true,
  signsIn: false,
} as const;
const della = {
  ...osk,
  id: '00000000-0000-4000-8000-000000000002',
  name: 'Della Pruitt',
  initials: 'DP',
};
const nopin = {
  ...osk,
  id: '00000000-0000-4000-8000-000000000003',
  name: 'Nils No',
  initials: 'NN',
  hasPin: false,
};
const desk = {
  ...osk,
  id: '00000000-0000-4000-8000-000000000004',
  name: 'Yard Office',
  initials: 'YO',
  role: 'onlooker',
} as const;

const of = {
  jobId: '00000000-0000-4000-8000-00000000000a',
  kind: 'gate',
  key: 'gate-fd-brakes',
  revision: 1,
  firstId: osk.id,
  what: 'Brakes hold',
} as const;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(as: typeof osk | typeof della) {
  const asked: { url: string; body: Record<string, unknown> }[] = [];
  let answer: () => Response = () =>
    Response.json({ record: { kind: 'gate', key: of.key, data: {}, revision: 2, by: '', at: '' } });
  vi.stubGlobal('fetch', (url: string, { body }: { body: string }) => {
    asked.push({ url, body: JSON.parse(body) as Record<string, unknown> });
    return Promise.resolve(answer());
  });
  const shown = showAs(as, <SecondSignature of={of} />);
  shown.client.setQueryData(keys.crew, { crew: [osk, della, nopin, desk], left: [] });
  return {
    asked,
    refuse: (title: string) =>
      (answer = () =>
        Response.json(
          { type: 'about:blank', code: 'not-allowed', title, status: 403 },
          { status: 403 },
        )),
  };
}
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('a second signature', () => {
  it('is not offered to whoever signed first, but to others at the same tablet', () => {
    show(osk);
    expect(screen.queryByRole('button', { name: /Sign as the second person/ })).toBeNull();
    expect(screen.getByRole('button', { name: /Second signature at this tablet/ })).toBeTruthy();
  });
  it('is one tap for somebody else at their own device, under their own session', async () => {
    const { asked } = show(della);
    await press(/Sign as the second person/);
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]).toMatchObject({
      url: expect.stringContaining('/records/gate/gate-fd-brakes/second') as string,
      body: { revision: 1 },
    });
    expect(asked[0]!.body).not.toHaveProperty('person');
  });
  it('at a shared tablet only those are offered who may: not the first, not one without a PIN, not an onlooker', async () => {
    show(osk);
    await press(/Second signature at this tablet/);
    expect(
      screen
        .getAllByRole('button', { name: /^(Osk|Della|Nils|Yard)/ })
        .map((b) => b.getAttribute('aria-label')),
    ).toEqual(['Della Pruitt']);
  });
  it('takes a PIN, says when it is not right, and forgets what was typed of it', async () => {
    const { asked, refuse } = show(osk);
    await press(/Second signature at this tablet/);
    await press('Della Pruitt');
    const pin = screen.getByLabelText<HTMLInputElement>('PIN of Della Pruitt');
    await userEvent.type(pin, '12');
    await press('Signed, Della Pruitt');
    expect(screen.getByText('A PIN has 4 to 8 figures.')).toBeTruthy();
    expect(asked).toEqual([]);
    refuse('That PIN is not right.');
    await userEvent.type(pin, '34');
    await press('Signed, Della Pruitt');
    expect(await screen.findByText('That PIN is not right.')).toBeTruthy();
    expect(pin.value).toBe('');
    expect(asked[0]!.body).toMatchObject({ person: { personId: della.id, pin: '1234' } });
    // The device keeps how far its clock is off, and nothing of this.
    const kept = [...Object.keys(localStorage), ...Object.keys(sessionStorage)];
    expect(kept.filter((k) => k !== 'bay-clock-offset')).toEqual([]);
  });
});
