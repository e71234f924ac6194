import { computed, type ComputedRef, type Ref } from 'vue'
import { outdate, useRead } from '@/api/reads'
import type { Intent } from '@/api/intents'
import type { PullLine, PullList } from '@/api/types'
import { useOutbox, type OutboxItem } from '@/stores/outbox'
import { useSubmit } from './useSubmit'

/** A line as it is counted on this device. */
export interface CountedLine extends PullLine {
  /** Whether its count waits on this device. */
  waits: boolean
  /** A count of this device that somebody else's stands against. */
  clash?: OutboxItem
}

export interface UsePullListReturn {
  list: Ref<PullList | undefined>
  lines: ComputedRef<CountedLine[]>
  toTake: ComputedRef<number>
  missing: ComputedRef<number>
  problem: ComputedRef<string>
  busy: Ref<boolean>
  /** Counts a line; without a network it waits on this device. */
  count: (line: CountedLine, out: number, back: number) => void
  /** Of two counts of a line: that of the other holds, or this device's. */
  settle: (line: CountedLine, mine: boolean) => void
  /** Does something that answers with the list. */
  change: (job: () => Promise<PullList>) => Promise<boolean>
}

const isCount = (item: OutboxItem): item is OutboxItem & { intent: Intent<'pullCount'> } =>
  item.intent.kind === 'pullCount'

/** A pull list with what waits on this device laid over it. */
export function usePullList(of: () => number | undefined): UsePullListReturn {
  const outbox = useOutbox()
  const read = useRead('pullList', () => {
    const id = of()
    return id === undefined ? undefined : { id }
  })
  const { busy, error, submit } = useSubmit()

  const lines = computed(() =>
    (read.data.value?.lines ?? []).map((line): CountedLine => {
      const mine = outbox.waiting.filter(isCount).filter((w) => w.intent.lineId === line.id)
      const last = mine.filter((w) => !w.problem).at(-1)?.intent
      const clash = mine.find((w) => w.problem)
      const { out, back } = last ?? line
      return { ...line, out, back, missing: out - back, waits: !!last, clash }
    }),
  )

  function show(now: PullList) {
    read.show(now)
    void outdate({ topics: ['PULLS'] }, undefined, 'pullList')
  }
  async function send(line: PullLine, out: number, back: number) {
    const now = await outbox.send(
      { kind: 'pullCount', listId: of()!, lineId: line.id, revision: line.version, out, back },
      `${line.item.unit ?? line.item.what.metric} counted ${out} out, ${back} back`,
    )
    if (now) show(now)
  }

  return {
    list: read.data,
    lines,
    toTake: computed(() => lines.value.reduce((all, l) => all + Math.max(0, l.wanted - l.out), 0)),
    missing: computed(() => lines.value.reduce((all, l) => all + l.missing, 0)),
    problem: computed(() => error.value || read.problem.value),
    busy,
    count: (line, out, back) => void submit(() => send(line, out, back)),
    settle(line, mine) {
      const clash = line.clash
      if (!clash || !isCount(clash)) return
      const { out, back } = clash.intent
      void submit(async () => {
        await outbox.drop(clash)
        await read.again()
        const now = read.data.value?.lines.find((l) => l.id === line.id)
        if (mine && now) await send(now, out, back)
      })
    },
    change: (job) => submit(async () => show(await job())),
  }
}
