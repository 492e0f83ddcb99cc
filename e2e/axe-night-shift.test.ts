import { expect, describe, it } from 'vitest';
import { openedViews } from './views.ts';

const { names, open, browser } = openedViews();

describe('axe finds no serious fault on the night shift', () => {
  // It changes colours and nothing else: what depends on colour is looked at again.
  it.each(names)('in %s', async (name) => {
    const b = browser();
    await b.size(1280, 800);
    await b.theme('dark');
    await open(name);
    const rules = ['color-contrast', 'link-in-text-block'];
    expect(await b.axe(rules, name === 'scope' ? undefined : '.book')).toEqual([]);
  });
});
