export type Data = Readonly<Record<string, unknown>> | undefined;

/** Units as they end the names of fields, and as people write them. */
const units: Readonly<Record<string, string>> = { Nm: 'N·m', Mm: 'mm', Deg: 'degrees' };

/** The name of a field as words: "waitsFor" is "waits for", "stagesNm" is "stages in N·m". */
export function fieldWords(key: string): string {
  const unit = Object.keys(units).find((u) => key.endsWith(u) && key.length > u.length);
  const name = key
    .slice(0, key.length - (unit?.length ?? 0))
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replaceAll('-', ' ')
    .toLowerCase();
  return unit ? `${name} in ${units[unit]}` : name;
}

const said = (v: unknown): string =>
  Array.isArray(v)
    ? v.map(said).join(' then ')
    : typeof v === 'object' && v !== null
      ? Object.entries(v)
          .map(([k, x]) => `${fieldWords(k)} ${said(x)}`)
          .join(', ')
      : String(v);

/** What somebody wrote, field by field, as people read it; names and times are left out. */
export const linesOfData = (data: Data): [string, string][] =>
  Object.entries(data ?? {})
    .filter(([k, v]) => v !== undefined && k !== 'by' && k !== 'at')
    .map(([k, v]) => [fieldWords(k), said(v)]);

/** The same in one sentence, for a line of the book. */
export const dataWords = (data: Data): string =>
  linesOfData(data)
    .map(([k, v]) => `${k} ${v}`)
    .join('; ')
    .slice(0, 600);
