import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { circleIn, faultsOf, importsOf, rules } from './boundaries.ts';

describe('who imports whom', () => {
  it.each(Object.keys(rules))('%s keeps to its rules and has no circle', (workspace) =>
    expect(faultsOf(workspace)).toEqual([]),
  );
  it('looks at every capability', () => {
    expect(new Set(importsOf('core/src').map((i) => i.from)).size).toBeGreaterThan(12);
    expect(new Set(importsOf('server/src').map((i) => i.from)).size).toBeGreaterThan(12);
    expect(new Set(importsOf('web/src').map((i) => i.from)).size).toBeGreaterThan(12);
  });
});

describe('a checkout that breaks the rules is told so', () => {
  /** A small workspace of the given name, with some files. */
  const faults = (workspace: string, files: Record<string, string>): string[] => {
    const folder = mkdtempSync(join(tmpdir(), 'bay-boundaries-'));
    try {
      for (const [file, text] of Object.entries(files)) {
        mkdirSync(dirname(join(folder, file)), { recursive: true });
        writeFileSync(join(folder, file), text);
      }
      return faultsOf(workspace, importsOf(folder));
    } finally {
      rmSync(folder, { recursive: true });
    }
  };
  it.each([
    ['core/src', { 'rules/a.ts': "import { x } from '../fit/index.ts';" }, /know no capability/],
    [
      'core/src',
      { 'fit/a.ts': "import type { Plan } from '../plan/plan.ts';" },
      /nothing imports it back/,
    ],
    ['server/src', { 'http/a.ts': "import { x } from '../jobs/store.ts';" }, /know no capability/],
    ['web/src', { 'ui/a.tsx': "import { x } from '../jobs/index.ts';" }, /know no capability/],
    [
      'web/src',
      { 'prep/a.tsx': "import { x } from '../fit/FitCard.tsx';" },
      /entered by its index/,
    ],
    [
      'web/src',
      { 'prep/a.tsx': "const x = await import('../fit/FitCard.tsx');" },
      /entered by its index/,
    ],
  ] as const)('%s %o', (workspace, files, said) => {
    const found = faults(workspace, files);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatch(said);
  });
  it('a circle is told with its folders, also one over three', () => {
    const ring = {
      'a/x.ts': "import { y } from '../b/index.ts';",
      'b/index.ts': "export * from '../c/index.ts';",
      'c/index.ts': "import type { A } from '../a/x.ts';",
    };
    expect(faults('server/src', ring)).toEqual(['server/src turns in a circle: a, b, c, a.']);
    expect(circleIn([])).toBeUndefined();
  });
  it('tests may look anywhere', () =>
    expect(
      faults('core/src', { 'rules/a.test.ts': "import { x } from '../fit/index.ts';" }),
    ).toEqual([]));
});
