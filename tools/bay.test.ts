import { execFile } from 'node:child_process';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { promisify } from 'node:util';
import { describe, expect, it } from 'vitest';

const run = promisify(execFile);
const bay = (...args: string[]) => run('./bay', args, { timeout: 60_000 });

/** What a refused command must be: one clear sentence, an exit code, no stack trace. */
async function refused(...args: string[]): Promise<string> {
  const error = await bay(...args).then(
    () => undefined,
    (e: { code: number; stderr: string }) => e,
  );
  expect(error?.code).toBe(1);
  expect(error!.stderr).not.toMatch(/^\s+at /m);
  return error!.stderr;
}

describe('./bay', () => {
  it('helps', async () =>
    expect((await bay('help')).stdout).toMatch(/\.\/bay demo.*\n(.*\n)*.*\.\/bay test/));
  it('refuses a command it does not have', async () =>
    expect(await refused('fly')).toMatch(/Unknown command fly/));
  it('refuses an option it does not have', async () =>
    expect(await refused('demo', '--wings')).toMatch(/Unknown option --wings/));
  it('refuses a port that is no number', async () =>
    expect(await refused('demo', '--port', 'door')).toMatch(/A port is a number/));
  it('says when a port is taken, and what to do', async () => {
    const holder = createServer();
    await new Promise<void>((up) => holder.listen(0, '127.0.0.1', up));
    const { port } = holder.address() as AddressInfo;
    try {
      expect(await refused('demo', '--port', String(port))).toContain(
        `Port ${port} is taken. Choose another with --port.`,
      );
    } finally {
      holder.close();
    }
  });
  it('wants a file to back up into, and one to restore from', async () => {
    expect(await refused('backup')).toBe(
      'bay: ./bay backup FILE wants the file to write, or --to FOLDER.\n',
    );
    expect(await refused('restore', '/nowhere/at.all')).toMatch(
      /^bay: \.\/bay restore FILE wants a file/,
    );
  });
  it('knows the clusters of its tests by plain names only', async () => {
    expect(await refused('cluster', 'start', '../elsewhere')).toMatch(/small letters and figures/);
    expect(await refused('cluster', 'fly', 'one')).toMatch(
      /start, restart, drop, follow, crash or promote/,
    );
  });
});
