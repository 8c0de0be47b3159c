'use client'
// The studio: the page as the plate, figures on it, the caption below, the thread at the foot.
import { Box, Grid } from '@chakra-ui/react'
import { nanoid } from 'nanoid'
import { useEffect, useMemo } from 'react'
import type { Site } from '../core/site/site'
import { Caption } from './caption/Caption'
import { Drawers } from './Drawers'
import { StudioContext, useView, type Studio } from './context'
import { DrawingPane } from './drawing/DrawingPane'
import { FigureIndex } from './FigureIndex'
import { Plate } from './frame/Plate'
import { listenToKeys } from './keys'
import { PointingPane } from './point/PointingPane'
import { SavedElsewhere } from './SavedElsewhere'
import { makeSearch, searchWorker } from './store/search'
import { makeSiteStore, takeUpLeftOvers } from './store/site-store'
import { makeStageLink } from './store/stage-link'
import { makeThreadStore } from './store/thread-store'
import { makeViewStore } from './store/view-store'
import { Thread } from './thread/Thread'
import { TopBar } from './TopBar'

interface StudioScreenProps {
  readonly siteId: string
  readonly pageId: string
  readonly site: Site
  readonly revision: number
}

/** Storage for the server's rendering, where the browser's is not there. */
const noStorage = { getItem: () => null, setItem: () => undefined, removeItem: () => undefined, clear: () => undefined, key: () => null, length: 0 }

export function StudioScreen({ siteId, pageId, site, revision }: StudioScreenProps) {
  const studio = useMemo<Studio | null>(() => {
    if (!site.pages.some(({ id }) => id === pageId)) return null
    return {
      store: makeSiteStore(siteId, site, revision, typeof localStorage === 'undefined' ? noStorage : localStorage, nanoid(8)),
      view: makeViewStore(pageId, site.effects[0]?.id ?? null),
      link: makeStageLink(),
      thread: makeThreadStore(),
      search: makeSearch(searchWorker),
    }
    // The server gives a document once; what happens to it afterwards is the store's.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [siteId, pageId])
  useEffect(() => {
    if (!studio) return
    takeUpLeftOvers(studio.store)
    const stopKeys = listenToKeys(studio)
    return () => {
      stopKeys()
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

function Regions() {
  const { rowsOpen, pointing } = useView()
  const foot = pointing.stage === 'choosing' ? 256 : rowsOpen && pointing.stage === 'no' ? 290 : 156
  return (
    <Grid height="100vh" minWidth="960px" templateRows={`40px minmax(0, 1fr) ${foot}px 40px`} overflow="hidden">
      <TopBar />
      <Grid templateColumns="44px minmax(0, 1fr) auto" minHeight="0" position="relative">
        <FigureIndex />
        <Plate />
        <Drawers />
        <SavedElsewhere />
      </Grid>
      <Foot />
      <Thread />
    </Grid>
  )
}

/** The caption with its drawing; while pointing, the ladder with the recipes. */
function Foot() {
  const { pointing } = useView()
  return (
    <Box borderTop="1px solid" borderColor="edge" background="sheet" minHeight="0">
      {pointing.stage === 'no' ? (
        <Grid templateColumns="minmax(0, 1fr) 336px" height="100%">
          <Caption />
          <DrawingPane />
        </Grid>
      ) : (
        <PointingPane />
      )}
    </Box>
  )
}
