// Slips planted one at a time in the core outside the compiler, in the server and in the studio's stores, chosen by a seed; and whether
// the tests that load the source catch each. The copy in which they are planted is one of its own: the project's files stay as they are.
import { execFileSync, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seededRandom } from '../../demo/vesper-hollow/random'
import { slipsIn, withSlip, type Slip } from './plant'

export interface Planted extends Slip {
  readonly file: string
  readonly line: number
  readonly isCaught: boolean
}

const root = new URL('../..', import.meta.url).pathname
const folders = ['src/core', 'src/server', 'src/studio/store']
const isSource = (file: string) =>
  /\.tsx?$/.test(file) && !/\.test\.|\.d\.ts|test-database|arbitrary|compile\/|hover-model|sample-page/.test(file)

/** The sources in which slips are planted. */
const sources = () =>
  folders.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true })
      .map((each) => `${folder}/${String(each)}`)
      .filter(isSource)
      .sort(),
  )

/** Which of all that could be planted are: a source at a time by chance, no source twice. */
export function chooseSlips(count: number, seed: number): readonly (Slip & { readonly file: string; readonly line: number })[] {
  const random = seededRandom(seed)
  const left = sources()
  const chosen: (Slip & { readonly file: string; readonly line: number })[] = []
  while (chosen.length < count && left.length > 0) {
    const [file = ''] = left.splice(Math.floor(random() * left.length), 1)
    const text = readFileSync(join(root, file), 'utf8')
    const slips = slipsIn(text)
    const slip = slips[Math.floor(random() * slips.length)]
    if (slip) chosen.push({ ...slip, file, line: text.slice(0, slip.from).split('\n').length })
  }
  return chosen
}

/** Plants each, and runs the tests that load its source until one fails. */
export function plantAll(count: number, seed: number, say: (words: string) => void): readonly Planted[] {
  const copy = mkdtempSync(join(tmpdir(), 'gm-slips-'))
  try {
    for (const file of execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: root, encoding: 'utf8' }).trim().split('\n'))
      cpSync(join(root, file), join(copy, file))
    for (const made of ['node_modules', 'build']) symlinkSync(join(root, made), join(copy, made))
    return chooseSlips(count, seed).map((slip) => {
      const path = join(copy, slip.file)
      const before = readFileSync(path, 'utf8')
      writeFileSync(path, withSlip(before, slip))
      const project = slip.file.startsWith('src/server') ? 'database' : 'unit'
      const tests = ['related', slip.file, '--run', '--bail', '1', '--project', project, '--reporter', 'dot', '--passWithNoTests']
      const { status } = spawnSync(process.execPath, [join(root, 'node_modules/vitest/vitest.mjs'), ...tests], {
        cwd: copy,
        timeout: 300_000,
      })
      writeFileSync(path, before)
      const isCaught = status !== 0
      say(`${isCaught ? 'caught' : 'NOT CAUGHT'}: ${slip.file}:${slip.line}, ${slip.text} -> ${slip.slip}`)
      return { ...slip, isCaught }
    })
  } finally {
    rmSync(copy, { recursive: true, force: true })
  }
}
