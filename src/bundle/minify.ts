// The small form of a script.
import { transformSync } from 'esbuild'

/** The same script in as few characters as esbuild finds. */
export function minifyScript(script: string): string {
  return transformSync(script, { minify: true, target: 'es2022', legalComments: 'none' }).code
}
