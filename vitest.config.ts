import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // A small machine has two cores, and a browser test waits as often as it works.
    maxWorkers: 2,
    projects: [
      { test: { name: 'core', include: ['core/src/**/*.test.ts'] } },
      { test: { name: 'web', include: ['web/src/**/*.test.ts'], testTimeout: 30_000 } },
      { test: { name: 'cli', include: ['cli/src/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          // Each file starts a MariaDB of its own; one at a time is kinder to a small machine.
          fileParallelism: false,
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'e2e',
          include: ['e2e/src/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
