// Paths of files among what was brought.

/** Whether a path leads to something inside, on every system: not from the root or a drive, not upwards, and to anything at all. */
export const staysInside = (path: string): boolean => path !== '' && !/^[/\\]|^[a-z]:|\0/i.test(path) && !path.split(/[/\\]/).includes('..')

/** The folder of a page among what was brought, with a slash behind it; empty at the top. */
export const folderOf = ({ path = 'index.html' }: { readonly path?: string | undefined }): string =>
  path
    .split('/')
    .slice(0, -1)
    .map((each) => `${each}/`)
    .join('')

/** A name that every file system takes. */
export function fileNameOf(name: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'page'
  )
}
