/** Where labels lie on the paper they are printed on. Sizes are those of common label paper; common practice, no source. */

export interface LabelPaper {
  id: 'sheet-24' | 'sheet-65' | 'roll-62' | 'roll-50';
  name: string;
  /** Of the sheet, or of one label of a roll, mm. */
  page: { width: number; height: number };
  label: { width: number; height: number };
  across: number;
  down: number;
}

const a4 = { width: 210, height: 297 };

export const labelPapers: readonly LabelPaper[] = [
  { id: 'sheet-24', name: 'Sheet of 24, 70 × 36 mm', page: a4, label: { width: 70, height: 36 }, across: 3, down: 8 },
  {
    id: 'sheet-65',
    name: 'Sheet of 65, 38 × 21 mm',
    page: a4,
    label: { width: 38.1, height: 21.2 },
    across: 5,
    down: 13,
  },
  {
    id: 'roll-62',
    name: 'Roll, 62 × 29 mm',
    page: { width: 62, height: 29 },
    label: { width: 62, height: 29 },
    across: 1,
    down: 1,
  },
  {
    id: 'roll-50',
    name: 'Roll, 50 × 25 mm',
    page: { width: 50, height: 25 },
    label: { width: 50, height: 25 },
    across: 1,
    down: 1,
  },
];

export interface LabelPlace {
  page: number;
  /** Of its upper left corner on the page, mm. */
  left: number;
  top: number;
}

/**
 * Places of so many labels, row by row, from the first that is still free on a begun sheet (1 is the first of all). The field of
 * labels lies in the middle of the page. Refuses a first one that the sheet does not have.
 */
export function labelPlaces({ page, label, across, down }: LabelPaper, count: number, first = 1): LabelPlace[] {
  const of = across * down;
  if (!Number.isInteger(first) || first < 1 || first > of) throw new RangeError(`This sheet has labels 1 to ${of}.`);
  const left = (page.width - across * label.width) / 2;
  const top = (page.height - down * label.height) / 2;
  return Array.from({ length: count }, (_, i) => {
    const at = i + first - 1;
    const on = at % of;
    return {
      page: Math.floor(at / of),
      left: left + (on % across) * label.width,
      top: top + Math.floor(on / across) * label.height,
    };
  });
}
