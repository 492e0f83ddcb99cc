const key = 'bay-clock-offset';
// Private windows of some browsers have no storage; then the offset lasts as long as the page.
const storage = typeof localStorage === 'undefined' ? undefined : localStorage;
let offset = Number(storage?.getItem(key) ?? 0) || 0;

/** The server said what time it is: a device whose clock is wrong goes by the shop's from here on, without a network too. */
export function keepServerTime(iso: string): void {
  const next = Date.parse(iso) - Date.now();
  // What the network took is no error of the clock.
  offset = Math.abs(next) < 3000 ? 0 : next;
  storage?.setItem(key, String(offset));
}

/** Now by the shop's clock, milliseconds. */
export const nowMs = (): number => Date.now() + offset;
export const nowIso = (): string => new Date(nowMs()).toISOString();
