// The controls of the studio in our own look.
import { chakra, defineRecipe } from '@chakra-ui/react'

const focusRing = { outline: '2px solid var(--gm-ink)', outlineOffset: '2px' }

export const Button = chakra(
  'button',
  defineRecipe({
    className: 'gm-button',
    base: {
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      gap: '7px',
      minHeight: '28px',
      px: '11px',
      borderRadius: '4px',
      border: '1px solid transparent',
      fontSize: '14px',
      lineHeight: '20px',
      fontWeight: '500',
      color: 'ink',
      background: 'transparent',
      cursor: 'pointer',
      whiteSpace: 'nowrap',
      textDecoration: 'none',
      _disabled: { opacity: 0.45, cursor: 'default' },
      _focusVisible: focusRing,
    },
    variants: {
      variant: {
        act: { background: 'lichen', color: 'onLichen', _hover: { background: 'lichenOver' } },
        plain: { borderColor: 'edge', background: 'sheet', _hover: { background: 'press' } },
        quiet: {
          px: '7px',
          '&:hover:not(:disabled)': { background: 'press' },
          '&[aria-pressed=true], &[aria-expanded=true]': { background: 'press', borderColor: 'edge' },
        },
      },
    },
    defaultVariants: { variant: 'plain' },
  }),
  { defaultProps: { type: 'button' } },
)

export const Field = chakra(
  'input',
  defineRecipe({
    className: 'gm-field',
    base: {
      minHeight: '28px',
      px: '8px',
      borderRadius: '4px',
      border: '1px solid',
      borderColor: 'edge',
      background: 'sheet',
      color: 'ink',
      fontSize: '14px',
      _focusVisible: focusRing,
      '&[aria-invalid=true]': { borderColor: 'ink', borderWidth: '2px' },
    },
  }),
)
