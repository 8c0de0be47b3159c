// Our own Chakra system: glassine and ink, day and night, and the recipe of our menu.
import { createSystem, defaultBaseConfig, defineConfig, defineSlotRecipe } from '@chakra-ui/react'

/** Colours by role, as CSS custom properties; night follows the system. */
const day = {
  '--gm-ground': '#EDF0EB',
  '--gm-sheet': '#FAFBF9',
  '--gm-ink': '#23262B',
  '--gm-soft': '#555B57',
  '--gm-edge': '#767D74',
  '--gm-hairline': '#C6CCC2',
  '--gm-lichen': '#3F6B4C',
  '--gm-lichen-over': '#33593E',
  '--gm-on-lichen': '#FAFBF9',
  '--gm-madder': '#A8326A',
  '--gm-violet': '#5E5287',
  '--gm-press': '#E1E6DE',
  colorScheme: 'light',
}
const night = {
  '--gm-ground': '#191C1B',
  '--gm-sheet': '#232726',
  '--gm-ink': '#E8EBE6',
  '--gm-soft': '#A9B0A8',
  '--gm-edge': '#7D857E',
  '--gm-hairline': '#3A403D',
  '--gm-lichen': '#74A381',
  '--gm-lichen-over': '#88B594',
  '--gm-on-lichen': '#14181A',
  '--gm-madder': '#D9779F',
  '--gm-violet': '#9C90C8',
  '--gm-press': '#2E3331',
  colorScheme: 'dark',
}

const colour = (name: string) => ({ value: `var(--gm-${name})` })

const focusRing = { outline: '2px solid var(--gm-ink)', outlineOffset: '2px' }

const menu = defineSlotRecipe({
  className: 'gm-menu',
  slots: ['trigger', 'positioner', 'content', 'item', 'separator'],
  base: {
    content: {
      outline: 0,
      background: 'sheet',
      color: 'ink',
      border: '1px solid',
      borderColor: 'edge',
      borderRadius: '4px',
      padding: '4px',
      minWidth: '150px',
      boxShadow: '0 10px 28px -14px #000A',
      zIndex: 20,
    },
    separator: { height: '0', border: '0', borderTop: '1px solid', borderColor: 'hairline', background: 'transparent', my: '4px' },
    item: {
      display: 'flex',
      alignItems: 'center',
      gap: '12px',
      px: '9px',
      py: '5px',
      borderRadius: '3px',
      fontSize: '14px',
      cursor: 'pointer',
      outline: 0,
      _highlighted: { background: 'press' },
      '&[data-current]': { fontWeight: '600' },
    },
  },
})

const config = defineConfig({
  preflight: true,
  cssVarsPrefix: 'gm',
  globalCss: {
    ':root': { ...day, '@media (prefers-color-scheme: dark)': night },
    'html, body': { height: '100%', margin: 0, background: 'var(--gm-ground)', color: 'var(--gm-ink)' },
    body: { fontFamily: "'Commissioner Variable', sans-serif", fontSize: '15px', lineHeight: 1.45, fontVariantNumeric: 'tabular-nums' },
    'button, input': { font: 'inherit' },
    a: { color: 'inherit' },
    '*, *::before, *::after': { boxSizing: 'border-box' },
    'h1, h2, h3, p, ol, ul': { margin: 0, padding: 0 },
    'ol, ul': { listStyle: 'none' },
    ':focus-visible': focusRing,
    // Where the system has few colours, what is pressed or open is told by a line of its own.
    '[aria-pressed=true], [aria-expanded=true], [data-state-on]': {
      '@media (forced-colors: active)': { outline: '2px solid Highlight', outlineOffset: '-2px' },
    },
  },
  theme: {
    tokens: {
      colors: {
        ground: colour('ground'),
        sheet: colour('sheet'),
        ink: colour('ink'),
        soft: colour('soft'),
        edge: colour('edge'),
        hairline: colour('hairline'),
        lichen: colour('lichen'),
        lichenOver: colour('lichen-over'),
        onLichen: colour('on-lichen'),
        madder: colour('madder'),
        violet: colour('violet'),
        press: colour('press'),
      },
      fonts: { mono: { value: "'Fragment Mono', monospace" } },
    },
    slotRecipes: { menu },
  },
})

export const system = createSystem(defaultBaseConfig, config)
