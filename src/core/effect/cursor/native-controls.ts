// Where the system's own cursor comes back.

/** Over these a browser's own cursor says what can be done, or nothing is told of the pointer. */
export const nativeControls =
  'input, textarea, select, option, [contenteditable], iframe, frame, embed, object, video[controls], audio[controls], input *, [contenteditable] *'
