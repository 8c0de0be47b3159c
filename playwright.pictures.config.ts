import base from './playwright.config'

export default { ...base, projects: undefined, workers: 1, testMatch: '**/*.pictures.ts', reporter: 'list' }
