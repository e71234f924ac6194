import { ApiError } from '@/api/client'

export interface UseLatestReturn<Q> {
  /** Asks. While one question is on its way only the newest waits. */
  ask: (question: Q) => void
  /** Forgets what is on its way: its answer no longer counts. */
  stop: () => void
}

/** Follows a drag or typing with the server's own figures: one request in flight, the latest wins. */
export function useLatest<Q, A>(options: {
  send: (question: Q) => Promise<A>
  onAnswer: (answer: A) => void
  /** The server refused, in words. */
  onRefused: (refusal: ApiError) => void
}): UseLatestReturn<Q> {
  let waiting: { question: Q } | undefined
  let flying = false
  let round = 0

  async function fly() {
    while (waiting) {
      const { question } = waiting
      waiting = undefined
      const mine = round
      try {
        const answer = await options.send(question)
        if (mine === round) options.onAnswer(answer)
      } catch (failure) {
        if (!(failure instanceof ApiError)) throw failure
        if (mine === round) options.onRefused(failure)
      }
    }
  }

  return {
    ask(question) {
      waiting = { question }
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
