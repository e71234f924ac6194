import {
  computed,
  onBeforeUnmount,
  reactive,
  ref,
  shallowRef,
  watch,
  type ComputedRef,
  type Ref,
  type ShallowRef,
} from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ApiError } from '@/api/client'
import type { Kind, Understood } from '@/api/types'
import { useSettings } from '@/stores/settings'
import { understand } from './figures'
import { useLatest } from './useLatest'

export interface BenchField {
  /** How the server reads it; a field without is a choice or a list, taken as it is. */
  kind?: Kind
  /** What stands in it at first. */
  start: string
}

export type Values = Record<string, number>

export interface UseBenchReturn<P> {
  /** What stands in each field. */
  text: Record<string, string>
  /** What each field needs, in words. */
  problems: Ref<Record<string, string>>
  /** What is wrong with the question as a whole. */
  problem: Ref<string | undefined>
  /** The last good picture. */
  picture: ShallowRef<P | undefined>
  /** Whether the picture is of other values than those in the fields. */
  stale: ComputedRef<boolean>
}

const KEPT_AFTER_MS = 300
const UNITS: Partial<Record<Kind, [metric: string, imperial: string]>> = { LENGTH: ['m', 'ft'], LIGHT: ['lux', 'fc'] }

/**
 * One bench: what is typed goes to the server to be read and answered, the address keeps it, and a refused value leaves
 * the last good picture.
 *
 * @param options.fields for what stands in them now (a choice can bring others), by name, where it can be after the JSON field of the request, so that a refusal finds its way back
 * @param options.draw asks for all that the picture shows, from the values as the server read them (metres, lux)
 */
export function useBench<P>(options: {
  fields: (text: Record<string, string>) => Record<string, BenchField>
  draw: (values: Values) => Promise<P>
}): UseBenchReturn<P> {
  const settings = useSettings()
  const route = useRoute()
  const router = useRouter()
  const text = reactive<Record<string, string>>({})
  const problems = ref<Record<string, string>>({})
  const problem = ref<string>()
  const picture = shallowRef<P>()
  const stale = computed(() => !!problem.value || Object.keys(problems.value).length > 0)
  const imperial = computed(() => settings.units === 'imperial')
  /** What was typed before the units were switched, and what it became. */
  const before = new Map<string, { typed: string; became: string }>()
  let read: Record<string, Understood> = {}

  function fill() {
    for (const [name, field] of Object.entries(options.fields(text))) {
      const asked = route.query[name]
      text[name] ??= typeof asked === 'string' ? asked : field.start
    }
  }
  fill()

  const latest = useLatest({
    send: async (typed: { name: string; kind: Kind; text: string }[]) => {
      const items = await understand(typed)
      read = Object.fromEntries(typed.map((one, i) => [one.name, items[i]!]))
      const wrong = Object.entries(read).filter(([, item]) => item.problem)
      if (wrong.length) return { wrong: Object.fromEntries(wrong.map(([name, item]) => [name, item.problem!])) }
      return {
        drawn: await options.draw(Object.fromEntries(Object.entries(read).map(([name, item]) => [name, item.value!]))),
      }
    },
    onAnswer: (answer) => {
      problems.value = answer.wrong ?? {}
      problem.value = undefined
      if (answer.drawn) {
        const first = !picture.value
        picture.value = answer.drawn
        if (first && imperial.value) inTheirUnits()
      }
    },
    onRefused: (refusal: ApiError) => {
      const name = refusal.field?.split('.').at(-1) ?? ''
      problems.value = name in text ? { [name]: refusal.message } : {}
      problem.value = name in text ? undefined : refusal.message
    },
  })

  function ask() {
    const fields = Object.entries(options.fields(text))
    latest.ask(fields.flatMap(([name, { kind }]) => (kind ? [{ name, kind, text: text[name] ?? '' }] : [])))
  }

  /** With its unit, so that it means the same to whoever opens the address. */
  function shared(name: string, kind?: Kind): string {
    const units = kind && UNITS[kind]
    const typed = text[name] ?? ''
    return units && /^[\d.,/ −-]+$/.test(typed) ? `${typed} ${units[imperial.value ? 1 : 0]}` : typed
  }

  let keeping: ReturnType<typeof setTimeout> | undefined
  const path = route.path
  function keep() {
    clearTimeout(keeping)
    keeping = setTimeout(() => {
      const changed = Object.entries(options.fields(text)).filter(([name, field]) => text[name] !== field.start)
      if (route.path === path)
        void router.replace({
          query: Object.fromEntries(changed.map(([name, field]) => [name, shared(name, field.kind)])),
        })
    }, KEPT_AFTER_MS)
  }
  onBeforeUnmount(() => clearTimeout(keeping))

  watch(
    [text, () => Object.keys(options.fields(text)).join()],
    () => {
      fill()
      ask()
      keep()
    },
    { immediate: true },
  )

  /** Says what stands in the fields in the units that the crew works in. */
  function inTheirUnits() {
    for (const [name, { kind }] of Object.entries(options.fields(text))) {
      const item = read[name]
      const said = imperial.value ? item?.imperial : item?.metric
      if (!kind || !UNITS[kind] || !said) continue
      const was = before.get(name)
      const typed = text[name] ?? ''
      text[name] = was && was.became === typed ? was.typed : said
      before.set(name, { typed, became: text[name] })
    }
  }
  watch(imperial, inTheirUnits)

  return { text, problems, problem, picture, stale }
}
