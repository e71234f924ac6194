import { onScopeDispose, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { answer, api, ApiError } from '@/api/client'
import type { FrameQuestion, FrameStep, PredictedFrame } from '@/api/types'
import { jsonLines } from './jsonLines'

export interface UseFrameReturn {
  frame: ShallowRef<PredictedFrame | undefined>
  /** How far the next one is, 0 to 1; undefined when none is on its way. */
  done: Ref<number | undefined>
  refused: Ref<string>
}

export interface AskedFrame {
  shotId: number
  /** Name of the curve that its percents are read through, where that is known. */
  through?: string
  body: FrameQuestion
}

const BROKE_OFF = 'The picture broke off on its way. Check the network; the next change asks for it again.'

/** Each step of a picture that comes about. */
export async function* frameSteps({ shotId, body }: AskedFrame, signal: AbortSignal): AsyncGenerator<FrameStep> {
  yield* jsonLines<FrameStep>(
    await answer(
      api.POST('/api/shots/{shotId}/light/frame', { params: { path: { shotId } }, body, parseAs: 'stream', signal }),
    ),
  )
}

/**
 * Follows what is asked with pictures: first coarse, then whole. What is asked meanwhile waits for the coarse one, so that a drag is seen
 * as it goes on, and then stops the rest.
 */
export function useFrame(question: () => AskedFrame | undefined): UseFrameReturn {
  const frame = shallowRef<PredictedFrame>()
  const done = ref<number>()
  const refused = ref('')
  let waiting: AskedFrame | undefined
  let shown: number | undefined
  let flying: { stop: AbortController; seen: boolean } | undefined

  async function one(asked: AskedFrame) {
    const mine = { stop: new AbortController(), seen: false }
    flying = mine
    done.value = 0
    try {
      for await (const step of frameSteps(asked, mine.stop.signal)) {
        done.value = step.done
        refused.value = step.refused ?? ''
        if (!step.frame) continue
        frame.value = step.frame
        mine.seen = true
        if (waiting) mine.stop.abort()
      }
    } catch (failure) {
      if (mine.stop.signal.aborted) return
      refused.value = failure instanceof ApiError ? failure.message : BROKE_OFF
      frame.value = undefined
    }
  }

  async function fly() {
    while (waiting) {
      const next = waiting
      waiting = undefined
      await one(next)
    }
    flying = undefined
    done.value = undefined
  }

  watch(
    question,
    (now) => {
      if (!now) return
      if (now.shotId !== shown) frame.value = undefined
      shown = now.shotId
      waiting = now
      if (!flying) void fly()
      else if (flying.seen) flying.stop.abort()
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    waiting = undefined
    flying?.stop.abort()
  })
  return { frame, done, refused }
}
