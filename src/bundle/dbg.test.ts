import { it } from 'vitest'
import { compile } from '../core/compile/compile'
import { plainFacts } from '../core/compile/facts'
import { readFragments } from './fragments'
import { kinds } from '../core/effect/kinds'
import { gzippedSize, minifyScript } from './minify'
const fragments = readFragments('/work/main')
it('x', () => {
  const src = (k: any, select='.card') => ({ rig: k.expand(k.defaults, select, Object.fromEntries(k.roles(k.defaults).slice(1).map((r: any) => [r.id, `${select} .${r.id}`]))), names: {title: k.id, name: 'card', mark: 'abc'}, sentence: 'Each card leans.' })
  const k = kinds.find(k => k.id === (process.env.KIND ?? 'tilt'))
  const text = compile([src(k)], plainFacts, fragments)
  console.log(text); console.log(minifyScript(text)); console.log(gzippedSize(minifyScript(text)), text.split('\n').length)
})
