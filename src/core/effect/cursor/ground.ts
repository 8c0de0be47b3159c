// Where a cursor of one's own is seen: on the whole page, or on some elements of it; and where the system's own comes back.

/** Whether a selector means the whole page. */
export const isWindow = (select: string): boolean => /^(body|html|:root)$/.test(select)

/** Over these a browser's own cursor says what can be done, or nothing is told of the pointer. */
export const nativeControls =
  'input, textarea, select, option, [contenteditable], iframe, frame, embed, object, video[controls], audio[controls], input *, [contenteditable] *'
