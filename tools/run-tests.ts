import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';

/** Runs everything that must pass and closes on one line: `Tests: N passed, N failed`. */

const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : undefined;
const reports = '.data/reports';
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

interface Outcome {
  name: string;
  passed: number;
  failed: number;
  skipped: number;
  seconds: number;
  output: string;
}

function run(name: string, command: string, args: readonly string[], report?: string): Promise<Outcome> {
  const started = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NO_COLOR: '1', SE_MANAGER_PATH: '/bin/false' },
    });
    let output = '';
    child.stdout.on('data', (d: Buffer) => (output += d.toString()));
    child.stderr.on('data', (d: Buffer) => (output += d.toString()));
    child.on('close', (code) => {
      const seconds = (Date.now() - started) / 1000;
      let counts = { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1, skipped: 0 };
      if (report) {
        try {
          const json = JSON.parse(readFileSync(report, 'utf8')) as {
            numPassedTests: number;
            numFailedTests: number;
            numPendingTests: number;
            numFailedTestSuites: number;
          };
          // A file that could not even be loaded has no failed test of its own.
          const failed =
            json.numFailedTests > 0 || code === 0 ? json.numFailedTests : Math.max(1, json.numFailedTestSuites);
          counts = { passed: json.numPassedTests, failed, skipped: json.numPendingTests };
        } catch {
          counts = { passed: 0, failed: 1, skipped: 0 };
        }
        // It is read for its counts, once; it names files of this machine, so it does not stay.
        rmSync(report, { force: true });
      }
      resolve({ name, ...counts, seconds, output });
    });
  });
}

const vitest = (name: string, ...projects: string[]): Promise<Outcome> => {
  const report = `${reports}/${name}.json`;
  return run(
    name,
    'node_modules/.bin/vitest',
    [
      'run',
      ...projects.flatMap((p) => ['--project', p]),
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ],
    report,
  );
};

type Stage = readonly [name: string, start: () => Promise<Outcome>];

const stages: readonly Stage[] = [
  ['lint', () => run('lint', 'npm', ['run', '--silent', 'lint'])],
  ['types', () => run('types', 'node', ['node_modules/typescript7/bin/tsc', '-p', '.'])],
  ['unit', () => vitest('unit', 'core', 'web')],
  ['server', () => vitest('server', 'server')],
  ['browser', () => vitest('browser', 'e2e')],
];

if (only !== undefined && !stages.some(([name]) => name === only)) {
  process.stderr.write(`--only takes ${stages.map(([name]) => name).join(', ')}.\n`);
  process.exit(2);
}

const total = { passed: 0, failed: 0, skipped: 0 };
const wanted = new Map(stages.filter(([name]) => only === undefined || only === name));
/** Three lanes side by side: the browsers wait much, so what only computes fills the time between; within a lane one after another. */
const lanes = [['browser'], ['server'], ['lint', 'types', 'unit']];
const outcomes = new Map(
  lanes.flatMap((lane) => {
    let before: Promise<unknown> = Promise.resolve();
    return lane.flatMap((name) => {
      const start = wanted.get(name);
      if (!start) return [];
      const outcome = before.then(start);
      before = outcome;
      return [[name, outcome] as const];
    });
  }),
);
for (const name of wanted.keys()) {
  const outcome = await outcomes.get(name)!;
  total.passed += outcome.passed;
  total.failed += outcome.failed;
  total.skipped += outcome.skipped;
  process.stdout.write(
    `${outcome.failed === 0 ? 'ok  ' : 'FAIL'} ${outcome.name}: ${outcome.passed} passed, ${outcome.failed} failed, ${outcome.seconds.toFixed(0)} s\n`,
  );
  if (outcome.failed > 0)
    process.stdout.write(
      `${outcome.output
        .split('\n')
        .filter((l) => !/^\s*✓/.test(l))
        .slice(-160)
        .join('\n')}\n`,
    );
}
process.stdout.write(
  `Tests: ${total.passed} passed, ${total.failed} failed${total.skipped > 0 ? `, ${total.skipped} skipped` : ''}\n`,
);
process.exit(total.failed === 0 ? 0 : 1);
