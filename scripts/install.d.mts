export function installMariaDb(): string
