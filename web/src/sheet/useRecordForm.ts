import { useState } from 'react';
import { kindSchema } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { newId } from '../api/index.ts';
import { useForm } from '../ui/index.ts';
import type { FormState, Typed } from '../ui/index.ts';
import { useJob, usePut } from './useJob.ts';

type Data = Record<string, unknown>;

export interface RecordForm<V extends Typed> extends FormState<V, Data> {
  /** Writes the record, on top of what stood there when the form was begun: what changed meanwhile is shown, not overwritten. */
  send: (data: Data) => Promise<unknown>;
}

interface Options<V extends Typed> {
  kind: RecordKind;
  /** The record that is written; a new one where nothing is said. */
  key?: string | undefined;
  /** What is kept of this form under: the key, where one record has one form. */
  about?: string | undefined;
  initial: V;
  sent: (typed: V) => Data;
  /** Where a field stands in what is sent: `{ 'settled.how': 'how' }`. */
  names?: Readonly<Record<string, keyof V & string>> | undefined;
  /** What is sent is laid over the record as it is now, so that it goes on top of that. */
  merges?: true;
}

/** A form that writes a record of the open job: held to the schema of its kind, kept while it is not saved. */
export function useRecordForm<V extends Typed>(options: Options<V>): RecordForm<V> {
  const { kind, key, about = key ?? 'new', initial, sent, names, merges } = options;
  const { sheet } = useJob();
  const put = usePut();
  // The same for every try: a record whose answer was lost is not there twice.
  const [fresh, setFresh] = useState(newId);
  const revision = sheet.records.find((r) => r.kind === kind && r.key === key)?.revision ?? 0;
  const form = useForm({
    draft: `${sheet.job.id}:${kind}:${about}`,
    initial,
    schema: kindSchema(kind).input,
    sent,
    names,
    since: revision,
  });
  return {
    ...form,
    send: async (data) => {
      const row = await put.mutateAsync({
        kind,
        key: key ?? fresh,
        data,
        revision: key === undefined ? 0 : merges ? revision : form.since,
      });
      setFresh(newId());
      form.wentOn(row.revision);
    },
  };
}
