import { defineConfig } from 'vitest/config';

const node = (name: string, include: string[], extra: Record<string, unknown> = {}) => ({
  extends: true as const,
  test: { name, include, environment: 'node' as const, ...extra },
});

/** How long a test may take on a machine that does much else; what is too slow is found by the benchmarks. */
const patience = { testTimeout: 60_000, hookTimeout: 60_000 };

export default defineConfig({
  test: {
    projects: [
      // What computes and answers keeps nothing between files, so the files of a worker share what they import.
      node('core', ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'demo/**/*.test.ts'], {
        isolate: false,
        ...patience,
      }),
      node('web', ['web/src/**/*.test.{ts,tsx}', 'tools/**/*.test.ts'], { isolate: false, ...patience }),
      node('server', ['server/src/**/*.test.ts'], {
        testTimeout: 120_000,
        hookTimeout: 120_000,
        fileParallelism: false,
        isolate: false,
      }),
      node('e2e', ['e2e/**/*.test.ts'], {
        testTimeout: 240_000,
        hookTimeout: 240_000,
        maxWorkers: 2,
        isolate: false,
      }),
    ],
  },
});
