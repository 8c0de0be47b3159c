// How large the page is shown.
import { Menu, Portal } from '@chakra-ui/react'
import { useStudio, useView } from './context'
import { zoomTo } from './frame/zooming'
import { keyOf } from './registry'
import { Opens } from './theme/Opens'
import { Button } from './theme/controls'

const steps = [0.5, 1, 2] as const

const percent = (scale: number) => `${Math.round(scale * 100)}%`

export function ZoomMenu() {
  const studio = useStudio()
  const { zoom, scale } = useView('zoom', 'scale')
  const words = percent(scale)
  return (
    <Menu.Root
      onSelect={({ value }) => zoomTo(studio, value === 'fit' ? 'fit' : Number(value))}
      positioning={{ placement: 'bottom-end', gutter: 4 }}
      lazyMount
      unmountOnExit
    >
      <Menu.Trigger asChild>
        <Button
          variant="quiet"
          fontSize="13px"
          fontWeight="400"
          color="soft"
          aria-label={`Zoom: ${words}`}
          title="Zoom (Ctrl and the wheel; hold Space and drag to move the page)"
        >
          {words} <Opens />
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            <Menu.Item value="fit" data-current={zoom.scale === 'fit' ? '' : undefined}>
              As large as fits ({keyOf('zoom')})
            </Menu.Item>
            {steps.map((step) => (
              <Menu.Item key={step} value={String(step)} data-current={zoom.scale === step ? '' : undefined}>
                {percent(step)}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}
