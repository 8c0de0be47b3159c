// Runs programs of node_modules in the project's folder.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { root } from './install.mjs'

/** Runs a program of node_modules; gives whether it succeeded, and what it said: at once where that is to be seen as it goes. */
export function runProgram(program, args, { isLive = false, environment = {} } = {}) {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: process.stdout.isTTY ? '1' : '0', ...environment }
  const child = spawn(process.execPath, [join(root, 'node_modules', program), ...args], {
    cwd: root,
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (isLive ? process.stdout.write(part) : (said += part)))
  return new Promise((resolve) => {
    child.on('error', (error) => resolve({ succeeded: false, said: `${said}${error.message}\n` }))
    child.on('close', (code) => resolve({ succeeded: code === 0, said }))
  })
}

/** What vitest is told for the tests of a project, whose report goes to a file. */
export const vitestArguments = (project, report) => [
  'run',
  '--project',
  project,
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${report}`,
]
