export class Obstacle extends Error {}
