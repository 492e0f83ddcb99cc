import { kindSchema } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { useForm } from '../ui/index.ts';
import type { FormState, Typed } from '../ui/index.ts';
import { useJob } from './useJob.ts';

export type RecordForm<V extends Typed> = FormState<V, Record<string, unknown>>;

interface Options<V extends Typed> {
  kind: RecordKind;
  /** Which of its kind, so that what was typed and left is found again; a new one where nothing is said. */
  about?: string | undefined;
  initial: V;
  sent: (typed: V) => Record<string, unknown>;
  /** Where a field stands in what is sent: `{ 'settled.how': 'how' }`. */
  names?: Readonly<Record<string, keyof V & string>> | undefined;
}

/** A form that writes a record of the open job: held to the schema of its kind, kept while it is not saved. */
export function useRecordForm<V extends Typed>({
  kind,
  about = 'new',
  initial,
  sent,
  names,
}: Options<V>): RecordForm<V> {
  const { sheet } = useJob();
  return useForm({ draft: `${sheet.job.id}:${kind}:${about}`, initial, schema: kindSchema(kind).input, sent, names });
}
