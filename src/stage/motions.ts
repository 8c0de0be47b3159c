// What moves a stand-in pointer by itself: the path over an element, for ever, or a trace in its own time.
import { pointAt } from '../core/geometry/place'
import { placeOnPath } from '../core/trace/path'
import { stillBoxOf } from './boxes'
import type { RunSample } from './protocol'

export interface Motions {
  readonly is: () => 'path' | 'run' | undefined
  /** Plays the path over an element; one that is under way goes over to it. */
  readonly playPath: (element: Element) => void
  /** Plays a trace of the window in its own time. */
  readonly run: (samples: readonly RunSample[]) => void
  readonly stop: () => void
}

/** `onPath` hears where the pointer is on the window at each frame; `onRun` each sample of a trace, at the time of the page. */
export function makeMotions(
  page: Document,
  onPath: (x: number, y: number) => void,
  onRun: (sample: Omit<RunSample, 'scrollY'>) => void,
): Motions {
  let path: { element: Element; since: number } | null = null
  let run: { readonly samples: readonly RunSample[]; readonly begun: number; readonly scrolledFrom: number; next: number } | null = null
  const stepPath = () => {
    if (!path) return
    const { x, y } = pointAt(stillBoxOf(path.element, 'padding'), placeOnPath(performance.now() - path.since))
    onPath(x, y)
    requestAnimationFrame(stepPath)
  }
  const stepRun = () => {
    if (!run) return
    const { samples, begun, scrolledFrom } = run
    const now = performance.now()
    for (let sample = samples[run.next]; sample && begun + sample.t <= now; sample = samples[++run.next]) {
      const { scrollY, ...heard } = sample
      if (scrollY !== undefined) page.scrollingElement?.scrollTo({ top: scrolledFrom + scrollY, behavior: 'instant' })
      onRun({ ...heard, t: begun + sample.t })
      if (!run) return
    }
    if (run.next >= samples.length) run = null
    else requestAnimationFrame(stepRun)
  }
  return {
    is: () => (path ? 'path' : run ? 'run' : undefined),
    playPath: (element) => {
      const isOn = path !== null
      path = { element, since: performance.now() }
      run = null
      if (!isOn) stepPath()
    },
    run: (samples) => {
      run = { samples, begun: performance.now(), scrolledFrom: page.scrollingElement?.scrollTop ?? 0, next: 0 }
      stepRun()
    },
    stop: () => {
      path = null
      run = null
    },
  }
}
