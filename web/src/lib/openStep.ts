/** The step of a rebuild that was last looked at on this device, so that a label that is scanned knows where its thing hangs. */
export interface OpenStep {
  shotId: number
  runId?: number
  placement: string
  name: string
  slate: string
  /** When, in ms. */
  at: number
}

const KEY = 'oblume.step'
/** Somebody who opened a step yesterday is not there any more. */
const HOLDS_MS = 4 * 3600 * 1000

export function keepOpenStep(step: Omit<OpenStep, 'at'>) {
  try {
    localStorage.setItem(KEY, JSON.stringify({ ...step, at: Date.now() }))
  } catch {
    /* a device without room forgets it */
  }
}

export function openStep(): OpenStep | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as OpenStep | null
    return kept && Date.now() - kept.at < HOLDS_MS ? kept : undefined
  } catch {
    return undefined
  }
}
