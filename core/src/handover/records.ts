import type { Act, Stamp } from '../rules/stamp.ts';

export interface FollowUpRecord extends Stamp {
  what: string;
  on?: string | undefined;
  atKm?: number | undefined;
  done?: Act<{ note?: string | undefined }> | undefined;
}

export interface HandoverRecords {
  'follow-up': FollowUpRecord;
}
