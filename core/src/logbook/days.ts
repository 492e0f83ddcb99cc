const weekdays = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'] as const;
const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const;
const pad = (n: number): string => String(n).padStart(2, '0');
const iso = (d: Date): string => `${d.getUTCFullYear()}-${pad(d.getUTCMonth() + 1)}-${pad(d.getUTCDate())}`;

/** A day as people say it ("Thursday", "tomorrow", "in 3 days", "26 Nov", "2026-11-26"), from today (an ISO date). */
export function readDay(text: string, today: string): string | undefined {
  const said = text.trim().toLowerCase().replace(/\.$/, '');
  const now = new Date(`${today}T00:00:00Z`);
  const plus = (days: number): string => iso(new Date(now.getTime() + days * 86_400_000));
  if (said === 'today') return today;
  if (said === 'tomorrow') return plus(1);
  const days = /^in (\d{1,3}) days?$/.exec(said);
  if (days) return plus(Number(days[1]));
  if (/^\d{4}-\d{2}-\d{2}$/.test(said)) return Number.isNaN(Date.parse(said)) ? undefined : said;
  const day = weekdays.findIndex((d) => said.length >= 3 && d.startsWith(said));
  if (day >= 0) return plus((day - now.getUTCDay() + 7) % 7 || 7);
  const dated = /^(\d{1,2})\.? ([a-z]{3})[a-z]*$/.exec(said);
  if (dated) {
    const month = months.indexOf(dated[2] as 'jan');
    if (month < 0) return undefined;
    const year = now.getUTCFullYear() + (month < now.getUTCMonth() ? 1 : 0);
    const date = `${year}-${pad(month + 1)}-${pad(Number(dated[1]))}`;
    // "31 Feb" is no day.
    return iso(new Date(`${date}T00:00:00Z`)) === date ? date : undefined;
  }
  return undefined;
}
