import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useRead } from '@/api/reads'
import type { JobTimes, MoveStep } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import { useOutbox } from './outbox'

/** What to do to get from one state of the light to another. */
export const useMoves = defineStore('moves', () => {
  const outbox = useOutbox()
  const sides = ref<{ from: string; to: string }>()
  const read = useRead('moves', sides)
  const moves = read.data
  const { error, submit } = useSubmit(() => void read.again())

  const problem = computed(() => error.value || read.problem.value)
  /** Ticks that wait on this device, by the move's key. */
  const waiting = computed(
    () =>
      new Map(outbox.waiting.flatMap(({ intent }) => (intent.kind === 'moveTick' ? [[intent.key, intent.done]] : []))),
  )

  function open(from: string, to: string) {
    sides.value = { from, to }
  }

  function isDone(step: MoveStep): boolean {
    return waiting.value.get(step.key) ?? (!!step.done && !step.done.changedSince)
  }

  function tick(step: MoveStep) {
    if (!moves.value) return Promise.resolve(false)
    const { from, to } = moves.value
    return submit(async () => {
      const done = !isDone(step)
      const now = await outbox.send(
        { kind: 'moveTick', from: from.id, to: to.id, key: step.key, done },
        `${step.words.metric}: ${done ? 'done' : 'not done'}`,
      )
      if (now) read.show(now)
    })
  }

  /** Keeps the crew's own times. Rejects with the sentence to show. */
  async function keepTempo(productionId: number, tempo: JobTimes) {
    const body = {
      minutes: Object.fromEntries(tempo.jobs.map((j) => [j.job, j.minutes])),
      people: Object.fromEntries(tempo.crews.map((c) => [c.department, c.people])),
    }
    await answer(api.PUT('/api/productions/{productionId}/tempo', { params: { path: { productionId } }, body }))
    await read.again()
  }

  return { moves, problem, waiting, open, again: read.again, isDone, tick, keepTempo }
})
