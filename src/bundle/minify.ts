// The small form of a script.
import { gzipSync } from 'node:zlib'
import { transformSync } from 'esbuild'

/** The same script in as few characters as esbuild finds. */
export function minifyScript(script: string): string {
  return transformSync(script, { minify: true, target: 'es2022', legalComments: 'none' }).code
}

/** Bytes of a text after gzip at its best level. */
export function gzippedSize(text: string): number {
  return gzipSync(text, { level: 9 }).length
}
