import type { JobSheet } from '@bay/contract/jobs';
import type { RecordKind } from '@bay/contract/records';

/** For tests only: the sheet of an open job. */

export const testJob = '00000000-0000-4000-8000-0000000000aa';

/** A sheet of an open job with nothing but these records. */
export const sheetOf = (
  ...records: [kind: RecordKind, key: string, data: Record<string, unknown>, revision: number][]
): JobSheet =>
  ({
    job: {
      id: testJob,
      number: '0401',
      carName: 'Car',
      engineName: null,
      customer: 'C',
      wish: 'w',
      faults: '',
      bay: null,
      promised: null,
      station: 'scope',
      signedStations: [],
      closedAt: null,
      openedAt: '2026-11-01T08:00:00.000Z',
      revision: 1,
    },
    units: [],
    facts: [],
    records: records.map(([kind, key, data, revision]) => ({
      kind,
      key,
      data,
      revision,
      by: 'A',
      at: '2026-11-02T08:00:00.000Z',
    })),
    shopSchools: {},
    shopRules: [],
    log: [],
    running: [],
  }) as unknown as JobSheet;
