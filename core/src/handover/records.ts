import type { Act, Stamp } from '../rules/stamp.ts';

export interface FollowUpRecord extends Stamp {
  what: string;
  on?: string | undefined;
  atKm?: number | undefined;
  /** What brings it where no day and no distance does: "next time the engine is out". */
  occasion?: string | undefined;
  done?: Act<{ note?: string | undefined }> | undefined;
}

export interface HandoverRecords {
  'follow-up': FollowUpRecord;
}
