// @vitest-environment happy-dom
import { MantineProvider } from '@mantine/core';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { stations } from '@bay/core/jobs';
import { MeasuredInput, StationLine, Sum, Tabs, Trouble, useTab, VerdictMark } from './index.ts';

afterEach(cleanup);

const show = (what: React.ReactNode, at = '/') =>
  render(
    <MantineProvider env="test">
      <MemoryRouter initialEntries={[at]}>{what}</MemoryRouter>
    </MantineProvider>,
  );

describe('a field for a measured value', () => {
  function Field({ unit = 'mm' }: { unit?: string }) {
    const [typed, setTyped] = useState('');
    return <MeasuredInput label="Bell face" unit={unit} value={typed} onChange={setTyped} />;
  }
  it('says at once what it understood, in both systems', async () => {
    show(<Field />);
    // One inch is 25.4 mm exactly (ISO 31 / international yard and pound agreement of 1959, from memory).
    await userEvent.type(screen.getByLabelText('Bell face, mm'), '1 in');
    expect(document.querySelector('.understood')!.textContent).toMatch(/25\.4/);
  });
  it('says in a sentence what it cannot read, and keeps what was typed', async () => {
    show(<Field />);
    const field = screen.getByLabelText<HTMLInputElement>('Bell face, mm');
    await userEvent.type(field, 'about so much');
    expect(field.value).toBe('about so much');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(field.getAttribute('aria-describedby')).toBeTruthy();
    expect(document.querySelector('.understood')!.textContent).toBe('');
  });
  it('has no unit in its label where it takes a plain number', () => {
    show(<Field unit="" />);
    expect(screen.getByLabelText('Bell face')).toBeTruthy();
  });
});

describe('tabs', () => {
  const names = { list: 'Harvest list', order: 'Order of work', photos: 'Photos' } as const;
  function Bench() {
    const [tab, to] = useTab(names, 'list');
    return (
      <>
        <Tabs names={names} at={tab} to={to}>
          shows {tab}
        </Tabs>
        <output>{useLocation().search}</output>
      </>
    );
  }
  it('open what the address says, and the first where it says nothing that is here', () => {
    show(<Bench />, '/?tab=order');
    expect(screen.getByRole('tabpanel').textContent).toBe('shows order');
    cleanup();
    show(<Bench />, '/?tab=gone');
    expect(screen.getByRole('tab', { selected: true }).textContent).toBe('Harvest list');
  });
  it('go along with the arrow keys, round the end, and write the address', async () => {
    show(<Bench />);
    screen.getByRole('tab', { name: 'Harvest list' }).focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(screen.getByRole('tabpanel').textContent).toBe('shows order');
    expect(screen.getByRole('status').textContent).toBe('?tab=order');
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    expect(screen.getByRole('tab', { selected: true }).textContent).toBe('Harvest list');
  });
  it('name the panel by its tab', () => {
    show(<Bench />);
    expect(screen.getByRole('tabpanel', { name: 'Harvest list' })).toBeTruthy();
  });
});

describe('a sum', () => {
  it('shows every row with its sign, where it stands on, and the result', () => {
    show(
      <Sum
        rows={[
          { label: 'Bonnet to block', value: 62, unit: 'mm', sign: '+' },
          { label: 'Air cleaner', value: 48, unit: 'mm', sign: '−', basis: 'measured' },
        ]}
        result={{ label: 'Left over', value: 14, unit: 'mm' }}
      />,
    );
    const rows = screen.getAllByRole('row').map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(rows).toHaveLength(3);
    expect(rows[1]).toMatch(/Air cleaner measured− 48/);
    expect(rows[2]).toMatch(/^Left over14/);
  });
  it('is not there without rows', () => {
    const { container } = show(<Sum rows={[]} />);
    expect(container.querySelector('table')).toBeNull();
  });
});

describe('small parts', () => {
  it('the line of stations says in words where the job stands', () => {
    show(<StationLine at={stations[2].id} signed={[stations[0].id, stations[1].id]} />);
    const line = screen.getByRole('list', { name: `Stands at ${stations[2].name}` });
    expect(within(line).getAllByRole('listitem')).toHaveLength(stations.length);
    expect(line.querySelectorAll('[aria-current=step]')).toHaveLength(1);
    expect(line.querySelectorAll('li.signed')).toHaveLength(2);
  });
  it('the marks of the four verdicts differ in shape, not only in colour', () => {
    const shapes = (['bolts-up', 'adapt', 'clash', 'not-measured'] as const).map((word) => {
      const { container } = show(<VerdictMark word={word} />);
      return container.querySelector('svg')!.innerHTML;
    });
    expect(new Set(shapes).size).toBe(4);
  });
  it('no trouble, no sentence', () => {
    const { container } = show(<Trouble of={{ error: null }} />);
    expect(container.querySelector('[role=alert]')).toBeNull();
  });
});
