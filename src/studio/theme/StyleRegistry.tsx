'use client'
// Puts the styles of a server rendering into the head of its stream, where hydration does not look for them.
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { useServerInsertedHTML } from 'next/navigation'
import { useState, type ReactNode } from 'react'

function makeRegistry() {
  const cache = createCache({ key: 'gm' })
  // With `compat` the cache collects what a rendering inserts instead of writing style elements between ours.
  cache.compat = true
  const insert = cache.insert
  let fresh: { readonly name: string; readonly isGlobal: boolean }[] = []
  cache.insert = (...args) => {
    const [selector, serialized] = args
    if (cache.inserted[serialized.name] === undefined) fresh.push({ name: serialized.name, isGlobal: !selector })
    return insert(...args)
  }
  const takeFresh = () => {
    const taken = fresh
    fresh = []
    return taken
  }
  return { cache, takeFresh }
}

export function StyleRegistry({ children }: { readonly children: ReactNode }) {
  const [{ cache, takeFresh }] = useState(makeRegistry)
  useServerInsertedHTML(() => {
    const names = takeFresh()
    const css = (isGlobal: boolean) =>
      names.filter((each) => each.isGlobal === isGlobal).map(({ name }) => ({ name, text: String(cache.inserted[name]) }))
    const own = css(false)
    return (
      <>
        {css(true).map(({ name, text }) => (
          <style key={name} data-emotion={`${cache.key}-global ${name}`} dangerouslySetInnerHTML={{ __html: text }} />
        ))}
        {own.length > 0 && (
          <style
            data-emotion={`${cache.key} ${own.map(({ name }) => name).join(' ')}`}
            dangerouslySetInnerHTML={{ __html: own.map(({ text }) => text).join('') }}
          />
        )}
      </>
    )
  })
  return <CacheProvider value={cache}>{children}</CacheProvider>
}
