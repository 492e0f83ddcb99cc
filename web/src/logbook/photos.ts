import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { PhotoRecord } from '@bay/core/logbook';
import { addPhoto, mostPhotoBytes } from '@bay/contract/logbook';
import type { JobSheet } from '@bay/contract/jobs';
import type { RecordRow } from '@bay/contract/records';
import { command, keys, newId, nowIso, sentenceOf } from '../api/index.ts';

/** It waits on this device: nobody can look at it from the server yet. */
export const isPending = (photo: PhotoRecord & { pending?: boolean }): boolean => photo.pending === true;

export interface Upload {
  id: string;
  name: string;
  state: 'waits' | 'sending' | 'sent' | 'kept' | 'failed' | 'cancelled';
  why?: string;
}

/** Sends photos one after the other, with what became of each; can be cancelled, and each tried again. */
export function useUploads(jobId: string) {
  const client = useQueryClient();
  const [uploads, setUploads] = useState<Upload[]>([]);
  const files = useRef(new Map<string, { file: File; photoId: string; about: string | undefined }>());
  const stop = useRef<AbortController>(undefined);
  const set = (id: string, change: Partial<Upload>): void =>
    setUploads((all) => all.map((u) => (u.id === id ? { ...u, ...change } : u)));

  const sendOne = async (id: string): Promise<void> => {
    const { file, photoId, about } = files.current.get(id)!;
    if (file.size > mostPhotoBytes) return set(id, { state: 'failed', why: 'A photo has 20 MB at most.' });
    set(id, { state: 'sending' });
    let kept = false;
    const offline = (): { record: RecordRow } => {
      kept = true;
      const data = { caption: '', width: 1, height: 1, pending: true };
      const record = { kind: 'photo', key: photoId, data, revision: 0, by: '', at: nowIso() } as unknown as RecordRow;
      client.setQueryData<JobSheet>(keys.job(jobId), (old) => old && { ...old, records: [...old.records, record] });
      return { record };
    };
    try {
      await command(
        addPhoto,
        { params: { jobId }, body: { photoId, caption: '', ...(about ? { about } : {}) } },
        // The same id for every try: a photo whose answer was lost is not there twice.
        { label: 'photo added', jobId, commandId: id, file, offline, signal: stop.current?.signal },
      );
      set(id, { state: kept ? 'kept' : 'sent' });
      void client.invalidateQueries({ queryKey: keys.job(jobId) });
    } catch (error) {
      set(id, error instanceof DOMException ? { state: 'cancelled' } : { state: 'failed', why: sentenceOf(error) });
    }
  };
  const run = async (ids: readonly string[]): Promise<void> => {
    stop.current = new AbortController();
    for (const id of ids) {
      if (stop.current.signal.aborted) set(id, { state: 'cancelled' });
      else await sendOne(id);
    }
  };
  return {
    uploads,
    add: (list: readonly File[], about: string | undefined): void => {
      const fresh = list.map((file): Upload => {
        const id = newId();
        files.current.set(id, { file, photoId: newId(), about });
        return { id, name: file.name, state: 'waits' };
      });
      setUploads((all) => [...all.filter((u) => u.state !== 'sent' && u.state !== 'kept'), ...fresh]);
      void run(fresh.map((u) => u.id));
    },
    again: (id: string): void => void run([id]),
    cancel: (): void => stop.current?.abort(),
    clear: (): void => setUploads([]),
  };
}
