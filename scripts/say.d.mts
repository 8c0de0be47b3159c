export class Obstacle extends Error {}
export function sentenceOf(error: Error): string | undefined
