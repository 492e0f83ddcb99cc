/** What a supplier says of several orders, as rows of a table: its number, the promised day, words of the carrier. */

export interface SupplierSays {
  reference: string;
  promisedOn?: string;
  tracking?: string;
}

export interface SupplierList {
  orders: readonly SupplierSays[];
  /** A sentence for each row that cannot be taken, with its number; nothing of a list with one of them is sent. */
  wrong: readonly string[];
}

const columns = {
  reference: ['reference', 'number', 'order', 'their number'],
  promised: ['promised', 'promised on', 'due', 'delivery', 'day'],
  tracking: ['tracking', 'carrier', 'note'],
} as const;

/** A day as 2026-12-09 or 9.12.2026; other ways of writing it can be meant in two ways. */
function dayOf(typed: string): string | undefined {
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(typed);
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(typed);
  const [year, month, day] = iso ? [iso[1], iso[2], iso[3]] : dotted ? [dotted[3], dotted[2], dotted[1]] : [];
  if (year === undefined) return undefined;
  const written = `${year}-${month!.padStart(2, '0')}-${day!.padStart(2, '0')}`;
  const real = new Date(`${written}T00:00:00Z`);
  return Number.isNaN(real.getTime()) || real.toISOString().slice(0, 10) !== written ? undefined : written;
}

/** Reads a table with a head row: one column with the supplier's numbers, and a day, or words, or both. */
export function readSupplierList(rows: readonly (readonly string[])[]): SupplierList {
  const [head, ...body] = rows.map((r) => r.map((c) => c.trim())).filter((r) => r.some((c) => c !== ''));
  if (!head) return { orders: [], wrong: ['Nothing is in it.'] };
  const at = (names: readonly string[]): number => head.findIndex((h) => names.includes(h.toLowerCase()));
  const [reference, promised, tracking] = [at(columns.reference), at(columns.promised), at(columns.tracking)];
  if (reference < 0) return { orders: [], wrong: ['The first row names the columns: one of them is "reference".'] };
  if (promised < 0 && tracking < 0)
    return { orders: [], wrong: ['Beside "reference" a column "promised" or "tracking" is wanted.'] };
  const orders: SupplierSays[] = [];
  const wrong: string[] = [];
  body.forEach((row, i) => {
    const number = row[reference] ?? '';
    const typed = promised < 0 ? '' : (row[promised] ?? '');
    const words = tracking < 0 ? '' : (row[tracking] ?? '');
    const day = dayOf(typed);
    if (number === '') wrong.push(`Row ${i + 2}: no number.`);
    else if (typed !== '' && day === undefined)
      wrong.push(`Row ${i + 2}: "${typed}" is no day; write it as 2026-12-09 or 9.12.2026.`);
    else if (day === undefined && words === '') wrong.push(`Row ${i + 2}: neither a day nor a word of the carrier.`);
    else
      orders.push({
        reference: number,
        ...(day === undefined ? {} : { promisedOn: day }),
        ...(words === '' ? {} : { tracking: words }),
      });
  });
  if (body.length === 0) wrong.push('Only the names of the columns are in it.');
  return { orders, wrong };
}
