import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative, sep } from 'node:path';

/**
 * Who imports whom, told from the import lines of the source. Folders of one workspace are capabilities; between them there is no
 * circle, and some may not know others at all. `tools/boundaries.test.ts` holds the checkout to it.
 */

export interface Import {
  /** File that imports, relative to the root of the workspace. */
  file: string;
  from: string;
  to: string;
  /** What the import names, as it stands there. */
  path: string;
}

const sources = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return sources(path);
    return /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name) && !name.endsWith('.d.ts') ? [path] : [];
  });

const importLines = /(?:from|import)\s*\(?\s*'(\.[^']+)'/g;

/** The first folder of a path inside a workspace; files that lie at its root belong to no capability. */
const folderOf = (path: string): string => (path.includes(sep) ? path.split(sep)[0]! : '');

/** Imports from one folder of a workspace into another. Tests are left out: they may look anywhere. */
export function importsOf(workspace: string): Import[] {
  return sources(workspace).flatMap((path) => {
    const file = relative(workspace, path);
    return [...readFileSync(path, 'utf8').matchAll(importLines)].flatMap((m): Import[] => {
      const target = relative(workspace, join(path, '..', m[1]!));
      const [from, to] = [folderOf(file), folderOf(target)];
      return from === to || from === '' || to === '' || target.startsWith('..')
        ? []
        : [{ file, from, to, path: m[1]! }];
    });
  });
}

/** A ring of folders, each importing the next, or nothing when there is none. */
export function circleIn(imports: readonly Import[]): string[] | undefined {
  const to = new Map<string, Set<string>>();
  for (const i of imports) to.set(i.from, (to.get(i.from) ?? new Set()).add(i.to));
  const done = new Set<string>();
  const walk = (at: string, path: readonly string[]): string[] | undefined => {
    if (path.includes(at)) return [...path.slice(path.indexOf(at)), at];
    if (done.has(at)) return undefined;
    for (const next of to.get(at) ?? []) {
      const ring = walk(next, [...path, at]);
      if (ring) return ring;
    }
    done.add(at);
    return undefined;
  };
  for (const folder of [...to.keys()].sort()) {
    const ring = walk(folder, []);
    if (ring) return ring;
  }
  return undefined;
}

export interface Rule {
  why: string;
  forbids: (i: Import) => boolean;
}

/** What each workspace keeps to. */
export const rules: Readonly<Record<string, readonly Rule[]>> = {
  'core/src': [
    {
      why: 'rules and units are the language: they know no capability',
      forbids: (i) => (i.from === 'rules' && i.to !== 'units') || i.from === 'units',
    },
    { why: 'the assembler imports capabilities, and nothing imports it back', forbids: (i) => i.to === 'plan' },
  ],
  'server/src': [
    {
      why: 'the database, the wire and the live line know no capability',
      forbids: (i) => ['db', 'http', 'live'].includes(i.from) && !['db', 'http', 'live'].includes(i.to),
    },
  ],
  'web/src': [
    {
      why: 'shared parts and the line to the server know no capability',
      forbids: (i) => ['ui', 'api'].includes(i.from) && !['ui', 'api'].includes(i.to),
    },
    {
      why: 'a capability is entered by its index',
      forbids: (i) => i.from !== 'app' && !['ui', 'api'].includes(i.to) && !/\/index\.ts$/.test(i.path),
    },
  ],
};

/** What breaks the rules of a workspace, a sentence each. */
export function faultsOf(workspace: string, imports: readonly Import[] = importsOf(workspace)): string[] {
  const broken = (rules[workspace] ?? []).flatMap((rule) =>
    imports.filter(rule.forbids).map((i) => `${workspace}/${i.file} imports ${i.path}: ${rule.why}.`),
  );
  const ring = circleIn(imports);
  return [...broken, ...(ring ? [`${workspace} turns in a circle: ${ring.join(', ')}.`] : [])];
}
