'use client'
// Home: the sites and their pages, each seen as it is; where sites begin, are named, copied, removed and brought back.
import { Opens } from '../theme/Opens'
import { Box, Flex, Grid, Menu, Portal } from '@chakra-ui/react'
import { Copy, Download, Trash2 } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useRef, useState, type ChangeEvent, type DragEvent, type MouseEvent } from 'react'
import { blankStarter, starters } from '../../core/page/starters'
import { binDays } from '../../core/site/site'
import { giveFiles } from '../frame/give-files'
import { Mark } from '../Mark'
import { readDrop } from '../pages/drop'
import { sendFiles, type Brought } from '../pages/send'
import { SendingLine, useSending } from '../pages/Sending'
import { makeStageLink, type StageLink } from '../store/stage-link'
import { Button, Field } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { visitor } from '../visitor'
import { changeSite, newSite, restoreSite } from './requests'
import { pictureOf, type Pictured } from './picture'
import { playIn } from './wake'

export interface SiteCard {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly effects: number
  readonly pages: readonly { readonly id: string; readonly name: string }[]
}

export interface RemovedSite {
  readonly id: string
  readonly name: string
  readonly removedAt: string
}

/** How wide a page is shown, and what that is of the visitor's window. */
const thumbnail = { width: 574, scale: 574 / visitor.width } as const

/** A site whose document cannot be read. */
export interface UnreadableCard {
  readonly id: string
  readonly name: string
  readonly reason: string
}

interface HomeScreenProps {
  readonly sites: readonly SiteCard[]
  readonly unreadable: readonly UnreadableCard[]
  readonly removed: readonly RemovedSite[]
  /** Sites to begin from. */
  readonly templates: readonly { readonly id: string; readonly name: string }[]
}

export function HomeScreen({ sites, unreadable, removed, templates }: HomeScreenProps) {
  const router = useRouter()
  const [sought, setSought] = useState('')
  const [refusal, setRefusal] = useState<string | null>(null)
  const [isOver, setIsOver] = useState(false)
  const [lit, setLit] = useState('')
  /** What is being done on the server, and whether it was; nothing at the moment where undefined. */
  const underWay = useRef<Promise<boolean>>(undefined)
  const act: Act = async (work) => {
    const done = work().then(
      () => true,
      (error: unknown) => {
        setRefusal(error instanceof Error ? error.message : 'The studio’s server refused this.')
        return false
      },
    )
    setRefusal(null)
    underWay.current = done
    if (await done) router.refresh()
    if (underWay.current === done) underWay.current = undefined
  }
  /** A page is opened once that is done: a name that was just changed is its name there. */
  const openAfter = (event: MouseEvent) => {
    const link = (event.target as Element).closest<HTMLAnchorElement>('a[href^="/studio/"]')
    if (!link || !underWay.current || event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    void underWay.current.then((isDone) => isDone && location.assign(link.href))
  }
  const begin = (how: Parameters<typeof newSite>[0]) => act(async () => location.assign(await newSite(how)))
  const { underWay: sending, send } = useSending()
  const bring = (files: readonly Brought[]) =>
    act(async () => location.assign(await newSite(await send(files.length, (watch) => sendFiles(files, watch)))))
  const words = sought.trim().toLowerCase()
  const found = sites.filter(({ name, pages }) =>
    [name, ...pages.map((page) => page.name)].some((each) => each.toLowerCase().includes(words)),
  )
  const dropped = async (event: DragEvent) => {
    event.preventDefault()
    setIsOver(false)
    const files = await readDrop(event.dataTransfer)
    if (files.length > 0) await bring(files)
  }
  return (
    <Box
      minHeight="100%"
      background={isOver ? 'press' : undefined}
      onClickCapture={openAfter}
      onDragOver={(event) => {
        event.preventDefault()
        setIsOver(true)
      }}
      onDragLeave={(event) => event.currentTarget === event.target && setIsOver(false)}
      onDrop={(event) => void dropped(event)}
    >
      <Box maxWidth="1240px" mx="auto" px="32px" pb="64px">
        <Flex as="header" align="center" gap="12px" py="26px">
          <Mark />
          <Box as="h1" fontSize="22px" fontWeight="600">
            Glass Moth
          </Box>
          <Box color="soft" flex="1">
            Elements of a page that respond to the pointer.
          </Box>
          <Field
            type="search"
            aria-label="Search sites and pages"
            placeholder="Search"
            width="190px"
            value={sought}
            onChange={(event) => setSought(event.target.value)}
          />
          <NewSiteMenu templates={templates} onBegin={(how) => void begin(how)} onFiles={(given) => void bring(given)} />
        </Flex>
        {sending && (
          <Box mb="14px">
            <SendingLine underWay={sending} />
          </Box>
        )}
        {refusal && (
          <Box role="alert" fontWeight="600" mb="14px">
            ⚠ {refusal}
          </Box>
        )}
        {unreadable.map(({ id, name, reason }) => (
          <Box as="section" key={id} aria-label={name} borderTop="1px solid" borderColor="edge" pt="12px" pb="22px" maxWidth="820px">
            <Box as="h2" fontSize="18px" fontWeight="600" mb="4px">
              ⚠ {name}
            </Box>
            <Box mb="8px">This site cannot be read. {reason} Nothing of it was changed or deleted.</Box>
            <Button onClick={() => void act(() => restoreSite(id))}>Bring back its last readable version</Button>
          </Box>
        ))}
        <Grid as="main" templateColumns={`repeat(auto-fill, ${thumbnail.width}px)`} columnGap="28px">
          {sites.length + unreadable.length === 0 && (
            <Box>There are no sites here. Begin one above, or drop a page of yours anywhere on this screen.</Box>
          )}
          {sites.length > 0 && found.length === 0 && <Box>No site and no page is called that.</Box>}
          {found.map((site) => (
            <SiteSection key={site.id} site={site} act={act} isLit={site.id === lit} onCopied={setLit} />
          ))}
        </Grid>
        {removed.length > 0 && <RemovedSites removed={removed} act={act} />}
      </Box>
    </Box>
  )
}

/** Does something on the server, shows what came of it, and says why where it was refused. */
type Act = (work: () => Promise<void>) => Promise<void>

interface SiteSectionProps {
  readonly site: HomeScreenProps['sites'][number]
  readonly act: Act
  /** Whether it was just made: it is scrolled to and lit. */
  readonly isLit: boolean
  /** Hears which site came of copying this one. */
  readonly onCopied: (id: string) => void
}

/** One site: its name, what can be done with it, and its pages. */
function SiteSection({ site, act, isLit, onCopied }: SiteSectionProps) {
  const section = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (isLit) section.current?.scrollIntoView({ block: 'center' })
  }, [isLit])
  return (
    <Box
      ref={section}
      as="section"
      aria-label={site.name}
      borderTop="1px solid"
      borderColor={isLit ? 'madder' : 'edge'}
      boxShadow={isLit ? '0 0 0 8px var(--gm-press)' : undefined}
      background={isLit ? 'press' : undefined}
      pt="12px"
      pb="34px"
      minWidth="0"
    >
      <Flex align="center" gap="6px" mb="12px">
        <SiteName key={site.name} site={site} onName={(name) => void act(() => changeSite(site.id, { name }))} />
        <Box fontSize="14px" color="soft" whiteSpace="nowrap" flex="1">
          {count(site.pages.length, 'page')}, {count(site.effects, 'effect')}
        </Box>
        <Button
          variant="quiet"
          px="4px"
          aria-label={`Export ${site.name}`}
          title="Export: all pages with their effects and files, as a ZIP"
          asChild
        >
          <a href={`/export/${site.id}`} download>
            <Download size={15} aria-hidden="true" />
          </a>
        </Button>
        <Button
          variant="quiet"
          px="4px"
          aria-label={`Copy ${site.name}`}
          title="Copy"
          onClick={() => void act(async () => onCopied((await newSite({ copyOf: site.id })).split('/')[2] ?? ''))}
        >
          <Copy size={15} aria-hidden="true" />
        </Button>
        <Button
          variant="quiet"
          px="4px"
          aria-label={`Remove ${site.name}`}
          title={`Remove; it can be brought back for ${binDays} days`}
          onClick={() => void act(() => changeSite(site.id, { removed: true }))}
        >
          <Trash2 size={15} aria-hidden="true" />
        </Button>
      </Flex>
      <Grid gap="28px" templateColumns="minmax(0, 1fr)" css={cardLooks}>
        {site.pages.map((page) => (
          <PageCard key={page.id} site={site} page={page} />
        ))}
      </Grid>
    </Box>
  )
}

/** Sites that were removed, until they cannot be brought back any more. */
function RemovedSites({ removed, act }: { readonly removed: HomeScreenProps['removed']; readonly act: Act }) {
  return (
    <Box as="section" aria-label="Removed sites" borderTop="1px solid" borderColor="edge" pt="12px" fontSize="14px">
      <Box as="h2" fontSize="15px" fontWeight="600" mb="6px">
        Removed, kept for {binDays} days
      </Box>
      {removed.map(({ id, name, removedAt }) => (
        <Flex key={id} align="center" gap="10px" minHeight="32px">
          <Box truncate maxWidth="420px">
            {name}
          </Box>
          <Box color="soft">{new Date(removedAt).toLocaleDateString()}</Box>
          <Button minHeight="26px" fontSize="13px" onClick={() => void act(() => changeSite(id, { removed: false }))}>
            Bring back
          </Button>
        </Flex>
      ))}
    </Box>
  )
}

const count = (n: number, noun: string) => (n === 0 ? `no ${noun}s` : `${n} ${noun}${n === 1 ? '' : 's'}`)

interface NewSiteMenuProps {
  readonly templates: HomeScreenProps['templates']
  readonly onBegin: (how: Parameters<typeof newSite>[0]) => void
  readonly onFiles: (files: readonly Brought[]) => void
}

/** Where a site begins: a plain starter, a whole site, or files of the designer's own. */
function NewSiteMenu({ templates, onBegin, onFiles }: NewSiteMenuProps) {
  const files = useRef<HTMLInputElement>(null)
  const folder = useRef<HTMLInputElement>(null)
  const take = ({ target }: ChangeEvent<HTMLInputElement>) => {
    if (target.files && target.files.length > 0)
      onFiles([...target.files].map((file) => ({ path: file.webkitRelativePath || file.name, file })))
    target.value = ''
  }
  return (
    <>
      <Menu.Root
        onSelect={({ value }) =>
          value === 'files'
            ? files.current?.click()
            : value === 'folder'
              ? folder.current?.click()
              : onBegin(value.startsWith('template:') ? { template: value.slice('template:'.length) } : { starter: value })
        }
        positioning={{ placement: 'bottom-end', gutter: 4 }}
        lazyMount
        unmountOnExit
      >
        <Menu.Trigger asChild>
          <Button variant="act">
            New site <Opens />
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content>
              <Menu.Item value={blankStarter}>Blank page</Menu.Item>
              <Menu.Item value="files">
                From a page of yours …{' '}
                <Box as="span" color="soft" fontSize="13px">
                  or drop it anywhere here
                </Box>
              </Menu.Item>
              <Menu.Item value="folder">
                From a folder …{' '}
                <Box as="span" color="soft" fontSize="13px">
                  pages with their pictures and styles
                </Box>
              </Menu.Item>
              {templates.map(({ id, name }) => (
                <Menu.Item key={id} value={`template:${id}`}>
                  The demo, {name}{' '}
                  <Box as="span" color="soft" fontSize="13px">
                    a whole site, as it was at first
                  </Box>
                </Menu.Item>
              ))}
              <Menu.Separator />
              {starters.map(({ id, title, need }) => (
                <Menu.Item key={id} value={id}>
                  {title}{' '}
                  <Box as="span" color="soft" fontSize="13px">
                    {need}
                  </Box>
                </Menu.Item>
              ))}
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      <input ref={files} type="file" multiple hidden aria-label="Files of a new site" onChange={take} />
      <input ref={folder} type="file" hidden aria-label="A folder of a new site" {...{ webkitdirectory: '' }} onChange={take} />
    </>
  )
}

/** The name of a site, which can be changed where it stands. */
function SiteName({ site, onName }: { readonly site: SiteCard; readonly onName: (name: string) => void }) {
  return (
    <Box as="h2" fontSize="18px" fontWeight="600" minWidth="0">
      <NamedField
        label={`Name of the site ${site.name}`}
        value={site.name}
        maxLength={120}
        fontSize="18px"
        fontWeight="600"
        px="4px"
        ml="-5px"
        borderColor="transparent"
        background="transparent"
        _hover={{ borderColor: 'hairline' }}
        style={{ width: `${Math.min(30, Math.max(8, site.name.length + 2))}ch` }}
        onTake={onName}
      />
    </Box>
  )
}

/** How pages look, told once for all of them: there may be hundreds. */
const cardLooks = {
  '& [data-page]': { display: 'block', color: 'ink', textDecoration: 'none', borderRadius: '3px' },
  '& [data-page]:focus-visible': { outline: '2px solid var(--gm-ink)', outlineOffset: '4px' },
  '& [data-shown]': {
    position: 'relative',
    height: `${visitor.height * thumbnail.scale}px`,
    overflow: 'hidden',
    outline: '1px solid',
    outlineColor: 'edge',
    background: 'white',
  },
  '& [data-shown] > div': { width: '100%', height: '100%' },
  '& [data-name]': { marginTop: '9px', fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
} as const

interface PageCardProps {
  readonly site: SiteCard
  readonly page: SiteCard['pages'][number]
}

/** A page by its picture; the one under the pointer is awake. */
function PageCard({ site, page }: PageCardProps) {
  const [isAwake, setAwake] = useState(false)
  const link = useMemo(() => makeStageLink(), [])
  const address = `/frame/${site.id}/${page.id}`
  return (
    <a href={`/studio/${site.id}/${page.id}`} data-page>
      <div
        data-shown
        onPointerEnter={() => setAwake(true)}
        onPointerMove={({ currentTarget, clientX, clientY }) => {
          const { left, top } = currentTarget.getBoundingClientRect()
          link.say({ type: 'stand', x: (clientX - left) / thumbnail.scale, y: (clientY - top) / thumbnail.scale, quiet: true })
        }}
        onPointerLeave={() => setAwake(false)}
      >
        <Picture of={{ siteId: site.id, pageId: page.id, revision: site.revision, window: visitor }} address={address} />
        {isAwake && <AwakePage siteId={site.id} page={page} address={address} link={link} />}
      </div>
      <div data-name>{page.name}</div>
    </a>
  )
}

/** The page as it is at rest: a picture, made once it comes into sight; where this browser can make none, the page itself without script. */
function Picture({ of, address }: { readonly of: Pictured; readonly address: string }) {
  const box = useRef<HTMLDivElement>(null)
  const [isNear, setNear] = useState(false)
  const [shown, setShown] = useState<string | null | undefined>(undefined)
  useEffect(() => {
    const sight = new IntersectionObserver((entries) => entries.some(({ isIntersecting }) => isIntersecting) && setNear(true), {
      rootMargin: '300px',
    })
    if (box.current) sight.observe(box.current)
    return () => sight.disconnect()
  }, [])
  const key = `${of.siteId} ${of.pageId} ${of.revision}`
  useEffect(() => {
    if (!isNear) return
    let url: string | undefined
    let isCurrent = true
    void pictureOf(of).then((picture) => {
      if (!isCurrent) return
      url = picture && URL.createObjectURL(picture)
      setShown(url ?? null)
    })
    return () => {
      isCurrent = false
      if (url !== undefined) URL.revokeObjectURL(url)
    }
    // The key stands for all of what is pictured.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isNear, key])
  return (
    <div ref={box} aria-hidden="true">
      {typeof shown === 'string' && (
        // A picture that this browser drew, and not a file of the server.
        <img
          src={shown}
          alt=""
          width={thumbnail.width}
          height={visitor.height * thumbnail.scale}
          style={{ display: 'block' }}
          data-picture
        />
      )}
      {shown === null && (
        <iframe src={`${address}?visit=noscript`} title="" sandbox="" tabIndex={-1} loading="lazy" inert style={frameStyle} />
      )}
    </div>
  )
}

const frameStyle = {
  ...visitor,
  border: 0,
  transformOrigin: '0 0',
  transform: `scale(${thumbnail.scale})`,
  pointerEvents: 'none',
  display: 'block',
} as const

interface AwakePageProps {
  readonly siteId: string
  readonly page: SiteCard['pages'][number]
  readonly address: string
  readonly link: StageLink
}

/** The page alive over its picture: with the files that it asks for, and its effects under the pointer. */
function AwakePage({ siteId, page, address, link }: AwakePageProps) {
  const frame = useRef<HTMLIFrameElement>(null)
  const [isReady, setReady] = useState(false)
  useEffect(() => {
    const element = frame.current
    if (!element) return
    const stop = link.listen((message) => {
      if (message.type === 'ready') setReady(true)
      if (message.type === 'needs') void giveFiles(link, message.hashes)
    })
    const disconnect = link.connect(element)
    link.greet()
    void playIn(link, siteId, page.id).catch(() => undefined)
    return () => {
      stop()
      disconnect()
    }
  }, [link, siteId, page.id])
  return (
    <iframe
      ref={frame}
      src={address}
      title={`The page ${page.name}`}
      sandbox="allow-scripts"
      tabIndex={-1}
      aria-hidden="true"
      inert
      style={{ ...frameStyle, position: 'absolute', inset: 0, visibility: isReady ? 'visible' : 'hidden' }}
    />
  )
}
