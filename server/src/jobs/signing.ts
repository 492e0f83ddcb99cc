import type { StationId } from '@bay/core/jobs';
import type { Tx } from '../db/connection.ts';

/** What stands against signing a station: throws a Refusal, or gives what the logbook adds. `despite` is why it is signed all the same. */
export type SigningRule = (tx: Tx, jobId: string, station: StationId, despite: string | undefined) => Promise<string>;

const rules: SigningRule[] = [];

/** A capability that knows more of a job than this one says here what stands against signing. */
export const registerSigningRule = (rule: SigningRule): void => {
  rules.push(rule);
};

/** Asks every rule; gives what they add to the logbook. */
export async function signedBy(...asked: Parameters<SigningRule>): Promise<string> {
  let added = '';
  for (const rule of rules) added += await rule(...asked);
  return added;
}
