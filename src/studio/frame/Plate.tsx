// The plate: the page alive in its frame, in the visitor's window, scaled to fit; in several windows side by side if so asked.
import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react'
import { useChecks } from '../checks/look'
import { notify } from '../commands'
import { leavePage } from './holding'
import { usePage, useSelected, useStudio, useView, type Studio } from '../context'
import { makeStageLink, type StageLink } from '../store/stage-link'
import { narrowest, visitor as usualWindow, widest, type WindowSize } from '../visitor'
import { layOutPlate, usualPlate } from './layout'
import { useOpenPanel } from '../open-panel'
import { panelWidth } from '../panel-widths'
import { HiddenNotice } from './HiddenNotice'
import { DragEdge } from '../theme/DragEdge'
import { useZooming } from './zooming'
import { useMeasuringIn, useStagePlay, useStageTalk, useTry } from './stage-talk'

const noPlace = { left: 0, top: 0 }

export function Plate() {
  const studio = useStudio()
  const {
    notice,
    windows: chosen,
    visitor,
    comparison,
    zoom,
    panning,
    drawer,
    panels,
  } = useView('notice', 'windows', 'visitor', 'comparison', 'zoom', 'panning', 'drawer', 'panels')
  const isCompared = comparison !== null && comparison.one !== comparison.other
  const windows = useMemo(() => (isCompared && chosen[0] ? [chosen[0], chosen[0]] : chosen), [isCompared, chosen])
  const room = useRef<HTMLDivElement>(null)
  const [space, setSpace] = useState(usualPlate)
  const selected = useSelected()
  useStageTalk()
  useChecks()
  useLeaving(studio)
  useZooming(studio, room)

  useEffect(() => {
    const element = room.current
    if (!element) return
    const fit = new ResizeObserver(([entry]) => entry && setSpace({ width: entry.contentRect.width, height: entry.contentRect.height }))
    fit.observe(element)
    return () => fit.disconnect()
  }, [])

  const nameOf = (id: string) => selected?.effect.tries?.find((each) => each.id === id)?.name ?? 'as it is now'
  const { scale, places, beside } = layOutPlate({ space, windows, zoom, panel: isCompared && drawer ? panelWidth(drawer, 0, panels) : 0 })
  useEffect(() => studio.view.update({ beside, scale }), [studio, beside, scale])
  useEffect(() => void (studio.view.hand.plate = { space, windows }), [studio, space, windows])
  const [first = usualWindow] = windows
  return (
    <Box
      as="main"
      aria-label="The page"
      ref={room}
      data-plate
      position="relative"
      minWidth="0"
      minHeight="0"
      overflow="clip"
      background="ground"
    >
      {visitor === 'noscript' ? (
        <Framed size={first} scale={scale} {...(places[0] ?? noPlace)}>
          <ScriptlessPage size={first} scale={scale} />
        </Framed>
      ) : (
        windows.map((size, index) => (
          <Framed
            key={index}
            title={isCompared ? nameOf(index === 0 ? comparison.one : comparison.other) : undefined}
            size={size}
            scale={scale}
            {...(places[index] ?? noPlace)}
            dragged={windows.length === 1 ? (width) => studio.view.update({ windows: [{ ...size, width }] }) : undefined}
          >
            {index === 0 ? (
              <LivePage link={studio.link} size={size} scale={scale} />
            ) : (
              <FollowingPage size={size} scale={scale} tried={isCompared ? comparison.other : undefined} />
            )}
          </Framed>
        ))
      )}
      {panning && <Moving />}
      {visitor !== 'noscript' && <HiddenNotice />}
      {notice && <Notice words={notice} />}
    </Box>
  )
}

/** A sentence of what happened, at the foot of the page, until it was seen. */
function Notice({ words }: { readonly words: string }) {
  const { width } = useOpenPanel()
  return (
    <Flex position="absolute" left="0" right={`${width}px`} bottom="14px" zIndex="3" justify="center" pointerEvents="none">
      <Box
        role="status"
        maxWidth="84%"
        px="12px"
        py="6px"
        fontSize="13.5px"
        background="sheet"
        border="1px solid"
        borderColor="edge"
        borderRadius="4px"
        boxShadow="0 8px 22px -14px #000"
      >
        {words}
      </Box>
    </Flex>
  )
}

/** Lies over the plate while the page is moved on it. */
function Moving() {
  const { view } = useStudio()
  const last = useRef<{ readonly x: number; readonly y: number } | null>(null)
  return (
    <Box
      position="absolute"
      inset="0"
      zIndex="3"
      cursor="grab"
      touchAction="none"
      _active={{ cursor: 'grabbing' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        last.current = { x: event.clientX, y: event.clientY }
      }}
      onPointerMove={({ clientX: x, clientY: y }) => {
        if (!last.current) return
        const { zoom } = view.get()
        view.update({ zoom: { ...zoom, x: zoom.x + x - last.current.x, y: zoom.y + y - last.current.y } })
        last.current = { x, y }
      }}
      onPointerUp={() => (last.current = null)}
    />
  )
}

/** Tells the page when the pointer leaves it: a sandboxed page is not told by the browser. */
function useLeaving(studio: Studio): void {
  useEffect(() => {
    const gone = () => leavePage(studio)
    const overControls = () => {
      if (!studio.view.hand.isOnPage || studio.view.get().pointing.stage === 'looking') return
      studio.view.hand.isOnPage = false
      studio.link.say({ type: 'leave', to: 'controls' })
    }
    document.documentElement.addEventListener('mouseleave', gone)
    document.addEventListener('pointermove', overControls, { passive: true })
    return () => {
      document.documentElement.removeEventListener('mouseleave', gone)
      document.removeEventListener('pointermove', overControls)
    }
  }, [studio])
}

interface FramedProps {
  readonly size: WindowSize
  readonly scale: number
  readonly left: number
  readonly top: number
  /** What is shown in it, where there are several. */
  readonly title?: string | undefined
  /** Hears how wide the window is dragged, px. */
  readonly dragged?: ((width: number) => void) | undefined
  readonly children: React.ReactNode
}

/** A window with its edge, by which it is dragged wider and narrower. */
function Framed({ size: { width, height }, scale, left, top, title, dragged, children }: FramedProps) {
  return (
    <Box
      position="absolute"
      left={`${left}px`}
      top={`${top}px`}
      width={`${width * scale}px`}
      height={`${height * scale}px`}
      outline="1px solid"
      outlineColor="edge"
      background="white"
    >
      {title !== undefined && (
        <Box position="absolute" bottom="100%" left="0" pb="5px" fontSize="14px" fontWeight="600" truncate maxWidth="100%">
          {title}
        </Box>
      )}
      <Box width="100%" height="100%" overflow="clip">
        {children}
      </Box>
      {dragged && (
        // The window stands in the middle, so its edge goes half as far as it grows.
        <DragEdge
          label="Width of the visitor’s window"
          title="Drag to make the visitor’s window wider or narrower"
          value={width}
          least={narrowest}
          most={widest}
          told={`${width} px`}
          perPx={2 / scale}
          coarse={10}
          onValue={dragged}
          right="-9px"
          top="50%"
          width="9px"
          height="46px"
          transform="translateY(-50%)"
          borderRadius="3px"
          background="sheet"
          border="1px solid"
          borderColor="edge"
          _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '1px' }}
        />
      )}
    </Box>
  )
}

interface PageFrameProps {
  readonly size: WindowSize
  readonly scale: number
}

const frameStyle = ({ size, scale }: PageFrameProps) =>
  ({ ...size, border: 0, transformOrigin: '0 0', transform: `scale(${scale})`, display: 'block' }) as const

/**
 * Connects a frame to its link, and shows the page in it, afresh whenever its source has been changed and saved.
 * `firstSource` is the address that the frame came with from the server, so that the page loads while the studio does.
 */
function useFrame(frame: RefObject<HTMLIFrameElement | null>, link: StageLink, firstSource?: string): void {
  const studio = useStudio()
  const page = usePage()
  const version = [page.id, page.source, page.bundle, ...(page.shown ?? []), JSON.stringify(page.shownBy ?? [])].join(' ')
  const shown = useRef(firstSource === undefined ? '' : version)
  // Before the screen is painted: the page waits for this, and painting can take longer than all the rest.
  useLayoutEffect(() => {
    const element = frame.current
    if (!element) return
    const disconnect = link.connect(element)
    let isCurrent = true
    if (shown.current === version) {
      // It came with the screen, and may have been ready before anybody listened.
      queueMicrotask(link.greet)
      return disconnect
    }
    shown.current = version
    const show = async () => {
      // The server shows what it has, so the change has to be there first.
      const isSaved = studio.store.saver.saving.get().state === 'saved' || (await studio.store.saver.settle())
      if (!isCurrent) return
      if (!isSaved) notify(studio, 'This page is shown as it was saved last; your change comes when it is saved.')
      element.src = `/frame/${studio.store.id}/${page.id}`
    }
    void show()
    return () => {
      isCurrent = false
      disconnect()
    }
    // The version stands for all of the page that its frame depends on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [studio, link, frame, version])
}

/** Tells the page at which scale it is shown. */
function useScale(link: StageLink, scale: number): void {
  useEffect(() => link.say({ type: 'scaled', scale: Math.max(0.01, scale) }), [link, scale])
}

function LivePage({ link, ...place }: PageFrameProps & { readonly link: StageLink }) {
  const { store } = useStudio()
  const page = usePage()
  const frame = useRef<HTMLIFrameElement>(null)
  const [first] = useState(`/frame/${store.id}/${page.id}`)
  useFrame(frame, link, first)
  useScale(link, place.scale)
  return <iframe ref={frame} src={first} title={`The page ${page.name}`} sandbox="allow-scripts" style={frameStyle(place)} />
}

/** The page in another window, under the pointer of the first. */
function FollowingPage({ tried, ...place }: PageFrameProps & { readonly tried?: string | undefined }) {
  const studio = useStudio()
  const link = useMemo(() => makeStageLink(), [])
  const page = usePage()
  const { selected, comparison } = useView('selected', 'comparison')
  const frame = useRef<HTMLIFrameElement>(null)
  useFrame(frame, link)
  useScale(link, place.scale)
  useStagePlay(link, useTry(tried))
  useMeasuringIn(link)
  const select = studio.store.history.get().site.effects.find(({ id }) => id === selected)?.select
  const run = comparison?.run
  useEffect(() => {
    if (!run) return
    let isCurrent = true
    // Both pages are to be seen before the trace is played on them.
    void link.whenReady(8000).then(() => isCurrent && studio.link.say({ type: 'run', samples: [...run] }))
    return () => {
      isCurrent = false
    }
  }, [studio, link, run])
  useEffect(() => {
    if (select === undefined) return
    link.say({ type: 'show', effects: [{ select, selected: true }] })
    return studio.link.listen((message) => {
      if (message.type !== 'samples') return
      const last = message.samples.at(-1)
      if (last?.place && last.index !== undefined) link.say({ type: 'follow', select, index: last.index, place: last.place })
      else link.say({ type: 'leave', to: 'away' })
    })
  }, [studio, link, select])
  return (
    <iframe
      ref={frame}
      title={`The page ${page.name}, ${place.size.width} px wide`}
      sandbox="allow-scripts"
      tabIndex={-1}
      style={{ ...frameStyle(place), pointerEvents: 'none' }}
    />
  )
}

/** The page as a visitor without script has it. */
function ScriptlessPage(place: PageFrameProps) {
  const { store } = useStudio()
  const page = usePage()
  return (
    <iframe
      title={`The page ${page.name} without script`}
      sandbox=""
      src={`/frame/${store.id}/${page.id}?visit=noscript&of=${page.source.slice(0, 8)}`}
      style={frameStyle(place)}
    />
  )
}
