// What the studio's copy of a page carries for its agent. A module of its own, so that the agent needs no parser.

/** The attribute that carries an element's number, until the agent has read it. */
export const numberAttribute = 'data-gm-at'

/** Media files are asked for by this one, since a placeholder would be loaded. */
export const mediaAttribute = 'data-gm-media'

/** What stands in the studio's copy for a file, until the agent has its bytes. */
export const placeholderOf = (hash: string) => `data:,gm-${hash}`
export const placeholderPattern = /data:,gm-([0-9a-f]{64})/g
