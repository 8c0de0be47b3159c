// The sheet of keys. They work while the focus is in the page too, and never while something is typed.
import { Box, Grid, chakra } from '@chakra-ui/react'
import { Fragment } from 'react'
import { useStudio } from './context'
import { Drawer } from './Drawer'
import { keyNames } from './keys'
import { useObservable } from './store/observable'

const sheet: readonly (readonly [title: string, keys: readonly (readonly [key: string, words: string])[]])[] = [
  ['Everywhere', [
    [keyNames.point, 'point at something, or stop pointing'],
    [keyNames.code, 'the code'],
    [keyNames.markup, 'the markup'],
    [keyNames.pages, 'the pages'],
    [keyNames.bare, 'bare view, while it is held: boxes, clips, hidden and blurred things shown plainly'],
    [keyNames.undo, 'undo'],
    [keyNames.redo, 'redo'],
    [keyNames.sheet, 'this sheet'],
  ]],
  ['The selected effect', [
    [`${keyNames.next}, ${keyNames.before}`, 'the next effect, the one before'],
    [keyNames.turn, 'reverse the direction'],
    [keyNames.walk, 'the stand-in pointer plays a path over it, or stops'],
    [keyNames.leave, 'pointer out: it leaves the page for real'],
    ['1, 2, 3, 4', 'hold it: away, on it, pressed, standing still; the same key lets go'],
    [keyNames.fasten, 'fasten the pointer where it stands, or let it go'],
    [keyNames.pose, 'pose by hand: drag the element to where it should be'],
    [keyNames.gap, 'measure the distance between two edges'],
    [keyNames.tries, 'tries, to go back to and to compare'],
    [keyNames.keepTry, 'keep a try'],
    [keyNames.off, 'off, or on again'],
    [keyNames.only, 'only this one plays'],
    ['Ctrl C, Ctrl V', 'copy it as text; paste it on what is chosen, on any page or site'],
  ]],
  ['While pointing', [
    ['Arrows', 'walk the tree of the page: up is what is around'],
    ['Enter', 'choose what is outlined'],
    [keyNames.another, 'and also: another place as well'],
    ['Esc', 'stop'],
  ]],
  ['On a number', [
    ['Arrows', 'step; Shift coarse, Alt fine'],
    ['Home, End', 'the least, the greatest'],
    ['Enter, digits', 'type: sums and units too, such as 0.2s + 40ms'],
  ]],
]

export function KeysDrawer() {
  const { letters } = useStudio()
  const act = useObservable(letters)
  return (
    <Drawer label="Keys" title="Keys" width="440px">
      <Box overflowY="auto" px="14px" py="10px" fontSize="14px">
        <chakra.label display="flex" gap="8px" alignItems="baseline" mb="14px">
          <input type="checkbox" checked={act} onChange={({ target }) => letters.set(target.checked)} />
          <Box as="span">Single letters and digits act as keys. <Box as="span" color="soft">Turn this off where a screen reader, dictation or another program uses them; Ctrl, arrows, Enter and Esc go on.</Box></Box>
        </chakra.label>
        {sheet.map(([title, keys]) => (
          <Box as="section" key={title} aria-label={title} mb="16px">
            <Box as="h3" fontWeight="600" mb="5px">{title}</Box>
            <Grid as="dl" templateColumns="112px 1fr" rowGap="4px" m="0">
              {keys.map(([key, words]) => (
                <Fragment key={key}>
                  <Box as="dt" fontWeight="600">{key}</Box>
                  <Box as="dd" m="0" color="soft">{words}</Box>
                </Fragment>
              ))}
            </Grid>
          </Box>
        ))}
      </Box>
    </Drawer>
  )
}
