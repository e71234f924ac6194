import { computed, onScopeDispose, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { answer, api, ApiError, onVersion, sentence } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { DayCard, OrderStep, ShootingDay, ShotPlan, TriedOrder } from '@/api/types'
import { moved } from './dayTime'
import { jsonLines } from './jsonLines'
import { useLatest } from './useLatest'
import { useSubmit } from './useSubmit'

export interface UseDayReturn {
  day: Ref<ShootingDay | undefined>
  /** An order that is tried, and not taken. */
  tried: ShallowRef<TriedOrder | undefined>
  /** How far the search for a better order is, 0 to 1; undefined while none goes on. */
  searching: Ref<number | undefined>
  problem: ComputedRef<string>
  order: ComputedRef<number[]>
  tryIt: (shots: number[]) => void
  /** One of them so many places later in what is tried. */
  step: (shot: number, by: number) => void
  take: () => void
  keepMine: () => void
  /** The order before the last that was taken, where there is one. */
  before: Ref<number[] | undefined>
  undo: () => void
  put: (shots: number[]) => void
  keep: (card: DayCard) => Promise<boolean>
  plan: (shotId: number, version: number, plan: ShotPlan) => Promise<boolean>
  /** Tries an order as it is said; whether it was understood. */
  say: (text: string) => Promise<boolean>
  search: () => void
  stop: () => void
}

/** A day that runs moves on without anybody's doing. */
const A_MINUTE_MS = 60_000

/** A shooting day: its shots in time, and an order that is tried beside it. */
export function useDay(of: () => { productionId: number; number: number }): UseDayReturn {
  const {
    data: day,
    problem: unread,
    show,
  } = useRead('day', of, {
    everyMs: (now) => now?.now !== undefined && A_MINUTE_MS,
  })
  const refused = () => void outdate({ topics: ['DAYS'] })
  const { error, submit } = useSubmit(refused)
  const tried = shallowRef<TriedOrder>()
  const searching = ref<number>()
  const before = ref<number[]>()
  let flying: AbortController | undefined
  const params = () => ({ path: of() })
  const latest = useLatest({
    send: (shots: number[]) =>
      answer(api.POST('/api/productions/{productionId}/days/{number}/try', { params: params(), body: { shots } })),
    onAnswer: (now) => {
      tried.value = now
      error.value = ''
    },
    onRefused: (why) => (error.value = why.message),
  })
  const planned = computed(() => day.value?.slots.map((s) => s.shotId) ?? [])
  const order = computed(() => tried.value?.shots ?? planned.value)

  function keepMine() {
    latest.stop()
    tried.value = undefined
  }
  watch(of, () => {
    keepMine()
    stop()
    before.value = undefined
  })

  async function putOrder(shots: number[]) {
    const { version } = day.value!
    const call = api.PUT('/api/productions/{productionId}/days/{number}/order', {
      params: { ...params(), header: onVersion(version) },
      body: { shots },
    })
    before.value = planned.value
    show(await answer(call))
    keepMine()
    await outdate({ topics: ['DAYS', 'BOOK'] }, undefined, 'day')
  }

  function stop() {
    flying?.abort()
    flying = undefined
    searching.value = undefined
  }

  async function search() {
    stop()
    const mine = (flying = new AbortController())
    searching.value = 0
    try {
      const lines = await answer(
        api.POST('/api/productions/{productionId}/days/{number}/best', {
          params: params(),
          parseAs: 'stream',
          signal: mine.signal,
        }),
      )
      for await (const step of jsonLines<OrderStep>(lines)) {
        searching.value = step.done
        if (step.order) tried.value = step.order
      }
    } catch (failure) {
      if (!mine.signal.aborted) error.value = failure instanceof ApiError ? failure.message : sentence(failure)
    } finally {
      if (flying === mine) stop()
    }
  }
  onScopeDispose(stop)

  return {
    day,
    tried,
    searching,
    problem: computed(() => error.value || unread.value || ''),
    order,
    tryIt: latest.ask,
    step(shot, by) {
      const at = order.value.indexOf(shot)
      const next = moved(order.value, shot, at + by)
      if (at + by >= 0 && at + by < order.value.length) latest.ask(next)
    },
    take() {
      const shots = tried.value?.shots
      if (shots) void submit(() => putOrder(shots))
    },
    keepMine,
    before,
    undo() {
      const shots = before.value
      if (shots)
        void submit(async () => {
          await putOrder(shots)
          before.value = undefined
        })
    },
    put: (shots) => void submit(() => putOrder(shots)),
    keep: (card) =>
      submit(async () => {
        const header = onVersion(day.value!.version)
        const call = api.PUT('/api/productions/{productionId}/days/{number}', {
          params: { ...params(), header },
          body: card,
        })
        show(await answer(call))
        await outdate({ topics: ['DAYS'] }, undefined, 'day')
      }),
    plan: (shotId, version, plan) =>
      submit(async () => {
        const header = onVersion(version)
        await answer(api.PUT('/api/shots/{shotId}/plan', { params: { path: { shotId }, header }, body: plan }))
        await outdate({ topics: ['DAYS'] })
      }),
    say: (text) =>
      submit(async () => {
        const body = { shots: order.value, text }
        tried.value = await answer(
          api.POST('/api/productions/{productionId}/days/{number}/say', { params: params(), body }),
        )
      }),
    search: () => void search(),
    stop,
  }
}
