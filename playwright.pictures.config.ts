import base from './playwright.config'

export default { ...base, testMatch: '**/*.pictures.ts', reporter: 'list' }
