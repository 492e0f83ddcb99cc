import { donorEntryWords } from '@bay/core/donors';
import { kindRule } from '../records/kind.ts';

export const donorsKinds = [
  kindRule({
    kind: 'donor-entry',
    logKind: 'decision',
    station: 'donor',
    // The amount stands in the account, for those who may see money, and not in the book.
    describe: ({ sort, what, on }) => `account of the donor, ${donorEntryWords[sort].toLowerCase()}: ${what}, ${on}`,
  }),
];
