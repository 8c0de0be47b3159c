'use client'
// A screen that says one thing, and the way on.
import { Box } from '@chakra-ui/react'
import { Mark } from './Mark'
import { Button } from './theme/controls'

interface MessageProps {
  readonly title: string
  readonly detail: string
  readonly isHome?: boolean | undefined
  readonly onRetry?: () => void
}

export function Message({ title, detail, isHome, onRetry }: MessageProps) {
  return (
    <Box as="main" maxWidth="560px" mx="auto" pt="22vh" px="24px">
      <Mark />
      <Box as="h1" fontSize="26px" fontWeight="600" mt="18px">
        {title}
      </Box>
      <Box mt="8px" mb="22px" color="soft" fontSize="17px">
        {detail}
      </Box>
      {onRetry && (
        <Button variant="act" mr="10px" onClick={onRetry}>
          Try again
        </Button>
      )}
      {!isHome && (
        <Button asChild>
          <a href="/">Home: all sites</a>
        </Button>
      )}
    </Box>
  )
}
