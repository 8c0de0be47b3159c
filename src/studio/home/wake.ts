// Wakes a page's picture: its effects play in it, as the studio and the export play them.
import type { StageLink } from '../store/stage-link'

/** Plays the effects of a page in the frame of a link. What it takes is loaded only now. Throws an Error when the site cannot be had. */
export async function playIn(link: StageLink, siteId: string, pageId: string): Promise<void> {
  const [{ planEffects }, { siteSchema }, { makeScriptPlay }, response] = await Promise.all([
    import('../../core/export/plan'),
    import('../../core/site/site'),
    import('../store/scripts'),
    fetch(`/api/sites/${siteId}`),
  ])
  if (!response.ok) throw new Error('This site cannot be had.')
  const site = siteSchema.parse(await response.json())
  const planned = planEffects(site, pageId)
  makeScriptPlay(link, console.error).play(planned, [], site.script?.allows)
}
