// Keeps a fault of one part of the studio to that part: the rest stays, and the part says what is the case and can be tried again.
import { Box, Flex } from '@chakra-ui/react'
import { Component, Suspense, lazy, type ComponentType, type ReactNode } from 'react'
import { Button } from './theme/controls'

interface BoundaryProps {
  /** What the part is called on the screen, with a capital letter. */
  readonly name: string
  /** Whether it is a bar, with room for one line. */
  readonly isBar?: boolean
  /** How the part is left, where it can be. */
  readonly onClose?: (() => void) | undefined
  readonly children: ReactNode
}

interface BoundaryState {
  readonly error: unknown
  readonly hasFailed: boolean
}

/** A part that cannot be loaded while the server is away is told from one that is at fault. */
const isUnloaded = (error: unknown) =>
  error instanceof Error && /ChunkLoadError|Failed to load chunk|dynamically imported module/i.test(`${error.name} ${error.message}`)

export class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state: BoundaryState = { error: undefined, hasFailed: false }

  static getDerivedStateFromError(error: unknown): BoundaryState {
    return { error, hasFailed: true }
  }

  override render(): ReactNode {
    const { name, isBar = false, onClose, children } = this.props
    const { error, hasFailed } = this.state
    if (!hasFailed) return children
    return (
      <Flex
        as="section"
        role="alert"
        aria-label={name}
        {...(isBar
          ? { direction: 'row', align: 'center', gap: '14px', px: '16px', overflow: 'hidden', whiteSpace: 'nowrap' }
          : { direction: 'column', gap: '10px', p: '16px', flex: '1', overflowY: 'auto' })}
        minHeight="0"
        background="sheet"
      >
        <Box as="h2" fontSize={isBar ? '14px' : '15px'} fontWeight="600" flex="none">
          {name} cannot be shown
        </Box>
        <Box fontSize="14px" color="soft" minWidth="0" {...(isBar ? { overflow: 'hidden', textOverflow: 'ellipsis' } : {})}>
          {isUnloaded(error)
            ? 'The studio’s server did not send it. Your edits are kept in this browser; everything else here goes on.'
            : 'The studio met an error in it that it did not expect. Your edits are kept; everything else here goes on.'}
        </Box>
        <Flex gap="8px" flex="none">
          <Button variant="act" onClick={() => this.setState({ error: undefined, hasFailed: false })}>
            Try again
          </Button>
          {onClose && <Button onClick={onClose}>Close</Button>}
        </Flex>
      </Flex>
    )
  }
}

/** A part that is loaded when it is first shown, and again after that has failed; `meanwhile` stands in its place. */
export function lazily(load: () => Promise<ComponentType>, meanwhile: ReactNode = null): ComponentType {
  const anew = (): ComponentType =>
    lazy(() =>
      load().then(
        (loaded) => ({ default: loaded }),
        (error: unknown) => {
          Part = anew()
          throw error
        },
      ),
    )
  let Part = anew()
  return function Lazily() {
    return (
      <Suspense fallback={meanwhile}>
        <Part />
      </Suspense>
    )
  }
}
