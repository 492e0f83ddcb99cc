// @vitest-environment happy-dom
import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { StationsInput } from './StationsInput.tsx';

afterEach(cleanup);

const columns = [
  { key: 'x', label: 'x', unit: 'mm' },
  { key: 'z', label: 'z', unit: 'mm' },
];
let kept = '';
function Field({ from = '' }: { from?: string }) {
  const [value, setValue] = useState(from);
  kept = value;
  return <StationsInput label="Hood" columns={columns} value={value} onChange={setValue} />;
}
const show = (from?: string) =>
  render(
    <MantineProvider env="test">
      <Field {...(from ? { from } : {})} />
    </MantineProvider>,
  );
const cell = (name: string) => screen.getByLabelText<HTMLInputElement>(name);

describe('stations as a table', () => {
  it('are typed with Enter from cell to cell, said and drawn while they are typed', async () => {
    show();
    await userEvent.type(cell('x of station 1'), '0{Enter}455{Enter}100{Enter}46 cm');
    expect(kept).toBe('0; 455\n100; 46 cm');
    expect(screen.getByRole('status').textContent).toBe('2 stations, x 0 mm to 100 mm');
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('2 stations drawn');
  });
  it('say what is missing, and keep what was typed', async () => {
    show();
    await userEvent.type(cell('x of station 1'), '0{Enter}high');
    expect(cell('z of station 1').value).toBe('high');
    expect(screen.getByRole('status').textContent).toMatch(/^Line 1, z: /);
    expect(screen.queryByRole('img')).toBeNull();
  });
  it('are pasted from a spreadsheet in one go, its heading left out', () => {
    show();
    fireEvent.paste(cell('x of station 1'), {
      clipboardData: { getData: () => 'x\tz\r\n200\t450\r\n0\t455\r\n' },
    });
    expect(kept).toBe('0; 455\n200; 450');
    expect(cell('z of station 2').value).toBe('450');
  });
  it('of another form stand cell by cell too, and one is taken out', async () => {
    show('0,455\n100,460\n200,470');
    expect(cell('z of station 2').value).toBe('460');
    await userEvent.click(screen.getByLabelText('Take station 2 out'));
    expect(kept).toBe('0; 455\n200; 470');
  });
});
