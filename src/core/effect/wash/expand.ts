// Wash as a rig: the picture's own pseudo-elements, and hover looks that CSS tells by itself. No script is needed for it.
import type { Knob, Part, Rig, Rule, State } from '../../rig/rig'
import { asOneSelector } from '../../rig/resolve'
import { groundOf, hoverOn, rigOf, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { washParameters, type WashSettings } from './settings'

const { knob, token } = washParameters

const eased = (durationMs: number) => timed(durationMs, 'ease')

/** Over the whole picture, under the text. */
const layerCss = { position: 'absolute', inset: '0', 'z-index': '1', 'border-radius': 'inherit' } as const

/** The rig of a wash over the elements that `select` matches; `text` among the roles is what is written on them. */
export function expandWash(settings: WashSettings, select: string, { text }: Filled = {}): Rig {
  const { fill, blend, shadePercent, lies, comeMs, goMs, risePx, text: does } = settings
  const home = lies === 'over' ? groundOf(select) : select
  const goes = [{ from: 'any' as const, feel: eased(goMs), id: 'goes', note: 'how it goes' }]
  const comes = [{ from: 'any' as const, feel: eased(comeMs), id: 'comes', note: 'how it comes' }]
  const hasText = text !== undefined && does !== 'stays'
  const rises = hasText && does === 'comes' && risePx > 0
  const knobs: Knob[] = [knob(settings, 'washPercent')]
  const parts: Part[] = [
    {
      id: 'wash',
      area: 'picture',
      drawn: 'after',
      css: {
        ...layerCss,
        background: fill === 'tint' ? '{tint}' : '{gradient}',
        ...(blend === 'normal' ? {} : { 'mix-blend-mode': blend }),
      },
    },
  ]
  // What lies over the picture lies under what stands beside it.
  const rules: Rule[] = [{ select: home, css: { isolation: 'isolate' } }]
  if (shadePercent > 0) {
    knobs.push(knob(settings, 'shadePercent'))
    parts.push({
      id: 'shade',
      area: 'picture',
      drawn: 'before',
      css: { ...layerCss, background: 'linear-gradient(0deg, rgb(0 0 0 / {shade}), transparent 60%)' },
    })
  }
  if (text !== undefined)
    rules.push({ select: `:where(${asOneSelector(text)})`, css: { position: 'relative' } }, { select: text, css: { 'z-index': '2' } })
  if (rises) knobs.push(knob(settings, 'risePx'))
  const state = (looks: State['looks'], to: State['to'], css: State['css']): State => ({
    area: 'picture',
    looks,
    to,
    css,
    ways: looks.includes('off') ? goes : comes,
  })
  const [hidden, shown] = [
    { opacity: '0', ...(rises ? { translate: '0 {rise}' } : {}) },
    { opacity: '1', ...(rises ? { translate: '0 0' } : {}) },
  ]
  const words = text === undefined ? [] : ([{ within: text }] as const)
  return rigOf({
    areas: [hoverOn('picture', home, { box: 'live' })],
    knobs,
    parts,
    rules,
    states: [
      state(['off'], { part: 'wash' }, { opacity: '0' }),
      state(whileOn, { part: 'wash' }, { opacity: '{strength}' }),
      ...(hasText
        ? words.flatMap((to) => [
            state(['off'], to, does === 'comes' ? hidden : shown),
            state(whileOn, to, does === 'comes' ? shown : hidden),
          ])
        : []),
    ],
    tokens: [token(settings, fill === 'tint' ? 'colour' : 'gradient')],
  })
}
