import { defineConfig } from '@playwright/test'

const chromium = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
]

/** What tells frames and times has the machine to itself; all else runs in two workers. */
const alone = /(bench|chromium|engine|exact|lean|tuning)\.spec\.ts$/

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/e2e',
  workers: 1,
  projects: [
    { name: 'beside', testIgnore: alone },
    { name: 'alone', testMatch: alone },
  ],
  timeout: 60_000,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: { executablePath: '/usr/bin/chromium', args: chromium },
  },
})
