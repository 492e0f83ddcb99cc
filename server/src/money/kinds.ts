import { taskDef } from '@bay/core/clock';
import { kitLines } from '@bay/core/kit';
import { isOwn, ownTitle } from '@bay/core/memory';
import { badInput } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const titleOf = (key: string): string | undefined =>
  taskDef(key)?.title ?? kitLines.find((k) => k.id === key)?.title ?? (isOwn(key) ? ownTitle(key) : undefined);

const doneWords = {
  shop: 'done',
  customer: 'done or brought by the customer',
  outside: 'done outside',
  donor: 'off the donor',
} as const;

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
      if ((data.holds?.length ?? 0) > 0 && (data.who ?? 'shop') === 'shop')
        throw badInput({ 'data.holds': 'Steps wait for what the customer, somebody outside or the donor brings.' });
      if (data.take === 'out' && (data.why ?? '').length < 3) throw badInput({ 'data.why': 'Say why it is left off.' });
    },
    // The amount stands with the line, for those who may see money, and not in the book.
    describe: (data, { key }) => {
      const what = data.title ?? titleOf(key) ?? 'a line that the plan makes';
      if (data.done) return `${doneWords[data.who ?? 'customer']}: ${what}`;
      if (data.take === 'out') return `left off the quote: ${what}, because ${data.why}`;
      const who =
        data.who === 'customer'
          ? ', done or brought by the customer'
          : data.who === 'outside'
            ? ', done outside'
            : data.who === 'donor'
              ? ', from the donor'
              : '';
      return `in the quote: ${what}${who}`;
    },
  }),
];
