import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

const setupFiles = ['core/src/testing/enrolled.ts'];

export default defineConfig({
  test: {
    // A small machine has two cores, and the browser beside a test keeps most of one busy.
    maxWorkers: 2,
    // In the inner loop what was transformed is kept between runs; the whole run begins from nothing.
    experimental: { fsModuleCache: process.env.FULCRANT_TEST_CACHE === '1' },
    // Files share what one worker has read in: each server test has a house of its own, each browser test a browser; what they import
    // holds nothing. Command lines and trials of doubts may not share.
    projects: [
      { test: { name: 'core', isolate: false, setupFiles, include: ['core/src/**/*.test.ts'] } },
      {
        test: {
          name: 'practice',
          isolate: false,
          setupFiles,
          include: ['packages/practice/src/**/*.test.ts'],
        },
      },
      {
        test: {
          name: 'web',
          isolate: false,
          setupFiles,
          include: ['web/src/**/*.test.ts'],
          testTimeout: 30_000,
        },
      },
      {
        plugins: [react()],
        test: {
          name: 'components',
          environment: 'happy-dom',
          isolate: false,
          setupFiles: [...setupFiles, 'web/src/testing/browser.ts'],
          include: ['web/src/**/*.test.tsx'],
          testTimeout: 120_000,
          hookTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'api',
          include: ['packages/api-client/src/**/*.test.ts'],
          testTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'uncertainty',
          include: ['packages/uncertainty-trials/src/**/*.test.ts'],
          testTimeout: 60_000,
        },
      },
      { test: { name: 'cli', include: ['cli/src/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'server',
          isolate: false,
          setupFiles,
          globalSetup: ['server/src/testing/models.ts'],
          include: ['server/src/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'e2e',
          isolate: false,
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
