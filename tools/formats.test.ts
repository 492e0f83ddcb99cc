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
  });
  it('lists every calculator with inputs and units', async () => {
    const { stdout } = await tool('calc', '--list');
    expect(JSON.parse(stdout)).toContainEqual(
      expect.objectContaining({
        name: 'wire',
        inputs: expect.arrayContaining(['current [A]']) as string[],
      }),
    );
  });
  it('refuses with a sentence and an exit code, never a stack trace', async () => {
    await expect(tool('calc', 'ring-gap', 'bore=wide')).rejects.toMatchObject({
      code: 2,
      stderr: expect.not.stringContaining('at ') as string,
    });
    await expect(tool('plan', '/nowhere.json')).rejects.toMatchObject({
      code: 2,
      stderr: expect.stringContaining('cannot be read') as string,
    });
  });
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
  });
});

describe('the judgement seen from outside', () => {
  const filed = async (name: string, content: unknown) => {
    const folder = mkdtempSync(join(tmpdir(), 'bay-judged-'));
    const file = join(folder, 'asked.json');
    writeFileSync(file, JSON.stringify(content));
    try {
      return JSON.parse((await tool(name, file)).stdout) as Record<string, unknown>;
    } finally {
      rmSync(folder, { recursive: true });
    }
  };
  it('reads a text as a field of a unit does, or says why not', async () => {
    const read = async (...args: string[]) =>
      JSON.parse((await tool('read', ...args)).stdout) as unknown;
    expect(await read('30', 'thou', '--unit', 'mm')).toMatchObject({
      ok: true,
      value: expect.closeTo(0.762, 9) as number,
      unit: 'mm',
    });
    expect(await read('50/50', '--unit', 'mm')).toMatchObject({ ok: false });
    await expect(tool('read', '5', '--unit', 'furlong')).rejects.toMatchObject({ code: 2 });
  });
  it('says what the log bar takes a line for', async () => {
    const { stdout } = await tool('line', 'drained 4.5 l engine oil');
    expect(JSON.parse(stdout)).toMatchObject({
      kind: 'fluid',
      plainNote: false,
      litres: 4.5,
      system: 'engine-oil',
    });
    expect(JSON.parse((await tool('line', 'the sun came out')).stdout)).toMatchObject({
      plainNote: true,
    });
  });
  it('gives every verdict with its sum, and what it would have to know', async () => {
    const judged = await filed('fit', { facts: { 'eng-mass': '200 kg' } });
    expect(JSON.stringify(judged)).toContain('not-measured');
    expect(JSON.stringify(judged)).not.toContain('"word":"clash"');
  });
  it('keeps what needs high voltage proved dead from being free, and names its gate', async () => {
    const plan = (await filed('plan', {
      facts: { 'rec-hv-system': 'yes', 'cho-unit-lift': 'engine-and-gearbox' },
      own: { 'eng-fuelling': 'port-injection' },
    })) as { steps: { id: string; status: string }[]; gates: { gate: string }[] };
    expect(plan.gates.map((g) => g.gate)).toContain('High voltage');
    const free = plan.steps.filter((s) => s.status === 'free').map((s) => s.id);
    expect(free).toContain('rm-identify');
    for (const id of [
      'rm-battery-off',
      'rm-connectors',
      'rm-raise',
      'rm-hv-pack-out',
      'rm-added-parts',
    ])
      expect(plan.steps.some((s) => s.id === id) && !free.includes(id), id).toBe(true);
  });
  it('an unknown field, fact or unlikely value is refused by name', async () => {
    for (const [content, sentence] of [
      [{ facts: { 'eng-wing-span': '3 m' } }, /eng-wing-span/],
      [{ fact: {} }, /fact/],
      [{ gates: { 'gate-no-such': { text: 'looked' } } }, /gate-no-such/],
      [{ facts: { 'eng-mass': '90000 kg' } }, /eng-mass|Engine mass|90/],
    ] as const)
      await expect(filed('plan', content)).rejects.toMatchObject({
        code: 2,
        stderr: expect.stringMatching(sentence) as string,
      });
    expect(
      await filed('plan', { facts: { 'eng-mass': '90000 kg' }, certain: ['eng-mass'] }),
    ).toHaveProperty('fits');
  }, 60_000);
  it('ranks suspects of a case, or stops', async () => {
    const found = await filed('diagnose', {
      facts: { 'eng-fuel': 'petrol', 'eng-fuelling': 'port-injection' },
      symptom: 'cranks and does not fire',
      answers: [{ observation: 'o-prime-sound', outcome: 'silent' }],
    });
    expect((found['suspects'] as unknown[]).length).toBeGreaterThan(3);
    expect(found).toHaveProperty('stop');
  });
});
