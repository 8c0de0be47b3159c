import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { tiltDefaults } from '../core/effect/tilt/settings'
import { runCommandLine } from './command-line'

const folder = () => mkdtempSync(join(tmpdir(), 'simulate-'))
let here = ''
beforeEach(() => {
  here = folder()
  writeFileSync(path('site.json'), JSON.stringify(site))
  writeFileSync(path('trace.csv'), 't,x,y,buttons\n0,400,300,0\n100,500,250,0\n')
  writeFileSync(
    path('boxes.json'),
    JSON.stringify({
      window: { width: 1280, height: 720 },
      elements: {
        '.card': [
          { x: 300, y: 200, width: 200, height: 100 },
          { x: 600, y: 200, width: 200, height: 100 },
        ],
      },
    }),
  )
})
afterEach(() => rmSync(here, { recursive: true }))

const path = (name: string) => join(here, name)
const effect = {
  id: 'a',
  kind: 'tilt',
  name: 'Lean',
  select: '.card',
  noun: 'each card',
  settings: { ...tiltDefaults, follow: { kind: 'spring', frequencyHz: 2, dampingRatio: 1 } },
}
const site = { format: 'glass-moth/2', name: 'A site', pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }], effects: [effect] }

function run(...words: readonly string[]) {
  const said: string[] = []
  const complained: string[] = []
  const code = runCommandLine(
    words,
    (line) => said.push(line),
    (line) => complained.push(line),
  )
  return { code, said, complained }
}

const given = () => [
  'simulate',
  path('site.json'),
  '--trace',
  path('trace.csv'),
  '--boxes',
  path('boxes.json'),
  '--out',
  path('values.csv'),
]

/** The table that was written: names, and lines of numbers. */
function table() {
  const [names = '', ...lines] = readFileSync(path('values.csv'), 'utf8').trim().split('\n')
  return { names: names.split(','), lines: lines.map((line) => line.split(',').map(Number)) }
}

describe('glass-moth simulate', () => {
  it('writes a column for each value and a line for each moment', () => {
    expect(run(...given(), '--at', '0,100,250')).toEqual({
      code: 0,
      said: [`3 moments of 8 values in ${path('values.csv')}.`],
      complained: [],
    })
    const { names, lines } = table()
    expect(names).toEqual([
      't',
      'card-tilt.x[0]',
      'card-tilt.y[0]',
      'card-tilt.rotateX[0]',
      'card-tilt.rotateY[0]',
      'card-tilt.x[1]',
      'card-tilt.y[1]',
      'card-tilt.rotateX[1]',
      'card-tilt.rotateY[1]',
    ])
    // The pointer jumped from the middle of the lower edge to the right edge: both follow by a critically damped spring.
    const w = 4 * Math.PI
    const way = (ms: number) => 1 - Math.exp(-w * (ms / 1000)) * (1 + w * (ms / 1000))
    const lowered = way(100)
    const [, , atLast] = lines
    expect(lines.map(([t]) => t)).toEqual([0, 100, 250])
    expect(lines[1]?.[2]).toBeCloseTo(lowered, 8)
    expect(atLast?.[1]).toBeCloseTo(way(150), 8)
    expect(atLast?.[4]).toBeCloseTo(9 * way(150), 7)
    expect(atLast?.slice(5)).toEqual([0, 0, 0, 0])
  })

  it('shows frames from the first sample until all has settled, 60 a second unless told otherwise', () => {
    run(...given())
    expect(table().lines.length).toBe(Math.floor(2.1 * 60) + 1)
    run(...given(), '--fps', '24')
    expect(table().lines.length).toBe(Math.floor(2.1 * 24) + 1)
    expect(table().lines.at(-1)?.[1]).toBe(1)
  })

  it('plays a rig that was written by hand', () => {
    const rig = JSON.parse(readFileSync(new URL('../../bench/rigs/trail.json', import.meta.url), 'utf8')) as unknown
    writeFileSync(path('site.json'), JSON.stringify({ ...site, effects: [{ ...effect, kind: 'free', select: 'body', settings: rig }] }))
    expect(run(...given(), '--at', '3000').code).toBe(0)
    const { names, lines } = table()
    expect(names).toContain('free.x.9[0]')
    expect(lines[0]?.[names.indexOf('free.x.9[0]')]).toBe(500)
  })

  it('names the place where a rig is wrong', () => {
    writeFileSync(
      path('site.json'),
      JSON.stringify({
        ...site,
        effects: [
          {
            ...effect,
            kind: 'free',
            settings: {
              areas: [{ id: 'a', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
              channels: [
                {
                  id: 'x',
                  area: 'a',
                  frame: 'area',
                  signal: { of: 'mood' },
                  away: { kind: 'hold', pose: 0 },
                  feel: { kind: 'direct' },
                  group: 'turn',
                },
              ],
              knobs: [],
              outputs: [],
              parts: [],
              rules: [],
            },
          },
        ],
      }),
    )
    const { code, complained } = run(...given())
    expect(code).toBe(1)
    expect(complained).toHaveLength(1)
    expect(complained[0]).toMatch(
      /site\.json is not valid\. At effects\.0\.settings\.channels\.0\.signal(\.of)?: there is no signal "mood"/,
    )
  })

  it('says how it is used where that is asked', () => {
    for (const words of [['--help'], ['simulate', '--help']]) expect(run(...words)).toMatchObject({ code: 0, complained: [] })
  })

  it.each([
    ['no command', () => [], 2, /^Usage: glass-moth simulate/],
    ['an unknown command', () => ['dance'], 2, /^Usage: /],
    ['no trace', () => ['simulate', path('site.json')], 2, /^glass-moth simulate SITE\.json --trace/],
    ['an unknown option', () => [...given(), '--speed', '2'], 2, /^There is no option --speed/],
    ['frames and moments at once', () => [...given(), '--fps', '2', '--at', '3'], 2, /^Give either/],
    ['moments that fall', () => [...given(), '--at', '5,3'], 2, /rise/],
    ['a rate that is none', () => [...given(), '--fps', 'fast'], 2, /1 to 1000/],
    [
      'a file that is not there',
      () => ['simulate', path('none.json'), '--trace', path('trace.csv'), '--out', path('o.csv')],
      1,
      /there is no file/,
    ],
    [
      'a site that is no JSON',
      () => ['simulate', path('trace.csv'), '--trace', path('trace.csv'), '--out', path('o.csv')],
      1,
      /is not JSON/,
    ],
  ])('answers %s with one line and its code', (_, words, code, message) => {
    const answer = run(...words())
    expect(answer.code).toBe(code)
    expect(answer.complained).toHaveLength(1)
    expect(answer.complained[0]).toMatch(message)
  })

  it.each([
    ['t,x,y\n0,1,2\n', /no column "buttons"/],
    ['t,x,y,buttons\n0,1,a,0\n', /Line 2 of the trace: "a" is no number for y/],
    ['t,x,y,buttons\n5,1,1,0\n4,1,1,0\n', /Line 3 of the trace: its time lies before/],
    ['t,x,y,buttons,phase\n5,1,1,0,jump\n', /Line 2 of the trace: phase is one of move/],
    ['t,x,y,buttons,mood\n', /no column "mood"/],
    ['t,x,y,buttons\n', /no samples/],
  ])('refuses a broken trace by its line: %j', (text, message) => {
    writeFileSync(path('trace.csv'), text)
    const { code, complained } = run(...given())
    expect(code).toBe(1)
    expect(complained[0]).toMatch(message)
  })

  it('says which boxes are missing', () => {
    writeFileSync(path('boxes.json'), JSON.stringify({ window: { width: 10, height: 10 }, elements: {} }))
    expect(run(...given()).complained).toEqual(['The boxes say nothing of ".card", which card-tilt reads.'])
  })
})
