import { call, ApiError } from '@/api/client'
import type { Attribute, AttributeValue, Placed } from '@/api/types'

interface Asked {
  shotId: number
  placement: string
  attribute: Attribute
  value: AttributeValue
}

export interface UsePreviewReturn {
  /** Asks what a change would give. While one question is on its way only the newest waits. */
  ask: (asked: Asked) => void
  /** Forgets what is on its way: its answer no longer counts. */
  stop: () => void
}

/** Follows a drag with the server's own figures: one request in flight, the latest wins. */
export function usePreview(options: {
  onAnswer: (placed: Placed) => void
  /** The change could not be kept, in words. */
  onRefused: (sentence: string) => void
}): UsePreviewReturn {
  let waiting: Asked | undefined
  let flying = false
  let round = 0

  async function fly() {
    while (waiting) {
      const { shotId, ...body } = waiting
      waiting = undefined
      const mine = round
      try {
        const placed = await call<Placed>('POST', `/api/shots/${shotId}/preview`, { body })
        if (mine === round) options.onAnswer(placed)
      } catch (failure) {
        if (mine === round && failure instanceof ApiError) options.onRefused(failure.message)
      }
    }
  }

  return {
    ask(asked) {
      waiting = asked
      if (flying) return
      flying = true
      void fly().finally(() => (flying = false))
    },
    stop() {
      waiting = undefined
      round++
    },
  }
}
