import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { Rebuild, Step } from '@/api/types'
import { useConnection } from '@/stores/connection'
import { useOutbox } from '@/stores/outbox'
import { useSubmit } from './useSubmit'

const ROLE: Record<string, string> = { SUBJECT: 'frame first', CAMERA: 'frame first', NEGATIVE_FILL: 'negative fill' }

/** What a thing is there for, in a word. */
export function roleOf(step: Step): string {
  const { role } = step.placed.placement
  return ROLE[role] ?? role.toLowerCase()
}

export interface UseRebuildReturn {
  sheet: Ref<Rebuild | undefined>
  /** Index of the step in hand. */
  at: Ref<number>
  step: ComputedRef<Step | undefined>
  next: ComputedRef<Step | undefined>
  /** How many are done. */
  done: ComputedRef<number>
  error: ComputedRef<string>
  busy: Ref<boolean>
  isDone: (step: Step) => boolean
  /** Whether the tick of a step waits on this device. */
  waits: (step: Step) => boolean
  /** Ticks the step in hand and goes on to the next. */
  tick: () => Promise<void>
  untick: () => Promise<void>
  /** The rebuild that something is said of; one begins when there is none yet. */
  begin: () => Promise<number | undefined>
  /** Goes on with a record that was changed meanwhile, or begins again with it. */
  decide: (how: 'continue' | 'restart') => void
  again: () => Promise<unknown>
  /** Shows what an edit answered. */
  show: (sheet: Rebuild) => void
}

/**
 * The rebuild of a shot, step by step.
 *
 * @param of the shot, and the rebuild that was chosen; without one ticks go to the open one, which begins with the first
 */
export function useRebuild(of: () => { shotId: number; run?: number }): UseRebuildReturn {
  const outbox = useOutbox()
  const connection = useConnection()
  const read = useRead('rebuild', of)
  const sheet = read.data
  const at = ref(0)
  const { busy, error: refused, submit } = useSubmit()
  const step = computed(() => sheet.value?.steps[at.value])
  const next = computed(() => sheet.value?.steps[at.value + 1])

  /** Ticks that wait on this device, by the thing's key: done, or not done after all. */
  const waiting = computed(() => {
    const { shotId, run } = of()
    return new Map(
      outbox.waiting.flatMap(({ intent }): [string, boolean][] =>
        intent.kind === 'rebuildTick' && (run === undefined ? intent.shotId === shotId : intent.runId === run)
          ? [[intent.placement, intent.done]]
          : [],
      ),
    )
  })
  const isDone = (s: Step) => waiting.value.get(s.placed.placement.key) ?? (!!s.done && !s.done.changedSince)
  const done = computed(() => sheet.value?.steps.filter(isDone).length ?? 0)

  function show(now: Rebuild) {
    read.show(now)
    refused.value = ''
    void outdate({ topics: ['RUNS'] }, undefined, 'rebuild')
  }

  /* a rebuild that is opened goes on where it is not done yet */
  let opened = ''
  watch(
    [() => `${of().shotId} ${of().run}`, sheet],
    ([which, now]) => {
      connection.viewShot(of().shotId)
      if (!now || opened === which) return
      opened = which
      at.value = Math.max(
        0,
        now.steps.findIndex((s) => !isDone(s)),
      )
    },
    { immediate: true },
  )

  function send(isDoneNow: boolean) {
    const { key, name } = step.value!.placed.placement
    const { shotId, run } = of()
    return submit(async () => {
      const now = await outbox.send(
        { kind: 'rebuildTick', shotId, runId: run, placement: key, done: isDoneNow },
        `${name} ${isDoneNow ? 'done' : 'not done'} in ${sheet.value?.slate ?? ''}`,
      )
      if (now) show(now)
    })
  }

  return {
    sheet,
    at,
    step,
    next,
    done,
    error: computed(() => refused.value || read.problem.value),
    busy,
    isDone,
    waits: (s) => waiting.value.has(s.placed.placement.key),
    async tick() {
      if (step.value && (await send(true)) && next.value) at.value++
    },
    async untick() {
      if (step.value) await send(false)
    },
    async begin() {
      if (sheet.value?.run) return sheet.value.run.id
      const params = { path: { shotId: of().shotId } }
      const now = await answer(api.POST('/api/shots/{shotId}/runs', { params, body: { pairs: [], mirrored: false } }))
      show(now)
      return now.run?.id
    },
    decide(how) {
      const id = sheet.value?.run?.id
      if (id === undefined) return
      const at = { params: { path: { id } } }
      void submit(async () =>
        show(
          await answer(
            how === 'continue' ? api.POST('/api/runs/{id}/continue', at) : api.POST('/api/runs/{id}/restart', at),
          ),
        ),
      )
    },
    again: read.again,
    show,
  }
}
