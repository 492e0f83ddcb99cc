import { defineConfig } from 'vitest/config';

const node = (name: string, include: string[], extra: Record<string, unknown> = {}) => ({
  extends: true as const,
  test: { name, include, environment: 'node' as const, ...extra },
});

export default defineConfig({
  test: {
    projects: [
      node('core', [
        'core/src/**/*.test.ts',
        'contract/src/**/*.test.ts',
        'web/src/**/*.test.{ts,tsx}',
        'tools/**/*.test.ts',
        'demo/**/*.test.ts',
      ]),
      node('server', ['server/src/**/*.test.ts'], { testTimeout: 30_000, hookTimeout: 60_000, fileParallelism: false }),
      node('e2e', ['e2e/**/*.test.ts'], { testTimeout: 120_000, hookTimeout: 120_000, maxWorkers: 2 }),
    ],
  },
});
