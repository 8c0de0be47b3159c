import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    setupFiles: ['vitest.setup.ts'],
    // A busy machine takes its time.
    testTimeout: 60_000,
    hookTimeout: 120_000,
    projects: [
      { extends: true, test: { name: 'unit', include: ['src/**/*.test.{ts,tsx}', 'scripts/**/*.test.ts', 'bench/**/*.test.ts'], exclude: ['src/server/**'] } },
      {
        extends: true,
        test: {
          name: 'database',
          include: ['src/server/**/*.test.ts'],
          globalSetup: ['src/server/test-database.ts'],
          fileParallelism: false,
        },
      },
    ],
  },
})
