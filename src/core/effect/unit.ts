// The units of controls.
export type Unit = 'deg' | 'px' | 'ms' | '%' | 'Hz' | ''
