// The sheet of keys. They work while the focus is in the page too, and never while something is typed.
import { Box, Grid, chakra } from '@chakra-ui/react'
import { Fragment } from 'react'
import { useStudio } from './context'
import { Drawer } from './Drawer'
import { keyNamed } from './key-names'
import { commands, groups } from './registry'
import { useObservable } from './store/observable'

/** What else keys do, by the headings under which that stands. */
const others: Readonly<Record<string, readonly (readonly [key: string, words: string])[]>> = {
  'The selected effect': [
    ['Ctrl C, Ctrl X', 'copy it, cut it; as text, for any page or site'],
    ['Ctrl V', 'paste on what is chosen, or on what it was for'],
    ['F2', 'rename it, in the list'],
    ['Alt Up, Alt Down', 'move it in the list'],
  ],
  Everywhere: [
    ['Ctrl wheel', 'zoom about the pointer'],
    ['Space, held', 'drag the page to where it is to be seen'],
  ],
  'While pointing': [
    ['Arrows', 'walk the tree of the page: up is what is around'],
    ['Enter', 'choose what is outlined'],
    ['Esc', 'stop'],
  ],
  'On a number': [
    ['Arrows', 'step; Shift coarse, Alt fine'],
    ['Home, End', 'the least, the greatest'],
    ['Enter, digits', 'type: sums and units too, such as 0.2s + 40ms'],
  ],
}

const sheet = [...groups, 'On a number'].map(
  (title) =>
    [
      title,
      [...commands.filter(({ group }) => group === title).map(({ key, words }) => [key, words] as const), ...(others[title] ?? [])],
    ] as const,
)

export function KeysDrawer() {
  const { letters } = useStudio()
  const act = useObservable(letters)
  return (
    <Drawer label="Keys" title="Keys">
      <Box overflowY="auto" px="14px" py="10px" fontSize="14px">
        <chakra.label display="flex" gap="8px" alignItems="baseline" mb="14px">
          <input type="checkbox" checked={act} onChange={({ target }) => letters.set(target.checked)} />
          <Box as="span">
            Single letters and digits act as keys.{' '}
            <Box as="span" color="soft">
              Turn this off where a screen reader, dictation or another program uses them; Ctrl, arrows, Enter and Esc go on.
            </Box>
          </Box>
        </chakra.label>
        {sheet.map(([title, keys]) => (
          <Box as="section" key={title} aria-label={title} mb="16px">
            <Box as="h3" fontWeight="600" mb="5px">
              {title}
            </Box>
            <Grid as="dl" templateColumns="112px 1fr" rowGap="4px" m="0">
              {keys.map(([key, words]) => (
                <Fragment key={key}>
                  <Box as="dt" fontWeight="600">
                    {keyNamed(key)}
                  </Box>
                  <Box as="dd" m="0" color="soft">
                    {words}
                  </Box>
                </Fragment>
              ))}
            </Grid>
          </Box>
        ))}
      </Box>
    </Drawer>
  )
}
