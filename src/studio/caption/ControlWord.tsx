// One control as a live word that changes the effect.
import { chakra } from '@chakra-ui/react'
import { parseEasing } from '../../core/curve/easing'
import { readGradient, writeGradient } from '../../core/curve/gradient'
import type { Control } from '../../core/effect/control'
import { tellValue } from '../../core/effect/tell'
import { answerOfFeel } from '../../core/feel/answer'
import { readDeclarations } from '../../core/rig/css-text'
import type { Effect } from '../../core/site/site'
import { changeControl } from '../commands'
import { useStudio, useView } from '../context'
import { newGesture } from '../store/site-store'
import { NamedField } from '../theme/NamedField'
import { ChoiceWord } from './ChoiceWord'
import { ColourField, overChecks } from './ColourField'
import { LiveNumber } from './LiveNumber'

interface ControlWordProps {
  readonly control: Control<unknown>
  /** The effect with its bindings followed. */
  readonly effect: Effect
  readonly onRefusal: (refusal: string | null) => void
}

export function ControlWord({ control, effect, onRefusal }: ControlWordProps) {
  const studio = useStudio()
  const touch = () => studio.view.update({ touched: control.id })
  const change = (value: unknown, gesture = newGesture()) => changeControl(studio, effect, control, value, gesture)
  const { settings } = effect
  switch (control.kind) {
    case 'number':
      return <LiveNumber control={control} value={control.read(settings)} onTouch={touch} onRefusal={onRefusal} onChange={change} />
    case 'choice':
      return <ChoiceWord control={control} value={control.read(settings)} onTouch={touch} onChange={(value) => change(value)} />
    case 'colour':
      return (
        <ColourField
          label={control.title}
          property={control.takesBackgrounds ? 'background' : 'color'}
          value={control.read(settings)}
          onTouch={touch}
          onValue={change}
        />
      )
    case 'feel': {
      const paste = (text: string) => {
        if (parseEasing(text) === undefined)
          return onRefusal(`${control.title} takes an easing of CSS, such as cubic-bezier(0.2, 0.7, 0.2, 1). It stays as it was.`)
        onRefusal(null)
        change({
          kind: 'timed',
          durationMs: Math.round(answerOfFeel(control.read(settings)).settleMs) || 300,
          easing: text.trim(),
          delayMs: 0,
        })
      }
      return <DrawnWord control={control} words={tellValue(control, settings)} onTouch={touch} onPaste={paste} />
    }
    case 'gradient': {
      const paste = (text: string) => {
        const read = readGradient(text)
        if (!read) return onRefusal(`${control.title} takes a gradient of CSS with its stops. It stays as it was.`)
        onRefusal(null)
        change(writeGradient(read))
      }
      return <DrawnWord control={control} words="" ground={control.read(settings)} onTouch={touch} onPaste={paste} />
    }
    case 'text':
      return (
        <NamedField
          label={control.title}
          title={`${control.title}: ${control.hint}`}
          value={control.read(settings)}
          width="230px"
          maxWidth="100%"
          onFocus={touch}
          onTake={(text) => {
            const fault = control.faultOf(text) ?? (control.isCss ? unknownIn(text) : undefined)
            onRefusal(fault === undefined ? null : `${control.title} ${fault}. It stays as it was; it is ${control.hint}.`)
            if (fault === undefined) change(text)
          }}
        />
      )
    case 'curve':
      return <DrawnWord control={control} words={tellValue(control, settings)} onTouch={touch} />
  }
}

/** Why declarations will not do in this browser; undefined where they all will. */
function unknownIn(css: string): string | undefined {
  const unknown = Object.entries(readDeclarations(css) ?? {}).find(([property, value]) => !CSS.supports(property, value))
  return unknown && `has no meaning for a browser in “${unknown.join(': ')}”`
}

interface DrawnWordProps {
  readonly control: Control<unknown>
  readonly words: string
  /** A gradient that the word shows instead of words. */
  readonly ground?: string
  readonly onTouch: () => void
  readonly onPaste?: (text: string) => void
}

/** A word whose value is set in the drawing beside it. */
function DrawnWord({ control, words, ground, onTouch, onPaste }: DrawnWordProps) {
  const { touched } = useView('touched')
  return (
    <chakra.button
      type="button"
      aria-label={`${control.title}: ${words || 'a gradient'}`}
      aria-pressed={touched === control.id}
      title={onPaste ? `${control.title}: in the drawing, or pasted as CSS` : control.title}
      onClick={onTouch}
      onFocus={onTouch}
      onPaste={onPaste && ((event) => onPaste(event.clipboardData.getData('text')))}
      display="inline-block"
      minWidth={ground ? '64px' : undefined}
      height={ground ? '22px' : undefined}
      verticalAlign={ground ? '-5px' : 'baseline'}
      px="7px"
      lineHeight="23px"
      background="ground"
      border="1px solid"
      borderColor={touched === control.id ? 'edge' : 'hairline'}
      borderRadius="4px"
      color="ink"
      fontWeight="600"
      cursor="pointer"
      style={ground ? overChecks(ground) : undefined}
      _hover={{ borderColor: 'edge' }}
      _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '1px' }}
    >
      {words}
    </chakra.button>
  )
}
