import type { OrderLine, OrderTimes, OrderWord } from './types.ts';

/** What of a line is still to come: ordered less what came right. What came wrong is to come again. */
export const toCome = ({ count, came, cancelled }: OrderLine): number => (cancelled ? 0 : Math.max(0, count - came));

/** What of a line lies in the shop: came, right or wrong, and was not sent back. */
export const inShop = ({ came, wrong, sentBack }: OrderLine): number => came + wrong - sentBack;

/** What of a line the shop still owes back: nothing before it came, and nothing for what was sent back. */
export const toGive = ({ owed, given, came, sentBack, cancelled }: OrderLine): number =>
  cancelled && came === 0 ? 0 : Math.max(0, Math.min(owed, came - sentBack) - given);

/** Why so much cannot be given back; nothing where it can. */
export function againstGiving(line: OrderLine, count: number): string | undefined {
  if (!whole(count) || count === 0) return 'Say how many go back.';
  const left = toGive(line);
  if (count > left)
    return left === 0 ? `Nothing is owed back for ${line.title}.` : `Only ${left} of ${line.title} are owed back.`;
  return undefined;
}

/** Where an order stands on a day. `today` is an ISO date. */
export function orderWord({ promisedOn, lines }: OrderTimes, today: string): OrderWord {
  if (lines.every((l) => l.cancelled)) return 'cancelled';
  if (lines.every((l) => toCome(l) === 0)) {
    const owing = lines.filter((l) => toGive(l) > 0);
    if (owing.length === 0) return 'here';
    return owing.some((l) => l.owedBy !== null && l.owedBy < today) ? 'owes-late' : 'owes';
  }
  if (promisedOn !== null && promisedOn < today) return 'late';
  if (lines.some((l) => l.came > 0)) return 'part-here';
  return promisedOn === null ? 'undated' : 'due';
}

/** The order in which a shop looks at its orders: late ones first, then by their day, those without one last. */
export const byUrgency =
  (today: string) =>
  (a: OrderTimes, b: OrderTimes): number => {
    const rank = (o: OrderTimes): number =>
      ['late', 'owes-late', 'part-here', 'due', 'undated', 'owes', 'here', 'cancelled'].indexOf(orderWord(o, today));
    const [ra, rb] = [rank(a), rank(b)];
    // A part that is here changes nothing about when the rest is due.
    const open = (r: number): boolean => r >= 2 && r <= 4;
    if (!(open(ra) && open(rb)) && ra !== rb) return ra - rb;
    return (a.promisedOn ?? '9').localeCompare(b.promisedOn ?? '9') || a.orderedOn.localeCompare(b.orderedOn);
  };

const whole = (n: number): boolean => Number.isInteger(n) && n >= 0;

/** Why so much of a line cannot have come; nothing where it can. */
export function againstReceiving(line: OrderLine, came: number, wrong: number): string | undefined {
  if (!whole(came) || !whole(wrong)) return 'Pieces are counted whole.';
  if (came + wrong === 0) return 'Say how many came.';
  if (line.cancelled) return `${line.title} was cancelled.`;
  if (came > toCome(line)) return `Only ${toCome(line)} of ${line.title} are still to come.`;
  return undefined;
}

/** Why so much of a line cannot go back; nothing where it can. */
export function againstReturning(line: OrderLine, count: number): string | undefined {
  if (!whole(count) || count === 0) return 'Say how many go back.';
  const here = inShop(line);
  if (count > here) return here === 0 ? `Nothing of ${line.title} is here.` : `Only ${here} of ${line.title} are here.`;
  return undefined;
}

/** What the kit line of a job says by its order line. */
export function kitStatusOf(line: OrderLine): 'ordered' | 'here' | 'sent-back' | 'wanted' {
  // What went back right was not wanted; what went back wrong is to come again.
  const kept = line.came - Math.max(0, line.sentBack - line.wrong);
  if (line.cancelled && kept < line.count) return 'wanted';
  if (line.came > 0 && kept <= 0) return 'sent-back';
  return toCome(line) === 0 ? 'here' : 'ordered';
}

/** Days until a day, whole, below nought once it went by. Both ISO dates. */
export const daysUntil = (day: string, today: string): number =>
  Math.round((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${today}T00:00:00Z`)) / 86_400_000);

/**
 * An amount in whole smallest units shared out among those that lines belong to, by how many lines each has: what does not divide goes
 * to the first ones, so that the shares add up to the whole.
 */
export function shareOut(amount: number, ofLines: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const id of ofLines) counts.set(id, (counts.get(id) ?? 0) + 1);
  const shares = new Map([...counts].map(([id, n]) => [id, Math.floor((amount * n) / ofLines.length)]));
  let rest = amount - [...shares.values()].reduce((sum, s) => sum + s, 0);
  for (const [id, share] of shares) {
    if (rest <= 0) break;
    shares.set(id, share + 1);
    rest -= 1;
  }
  return shares;
}
