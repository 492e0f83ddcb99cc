import { counted, formatMeasure } from '@bay/core/units';
import { planInputOf } from '@bay/core/plan';
import { doubtOf, sheetDefs, sheetOf } from '@bay/core/prep';
import { badInput } from '../http/problem.ts';
import { jobMaterial } from '../plan/material.ts';
import { noSource } from '@bay/core/prep';
import { kindRule } from '../records/kind.ts';

const knownSheet = (id: string): void => {
  if (!sheetDefs.some((d) => d.id === id)) throw badInput({ sheet: 'This sheet is not known.' });
};

export const prepKinds = [
  kindRule({
    kind: 'sheet',
    check: (data) => knownSheet(data.sheet),
    complete: async (tx, data, { jobId }) => {
      const { refused, ask } = doubtOf(data, planInputOf(await jobMaterial(tx, jobId)).facts);
      if (refused) throw badInput({ place: refused });
      if (ask && !data.certain) throw badInput({ certain: ask });
      return data;
    },
    bearer: () => 'engine',
    logKind: 'measurement',
    station: 'prep',
    describe: (data, { before }) => {
      const def = sheetOf(data.sheet);
      const changed = def.readings.filter(
        (r) => data.readings[r.key] !== before?.readings[r.key] && data.readings[r.key] !== undefined,
      );
      return `${def.title.toLowerCase()}, ${def.place} ${data.place}: ${changed.map((r) => `${r.label.toLowerCase()} ${data.typed[r.key] ?? data.readings[r.key]}`).join(', ') || 'cleared'}`;
    },
  }),
  kindRule({
    kind: 'limits',
    check: (_data, { key }) => knownSheet(key),
    bearer: () => 'engine',
    logKind: 'measurement',
    station: 'prep',
    describe: (data, { key }) =>
      `limits for ${sheetOf(key).title.toLowerCase()}: ${Object.entries(data.limits)
        .map(([n, v]) => `${n.replaceAll('-', ' ')} ${v} mm`)
        .join(', ')} (${data.source})`,
  }),
  kindRule({
    kind: 'joint',
    bearer: (data) => data.on,
    logKind: 'torque',
    station: 'prep',
    describe: (data, { before }) => {
      const moved = Object.entries(data.bags ?? {}).filter(([bolt, bag]) => before?.bags?.[bolt] !== bag);
      const back = Object.keys(before?.bags ?? {}).filter((bolt) => data.bags?.[bolt] === undefined);
      if (before && moved.length > 0)
        return `bolts of ${data.name}: ${moved.map(([bolt, bag]) => `${bolt} in bag ${bag}`).join(', ')}`;
      if (back.length > 0) return `bolts of ${data.name} out of their bag: ${back.join(', ')}`;
      return `joint: ${data.name}, ${counted(data.bolts, 'bolt')}`;
    },
  }),
  kindRule({
    kind: 'torque',
    bearer: (data) => data.on,
    logKind: 'torque',
    station: 'prep',
    describe: (data) =>
      data.voided
        ? `taken apart, torque void: ${data.joint}, bolt ${data.bolt} (${data.voided.why})`
        : `torque: ${data.joint}, bolt ${data.bolt}, ${data.stagesNm.map((t) => formatMeasure(t, 'N·m')).join(' then ')}${data.angleDeg ? `, then ${data.angleDeg} deg` : ''}; ${data.source === noSource ? 'nobody said where the value is from' : `value from ${data.source}`}`,
    about: (data) => data.joint,
  }),
  kindRule({
    kind: 'finding',
    logKind: 'finding',
    bearer: (data) => data.on,
    describe: (data, { before }) => {
      if (data.settled && !before?.settled) return `finding settled: ${data.what}. ${data.settled.how}`;
      if (!data.settled && before?.settled) return `finding open again: ${data.what}`;
      return `${before ? 'finding changed' : 'found'}: ${data.what}${data.follows ? `. Follows: ${data.follows}` : ''}`;
    },
    about: (data, key) => data.lookedAt || key,
  }),
];
