import { formatMeasure } from '@bay/core/units';
import { sheetOf } from '@bay/core/prep';
import { kindRule, stamped } from '../records/kind.ts';

export const prepKinds = [
  kindRule({
    kind: 'sheet',
    bearer: () => 'engine',
    logKind: 'measurement',
    station: 'prep',
    prepare: (data, context) => stamped(data, context),
    describe: (data, { before }) => {
      const def = sheetOf(data.sheet);
      const changed = def.readings.filter((r) => data.readings[r.key] !== before?.readings[r.key] && data.readings[r.key] !== undefined);
      return `${def.title.toLowerCase()}, ${def.place} ${data.place}: ${changed.map((r) => `${r.label.toLowerCase()} ${data.typed[r.key] ?? data.readings[r.key]}`).join(', ') || 'cleared'}`;
    },
  }),
  kindRule({
    kind: 'limits',
    bearer: () => 'engine',
    logKind: 'measurement',
    station: 'prep',
    prepare: (data, context) => stamped(data, context),
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
    prepare: (data, context) => stamped(data, context),
    describe: (data) => `joint: ${data.name}, ${data.bolts} bolts`,
  }),
  kindRule({
    kind: 'torque',
    bearer: (data) => data.on,
    logKind: 'torque',
    station: 'prep',
    prepare: (data, context) =>
      data.voided ? { ...data, voided: context.before?.voided ?? { ...data.voided, by: context.caller.name, at: context.at } } : stamped(data, context),
    describe: (data) =>
      data.voided
        ? `taken apart, torque void: ${data.joint}, bolt ${data.bolt} (${data.voided.why})`
        : `torque: ${data.joint}, bolt ${data.bolt}, ${data.stagesNm.map((t) => formatMeasure(t, 'N·m')).join(' then ')}${data.angleDeg ? `, then ${data.angleDeg} deg` : ''}, by ${data.source || 'unknown source'}`,
    about: (data) => data.joint,
  }),
  kindRule({
    kind: 'finding',
    logKind: 'finding',
    bearer: (data) => data.on,
    prepare: (data, context) => ({
      ...(context.before ? data : stamped(data, context)),
      settled: data.settled && (context.before?.settled ?? { ...data.settled, by: context.caller.name, at: context.at }),
    }),
    describe: (data, { before }) => {
      if (data.settled && !before?.settled) return `finding settled: ${data.what}. ${data.settled.how}`;
      if (!data.settled && before?.settled) return `finding open again: ${data.what}`;
      return `${before ? 'finding changed' : 'found'}: ${data.what}${data.follows ? `. Follows: ${data.follows}` : ''}`;
    },
    about: (data, key) => data.lookedAt || key,
  }),
];
