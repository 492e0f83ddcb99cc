// @vitest-environment happy-dom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { showAs } from '../testing.tsx';
import { DateField, MinuteField, readDay } from './DateField.tsx';

afterEach(cleanup);

describe('a day as people type it', () => {
  const today = '2026-11-26';
  it.each([
    ['2026-12-24', '2026-12-24'],
    ['24 Dec 2026', '2026-12-24'],
    ['Thu 24 Dec 2026', '2026-12-24'],
    // The number was changed in what the field shows; the weekday is the field's to put right.
    ['Thu 25 Dec 2026', '2026-12-25'],
    ['24.12.2026', '2026-12-24'],
    ['24/12/2026', '2026-12-24'],
    ['24 Dec', '2026-12-24'],
    ['24.12.', '2026-12-24'],
    [' 26 Nov ', '2026-11-26'],
    // A day without a year is the next one that comes.
    ['25 Nov', '2027-11-25'],
    ['3.1.', '2027-01-03'],
  ])('"%s" is %s', (typed, day) => expect(readDay(typed, today)).toBe(day));
  it('of what is behind us, a day without a year is the last that was', () => {
    expect(readDay('27 Nov', today, true)).toBe('2025-11-27');
    expect(readDay('25 Nov', today, true)).toBe('2026-11-25');
  });
  it.each(['', 'soon', '31.2.2026', '2026-02-30', '24', '12/24/2026'])('"%s" is none', (typed) =>
    expect(readDay(typed, today)).toBeNull(),
  );
});

describe('a field for a day', () => {
  function Field({ was = '' }: { was?: string }) {
    const [day, setDay] = useState(was);
    return (
      <>
        <DateField label="Promised for" value={day} onChange={setDay} />
        <output>{day}</output>
      </>
    );
  }
  it('shows a day as people say it, and gives it in ISO', () => {
    showAs({}, <Field was="2026-12-24" />);
    expect(screen.getByLabelText<HTMLInputElement>('Promised for').value).toBe('Thu 24 Dec 2026');
  });
  it('takes what is typed, and forgets it when it is cleared', () => {
    showAs({}, <Field />);
    const field = screen.getByLabelText('Promised for');
    fireEvent.change(field, { target: { value: '24.12.2026' } });
    expect(screen.getByRole('status').textContent).toBe('2026-12-24');
    fireEvent.change(field, { target: { value: '' } });
    expect(screen.getByRole('status').textContent).toBe('');
  });
  it('says in a sentence what is wrong with it', () => {
    showAs(
      {},
      <DateField label="On" value="" onChange={() => undefined} error="A day is wanted." />,
    );
    expect(screen.getByText('A day is wanted.')).toBeTruthy();
    expect(screen.getByLabelText('On').getAttribute('aria-invalid')).toBe('true');
  });
});

describe('a field for a minute', () => {
  it("shows a minute of the device's own time", () => {
    showAs({}, <MinuteField label="Began" value="2026-11-26T09:30" onChange={() => undefined} />);
    expect(screen.getByText('Thu 26 Nov 2026 09:30')).toBeTruthy();
  });
});
