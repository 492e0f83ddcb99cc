import { benchViews } from './benches.ts';
import { factCatalogue } from '@bay/core/facts';
import { interfaces } from '@bay/core/fit';
import { gateLines } from '@bay/core/commissioning';
import { kitLines } from '@bay/core/kit';
import { recordsOf } from '@bay/core/records';
import type { JobSheet } from '@bay/contract/jobs';

export interface Found {
  kind: string;
  title: string;
  detail: string;
  to: string;
}

/** Everything of an open job that has a name and no row of its own on the server. */
export function thingsOfJob(sheet: JobSheet): Found[] {
  const job = `/jobs/${sheet.job.id}`;
  return [
    ...benchViews.map((v) => ({ kind: 'view', title: v.name, detail: '', to: `${job}/${v.id}` })),
    ...factCatalogue.map((f) => ({
      kind: 'fact',
      title: f.label,
      detail: f.group,
      to: `${job}/facts?of=${f.subject}&fact=${f.id}`,
    })),
    ...interfaces.map((i) => ({ kind: 'place', title: i.title, detail: i.group, to: `${job}/fit?at=${i.id}` })),
    ...kitLines.map((k) => ({ kind: 'kit', title: k.title, detail: k.system, to: `${job}/kit` })),
    ...gateLines.map((g) => ({
      kind: 'gate',
      title: g.mustBe,
      detail: g.gate,
      to: `${job}/start?tab=gates&gate=${encodeURIComponent(g.gate)}`,
    })),
    ...Object.values(recordsOf(sheet, 'circuit')).map((c) => ({
      kind: 'circuit',
      title: c.title,
      detail: [c.labelA, c.labelB].filter(Boolean).join(', '),
      to: `${job}/connect`,
    })),
    ...Object.values(recordsOf(sheet, 'bag')).map((b) => ({
      kind: 'bag',
      title: `bag ${b.label}`,
      detail: `${b.what}, ${b.place ?? 'no place written'}`,
      to: `${job}/takeover`,
    })),
    ...Object.entries(recordsOf(sheet, 'photo')).map(([key, p]) => ({
      kind: 'photo',
      title: p.caption || 'photo without words',
      detail: '',
      to: `${job}/photos?photo=${key}`,
    })),
  ];
}
