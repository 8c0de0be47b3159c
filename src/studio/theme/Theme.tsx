'use client'
// Gives every screen our look.
import { ChakraProvider } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { StyleRegistry } from './StyleRegistry'
import { system } from './system'

export function Theme({ children }: { readonly children: ReactNode }) {
  return (
    <StyleRegistry>
      <ChakraProvider value={system}>{children}</ChakraProvider>
    </StyleRegistry>
  )
}
