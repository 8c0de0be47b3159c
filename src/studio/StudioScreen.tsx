'use client'
// The studio: the page as the plate, effects on it, the caption below, the thread at the foot.
import { Box, Grid } from '@chakra-ui/react'
import { nanoid } from 'nanoid'
import { useEffect, useMemo, useState } from 'react'
import type { Site } from '../core/site/site'
import { Boundary, lazily } from './Boundary'
import { Caption } from './caption/Caption'
import { StudioContext, useView, type Studio } from './context'
import { EffectList, listWidths } from './effects/EffectList'
import { firstHere } from './effects/commands'
import { Plate } from './frame/Plate'
import { listenToKeys } from './keys'
import { Panels } from './Panels'
import { SaveNotices } from './SaveNotices'
import { whenIdle } from './store/idle'
import { makeLetters } from './store/letters'
import { makeSearch, searchWorker } from './store/search'
import { makeSiteStore } from './store/site-store'
import { foresee, warmCompiler } from './store/scripts'
import { makeStageLink } from './store/stage-link'
import { makeThreadStore } from './store/thread-store'
import { makeViewStore } from './store/view-store'
import { Thread } from './thread/Thread'
import { TopBar } from './TopBar'

// What is drawn beside the caption and what stands in its place while pointing come once the page plays.
const loadDrawing = () => import('./drawing/DrawingPane').then((loaded) => loaded.DrawingPane)
const loadPointing = () => import('./point/PointingPane').then((loaded) => loaded.PointingPane)
const DrawingPane = lazily(loadDrawing, <Box borderLeft="1px solid" borderColor="hairline" />)
const PointingPane = lazily(loadPointing)

interface StudioScreenProps {
  readonly siteId: string
  readonly pageId: string
  readonly site: Site
  readonly revision: number
  /** How many elements of the page each selector matches, as far as the server knows. */
  readonly found: Readonly<Record<string, number | null>>
}

/** Storage for the server's rendering, where the browser's is not there. */
const noStorage = {
  getItem: () => null,
  setItem: () => undefined,
  removeItem: () => undefined,
  clear: () => undefined,
  key: () => null,
  length: 0,
}

export function StudioScreen({ siteId, pageId, site, revision, found }: StudioScreenProps) {
  const studio = useMemo<Studio | null>(() => {
    if (!site.pages.some(({ id }) => id === pageId)) return null
    if (typeof window !== 'undefined') foresee(siteId, pageId)
    const counts = new Map(Object.entries(found).map(([select, count]) => [select, count === null ? null : { [pageId]: count }]))
    const storage = typeof localStorage === 'undefined' ? noStorage : localStorage
    const store = makeSiteStore({ id: siteId, site, revision, window: nanoid(16), storage })
    return {
      store,
      view: makeViewStore(pageId, firstHere(site, { id: pageId }, counts)?.id ?? null, storage, counts),
      link: makeStageLink(),
      thread: makeThreadStore(),
      search: makeSearch(searchWorker, () => store.history.get().site),
      letters: makeLetters(storage),
    }
    // The server gives a document once; what happens to it afterwards is the store's.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [siteId, pageId])
  useEffect(() => {
    if (!studio) return
    // The page and its controls come first; what other windows did and left comes when there is a moment for it.
    const disconnect = studio.store.connect(whenIdle(1000))
    const stopKeys = listenToKeys(studio)
    void studio.link
      .whenReady(4000)
      .then(() => whenIdle(2000))
      .then(() => {
        warmCompiler()
        return loadPointing()
      })
      // It is asked for again when somebody points.
      .catch(() => undefined)
    return () => {
      stopKeys()
      disconnect()
      studio.search.end()
    }
  }, [studio])
  if (!studio) return null
  return (
    <StudioContext.Provider value={studio}>
      <Regions />
    </StudioContext.Provider>
  )
}

/**
 * The page comes with the server's answer, and the controls once it has been taken up: the caption first, then the rest. What is
 * to be seen of them can be used. So the page loads and plays while they are made, and the server makes no screen that would
 * have to be gone over again.
 */
function Regions() {
  const { listStays } = useView('listStays')
  const [step, setStep] = useState<'page' | 'caption' | 'all'>('page')
  useEffect(() => {
    if (step === 'all') return
    // In a task of its own, so that what was said to the page is on its way.
    const timer = setTimeout(() => setStep(step === 'page' ? 'caption' : 'all'))
    return () => clearTimeout(timer)
  }, [step])
  const isWhole = step === 'all'
  return (
    // Whoever waits for the studio waits for its controls too.
    <Grid
      data-answers={isWhole ? '' : undefined}
      height="100vh"
      minWidth="960px"
      templateRows="40px minmax(0, 1fr) 156px 40px"
      overflow="hidden"
    >
      {isWhole ? (
        <Boundary name="The top bar" isBar>
          <TopBar />
        </Boundary>
      ) : (
        <Box background="sheet" borderBottom="1px solid" borderColor="edge" />
      )}
      <Grid templateColumns={`${listStays ? listWidths.open : listWidths.closed}px minmax(0, 1fr)`} minHeight="0" position="relative">
        {isWhole ? (
          <Boundary name="The list of effects">
            <EffectList />
          </Boundary>
        ) : (
          <Box background="sheet" borderRight="1px solid" borderColor="hairline" />
        )}
        <Boundary name="The page">
          <Plate />
        </Boundary>
        {isWhole && <Panels />}
        {isWhole && <SaveNotices />}
      </Grid>
      {step !== 'page' ? <Foot /> : <Box background="sheet" borderTop="1px solid" borderColor="edge" />}
      {isWhole && (
        <Boundary name="The thread" isBar>
          <Thread />
        </Boundary>
      )}
    </Grid>
  )
}

/** The caption with its drawing; while pointing, the ladder with the recipes. */
function Foot() {
  const { pointing } = useView('pointing')
  return (
    <Box borderTop="1px solid" borderColor="edge" background="sheet" minHeight="0">
      {pointing.stage === 'no' ? (
        <Grid templateColumns="minmax(0, 1fr) 336px" height="100%">
          <Boundary name="The caption">
            <Caption />
          </Boundary>
          <Boundary name="The drawing">
            <DrawingPane />
          </Boundary>
        </Grid>
      ) : (
        <Boundary name="Pointing">
          <PointingPane />
        </Boundary>
      )}
    </Box>
  )
}
