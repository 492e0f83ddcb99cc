// @vitest-environment happy-dom
import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Drawing, Point } from '@bay/core/drawing';
import { Board } from './Board.tsx';
import type { BoardPin } from './Board.tsx';

afterEach(cleanup);

const square: Drawing = {
  name: 'A square',
  summary: 'It has four sides.',
  unit: 'mm',
  shapes: [
    {
      id: 'square',
      name: 'square',
      ink: 'in',
      closed: true,
      points: [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
        { x: 100, y: 100 },
        { x: 0, y: 100 },
      ],
    },
  ],
  spots: [{ id: 'middle', name: 'middle', ink: 'gear', at: { x: 50, y: 50 }, mark: 'cross' }],
  dimensions: [
    {
      id: 'side',
      name: 'side',
      said: '100 mm',
      from: { x: 0, y: 0 },
      to: { x: 100, y: 0 },
      aside: -18,
      rows: [{ sign: '+', label: 'Measured side', value: 100, unit: 'mm' }],
    },
  ],
};

function show(
  more: {
    pins?: BoardPin[];
    pickPin?: (id: string) => void;
    place?: (at: Point) => void;
    box?: (from: Point, to: Point) => void;
  } = {},
) {
  render(
    <MantineProvider env="test">
      <Board drawing={square} {...more} />
    </MantineProvider>,
  );
  const surface = document.querySelector('svg[tabindex="0"]')!;
  return {
    surface,
    wide: () =>
      /^M([\d.-]+) [\d.-]+L([\d.-]+)/.exec(
        surface.querySelector(':scope > path')!.getAttribute('d')!,
      )!,
  };
}
const widthOf = (match: RegExpExecArray): number => Number(match[2]) - Number(match[1]);

describe('a board', () => {
  it('comes nearer with plus, goes back to the whole with 0, and no farther than that', () => {
    const { surface, wide } = show();
    const whole = widthOf(wide());
    fireEvent.keyDown(surface, { key: '+' });
    expect(widthOf(wide())).toBeCloseTo(whole * 1.5, 0);
    fireEvent.keyDown(surface, { key: '0' });
    expect(widthOf(wide())).toBeCloseTo(whole, 1);
    fireEvent.keyDown(surface, { key: '-' });
    expect(widthOf(wide())).toBeCloseTo(whole, 1);
  });
  it('says all of it: its name, what one sees, its numbers as a list', () => {
    const { surface } = show();
    expect(surface.getAttribute('aria-label')).toContain('A square. It has four sides.');
    expect(screen.getByRole('list', { name: 'Numbers of: A square' }).textContent).toBe(
      'side 100 mm',
    );
  });
  it('opens the sum behind a number', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: /side/ }));
    expect(screen.getByText(/Measured side/)).toBeTruthy();
  });
  it('takes a place at the cross, which the arrows move', () => {
    const places: Point[] = [];
    const { surface } = show({ place: (at) => places.push(at) });
    fireEvent.focus(surface);
    fireEvent.keyDown(surface, { key: 'Enter' });
    fireEvent.keyDown(surface, { key: 'ArrowRight' });
    fireEvent.keyDown(surface, { key: 'ArrowUp' });
    fireEvent.keyDown(surface, { key: 'Enter' });
    expect(places[0]).toEqual({ x: 50, y: 50 });
    expect(places[1]!.x).toBeGreaterThan(50);
    expect(places[1]!.y).toBeGreaterThan(50);
  });
  it('draws a box by Enter at one corner and at the other', () => {
    const boxes: [Point, Point][] = [];
    const { surface } = show({ box: (from, to) => boxes.push([from, to]) });
    fireEvent.focus(surface);
    fireEvent.keyDown(surface, { key: 'Enter' });
    fireEvent.keyDown(surface, { key: 'ArrowRight' });
    fireEvent.keyDown(surface, { key: 'ArrowDown' });
    expect(surface.querySelector('rect[width]')).toBeTruthy();
    fireEvent.keyDown(surface, { key: 'Enter' });
    expect(boxes).toHaveLength(1);
    const [from, to] = boxes[0]!;
    expect(from).toEqual({ x: 50, y: 50 });
    expect([to.x > 50, to.y < 50]).toEqual([true, true]);
  });
  it('gives a pin to who presses it, and sets no new one by that', () => {
    const picked: string[] = [];
    const places: Point[] = [];
    show({
      pins: [{ id: 'p', at: { x: 20, y: 20 }, letter: 'D', said: 'Damage: dent' }],
      pickPin: (id) => picked.push(id),
      place: (at) => places.push(at),
    });
    const pin = screen.getByRole('button', { name: 'Damage: dent' });
    fireEvent.click(pin);
    fireEvent.keyDown(pin, { key: 'Enter' });
    expect(picked).toEqual(['p', 'p']);
    expect(places).toEqual([]);
  });
});
