import { kindRule, stamped } from '../records/kind.ts';

export const logbookKinds = [
  kindRule({
    kind: 'hold',
    logKind: 'hold',
    prepare: (data, context) => ({
      ...(context.before ? data : stamped(data, context)),
      released: data.released && (context.before?.released ?? { by: context.caller.name, at: context.at }),
    }),
    describe: (data) => (data.released ? `released: ${data.waitsFor}` : `held: waits for ${data.waitsFor}${data.due ? `, due ${data.due}` : ''}`),
  }),
  kindRule({
    kind: 'provisional',
    logKind: 'provisional',
    prepare: (data, context) => ({
      ...(context.before ? data : stamped(data, context)),
      ended: data.ended && (context.before?.ended ?? { by: context.caller.name, at: context.at }),
    }),
    describe: (data) => (data.ended ? `no longer provisional: ${data.what}` : `provisional: ${data.what}`),
  }),
];
