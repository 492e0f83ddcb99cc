const day = 86_400_000;

/** Is this ISO date a day from Monday to Friday? */
const worked = (date: Date): boolean => date.getUTCDay() !== 0 && date.getUTCDay() !== 6;

/**
 * The day on which so many minutes of work are done, ISO, where so many hours a day are worked on it from today on, Monday to
 * Friday. Less than a day is done today, or on the first day that is worked. Refuses a day without hours, and work of years.
 */
export function finishDay(minutes: number, hoursADay: number, today: string): string {
  if (!(hoursADay > 0)) throw new RangeError('A day of work has hours.');
  const days = Math.max(1, Math.ceil(minutes / 60 / hoursADay));
  if (!(days <= 2000)) throw new RangeError('That is work of years.');
  let at = new Date(`${today}T00:00:00Z`);
  for (let left = days; ; at = new Date(at.getTime() + day)) {
    if (worked(at)) left -= 1;
    if (left === 0) return at.toISOString().slice(0, 10);
  }
}
