// The linter: TypeScript's own rules, React's, and the arrows between our folders, which point down only.
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import importX from 'eslint-plugin-import-x'
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

/** What each folder may import from the others. */
const mayImport = {
  core: [],
  play: ['core'],
  stage: ['core', 'play'],
  studio: ['core', 'play', 'stage/protocol.ts', 'worker'],
  worker: ['core'],
  snippet: [],
  bundle: ['core'],
  server: ['core', 'bundle'],
  cli: ['core'],
  app: ['studio', 'server', 'core', 'bundle'],
}

const folders = Object.keys(mayImport)
const zones = folders.flatMap((folder) =>
  folders
    .filter((other) => other !== folder)
    .flatMap((other) => {
      const allowed = mayImport[folder].filter((each) => each === other || each.startsWith(`${other}/`))
      if (allowed.includes(other)) return []
      return [
        {
          target: `./src/${folder}`,
          from: `./src/${other}`,
          except: allowed.map((each) => `./${each.slice(other.length + 1)}`),
          message: `src/${folder} may import only ${mayImport[folder].join(', ') || 'itself'} (docs/ARCHITECTURE.md).`,
        },
      ]
    }),
)

export default tseslint.config(
  { ignores: ['node_modules/', '.next/', 'build/', '.glass-moth/', 'next-env.d.ts', 'test-results/', 'playwright-report/'] },
  { linterOptions: { reportUnusedDisableDirectives: 'error' } },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strict, tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { 'import-x': importX, 'react-hooks': reactHooks },
    // Without the parser the rule about circles reads no module, and so finds none.
    settings: {
      'import-x/resolver-next': [createTypeScriptImportResolver()],
      'import-x/extensions': ['.ts', '.tsx', '.mts'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx', '.mts'] },
    },
    rules: {
      'import-x/no-restricted-paths': ['error', { zones }],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'no-warning-comments': ['error', { terms: ['todo', 'fixme', 'xxx'] }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    // A test groups many small functions in a long one.
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 140, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/core/**/*.ts'],
    // What scripts are compiled from runs on pages.
    ignores: ['src/core/**/*.test.ts', 'src/core/compile/fragments/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'performance',
          'Date',
          'setTimeout',
          'setInterval',
          'requestAnimationFrame',
          'process',
          'fetch',
          'navigator',
          'localStorage',
        ].map((name) => ({ name, message: 'The core knows no DOM, no Node and no clock.' })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core is a pure function of what it is given.' },
      ],
      'no-restricted-imports': ['error', { patterns: ['node:*', 'react', 'next/*', '@chakra-ui/*'] }],
    },
  },
)
