import { formatMeasure, units } from '@bay/core/units';
import type { SumRow, Verdict } from '@bay/core/fit';

const known = new Set(units.map((u) => u.symbol));
const figure = (value: number, unit: string): string =>
  known.has(unit) ? formatMeasure(value, unit, unit === '' ? 2 : 1) : `${Number(value.toFixed(1))} ${unit}`;

/** The arithmetic of a verdict with its numbers, as one would write it on cardboard. */
export function Sum({ rows, result }: { rows: readonly SumRow[]; result?: Verdict['result'] }) {
  if (rows.length === 0) return null;
  return (
    <table className="sum">
      <tbody>
        {rows.map((row, i) => (
          <tr key={`${row.label}${i}`}>
            <td>
              {row.label} {row.basis && <span className="quiet">{row.basis}</span>}
            </td>
            <td className="mono">
              {row.sign === '−' ? '− ' : ''}
              {row.sign === '−' && row.value < 0 ? `(${figure(row.value, row.unit)})` : figure(row.value, row.unit)}
            </td>
          </tr>
        ))}
      </tbody>
      {result && (
        <tfoot>
          <tr>
            <td>{result.label}</td>
            <td className="mono">{figure(result.value, result.unit)}</td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}
