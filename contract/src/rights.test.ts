import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { endpoints } from './all.ts';
import { roles } from './crew.ts';
import { may, rights } from './rights.ts';
import type { Right } from './rights.ts';

/** The table in words says what the data say. */
const table = readFileSync('docs/rights.md', 'utf8')
  .split('\n')
  .filter((l) => l.startsWith('|'))
  .map((l) =>
    l
      .split('|')
      .slice(1, -1)
      .map((cell) => cell.trim()),
  );

describe('who may do what', () => {
  it('has a column for each role, and one for the customer', () =>
    expect(table[0]).toEqual(['', ...roles, 'customer, by link']));

  it.each(['sign-gates', 'override', 'manage-people', 'share-with-customer'] as Right[])(
    'the row of %s stands in docs/rights.md as it is',
    (right) => {
      const row = table.find(([what]) => what!.includes(`\`${right}\``));
      expect(row, right).toBeDefined();
      roles.forEach((role, i) =>
        expect(row![i + 1], `${right} ${role}`).toBe(may(role, right) ? 'yes' : 'no'),
      );
      expect(row!.at(-1)).toBe('no');
    },
  );
  it('money is seen by those that the table names', () => {
    const row = table.find(([what]) => what!.startsWith('see money'))!;
    roles.forEach((role, i) => expect(row[i + 1]).toBe(may(role, 'see-money') ? 'yes' : 'no'));
  });
  it('nobody at all may nothing', () => {
    for (const right of Object.keys(rights) as Right[]) expect(may(undefined, right)).toBe(false);
  });
});

describe('the contract', () => {
  it('names each endpoint once, by path and method', () => {
    const names = endpoints.map(([, e]) => `${e.method} ${e.path}`);
    expect(new Set(names).size).toBe(names.length);
  });
  it.each(endpoints)('%s asks for the parts of its path', (_name, e) => {
    const inPath = [...e.path.matchAll(/:(\w+)/g)].map((m) => m[1]!);
    const shape = (e.params as unknown as { shape: Record<string, unknown> }).shape;
    expect(Object.keys(shape).sort()).toEqual(inPath.sort());
    expect(e.summary.length).toBeGreaterThan(8);
  });
  it('every change that works in a shop carries the id of its command', () => {
    const without = endpoints
      .filter(([, e]) => ['work', 'manage'].includes(e.access) && e.method !== 'get')
      .filter(([, e]) => {
        const body = e.body as unknown as {
          shape?: Record<string, unknown>;
          def?: { in?: unknown };
        };
        return !('commandId' in (body.shape ?? {}));
      });
    expect(without.map(([name]) => name)).toEqual([]);
  });
});
