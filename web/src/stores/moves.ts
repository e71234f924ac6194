import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { call, sentence } from '@/api/client'
import type { MoveStep, Moves, JobTimes } from '@/api/types'
import { useConnection } from './connection'
import { useOutbox } from './outbox'

/** What to do to get from one state of the light to another. */
export const useMoves = defineStore('moves', () => {
  const outbox = useOutbox()
  const connection = useConnection()
  const moves = shallowRef<Moves>()
  const problem = ref('')
  let asked = ''

  const sides = computed(() => (moves.value ? `from=${moves.value.from.id}&to=${moves.value.to.id}` : ''))
  /** Ticks that wait on this device, by the move's key. */
  const waiting = computed(
    () =>
      new Map(
        outbox.waiting.flatMap((w): [string, boolean][] =>
          w.label.startsWith('tick ') && w.path.includes('/moves/ticks')
            ? [[w.label.slice(5), w.method === 'PUT']]
            : [],
        ),
      ),
  )

  async function load(from: string, to: string) {
    asked = `${from} ${to}`
    if (moves.value && (moves.value.from.id !== from || moves.value.to.id !== to)) moves.value = undefined
    try {
      const now = await call<Moves>('GET', `/api/moves?from=${from}&to=${to}`)
      if (asked === `${from} ${to}`) moves.value = now
      problem.value = ''
    } catch (failure) {
      problem.value = sentence(failure)
    }
  }

  function refresh() {
    return moves.value ? load(moves.value.from.id, moves.value.to.id) : Promise.resolve()
  }
  connection.onChanged(['RECORD', 'BOOK', 'MOVES', 'LOOKS'], () => void refresh())
  connection.onReconnect(() => void refresh())

  function isDone(step: MoveStep): boolean {
    return waiting.value.get(step.key) ?? (!!step.done && !step.done.changedSince)
  }

  async function tick(step: MoveStep) {
    if (!moves.value) return
    const { from, to } = moves.value
    const off = isDone(step)
    try {
      const now = await outbox.send<Moves>({
        method: off ? 'DELETE' : 'PUT',
        path: off ? `/api/moves/ticks?${sides.value}&key=${encodeURIComponent(step.key)}` : '/api/moves/ticks',
        body: off ? undefined : { from: from.id, to: to.id, key: step.key },
        label: `tick ${step.key}`,
      })
      if (now) moves.value = now
      problem.value = ''
    } catch (failure) {
      problem.value = sentence(failure)
      await refresh()
    }
  }

  /** Keeps the crew's own times. Rejects with the sentence to show. */
  async function keepTempo(productionId: number, tempo: JobTimes) {
    await call('PUT', `/api/productions/${productionId}/tempo`, {
      body: {
        minutes: Object.fromEntries(tempo.jobs.map((j) => [j.job, j.minutes])),
        people: Object.fromEntries(tempo.crews.map((c) => [c.department, c.people])),
      },
    })
    await refresh()
  }

  return { moves, problem, waiting, load, refresh, isDone, tick, keepTempo }
})
