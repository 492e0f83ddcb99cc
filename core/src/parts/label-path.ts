/** What the code of a label opens. */

const uuid = '[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}';
const opened = [
  new RegExp(`^/parts/${uuid}$`),
  new RegExp(`^/jobs/${uuid}/connect\\?tab=links$`),
  /^\/store\?q=[^&#\s]+$/,
];

/**
 * The path in this program that a code leads to, whatever address of the shop was printed on it; nothing for a code that is none of
 * its labels. A scanner that types may put a space or an end of line behind it.
 */
export function labelPathOf(code: string): string | undefined {
  const path = code.trim().replace(/^https?:\/\/[^/]+/i, '');
  return opened.some((shape) => shape.test(path)) ? path : undefined;
}
