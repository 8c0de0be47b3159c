// The recipes: touching one plays it on the chosen element, choosing one keeps it.
import { Box, Flex, Grid, chakra } from '@chakra-ui/react'
import { kinds } from '../../core/effect/kinds'
import { addRecipe } from '../commands'
import { useStudio, useView } from '../context'
import { RecipeSample } from './RecipeSample'

export function Recipes() {
  const studio = useStudio()
  const { trial } = useView()
  const attempt = (name: string | null) => studio.view.update({ trial: name })
  return (
    <Flex as="section" aria-label="Recipes" px="14px" py="8px" direction="column" minWidth="0" minHeight="0" flex="1">
      <Box fontSize="13px" color="soft" mb="6px">Touch one to feel it on your page, click to keep it.</Box>
      <Grid templateColumns="repeat(auto-fill, minmax(200px, 1fr))" gridAutoRows="minmax(82px, auto)" gap="8px" minHeight="0" flex="1" overflowY="auto" alignContent="start" onMouseLeave={() => attempt(null)}>
        {kinds.flatMap((kind) =>
          kind.recipes.map((recipe) => {
            const name = `${kind.id}/${recipe.id}`
            return (
              <chakra.button key={name} type="button" onMouseEnter={() => attempt(name)} onFocus={() => attempt(name)} onBlur={() => attempt(null)} onClick={() => addRecipe(studio, kind.id, recipe.id)}
                minWidth="0" display="grid" gridTemplateColumns="62px 1fr" gap="10px" alignItems="center" textAlign="left" px="9px" py="2px" border="1px solid" borderColor={trial === name ? 'madder' : 'edge'} borderRadius="4px"
                background="ground" color="ink" cursor="pointer" _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '2px' }}>
                <RecipeSample kind={kind} settings={recipe.settings} moving={trial === name} />
                <Box minWidth="0">
                  <Box fontWeight="600" fontSize="15px" lineHeight="1.25">{recipe.title}</Box>
                  <Box fontSize="13px" lineHeight="1.35" color="soft" mt="3px">{recipe.need}</Box>
                </Box>
              </chakra.button>
            )
          }),
        )}
      </Grid>
    </Flex>
  )
}
