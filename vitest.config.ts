import { defineConfig } from 'vitest/config';

// Every test knows every trade, as every program does that enters by the registry.
const setupFiles = ['core/src/trades/registry.ts'];

export default defineConfig({
  test: {
    // A small machine has two cores, and a browser test waits as often as it works.
    maxWorkers: 2,
    projects: [
      { test: { name: 'core', setupFiles, include: ['core/src/**/*.test.ts'] } },
      { test: { name: 'web', setupFiles, include: ['web/src/**/*.test.ts'], testTimeout: 30_000 } },
      { test: { name: 'cli', include: ['cli/src/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'server',
          setupFiles,
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
          setupFiles,
          globalSetup: ['e2e/src/shared-plant.ts'],
          include: ['e2e/src/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
