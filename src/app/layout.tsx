import '@fontsource-variable/commissioner/wght.css'
import '@fontsource/fragment-mono/400.css'
import type { Metadata } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { Theme } from '@/studio/theme/Theme'

export const metadata: Metadata = { title: 'Glass Moth', description: 'Make elements of a web page answer the pointer.' }

export default async function Layout({ children }: { readonly children: ReactNode }) {
  // Every page is rendered for its request, since its policy carries a nonce of its own.
  await headers()
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Theme>{children}</Theme>
      </body>
    </html>
  )
}
