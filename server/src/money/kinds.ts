import { taskDef } from '@bay/core/clock';
import { kitLines } from '@bay/core/kit';
import { isOwn, ownTitle } from '@bay/core/memory';
import { badInput } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const titleOf = (key: string): string | undefined =>
  taskDef(key)?.title ?? kitLines.find((k) => k.id === key)?.title ?? (isOwn(key) ? ownTitle(key) : undefined);

/** Lines that the plan makes besides tasks and kit: groups of which one is done, and learning. */
const computed = /^(?:either|factor)-[a-z-]+$/;

export const moneyKinds = [
  kindRule({
    kind: 'quote-line',
    logKind: 'decision',
    station: 'scope',
    check: (data, { key }) => {
      const own = titleOf(key) === undefined && !computed.test(key);
      if (own && !data.title) throw badInput({ 'data.title': 'Say in a few words what it is.' });
      if ((data.holds?.length ?? 0) > 0 && !['customer', 'outside'].includes(data.who ?? ''))
        throw badInput({ 'data.holds': 'Steps wait for what the customer or somebody outside does.' });
      if (data.take === 'out' && (data.why ?? '').length < 3) throw badInput({ 'data.why': 'Say why it is left off.' });
    },
    // The amount stands with the line, for those who may see money, and not in the book.
    describe: (data, { key }) => {
      const what = data.title ?? titleOf(key) ?? 'a line that the plan makes';
      if (data.done) return `${data.who === 'outside' ? 'done outside' : 'done or brought by the customer'}: ${what}`;
      if (data.take === 'out') return `left off the quote: ${what}, because ${data.why}`;
      const who =
        data.who === 'customer' ? ', done or brought by the customer' : data.who === 'outside' ? ', done outside' : '';
      return `in the quote: ${what}${who}`;
    },
  }),
];
