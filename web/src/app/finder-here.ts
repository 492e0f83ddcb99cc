/** What can be pressed on the page that is open: the same buttons, by their names. */
export interface Pressable {
  name: string;
  press: () => void;
}

const nameOf = (e: Element): string => (e.getAttribute('aria-label') ?? e.textContent).trim().replace(/\s+/g, ' ');

export function pressableHere(): Pressable[] {
  const names = new Map<string, Pressable>();
  for (const e of document.querySelectorAll<HTMLElement>('#main button, #main a, #main [role=tab]')) {
    const name = nameOf(e);
    // What opens a row says what the row says; it is found by its own name.
    if (e.offsetParent === null || e.matches(':disabled, [aria-expanded]') || name.length < 2 || names.has(name))
      continue;
    names.set(name, { name, press: () => e.click() });
  }
  return [...names.values()];
}
