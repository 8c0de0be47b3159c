// What can be done to the markup of the element that is chosen: starters beside it, copies, wrappers, moves, attributes.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useRef, useState } from 'react'
import { starters } from '../../core/page/starters'
import type { Where } from '../../core/page/markup'
import { startPointing } from '../point/commands'
import { useStudio, useView } from '../context'
import type { LadderRung } from '../store/view-store'
import { Button, Field } from '../theme/controls'
import { editMarkup, placeStarter, replacePicture } from './commands'

const places: readonly { readonly where: Where; readonly words: string }[] = [
  { where: 'before', words: 'before it' },
  { where: 'after', words: 'after it' },
  { where: 'inside', words: 'inside it' },
]

export function MarkupActions() {
  const { pointing } = useView('pointing')
  const rung = pointing.rungs[pointing.pick]
  if (!rung) return null
  return pointing.goal.for === 'move' ? <MoveHere rung={rung} from={pointing.goal.number} /> : <Actions key={rung.number} rung={rung} />
}

function MoveHere({ rung, from }: { readonly rung: LadderRung; readonly from: number }) {
  const studio = useStudio()
  return (
    <Flex as="section" aria-label="Move it" gap="8px" px="16px" py="14px" align="center" wrap="wrap">
      <Box>Move it, beside this {rung.noun}:</Box>
      {places.map(({ where, words }) => (
        <Button key={where} onClick={() => void editMarkup(studio, { do: 'move', at: from, to: rung.number, where }, 'Moving an element')}>
          {words}
        </Button>
      ))}
    </Flex>
  )
}

function Actions({ rung }: { readonly rung: LadderRung }) {
  const studio = useStudio()
  const [where, setWhere] = useState<Where>('after')
  const at = rung.number
  const small = { variant: 'plain', minHeight: '25px', fontSize: '13px', px: '8px' } as const
  return (
    <Flex
      as="section"
      aria-label="Markup of the chosen element"
      direction="column"
      gap="14px"
      px="14px"
      py="10px"
      minHeight="0"
      overflowY="auto"
    >
      <Flex direction="column" gap="8px" minWidth="0">
        <Box as="h2" fontSize="14px" fontWeight="600" truncate title={rung.element}>
          This {rung.noun}
        </Box>
        <Flex gap="5px" wrap="wrap">
          <Button {...small} onClick={() => void editMarkup(studio, { do: 'copy', at }, 'Copying an element')}>
            Copy
          </Button>
          <Button
            {...small}
            onClick={() => void editMarkup(studio, { do: 'wrap', at, open: '<div class="wrap">', close: '</div>' }, 'Wrapping an element')}
          >
            Wrap
          </Button>
          <Button {...small} onClick={() => startPointing(studio, { for: 'move', number: at })}>
            Move …
          </Button>
          <Button {...small} onClick={() => void editMarkup(studio, { do: 'remove', at }, 'Removing an element')}>
            Remove
          </Button>
          {/^img\b/.test(rung.element) && <PictureButton number={at} />}
        </Flex>
        <AttributeForm number={at} element={rung.element} />
        <Box fontSize="13px" color="soft">
          A double click on a text of the page edits it in place.
        </Box>
      </Flex>
      <Flex direction="column" gap="6px" minWidth="0">
        <Box as="h2" fontSize="14px" fontWeight="600">
          Add a starter
        </Box>
        <Flex gap="4px" align="center" fontSize="13px" role="group" aria-label="Where a starter goes">
          {places.map((place) => (
            <Button
              key={place.where}
              variant="quiet"
              minHeight="24px"
              fontSize="13px"
              aria-pressed={where === place.where}
              onClick={() => setWhere(place.where)}
            >
              {place.words}
            </Button>
          ))}
        </Flex>
        <Flex gap="5px" wrap="wrap">
          {starters.map((starter) => (
            <Button key={starter.id} {...small} title={starter.need} onClick={() => void placeStarter(studio, starter, at, where)}>
              {starter.title}
            </Button>
          ))}
        </Flex>
      </Flex>
    </Flex>
  )
}

/** Chooses a picture from the designer's own files. */
function PictureButton({ number }: { readonly number: number }) {
  const studio = useStudio()
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button minHeight="26px" fontSize="13px" onClick={() => input.current?.click()}>
        Replace the picture …
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        hidden
        aria-label="A picture to put there"
        onChange={({ target }) => target.files?.[0] && void replacePicture(studio, number, target.files[0])}
      />
    </>
  )
}

function AttributeForm({ number, element }: { readonly number: number; readonly element: string }) {
  const studio = useStudio()
  const classes = [...element.matchAll(/\.([^.#]+)/g)].map(([, name = '']) => name).join(' ')
  const [name, setName] = useState('class')
  const [value, setValue] = useState(classes)
  return (
    <chakra.form
      display="flex"
      gap="6px"
      alignItems="center"
      fontSize="13px"
      onSubmit={(event) => {
        event.preventDefault()
        void editMarkup(
          studio,
          { do: 'attribute', at: number, name: name.trim(), value: value === '' ? null : value },
          `Changing ${name.trim()}`,
        )
      }}
    >
      <Field
        aria-label="Attribute"
        value={name}
        onChange={(event) => setName(event.target.value)}
        width="84px"
        minHeight="26px"
        fontFamily="mono"
        fontSize="12px"
      />
      <span aria-hidden="true">=</span>
      <Field
        aria-label="Its value; empty takes it off"
        value={value}
        onChange={(event) => setValue(event.target.value)}
        flex="1"
        minWidth="0"
        minHeight="26px"
        fontFamily="mono"
        fontSize="12px"
      />
      <Button type="submit" minHeight="26px" fontSize="13px">
        Set
      </Button>
    </chakra.form>
  )
}
