// The way home. Links between screens load them afresh, so that no screen starts from a document that has gone stale.
import type { ReactNode } from 'react'

export function HomeLink({ children }: { readonly children: ReactNode }) {
  return (
    <a href="/" aria-label="Home: all sites" title="Home: all sites">
      {children}
    </a>
  )
}
