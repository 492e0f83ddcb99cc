const idOrTime = /^([0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}|\d{4}-\d\d-\d\dT[\d:.]+Z)$/i;

/**
 * Whether an answer says these digits anywhere: in a text, in a number, in the name of a field. Ids and times are
 * passed over: they are made up anew in each run, and now and then hold any three digits one may look for.
 */
export function says(answer: unknown, digits: string): boolean {
  if (answer === null || answer === undefined) return false;
  if (typeof answer === 'object')
    return Object.entries(answer).some(([name, value]) => name.includes(digits) || says(value, digits));
  // eslint-disable-next-line @typescript-eslint/no-base-to-string -- an object went its way above
  const text = String(answer);
  return !idOrTime.test(text) && text.includes(digits);
}
