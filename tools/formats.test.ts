import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { describe, expect, it } from 'vitest';
import { documents, written } from './formats.ts';

const run = promisify(execFile);
const tool = (name: string, ...args: string[]) =>
  run('node', ['--import', 'tsx', `tools/${name}.ts`, ...args]);

describe('the formats in docs', () => {
  it.each(documents)('%s is current', (file, make) =>
    expect(readFileSync(file, 'utf8')).toBe(written(make())),
  );
});

describe('./bay calc and ./bay plan', () => {
  it('prints a result with its because and source', async () => {
    const { stdout } = await tool('calc', 'ring-gap', 'bore=4 in');
    expect(JSON.parse(stdout)).toMatchObject({
      calculator: 'ring-gap',
      results: [{ label: 'Least gap', shown: '0.406 mm' }],
      source: expect.stringContaining('common practice') as string,
    });
  }, 20_000);
  it('lists every calculator with inputs and units', async () => {
    const { stdout } = await tool('calc', '--list');
    expect(JSON.parse(stdout)).toContainEqual(
      expect.objectContaining({
        name: 'wire',
        inputs: expect.arrayContaining(['current [A]']) as string[],
      }),
    );
  }, 20_000);
  it('refuses with a sentence and an exit code, never a stack trace', async () => {
    await expect(tool('calc', 'ring-gap', 'bore=wide')).rejects.toMatchObject({
      code: 2,
      stderr: expect.not.stringContaining('at ') as string,
    });
    await expect(tool('plan', '/nowhere.json')).rejects.toMatchObject({
      code: 2,
      stderr: expect.stringContaining('cannot be read') as string,
    });
  }, 30_000);
  it('computes a plan from a file of facts', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'bay-plan-'));
    const file = join(folder, 'facts.json');
    writeFileSync(
      file,
      JSON.stringify({
        facts: { 'eng-fuelling': 'port-injection', 'rec-tank-baffled': 'no' },
        schools: { 'sch-clamps': 'sch-clamps-a' },
      }),
    );
    try {
      const plan = JSON.parse((await tool('plan', file)).stdout) as {
        fits: { id: string; word: string }[];
        pull: { contradictions: unknown[] };
      };
      expect(plan.fits.find((f) => f.id === 'fit-tank')!.word).toBe('clash');
      expect(plan.pull.contradictions).toEqual([]);
    } finally {
      rmSync(folder, { recursive: true });
    }
  }, 20_000);
});
