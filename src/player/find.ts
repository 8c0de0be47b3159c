// Finds elements in the order of the page.
import type { Styled } from './measure'

/** Everything under `root` that the selector matches. Throws a SyntaxError for a selector that cannot be read. */
export const findAll = (root: ParentNode, select: string): readonly Styled[] => [...root.querySelectorAll<Styled>(select)]
