import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'unit', include: ['tests/unit/**/*.test.ts'], testTimeout: 120_000 } },
      {
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          globalSetup: ['tests/api/server.ts'],
          fileParallelism: false,
          testTimeout: 60_000,
        },
      },
    ],
  },
});
