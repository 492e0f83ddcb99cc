import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';

/** Every capability has its own style sheet; a name that one side has and the other has not is a slip nobody would see at once. */

const web = join(import.meta.dirname, '../web/src');
const modules = readdirSync(web, { recursive: true, encoding: 'utf8' }).filter((f) =>
  f.endsWith('.module.css'),
);

const namesIn = (css: string): Set<string> =>
  new Set(
    [
      ...css
        .replace(/:global\([^)]*\)/g, '')
        .replace(/\{[^{}]*\}/g, '{}')
        .matchAll(/\.([a-z][\w-]*)/g),
    ].map((m) => m[1]!),
  );
const namesUsed = (module: string): Set<string> => {
  const folder = join(web, dirname(module));
  const wanted = new RegExp(`from '\\.\\.?/${module.split('/').at(-1)!.replaceAll('.', '\\.')}'`);
  // Also in the folders of a capability that has some.
  const code = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.tsx'))
    .map((file) => readFileSync(join(folder, file), 'utf8'))
    .filter((text) => wanted.test(text));
  return new Set(
    code.flatMap((text) => [...text.matchAll(/styles\['([\w-]+)'\]/g)].map((m) => m[1]!)),
  );
};

describe('style sheets of the capabilities', () => {
  it('are there', () => expect(modules.length).toBeGreaterThan(8));
  it.each(modules)('%s holds every name that is used, and no other', (module) => {
    const held = namesIn(readFileSync(join(web, module), 'utf8'));
    expect([...namesUsed(module)].sort()).toEqual([...held].sort());
  });
  it('the check sees both slips', () => {
    expect([...namesIn('.a:global(.b) .c { x: .5 } @media print { .d { } }')]).toEqual([
      'a',
      'c',
      'd',
    ]);
  });
});
