// The drawing beside the caption: of the word in hand.
import { Box } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { Control, CurveControl } from '../../core/effect/control'
import { findKind, type AnyKind } from '../../core/effect/kinds'
import { liveInput } from '../../core/rig/live-input'
import { withBindings } from '../../core/site/bindings'
import type { Effect } from '../../core/site/site'
import { changeControl } from '../commands'
import { useSelected, useSite, useStudio, useView } from '../context'
import { CurveDrawing } from './CurveDrawing'
import { DepthsDrawing } from './DepthsDrawing'
import { FeelDots } from './FeelDots'
import { FlickDrawing } from './FlickDrawing'
import { GradientDrawing } from './GradientDrawing'
import { DistanceDrawing } from './DistanceDrawing'
import type { Present } from './present'
import { SketchDrawing } from './SketchDrawing'
import { StripDrawing } from './StripDrawing'

export function DrawingPane() {
  const selected = useSelected()
  const site = useSite()
  const { touched, mode } = useView('touched', 'mode')
  const measuring = mode.is === 'measuring' ? mode : null
  const effect = selected && withBindings(site).effects.find(({ id }) => id === selected.effect.id)
  const kind = effect && findKind(effect.kind)
  if (!measuring && (!effect || !kind)) return <Box borderLeft="1px solid" borderColor="hairline" />
  return (
    <Box as="section" aria-label="Drawing" borderLeft="1px solid" borderColor="hairline" px="14px" py="6px" minWidth="0" minHeight="0">
      {measuring ? (
        <DistanceDrawing measuring={measuring} />
      ) : (
        effect && kind && <DrawingOf kind={kind} effect={effect} touched={touched} />
      )}
    </Box>
  )
}

function DrawingOf({ kind, effect, touched }: { readonly kind: AnyKind; readonly effect: Effect; readonly touched: string | null }) {
  const studio = useStudio()
  const controls = kind.controls(effect.settings)
  const control =
    controls.find(({ id }) => id === touched) ??
    controls.find(({ kind: each, drawing }) => each === 'feel' && drawing === 'flick') ??
    controls.find(({ drawing }) => drawing !== 'none')
  const drawn = controls.find(({ id }) => id === control?.draws) ?? control
  const feels = kind.feels(effect.settings)
  const change = (each: Control<unknown>, value: unknown, gesture?: string) => changeControl(studio, effect, each, value, gesture)
  if (!control || !drawn) return null
  if (control.kind === 'feel' && touched === control.id)
    return <FeelDots title={control.title} feel={control.read(effect.settings)} onChoose={(feel) => change(control, feel)} />
  switch (control.drawing) {
    case 'sketch':
      return kind.sketch ? <SketchDrawing sketch={kind.sketch(effect.settings)} /> : null
    case 'strip':
      return <StripDrawing come={feels.come} go={feels.go} />
    case 'depths':
      return (
        <DepthsDrawing
          depths={controls.flatMap((each) =>
            each.kind === 'number' && each.drawing === 'depths' ? [{ control: each, value: each.read(effect.settings) }] : [],
          )}
          onChange={change}
        />
      )
    case 'curve':
      return drawn.kind === 'curve' ? (
        <LiveCurve
          key={drawn.id}
          control={drawn}
          effect={effect}
          kind={kind}
          onChange={(curve, gesture) => change(drawn, curve, gesture)}
        />
      ) : null
    case 'gradient':
      return drawn.kind === 'gradient' ? (
        <GradientDrawing
          key={drawn.id}
          title={drawn.title}
          css={drawn.read(effect.settings)}
          onChange={(css, gesture) => change(drawn, css, gesture)}
        />
      ) : null
    case 'return':
      return <FlickDrawing title="Going back" feel={drawn.kind === 'feel' ? drawn.read(effect.settings) : feels.back} />
    case 'flick':
    case 'none':
      return <FlickDrawing title="After a flick" feel={drawn.kind === 'feel' ? drawn.read(effect.settings) : feels.follow} />
  }
}

interface LiveCurveProps {
  readonly control: CurveControl<unknown>
  readonly effect: Effect
  readonly kind: AnyKind
  readonly onChange: (curve: ReturnType<CurveControl<unknown>['read']>, gesture: string) => void
}

/** A curve with the number on it that the pointer gives now. */
function LiveCurve({ control, effect, kind, onChange }: LiveCurveProps) {
  const { view } = useStudio()
  const rig = useMemo(() => kind.expand(effect.settings, effect.select), [kind, effect.settings, effect.select])
  const input = ({ sample }: Present) => {
    const size = view.hand.areaSize
    return sample?.place && liveInput(rig, control.across.channel, sample.place, size)
  }
  return <CurveDrawing control={control} curve={control.read(effect.settings)} onChange={onChange} input={input} />
}
