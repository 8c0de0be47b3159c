// The noun of a caption: which elements are meant. One choice makes it this one, or all of its likes.
import type { Effect } from '../../core/site/site'
import { startPointing } from '../commands'
import { useStudio, useView } from '../context'
import { WordMenu } from './ChoiceWord'

export function NounWord({ effect }: { readonly effect: Effect }) {
  const studio = useStudio()
  const { counts, described } = useView()
  const rung = described?.select === effect.select ? described.rung : undefined
  const count = counts.get(effect.select)
  const options = []
  if (rung) {
    const isOne = effect.select === rung.one
    options.push({ value: 'one', words: `this ${rung.noun} alone`, isCurrent: isOne })
    if (rung.likes) options.push({ value: 'likes', words: `all ${rung.likes.count}: each ${rung.noun}`, isCurrent: effect.select === rung.likes.select })
  }
  options.push({ value: 'point', words: 'point at something else', isCurrent: false })
  const change = (value: string) => {
    if (value === 'point') return startPointing(studio)
    const to = value === 'likes' && rung?.likes ? { select: rung.likes.select, noun: `each ${rung.noun}` } : rung && { select: rung.one, noun: `this ${rung.noun}` }
    if (to) studio.store.edit({ do: 'change', id: effect.id, to }, 'Choosing which elements')
  }
  return <WordMenu label="Which elements" words={count !== undefined && count !== null && count > 1 ? `${effect.noun}, ${count}` : effect.noun} options={options} onTouch={() => studio.view.update({ touched: null })} onChange={change} />
}
