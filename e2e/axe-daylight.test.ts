import { expect, describe, it } from 'vitest';
import { openedViews } from './views.ts';

const { names, open, browser } = openedViews();

describe('axe finds no serious fault', () => {
  it.each(names)('in %s', async (name) => {
    const b = browser();
    await b.size(1280, 800);
    await b.theme('light');
    await open(name);
    // The book stands beside every station; it is looked at once, on the first of them.
    expect(await b.axe(undefined, name === 'scope' ? undefined : '.book')).toEqual([]);
  });
});
