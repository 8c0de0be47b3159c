import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    setupFiles: ['vitest.setup.ts'],
    // What a file loads is loaded once for all files of a worker: no test counts on being alone in its process.
    isolate: false,
    maxWorkers: 2,
    // A busy machine takes its time.
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // Whether products are tried whole, as `npm run test:long` does, or by a choice that covers them.
    provide: { isLong: process.env.GLASS_MOTH_LONG !== undefined },
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['src/**/*.test.{ts,tsx}', 'scripts/**/*.test.ts', 'bench/**/*.test.ts'],
          exclude: ['src/server/**'],
        },
      },
      {
        extends: true,
        test: {
          name: 'database',
          include: ['src/server/**/*.test.ts'],
          globalSetup: ['src/server/test-database.ts'],
          // Each file has a pool of connections of its own, which it ends.
          isolate: true,
          fileParallelism: false,
        },
      },
    ],
  },
})

declare module 'vitest' {
  interface ProvidedContext {
    isLong: boolean
  }
}
