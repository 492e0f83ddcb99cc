import type { Browser } from './browser.ts';

export const shell = '[aria-label="The shell"]';

/** Tries to let the shell go: who has it now, and the press that says so. */
export async function shellGoes(b: Browser): Promise<void> {
  await b.press('The shell goes', shell);
  await b.type('Who has it now', 'the yard in town', '[role=dialog]');
  await b.press('It is gone', '[role=dialog]');
}

/** Leaves on the shell, line by line and by name, what nobody took off it. */
export async function leaveTheRestOn(b: Browser): Promise<void> {
  await b.driver.executeScript(`document.querySelector('${shell} summary').click()`);
  await b.type('Why it stays on', 'burnt with the cabin', shell);
  for (;;) {
    const left = await b.driver.executeScript<string | null>(
      `return document.querySelector('${shell} button[aria-label^="Leave on it"]')?.getAttribute('aria-label') ?? null`,
    );
    if (left === null) return;
    await b.press(left, shell);
    await b.wait(
      () =>
        b.driver.executeScript<boolean>(
          `return ![...document.querySelectorAll('${shell} button')].some((e) => e.getAttribute('aria-label') === ${JSON.stringify(left)})`,
        ),
      20_000,
      `"${left}" stays`,
    );
  }
}
