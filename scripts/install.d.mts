export interface Program {
  title: string
  places: readonly string[]
  debianPackage: string
}

export function installMariaDb(): string
export function installProgram(program: Program): string
