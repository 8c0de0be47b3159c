import base from './playwright.config'

// Pictures follow one another on the same sites.
export default { ...base, testMatch: '**/*.pictures.ts', reporter: 'list', workers: 1, fullyParallel: false }
