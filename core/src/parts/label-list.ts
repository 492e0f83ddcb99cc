import { linkState } from './links.ts';
import type { LinkRecord } from './links.ts';
import { isGone } from './records.ts';
import type { BagRecord, PartRecord } from './records.ts';

/** Something of a job that bears a label. */
export interface Labelled {
  key: string;
  code: string;
  title: string;
  place: string;
  /** What its code opens, behind the address of the shop. */
  path: string;
}

interface Things {
  jobId: string;
  parts: Readonly<Record<string, PartRecord>>;
  bags: Readonly<Record<string, BagRecord>>;
  links: Readonly<Record<string, LinkRecord>>;
}

/** Parts that are here, bags that are full, and both halves of each link that has a label, by their codes. */
export function labelledThings({ jobId, parts, bags, links }: Things): Labelled[] {
  const find = (words: string): string => `/store?q=${encodeURIComponent(words)}`;
  return [
    ...Object.entries(parts)
      .filter(([, p]) => !isGone(p.fate) && p.fate !== 'left-off')
      .map(([key, p]) => ({ key, code: p.label || 'no label', title: p.title, place: p.place, path: `/parts/${key}` })),
    ...Object.entries(bags)
      .filter(([, b]) => !b.back)
      .map(([key, b]) => ({
        key,
        code: b.label || 'bag',
        title: b.what,
        place: b.place ?? '',
        path: find(b.label || b.what),
      })),
    ...Object.entries(links).flatMap(([key, l]) => {
      const state = linkState(l);
      if (!l.label || state === 'gone' || state === 'on') return [];
      const path = `/jobs/${jobId}/connect?tab=links`;
      // The same number on both halves: what it came off, and what came off.
      return [l.from, l.to].map((end, i) => ({
        key: `${key}:${i === 0 ? 'a' : 'b'}`,
        code: l.label!,
        title: l.name,
        place: end ?? '',
        path,
      }));
    }),
  ].sort((a, b) => a.code.localeCompare(b.code, 'en', { numeric: true }));
}
