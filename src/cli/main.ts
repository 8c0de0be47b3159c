// What `glass-moth` runs.
import { runCommandLine } from './command-line'

process.exitCode = runCommandLine(
  process.argv.slice(2),
  (line) => console.log(line),
  (line) => console.error(line),
)
