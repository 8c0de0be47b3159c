// The sites that a new studio begins with: plain starters, and the demo.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { cropDefaults } from '../src/core/effect/crop/settings'
import { cursorDefaults, overShape } from '../src/core/effect/cursor/settings'
import { driftDefaults } from '../src/core/effect/drift/settings'
import { flipDefaults } from '../src/core/effect/flip/settings'
import { foldDefaults } from '../src/core/effect/fold/settings'
import { followDefaults } from '../src/core/effect/follow/settings'
import { glowDefaults } from '../src/core/effect/glow/settings'
import { grainLightDefaults } from '../src/core/effect/grain-light/settings'
import { hoverLookDefaults } from '../src/core/effect/hover-look/settings'
import { lettersDefaults } from '../src/core/effect/letters/settings'
import { magnifierDefaults } from '../src/core/effect/magnifier/settings'
import { noteDefaults } from '../src/core/effect/note/settings'
import { panDefaults } from '../src/core/effect/pan/settings'
import { portholeDefaults } from '../src/core/effect/porthole/settings'
import { pullDefaults } from '../src/core/effect/pull/settings'
import { rowsDefaults } from '../src/core/effect/rows/settings'
import { spotlightDefaults } from '../src/core/effect/spotlight/settings'
import { spreadDefaults } from '../src/core/effect/spread/settings'
import { tiltDefaults } from '../src/core/effect/tilt/settings'
import { trailDefaults } from '../src/core/effect/trail/settings'
import { washDefaults } from '../src/core/effect/wash/settings'
import { wipeDefaults } from '../src/core/effect/wipe/settings'
import { zonesDefaults } from '../src/core/effect/zones/settings'
import type { Effect } from '../src/core/site/site'
import { gardenPage, wall } from './vesper-hollow/garden'
import { specimensPage } from './vesper-hollow/specimens'
import { pageFiles } from './vesper-hollow/house-style'
import { lanterns, tonightPage } from './vesper-hollow/tonight'
import { visitPage } from './vesper-hollow/visit'

/** A site before its pages are kept: each page with its HTML. */
export interface NewSite {
  readonly id: string
  readonly name: string
  /** Those with a file of their own stand in one folder and lead to one another. */
  readonly pages: readonly { readonly id: string; readonly name: string; readonly html: string; readonly path?: string }[]
  readonly effects: readonly Effect[]
}

const root = new URL('..', import.meta.url).pathname

const vesperHollow: readonly Effect[] = [
  {
    id: 'plates',
    kind: 'tilt',
    name: 'Plates give way',
    select: '.plate',
    noun: 'each plate',
    pages: ['specimens'],
    roles: {
      'layer-1': { select: '.plate .moth', noun: 'the moth' },
      'layer-2': { select: '.plate .shadow', noun: 'its shadow' },
      'layer-3': { select: '.plate .label', noun: 'the label' },
    },
    settings: {
      ...tiltDefaults,
      acrossDeg: 10,
      liftPx: 18,
      layers: [
        { id: 'layer-1', heightPx: 42 },
        { id: 'layer-2', heightPx: 4 },
        { id: 'layer-3', heightPx: 16 },
      ],
      sheenPercent: 26,
      sheenColour: '#fff3cf',
      sheenSizePercent: 120,
      shadowPx: 12,
      shadowSoftPx: 30,
      shadowColour: 'rgb(3 10 8 / 0.5)',
    },
  },
  {
    id: 'flowers',
    kind: 'wash',
    name: 'Dusk over the flowers',
    select: '.flower',
    noun: 'each flower',
    pages: ['specimens'],
    roles: { text: { select: '.flower figcaption', noun: 'its caption' } },
    settings: {
      ...washDefaults,
      gradient: 'linear-gradient(0deg, #07150f 0%, rgb(7 21 15 / 0.72) 38%, rgb(7 21 15 / 0.1) 100%)',
      washPercent: 92,
      risePx: 14,
      comeMs: 260,
      goMs: 460,
    },
  },
  {
    id: 'night',
    kind: 'spotlight',
    name: 'Hand lamp over meadow and gate',
    select: '.meadow, .gate',
    noun: 'meadow and gate',
    pages: ['tonight'],
    overrides: { darkness: { values: { '.meadow': '0.9', '.gate': '0.5' } } },
    settings: {
      ...spotlightDefaults,
      clearPx: 110,
      softPx: 150,
      darknessPercent: 90,
      tint: '#040d10',
      follow: { kind: 'spring', frequencyHz: 2.6, dampingRatio: 0.9 },
    },
  },
  {
    id: 'dew',
    kind: 'grain-light',
    name: 'Mist over the meadow',
    select: '.meadow',
    noun: 'the meadow',
    pages: ['tonight'],
    settings: {
      ...grainLightDefaults,
      gradient: 'linear-gradient(180deg, #0f2c38 0%, #1d4a4b 55%, #2b5a49 100%)',
      grainPercent: 26,
      fineness: 0.9,
      radiusPx: 420,
      colour: '#d8ecc0',
      lightPercent: 34,
    },
  },
  {
    id: 'lanterns',
    kind: 'glow',
    name: 'Lanterns in their own light',
    select: '.lantern',
    noun: 'each lantern',
    pages: ['tonight'],
    overrides: {
      light: {
        from: { attribute: 'data-light' },
        values: Object.fromEntries(lanterns.map(({ light }, index) => [`.lantern:nth-child(${index + 1})`, light])),
      },
    },
    settings: { ...glowDefaults, colour: '#f0c36d', sizePx: 340, surfacePercent: 34, edgePx: 2, reachPx: 110 },
  },
  {
    id: 'motto',
    kind: 'fold',
    name: 'Motto round the corner',
    select: '.motto',
    noun: 'the motto',
    pages: ['garden'],
    settings: {
      ...foldDefaults,
      cornerPercent: 44,
      angleDeg: 17,
      shadePercent: 40,
      shade: wall.shade,
      ground: wall.stone,
      travelPercent: 9,
    },
  },
  {
    id: 'hours',
    kind: 'wipe',
    name: 'Day gives way to night',
    select: '.by-day',
    noun: 'the day',
    roles: {
      back: { select: '.by-night', noun: 'the night' },
      rider: { select: '.rider', noun: 'the moth' },
      ground: { select: '.hours', noun: 'the glasshouse' },
    },
    pages: ['garden'],
    settings: {
      ...wipeDefaults,
      waitsPercent: 24,
      touch: 'drag-x',
      path: {
        stops: [
          { at: 0, value: 60, easing: 'ease-in-out' },
          { at: 0.3, value: -70, easing: 'ease-in-out' },
          { at: 0.62, value: 40, easing: 'ease-in-out' },
          { at: 1, value: -60 },
        ],
      },
    },
  },
  {
    id: 'flower-frames',
    kind: 'crop',
    name: 'Flowers come nearer',
    select: '.flower',
    noun: 'each flower',
    roles: { picture: { select: '.flower > svg', noun: 'its picture' } },
    pages: ['specimens'],
    settings: { ...cropDefaults, insetPx: 9, radiusPx: 3, growPercent: 9, comeMs: 520, goMs: 460 },
  },
  {
    id: 'packets',
    kind: 'flip',
    name: 'Packets turn over',
    select: '.packet',
    noun: 'each packet',
    roles: { front: { select: '.packet > .front', noun: 'its front' }, back: { select: '.packet > .sowing', noun: 'the sowing note' } },
    pages: ['specimens'],
    settings: { ...flipDefaults, turns: 'side-x', turnMs: 640, returnMs: 560 },
  },
  {
    id: 'borders',
    kind: 'spread',
    name: 'Borders make room',
    select: '.strip',
    noun: 'each border',
    roles: { content: { select: '.strip > .about', noun: 'what is said of it' } },
    pages: ['garden'],
    settings: {
      ...spreadDefaults,
      growsTimes: 3.4,
      gapPx: 8,
      panels: 5,
      besidePx: 0,
      isHeld: false,
      stackBelowPx: 901,
      comeMs: 520,
      goMs: 460,
    },
  },
  {
    id: 'long-sheets',
    kind: 'pan',
    name: 'Along the long sheets',
    select: '.sheet',
    noun: 'each sheet',
    roles: { picture: { select: '.sheet > svg', noun: 'the pressed plant' } },
    pages: ['garden'],
    settings: { ...panDefaults, goPxS: 170 },
  },
  {
    id: 'lamp-down',
    kind: 'porthole',
    name: 'A lamp under the ground',
    select: '.above',
    noun: 'the bed',
    roles: { back: { select: '.below', noun: 'what lies beneath' }, ground: { select: '.bed', noun: 'the whole bed' } },
    pages: ['garden'],
    settings: { ...portholeDefaults, touch: 'drag-x', radiusPx: 150, softPx: 60, wobblePercent: 4, growPx: 50, goMs: 700 },
  },
  {
    id: 'evening',
    kind: 'rows',
    name: 'Hours turn to what happens',
    select: '.hour',
    noun: 'each hour',
    roles: {
      off: { select: '.hour > .now', noun: 'its name' },
      on: { select: '.hour > .then', noun: 'what happens then' },
      picture: { select: '.hour > img', noun: 'its picture' },
    },
    pages: ['tonight'],
    settings: {
      ...rowsDefaults,
      pictureWidthPx: 280,
      pictureHeightPx: 210,
      radiusPx: 6,
      besideXPx: 36,
      besideYPx: -248,
      comeMs: 300,
      goMs: 300,
    },
  },
  {
    id: 'beds',
    kind: 'zones',
    name: 'The nearest bed is lit',
    select: '.plan .plot',
    noun: 'each bed',
    roles: { linked: { select: '.bed-words article', noun: 'what is said of it' }, ground: { select: '.plan', noun: 'the plan' } },
    pages: ['garden'],
    settings: { ...zonesDefaults, where: 'area', cut: 'nearest', columns: 5, othersPercent: 66, hysteresisPx: 8, comeMs: 320, goMs: 420 },
  },
  {
    id: 'bearer',
    kind: 'follow',
    name: 'The lamp-bearer',
    select: '.plan .lamp',
    noun: 'the lamp',
    roles: { ground: { select: '.plan', noun: 'the plan' } },
    pages: ['garden'],
    settings: { ...followDefaults, away: 'stays', follow: { kind: 'spring', frequencyHz: 1.9, dampingRatio: 0.9 } },
  },
  {
    id: 'terms',
    kind: 'note',
    name: 'What the words mean',
    select: '.term',
    noun: 'each term',
    roles: { note: { select: '.explained > .note', noun: 'its meaning' } },
    pages: ['visit'],
    settings: { ...noteDefaults, widthPx: 300, noScript: 'page' },
  },
  {
    id: 'lamps',
    kind: 'hover-look',
    name: 'The chosen lamp stands out',
    select: '.ticket',
    noun: 'each lamp',
    pages: ['visit'],
    settings: {
      ...hoverLookDefaults,
      risePx: 3,
      pressPercent: 99,
      ground: 'own',
      groundColour: '#1d4034',
      shadowPx: 26,
      others: 'dim',
      othersPercent: 62,
      onCss: 'border-color: #f0c36d',
      comeMs: 260,
      goMs: 420,
    },
  },
  {
    id: 'actions',
    kind: 'pull',
    name: 'Buttons come to the hand',
    select: '.action',
    noun: 'each button',
    roles: { inner: { select: '.action > span', noun: 'its words' } },
    pages: ['visit'],
    settings: { ...pullDefaults, reachPx: 44, sharePercent: 24, mostPx: 18, innerPercent: 9 },
  },
  {
    id: 'pressed-actions',
    kind: 'hover-look',
    name: 'Buttons light up',
    select: '.action',
    noun: 'each button',
    pages: ['visit'],
    settings: {
      ...hoverLookDefaults,
      risePx: 0,
      growPercent: 103,
      pressPercent: 97,
      way: 'spring',
      comeMs: 420,
      overshootPercent: 14,
      onCss: 'background-color: #ffe0a0; color: #1d2a20',
    },
  },
  {
    id: 'sky',
    kind: 'drift',
    name: 'Night over the name',
    select: '.sky',
    noun: 'the sky',
    roles: { 'layer-1': { select: '.sky-near', noun: 'the swarm' }, 'layer-2': { select: '.sky-far', noun: 'the starry sky' } },
    settings: { ...driftDefaults, axes: 'across' },
  },
  {
    id: 'glow-worm',
    kind: 'cursor',
    name: 'A glow-worm for a hand',
    select: 'body',
    noun: 'every page',
    roles: {
      'shape-1': { select: '.sheet', noun: 'each sheet' },
      'shape-2': { select: '.ticket', noun: 'each ticket' },
      'shape-3': { select: '.under-glass', noun: 'the wing' },
    },
    settings: {
      ...cursorDefaults,
      sizePx: 12,
      colour: '#e0a63a',
      pressPercent: 70,
      shapes: [
        { ...overShape('shape-1'), text: 'Unfold', sizePx: 78, colour: '#1d3b2c', ink: '#ffe6b0' },
        { ...overShape('shape-2'), text: 'Step in', sizePx: 78, colour: '#ffe0a0', ink: '#1d2a20' },
        { ...overShape('shape-3'), shape: 'ring', sizePx: 16, colour: '#2c2a22' },
      ],
    },
  },
  {
    id: 'lit-line',
    kind: 'letters',
    name: 'By your lamp',
    select: '.closing',
    noun: 'the closing line',
    pages: ['visit'],
    settings: { ...lettersDefaults, reachPx: 210, weight: 620, risePx: 5, colours: 'other', colour: '#f0c36d', goMs: 900 },
  },
  {
    id: 'hand-lens',
    kind: 'magnifier',
    name: 'The hand lens',
    select: '.under-glass',
    noun: 'the wing',
    pages: ['specimens'],
    settings: { ...magnifierDefaults, zoom: 3, sizePx: 230, rimPx: 7, rimColour: '#c4a160' },
  },
  {
    id: 'pollen',
    kind: 'trail',
    name: 'Pollen',
    select: 'body',
    noun: 'every page',
    settings: {
      ...trailDefaults,
      pieces: 10,
      sizePx: 6,
      endPx: 3,
      lateMs: 34,
      colour: '#e8c25a',
      endColour: '#b9803f',
      endPercent: 70,
      rest: 'fizz',
      restMs: 400,
      risePx: 84,
      spreadPx: 30,
      swellPercent: 130,
      lifeMs: 3200,
    },
  },
]

export function newSites(): readonly NewSite[] {
  return [
    {
      id: 'starters',
      name: 'Starters',
      pages: [{ id: 'cards', name: 'Eight cards', html: readFileSync(join(root, 'demo/starters/cards.html'), 'utf8') }],
      effects: [],
    },
    {
      id: 'vesper-hollow',
      name: 'Vesper Hollow',
      pages: [
        { id: 'tonight', name: 'Tonight', html: tonightPage(), path: pageFiles.Tonight },
        { id: 'specimens', name: 'The collection', html: specimensPage(), path: pageFiles['The collection'] },
        { id: 'garden', name: 'The garden', html: gardenPage(), path: pageFiles['The garden'] },
        { id: 'visit', name: 'Visit', html: visitPage(), path: pageFiles.Visit },
      ],
      effects: vesperHollow,
    },
  ]
}
