import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // One for each core of a plain machine: by itself the runner leaves one of two cores idle.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'unit',
          // Pure functions: nothing one file does shows in another, and what they import is read once.
          isolate: false,
          include: ['tests/unit/**/*.test.ts'],
          setupFiles: ['tests/fixed-chance.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'ui',
          isolate: false,
          include: ['tests/ui/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['tests/fixed-chance.ts', 'tests/ui/setup.ts'],
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          globalSetup: ['tests/api/server.ts'],
          setupFiles: ['tests/fixed-chance.ts'],
          fileParallelism: false,
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
