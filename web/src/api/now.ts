const key = 'bay-clock-offset';
// Private windows of some browsers have no storage; then the offset lasts as long as the page.
const storage = typeof localStorage === 'undefined' ? undefined : localStorage;
let offset = Number(storage?.getItem(key) ?? 0) || 0;

/** An answer says the time to the second. */
const resolutionMs = 1000;
const patienceMs = 2000;

/**
 * An answer came, and said what time it is where it was given (RFC 9110, Date): a device whose clock is wrong goes by the shop's from
 * here on, without a network too. The answer was given some time between asking and hearing; only what lies outside is the clock's.
 */
export function heardTime(date: string | null, askedAt: number): void {
  const given = date === null ? NaN : Date.parse(date);
  if (Number.isNaN(given)) return;
  const heardAt = Date.now();
  const right = given > askedAt - resolutionMs - patienceMs && given < heardAt + patienceMs;
  const next = right ? 0 : given + resolutionMs / 2 - Math.round((askedAt + heardAt) / 2);
  // Where it moved by no more than the answer can tell, what is known stands.
  if (next !== 0 && Math.abs(next - offset) < resolutionMs + patienceMs + (heardAt - askedAt)) return;
  if (next === offset) return;
  offset = next;
  storage?.setItem(key, String(offset));
  watchers.forEach((each) => each());
}

const watchers = new Set<() => void>();
/** How far the device's clock is behind the shop's, milliseconds; negative where it is ahead. */
export const clockError = {
  watch(watcher: () => void): () => void {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
  now: (): number => offset,
};

/** Now by the shop's clock, milliseconds. */
export const nowMs = (): number => Date.now() + offset;
export const nowIso = (): string => new Date(nowMs()).toISOString();
