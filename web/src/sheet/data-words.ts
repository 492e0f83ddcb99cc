export type Data = Readonly<Record<string, unknown>> | undefined;

const said = (v: unknown): string =>
  Array.isArray(v)
    ? v.map(said).join(' then ')
    : typeof v === 'object' && v !== null
      ? Object.entries(v)
          .map(([k, x]) => `${k.replaceAll('-', ' ')} ${said(x)}`)
          .join(', ')
      : String(v);

/** What somebody wrote, field by field, as people read it; names and times are left out. */
export const linesOfData = (data: Data): [string, string][] =>
  Object.entries(data ?? {})
    .filter(([k, v]) => v !== undefined && k !== 'by' && k !== 'at')
    .map(([k, v]) => [k.replaceAll('-', ' '), said(v)]);

/** The same in one sentence, for a line of the book. */
export const dataWords = (data: Data): string =>
  linesOfData(data)
    .map(([k, v]) => `${k} ${v}`)
    .join('; ')
    .slice(0, 600);
