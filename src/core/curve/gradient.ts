// CSS gradients as stops that can be moved (CSS Images Module Level 4, section 3).

export interface GradientStop {
  readonly colour: string
  /** Where along the gradient, %. */
  readonly at: number
}

export interface Gradient {
  readonly type: 'linear' | 'radial' | 'conic'
  /** What stands before the stops: the angle, the corner, the shape and its middle. Empty where there is nothing. */
  readonly shape: string
  readonly stops: readonly GradientStop[]
}

/** The parts between commas that stand in no brackets. */
function parts(text: string): string[] {
  const found: string[] = ['']
  let depth = 0
  for (const character of text) {
    if (character === '(') depth++
    if (character === ')') depth--
    if (character === ',' && depth === 0) found.push('')
    else found[found.length - 1] += character
  }
  return found.map((part) => part.trim())
}

const isShape = (text: string) => /^(-?[\d.]+(deg|turn|rad|grad)\b|to |from |at |circle\b|ellipse\b|closest-|farthest-|in )/i.test(text)

/** Reads a gradient; stops without a place are spread evenly between their neighbours. Undefined for anything else, hints and repeating ones included. */
export function readGradient(text: string): Gradient | undefined {
  const [, type = '', inner = ''] = /^(linear|radial|conic)-gradient\((.*)\)$/is.exec(text.trim()) ?? []
  const given = parts(inner)
  const shape = isShape(given[0] ?? '') ? (given.shift() ?? '') : ''
  const stops = given.map((part) => {
    const [, colour = part, at] = /^(.*\S)\s+(-?[\d.]+)(?:%|deg)$/s.exec(part) ?? []
    const isTurn = type.toLowerCase() === 'conic' && /deg$/.test(part)
    return { colour, at: at === undefined ? NaN : Number(at) / (isTurn ? 3.6 : 1) }
  })
  if (
    type === '' ||
    stops.length < 2 ||
    stops.some(({ colour }) => colour === '' || /^[\d.]+(%|px)?$/.test(colour) || /\s-?[\d.]+[a-z%]*$/i.test(colour))
  )
    return undefined
  return { type: type.toLowerCase() as Gradient['type'], shape, stops: spread(stops) }
}

function spread(stops: readonly GradientStop[]): GradientStop[] {
  const at = stops.map((stop) => stop.at)
  if (Number.isNaN(at[0])) at[0] = 0
  if (Number.isNaN(at.at(-1))) at[at.length - 1] = 100
  let end = 0
  return stops.map(({ colour }, i) => {
    end = Math.max(end, i)
    while (Number.isNaN(at[end])) end++
    if (end > i) at[i] = (at[i - 1] ?? 0) + ((at[end] ?? 100) - (at[i - 1] ?? 0)) / (end - i + 1)
    return { colour, at: at[i] ?? 0 }
  })
}

/** A gradient as CSS writes it. */
export function writeGradient({ type, shape, stops }: Gradient): string {
  return `${type}-gradient(${[...(shape ? [shape] : []), ...stops.map(({ colour, at }) => `${colour} ${Number(at.toFixed(1))}%`)].join(', ')})`
}

/** The gradient with a stop moved or coloured; it never passes its neighbours. */
export function changeGradientStop(gradient: Gradient, index: number, to: Partial<GradientStop>): Gradient {
  const { stops } = gradient
  const stop = stops[index]
  if (!stop) return gradient
  const at = Math.min(stops[index + 1]?.at ?? 100, Math.max(stops[index - 1]?.at ?? 0, to.at ?? stop.at))
  return { ...gradient, stops: stops.with(index, { ...stop, ...to, at }) }
}

/** The gradient with one more stop, in the colour of the one before it. */
export function addGradientStop(gradient: Gradient, at: number): { readonly gradient: Gradient; readonly at: number } {
  const before = Math.max(
    0,
    gradient.stops.findLastIndex((stop) => stop.at <= at),
  )
  const stop: GradientStop = { colour: gradient.stops[before]?.colour ?? 'transparent', at }
  return { gradient: { ...gradient, stops: gradient.stops.toSpliced(before + 1, 0, stop) }, at: before + 1 }
}

/** The gradient without a stop; two are always left. */
export function removeGradientStop(gradient: Gradient, index: number): Gradient {
  return gradient.stops.length > 2 ? { ...gradient, stops: gradient.stops.toSpliced(index, 1) } : gradient
}
