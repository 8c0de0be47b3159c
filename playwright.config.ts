import { defineConfig } from '@playwright/test'

const chromium = ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run', '--disable-quic']

/** What is measured in frames, or by the hand in real time, has the machine for itself: `npm test` runs these after the others. */
const alone = /(bench|results|studio|thread|torment|tries|trouble|tuning)\.spec\.ts/

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/e2e',
  workers: 2,
  timeout: 60_000,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: `test-results/${process.env.E2E_RESULTS ?? 'e2e.json'}` }]],
  projects: [
    { name: 'beside', testIgnore: alone },
    { name: 'alone', testMatch: alone, workers: 1 },
  ],
  use: {
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: { executablePath: '/usr/bin/chromium', args: chromium },
  },
})
