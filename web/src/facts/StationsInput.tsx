import { Button, Input } from '@mantine/core';
import { useId, useRef } from 'react';
import { readStations, stationLines } from '@bay/core/facts';
import type { Column, Stations } from '@bay/core/facts';
import styles from './facts.module.css';

interface Props {
  label: string;
  columns: readonly Column[];
  value: string;
  onChange: (next: string) => void;
  onBlur?: () => void;
  error?: React.ReactNode;
}

const cells = (typed: string, width: number): string[][] =>
  typed
    .split('\n')
    .map((line) => line.split(/;\s?|\t/))
    .map((row) => Array.from({ length: width }, (_, i) => row[i] ?? ''));
/** Rows with nothing in them are no stations. */
const lines = (rows: readonly (readonly string[])[]): string =>
  rows
    .filter((row) => row.some((c) => c !== ''))
    .map((row) => row.join('; '))
    .join('\n');

/** Every column after the first over the first, to one scale. */
function Drawn({ columns, stations }: { columns: readonly Column[]; stations: Stations }) {
  const [wide, high] = [320, 110];
  const xs = stations.map((r) => r[0]!);
  const ys = stations.flatMap((r) => r.slice(1));
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [y0, y1] = [Math.min(...ys), Math.max(...ys)];
  // Never flatter than a tenth: a straight line is shown as one.
  const scale = Math.min(wide / (x1 - x0 || 1), high / Math.max(y1 - y0, (x1 - x0) / 10));
  const at = (row: readonly number[], c: number): string =>
    `${((row[0]! - x0) * scale + 16).toFixed(1)},${((y1 - row[c]!) * scale + 16).toFixed(1)}`;
  return (
    <svg
      className={styles['stations-drawn']}
      viewBox={`0 0 ${wide + 32} ${high + 32}`}
      role="img"
      aria-label={`${stations.length} stations drawn`}
    >
      {columns.slice(1).map((column, i) => (
        <g key={column.key}>
          <polyline points={stations.map((r) => at(r, i + 1)).join(' ')} className={styles['edge']} />
          {stations.map((r) => {
            const [cx, cy] = at(r, i + 1).split(',');
            return <circle key={r[0]} cx={cx} cy={cy} r={2.5} className={styles['edge']} />;
          })}
        </g>
      ))}
    </svg>
  );
}

/** Stations as a table: typed row by row, pasted from a spreadsheet in one go, and drawn while it is typed. */
export function StationsInput({ label, columns, value, onChange, onBlur, error }: Props) {
  const id = useId();
  const table = useRef<HTMLTableElement>(null);
  const read = value.trim() === '' ? undefined : readStations(columns, value);
  // What came in as a table of another form is shown cell by cell all the same.
  const kept = read?.ok && !/[;\t]/.test(value) ? stationLines(read.value) : value;
  const rows = [...(kept === '' ? [] : cells(kept, columns.length)), columns.map(() => '')];
  const set = (r: number, c: number, typed: string): void =>
    onChange(
      lines(
        rows.map((row, i) => (i === r ? row.map((cell, j) => (j === c ? typed.replace(/[;\t\n]/g, ' ') : cell)) : row)),
      ),
    );
  const focus = (r: number, c: number): void =>
    table.current?.querySelector<HTMLInputElement>(`[data-at="${r}-${c}"]`)?.focus();
  return (
    <Input.Wrapper id={id} label={label} error={error} className={styles['stations'] ?? ''}>
      <table ref={table} aria-label={label} onBlur={onBlur}>
        <thead>
          <tr>
            {columns.map((c) => (
              <th key={c.key}>
                {c.label}, {c.unit}
              </th>
            ))}
            <th />
          </tr>
        </thead>
        <tbody>
          {rows.map((row, r) => (
            <tr key={r}>
              {row.map((cell, c) => (
                <td key={columns[c]!.key}>
                  <Input
                    aria-label={`${columns[c]!.label} of station ${r + 1}`}
                    classNames={{ input: 'mono' }}
                    data-at={`${r}-${c}`}
                    inputMode="decimal"
                    value={cell}
                    onChange={(e) => set(r, c, e.currentTarget.value)}
                    onPaste={(e) => {
                      const pasted = e.clipboardData.getData('text');
                      if (!/[\n\t;]/.test(pasted.trim())) return;
                      e.preventDefault();
                      const whole = readStations(columns, pasted);
                      onChange(whole.ok ? lines(whole.value.map((n) => n.map(String))) : pasted.trim());
                    }}
                    onKeyDown={(e) => {
                      if (e.key !== 'Enter' || cell === '') return;
                      e.preventDefault();
                      if (c + 1 < columns.length) focus(r, c + 1);
                      else focus(r + 1, 0);
                    }}
                  />
                </td>
              ))}
              <td>
                {r < rows.length - 1 && (
                  <Button
                    variant="subtle"
                    aria-label={`Take station ${r + 1} out`}
                    onClick={() => onChange(lines(rows.filter((_, i) => i !== r)))}
                  >
                    ×
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={read && !read.ok ? 'ochre' : 'quiet'} role="status">
        {read ? (read.ok ? read.understood : read.sentence) : 'A table copied from a spreadsheet may be pasted here.'}
      </p>
      {read?.ok && <Drawn columns={columns} stations={read.value} />}
    </Input.Wrapper>
  );
}
