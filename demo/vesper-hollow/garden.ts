// The demo's page "The garden": the motto round the corner of its wall.
import { pageOf } from './house-style'

/** What the wall is made of, and its own colour in shade. */
export const wall = { stone: '#77805f', shade: '#2c3a26' } as const

const styles = `
  .corner { position: relative; padding: 210px 0 260px; overflow: clip; background: linear-gradient(#14302d 0, #1c3d33 46%, #30442c 46%, #1d2c20); }
  .motto { position: relative; margin: 0 9%; padding: 34px 0; font-weight: 420; font-size: clamp(44px, 8.2vw, 118px); line-height: 1.02; letter-spacing: -0.025em; text-align: center; color: #f3ecd0; }
  .garden-words { display: grid; grid-template-columns: repeat(3, 1fr); gap: 44px; padding: 72px; }
  .garden-words h3 { margin: 0 0 8px; font: 440 24px/1.15 "Hollow Display", serif; color: #f5ecd2; }
  .garden-words p { margin: 0; color: var(--leaf); }
  @media (max-width: 900px) { .corner { padding: 130px 0 170px; } .garden-words { grid-template-columns: 1fr; padding: 44px 24px; } }
`

export function gardenPage(): string {
  return pageOf('The garden', 'The garden', styles, `
    <section class="corner">
      <h1 class="motto">What opens after dark is worth the walk</h1>
    </section>
    <section class="garden-words">
      <div><h3>The wall</h3><p>Four hundred paces round, built from the stones of the old mill. The motto was cut by the first warden, who could not stop at the corner.</p></div>
      <div><h3>The beds</h3><p>Five of them, planted by the hour at which they open. The last one opens for an hour a year, and we ring the bell.</p></div>
      <div><h3>The ditch</h3><p>Not a path. It belongs to the marsh lanterns and to the mist, and it keeps your shoes.</p></div>
    </section>`)
}
