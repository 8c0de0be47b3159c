import { defineConfig } from '@playwright/test'
import { isLong } from './e2e/support/long'
import { chromiumArguments } from './src/cli/chromium'

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/e2e',
  globalSetup: './e2e/support/global-setup.ts',
  fullyParallel: true,
  workers: Number(process.env.GLASS_MOTH_WORKERS ?? 2),
  // A busy machine takes its time: what is waited for is waited for long, what is asserted stays as exact.
  timeout: 300_000,
  expect: { timeout: 20_000 },
  forbidOnly: true,
  grepInvert: isLong ? [] : /@long/,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: { executablePath: '/usr/bin/chromium', args: chromiumArguments },
  },
})
