// The words that a rig may use where CSS has a list of them.

export const units = ['', 'deg', 'px', '%', 'ms', 's', 'em', 'rem', 'vw', 'vh', 'turn'] as const
export type Unit = (typeof units)[number]

/** The transform functions, in the order in which they are composed. */
export const transformFunctions = [
  'translateX',
  'translateY',
  'perspective',
  'translateZ',
  'rotateX',
  'rotateY',
  'rotate',
  'scale',
  'scaleX',
  'scaleY',
  'skewX',
  'skewY',
] as const
export type TransformFunction = (typeof transformFunctions)[number]

export const filterFunctions = ['blur', 'brightness', 'contrast', 'saturate', 'grayscale', 'hue-rotate'] as const
export type FilterFunction = (typeof filterFunctions)[number]

export const sides = ['top', 'right', 'bottom', 'left'] as const
export type Side = (typeof sides)[number]
