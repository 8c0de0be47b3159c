// npm run slips [-- --seed N]: slips planted one at a time, and whether tests catch them, into bench/SLIPS.md.
import { writeFileSync } from 'node:fs'
import { inCode, plantInScripts } from './scripts'
import { plantAll } from './sources'

const root = new URL('../..', import.meta.url).pathname
const seedAt = process.argv.indexOf('--seed')
const seed = seedAt < 0 ? 20_261_201 : Number(process.argv[seedAt + 1])
const say = (words: string) => console.log(words)
/** How many are planted in sources, and how many of them are to be caught. */
const [planted, wanted] = [60, 54]

const sources = plantAll(planted, seed, say)
const caught = sources.filter(({ isCaught }) => isCaught).length
const scripts = plantInScripts(root, say)
writeFileSync(
  `${root}bench/SLIPS.md`,
  `# Slips

Written by \`npm run slips\`: each is planted alone, and tests are asked whether they catch it.

## In the core outside the compiler, the server and the studio's stores

${sources.length} slips, chosen by the seed ${seed}, at most one a source; ${caught} are caught by the unit and database tests that load the source
(wanted: ${wanted}${caught < wanted ? ', missed' : ''}).

| in | instead of | stood | caught |
|---|---|---|---|
${sources.map(({ file, line, text, slip, isCaught }) => `| ${file}:${line} | ${inCode(text)} | ${inCode(slip)} | ${isCaught ? 'yes' : '**no**'} |`).join('\n')}

## In what scripts are compiled from

${scripts.planted} slips; ${scripts.planted - scripts.missed} are caught by random rigs played against evaluate(), within ${scripts.cases} cases.
\`npm run test:long\` plays 2,000, \`npm test\` as many as have each signal, feel and area twice.

${scripts.table}
`,
)
console.log(`${caught} of ${sources.length} in sources, ${scripts.planted - scripts.missed} of ${scripts.planted} in scripts are caught`)
if (caught < wanted || scripts.missed > 0) process.exitCode = 1
