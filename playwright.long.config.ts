// The browser tests of `npm run test:long`, by its parts.
import base from './playwright.config'

const byFiles = [
  { name: 'pages', testMatch: ['pages-not-ours.spec.ts', 'pages-of-others.spec.ts'] },
  {
    name: 'random',
    testMatch: [
      'fuzz.spec.ts',
      'chromium.spec.ts',
      'hover-machine.spec.ts',
      'kinds.spec.ts',
      'lean.spec.ts',
      'tries.spec.ts',
      'demo.spec.ts',
    ],
  },
  { name: 'ways', testMatch: ['ways.spec.ts'] },
  { name: 'studio', testMatch: ['access.spec.ts', 'saving.spec.ts', 'smuggle.spec.ts', 'torment.spec.ts'] },
  { name: 'walks', testMatch: ['results.spec.ts', 'cookbook.spec.ts'] },
  { name: 'costs', testMatch: ['bench.spec.ts'] },
]

export default {
  ...base,
  testIgnore: [],
  // What `npm test` leaves out of the other files.
  projects: [...byFiles, { name: 'depth', grep: /@long/, testIgnore: byFiles.flatMap(({ testMatch }) => testMatch) }],
}
