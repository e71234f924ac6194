import { onScopeDispose, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { answer, api, upload } from '@/api/client'
import { outdate } from '@/api/reads'
import type { ArchiveReport, MergeQuestion } from '@/api/types'
import { useSubmit } from './useSubmit'

type Side = NonNullable<MergeQuestion['later']>

export interface UseArchiveReturn {
  /** What taking it in would do; undefined while none is there. */
  report: ShallowRef<ArchiveReport | undefined>
  /** What was done. */
  done: ShallowRef<ArchiveReport | undefined>
  /** Which of both is kept, by question. */
  answers: Ref<Record<string, Side>>
  /** What share was sent, or taken in, 0 to 1; undefined while nothing is on its way. */
  share: Ref<number | undefined>
  busy: Ref<boolean>
  error: Ref<string>
  look: (file: File) => void
  /** Answers all that can be answered by one rule. */
  byRule: (rule: Side | 'LATER') => void
  takeIn: (name: string) => void
  drop: () => void
}

const LOOK_MS = 400

/** An archive that comes in: sent, looked at, taken in. */
export function useArchive(): UseArchiveReturn {
  const report = shallowRef<ArchiveReport>()
  const done = shallowRef<ArchiveReport>()
  const answers = ref<Record<string, Side>>({})
  const share = ref<number>()
  const { busy, error, submit } = useSubmit()
  const at = (id: string) => ({ params: { path: { id } } })
  let looking: ReturnType<typeof setInterval> | undefined

  function watchProgress(id: string) {
    looking = setInterval(() => {
      void answer(api.GET('/api/archives/{id}/progress', at(id)))
        .then((p) => (share.value = p.of ? p.done / p.of : undefined))
        .catch(() => undefined) // the next one may be heard
    }, LOOK_MS)
  }
  function rest() {
    clearInterval(looking)
    share.value = undefined
  }
  onScopeDispose(rest)

  return {
    report,
    done,
    answers,
    share,
    busy,
    error,
    look(file) {
      void submit(async () => {
        report.value = done.value = undefined
        answers.value = {}
        try {
          report.value = await upload<ArchiveReport>('/api/archives', file, (sent) => (share.value = sent))
        } finally {
          rest()
        }
      })
    },
    byRule(rule) {
      for (const q of report.value?.questions ?? []) {
        const side = rule === 'LATER' ? q.later : rule
        if (side) answers.value[q.id] = side
      }
    },
    takeIn(name) {
      const id = report.value!.id
      void submit(async () => {
        watchProgress(id)
        try {
          const body = {
            name: name.trim() || undefined,
            answers: Object.entries(answers.value).map(([question, side]) => ({ id: question, side })),
          }
          done.value = await answer(api.POST('/api/archives/{id}', { ...at(id), body }))
          report.value = undefined
        } finally {
          rest()
        }
        await outdate({ topics: ['BOOK', 'RECORD', 'SET', 'DAYS', 'INVENTORY'] })
      })
    },
    drop() {
      const id = report.value?.id
      report.value = done.value = undefined
      error.value = ''
      if (id) void answer(api.DELETE('/api/archives/{id}', at(id))).catch(() => undefined) // it goes by itself after a day
    },
  }
}
