// What else there is to the word in hand: what its % is of, and what it is bound to.
import { Box, Flex } from '@chakra-ui/react'
import { nanoid } from 'nanoid'
import type { ReactNode } from 'react'
import { formatNumber, type Control, type NumberControl } from '../../core/effect/control'
import { helpOf } from '../../core/effect/help'
import { bindingFactors, bindingsFor, withBinding } from '../../core/site/bindings'
import type { Effect, Binding } from '../../core/site/site'
import { useSite, useStudio } from '../context'
import { WordMenu } from './ChoiceWord'

interface WordDetailsProps {
  readonly control: Control<unknown>
  readonly effect: Effect
}

export function WordDetails({ control, effect }: WordDetailsProps) {
  return (
    <WordHelp title={control.title} help={helpOf(control)}>
      {control.kind === 'number' && <Share control={control} effect={effect} />}
      {(control.kind === 'number' || control.kind === 'colour' || control.kind === 'gradient') && (
        <TieWords control={control} effect={effect} />
      )}
    </WordHelp>
  )
}

/** The line of help for a word, and what else there is to it. */
export function WordHelp({ title, help, children }: { readonly title: string; readonly help: string; readonly children?: ReactNode }) {
  return (
    <Flex align="center" gap="10px" fontSize="13px" color="soft" minWidth="0" role="group" aria-label={`About ${title.toLowerCase()}`}>
      <Box minWidth="0" flex="0 1 auto" truncate title={help}>
        {help}
      </Box>
      {children}
    </Flex>
  )
}

/** "of half the width of the card: −80 px" */
function Share({ control, effect }: { readonly control: NumberControl<unknown>; readonly effect: Effect }) {
  const { view } = useStudio()
  if (!control.percentOf) return null
  const { words, length, times = 1 } = control.percentOf
  if (length === undefined) return <Box whiteSpace="nowrap">of {words}</Box>
  const { width, height } = view.hand.areaSize
  const whole = { width, height, 'half-width': width / 2, 'half-height': height / 2 }[length]
  return (
    <Box whiteSpace="nowrap">
      of {words}: {formatNumber((control.read(effect.settings) / 100) * times * whole, 'px')}
    </Box>
  )
}

const keyOf = (to: Binding['to']) => ('value' in to ? `value ${to.value}` : `${to.effect} ${to.control}`)

function TieWords({ control, effect }: WordDetailsProps) {
  const { store } = useStudio()
  const site = useSite()
  const raw = site.effects.find(({ id }) => id === effect.id)
  const binding = raw?.bindings?.[control.id]
  const targets = bindingsFor(site, effect, control)
  const write = (next: Binding | undefined) => {
    store.edit(
      { do: 'change', id: effect.id, to: { bindings: withBinding(raw?.bindings, control.id, next) } },
      next ? `Tying ${control.title.toLowerCase()}` : `Untying ${control.title.toLowerCase()}`,
    )
  }
  const name = () => {
    const value = control.kind === 'number' || control.kind === 'colour' || control.kind === 'gradient' ? control.read(effect.settings) : ''
    const base =
      control.id
        .replace(/([A-Z])/g, '-$1')
        .toLowerCase()
        .replace(/[^a-z0-9-]/g, '')
        .slice(0, 30) || 'value'
    const taken = new Set((site.values ?? []).map((each) => each.name))
    const free = [base, ...Array.from({ length: 100 }, (_, i) => `${base}-${i + 2}`)].find((each) => !taken.has(each)) ?? nanoid(6)
    const id = nanoid(8)
    store.edit(
      {
        do: 'site',
        to: { values: [...(site.values ?? []), { id, name: free, value, unit: control.kind === 'number' ? control.unit : '' }] },
      },
      'Naming a value',
    )
    write({ to: { value: id }, times: 1 })
  }
  const current = binding && targets.find(({ to }) => keyOf(to) === keyOf(binding.to))
  return (
    <Flex align="center" gap="5px" minWidth="0">
      <Box>Linked to</Box>
      {binding && control.kind === 'number' && (
        <WordMenu
          label="How it is linked"
          words={bindingFactors.find(({ times }) => times === binding.times)?.words ?? `${binding.times} times`}
          options={bindingFactors.map(({ times, words }) => ({ value: String(times), words, isCurrent: times === binding.times }))}
          onTouch={() => undefined}
          onChange={(times) => write({ ...binding, times: Number(times) })}
        />
      )}
      <WordMenu
        label={`What ${control.title.toLowerCase()} is linked to`}
        words={binding ? (current?.words ?? 'something that is gone') : 'nothing'}
        options={[
          { value: '', words: 'nothing', isCurrent: !binding },
          ...targets.map(({ to, words }) => ({ value: keyOf(to), words, isName: 'value' in to, isCurrent: current?.words === words })),
          { value: 'new', words: 'a new named value', isCurrent: false },
        ]}
        onTouch={() => undefined}
        onChange={(key) =>
          key === 'new'
            ? name()
            : write(
                key === '' ? undefined : targets.flatMap(({ to }) => (keyOf(to) === key ? [{ to, times: binding?.times ?? 1 }] : []))[0],
              )
        }
      />
    </Flex>
  )
}
