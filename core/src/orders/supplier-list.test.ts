import { describe, expect, it } from 'vitest';
import { readSupplierList } from './supplier-list.ts';

describe("a supplier's list", () => {
  it('is read by the names of its columns, in whatever order they stand', () => {
    expect(
      readSupplierList([
        ['Due', 'Reference', 'Carrier'],
        ['9.12.2026', 'CY-1', ''],
        ['2026-12-11', 'CY-2', 'two parcels'],
        ['', '', ''],
        ['', 'CY-3', 'left the works'],
      ]),
    ).toEqual({
      orders: [
        { reference: 'CY-1', promisedOn: '2026-12-09' },
        { reference: 'CY-2', promisedOn: '2026-12-11', tracking: 'two parcels' },
        { reference: 'CY-3', tracking: 'left the works' },
      ],
      wrong: [],
    });
  });
  it('names the rows that cannot be taken', () => {
    expect(
      readSupplierList([
        ['reference', 'promised'],
        ['', '2026-12-09'],
        ['A', '12/09/2026'],
        ['B', '2026-02-30'],
        ['C', ''],
      ]).wrong,
    ).toEqual([
      'Row 2: no number.',
      'Row 3: "12/09/2026" is no day; write it as 2026-12-09 or 9.12.2026.',
      'Row 4: "2026-02-30" is no day; write it as 2026-12-09 or 9.12.2026.',
      'Row 5: neither a day nor a word of the carrier.',
    ]);
    expect(readSupplierList([]).wrong).toEqual(['Nothing is in it.']);
    expect(readSupplierList([['what']]).wrong[0]).toMatch(/"reference"/);
    expect(readSupplierList([['reference'], ['A']]).wrong[0]).toMatch(/"promised" or "tracking"/);
    expect(readSupplierList([['reference', 'due']]).wrong).toEqual([
      'Only the names of the columns are in it.',
    ]);
  });
});
