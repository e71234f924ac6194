import { notifyManager, QueryClient, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type ComputedRef, type MaybeRefOrGetter, type Ref } from 'vue'
import { answer, api, ONLY_NOW, sentence } from './client'
import type { RecordChanged, Topic } from './types'

type Way = { signal?: AbortSignal }

interface Read<P, T> {
  /** Changes of these make it out of date. */
  topics: readonly Topic[]
  ask: (params: P, way: Way) => Promise<T>
}

function read<P, T>(topics: readonly Topic[], ask: Read<P, T>['ask']): Read<P, T> {
  return { topics, ask }
}

interface OfShot {
  shotId: number
}
interface OfDay {
  productionId: number
  number: number
}
interface OfProduction {
  productionId: number
}
interface OfScene {
  sceneId: number
}
/** Two states of the light: a shot, a revision of one, a saved look. */
interface Sides {
  from: string
  to: string
}

/** One of them: what is shown of it alone. */
interface OfState {
  side: string
}

const blob = (call: Parameters<typeof answer>[0]) => answer(call) as Promise<unknown> as Promise<Blob>

/** What changes what is wanted of the kit, and what there is of it. */
const WANTED = ['INVENTORY', 'RECORD', 'BOOK', 'DAYS', 'SET', 'KIT'] as const

const JUDGED = ['RECORD', 'BOOK', 'SET', 'READINGS', 'RUNS', 'MATCH'] as const

/** All that is read and shown for longer than a dialog is open: by which call, and what makes it out of date. */
export const READS = {
  day: read(['DAYS', 'BOOK', 'RECORD', 'SET', 'MOVES', 'TAKES'], (path: OfDay, way) =>
    answer(api.GET('/api/productions/{productionId}/days/{number}', { ...way, params: { path } })),
  ),
  dayFeeds: read(
    ['DAYS', 'BOOK', 'RECORD', 'SET', 'MOVES', 'TAKES'],
    ({ productionId, number, ...query }: OfDay & { order?: number[]; lower?: number; mains?: string[] }, way) =>
      answer(
        api.GET('/api/productions/{productionId}/days/{number}/feeds', {
          ...way,
          params: { path: { productionId, number }, query },
        }),
      ),
  ),
  dayEarlier: read(['DAYS', 'BOOK'], (path: OfDay, way) =>
    answer(api.GET('/api/productions/{productionId}/days/{number}/earlier', { ...way, params: { path } })),
  ),
  powerEarlier: read(['SET'], (path: { setId: number }, way) =>
    answer(api.GET('/api/sets/{setId}/power/earlier', { ...way, params: { path } })),
  ),
  planEarlier: read(['DAYS'], (path: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/plan/earlier', { ...way, params: { path } })),
  ),
  days: read(['DAYS', 'BOOK'], (path: { productionId: number }, way) =>
    answer(api.GET('/api/productions/{productionId}/days', { ...way, params: { path } })),
  ),
  sun: read(['RECORD', 'SET', 'BOOK', 'DAYS'], ({ shotId, date }: OfShot & { date?: string }, way) =>
    answer(api.GET('/api/shots/{shotId}/sun', { ...way, params: { path: { shotId }, query: { date } } })),
  ),
  power: read(['RECORD', 'BOOK', 'SET'], ({ shotId, lower }: OfShot & { lower: number }, way) =>
    answer(api.GET('/api/shots/{shotId}/power', { ...way, params: { path: { shotId }, query: { lower } } })),
  ),
  inventory: read(['INVENTORY', 'RECORD', 'BOOK'], (path: OfProduction, way) =>
    answer(api.GET('/api/productions/{productionId}/kit', { ...way, params: { path } })),
  ),
  kitAhead: read(WANTED, (path: OfProduction, way) =>
    answer(api.GET('/api/productions/{productionId}/kit/ahead', { ...way, params: { path } })),
  ),
  kitUnit: read([...WANTED, 'READINGS', 'NOTES'], (path: OfProduction & { id: number }, way) =>
    answer(api.GET('/api/productions/{productionId}/kit/units/{id}', { ...way, params: { path } })),
  ),
  unitEarlier: read(['INVENTORY'], (path: OfProduction & { id: number }, way) =>
    answer(api.GET('/api/productions/{productionId}/kit/units/{id}/earlier', { ...way, params: { path } })),
  ),
  countedEarlier: read(['INVENTORY'], (path: OfProduction & { id: number }, way) =>
    answer(api.GET('/api/productions/{productionId}/kit/counted/{id}/earlier', { ...way, params: { path } })),
  ),
  dayKit: read(WANTED, (path: OfDay, way) =>
    answer(api.GET('/api/productions/{productionId}/days/{number}/kit', { ...way, params: { path } })),
  ),
  dayStandIns: read([...WANTED, 'READINGS'], (path: OfDay, way) =>
    answer(api.GET('/api/productions/{productionId}/days/{number}/kit/stand-ins', { ...way, params: { path } })),
  ),
  shotKit: read(WANTED, (path: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/kit', { ...way, params: { path } })),
  ),
  freeUnits: read(WANTED, (path: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/kit/free', { ...way, params: { path } })),
  ),
  sceneKit: read(WANTED, (path: OfScene, way) =>
    answer(api.GET('/api/scenes/{sceneId}/kit', { ...way, params: { path } })),
  ),
  sets: read(['SET', 'BOOK'], (path: OfProduction, way) =>
    answer(api.GET('/api/productions/{productionId}/sets', { ...way, params: { path } })),
  ),
  pullLists: read(['PULLS'], (path: OfProduction, way) =>
    answer(api.GET('/api/productions/{productionId}/pull-lists', { ...way, params: { path } })),
  ),
  pullList: read(['PULLS'], (path: { id: number }, way) =>
    answer(api.GET('/api/pull-lists/{id}', { ...way, params: { path } })),
  ),
  pullSince: read([...WANTED, 'PULLS'], (path: { id: number }, way) =>
    answer(api.GET('/api/pull-lists/{id}/since', { ...way, params: { path } })),
  ),
  scanned: read(['INVENTORY', 'RECORD', 'BOOK'], (path: { tag: string }, way) =>
    answer(api.GET('/api/units/{tag}', { ...way, params: { path } })),
  ),
  archives: read(['BOOK'], (path: OfProduction, way) =>
    answer(api.GET('/api/productions/{productionId}/archives', { ...way, ...ONLY_NOW, params: { path } })),
  ),
  deleted: read(['BOOK'], (_: object, way) => answer(api.GET('/api/deleted', { ...way, ...ONLY_NOW }))),
  found: read(['BOOK', 'RECORD', 'NOTES', 'TAKES', 'LOOKS', 'DAYS', 'INVENTORY', 'SET'], (query: { q: string }, way) =>
    answer(api.GET('/api/search', { ...way, ...ONLY_NOW, params: { query } })),
  ),
  copies: read(['COPIES'], (_: object, way) => answer(api.GET('/api/copies', { ...way, ...ONLY_NOW }))),
  board: read(['RECORD', 'BOOK', 'LOOKS', 'SET'], ({ sceneId }: OfScene, way) =>
    answer(api.GET('/api/scenes/{sceneId}/carry', { ...way, params: { path: { sceneId } } })),
  ),
  book: read(['BOOK'], (_: object, way) => answer(api.GET('/api/book', way))),
  bust: read(['RECORD', 'BOOK', 'SET', 'READINGS', 'LOOKS'], (of: OfShot | OfState, way) =>
    'side' in of
      ? answer(api.GET('/api/compare/bust', { ...way, params: { query: of } }))
      : answer(
          api.POST('/api/shots/{shotId}/light/bust', {
            ...way,
            params: { path: of },
            body: { changes: [], holds: [], out: [] },
          }),
        ),
  ),
  compare: read(['RECORD', 'BOOK', 'LOOKS'], (query: Sides, way) =>
    answer(api.GET('/api/compare', { ...way, params: { query } })),
  ),
  diagnosis: read(JUDGED, ({ runId }: { runId: number }, way) =>
    answer(api.GET('/api/runs/{id}/diagnosis', { ...way, params: { path: { id: runId } } })),
  ),
  frame: read(
    ['RECORD', 'BOOK', 'SET', 'READINGS', 'LOOKS'],
    (of: (OfShot & { width: number; cue?: number }) | OfState, way) => {
      const picture = { ...way, ...ONLY_NOW, parseAs: 'blob' } as const
      if ('side' in of) return blob(api.GET('/api/compare/frame.png', { ...picture, params: { query: of } }))
      const { shotId, ...query } = of
      return blob(api.GET('/api/shots/{shotId}/frame.png', { ...picture, params: { path: { shotId }, query } }))
    },
  ),
  history: read(['RECORD', 'BOOK'], ({ shotId, ...query }: OfShot & { placement?: string; before?: number }, way) =>
    answer(api.GET('/api/shots/{shotId}/history', { ...way, params: { path: { shotId }, query } })),
  ),
  kit: read(['KIT'], (_: object, way) => answer(api.GET('/api/kit', way))),
  match: read(JUDGED, ({ sceneId }: OfScene, way) =>
    answer(api.GET('/api/scenes/{sceneId}/match', { ...way, params: { path: { sceneId } } })),
  ),
  meter: read(JUDGED, ({ shotId, run }: OfShot & { run?: number }, way) =>
    answer(api.GET('/api/shots/{shotId}/readings', { ...way, params: { path: { shotId }, query: { run } } })),
  ),
  monitor: read(['MATCH'], ({ sceneId }: OfScene, way) =>
    answer(api.GET('/api/scenes/{sceneId}/monitor', { ...way, params: { path: { sceneId } } })),
  ),
  moves: read(['RECORD', 'BOOK', 'MOVES', 'LOOKS'], (query: Sides, way) =>
    answer(api.GET('/api/moves', { ...way, params: { query } })),
  ),
  notes: read(['NOTES'], (of: OfShot | { setId: number }, way) =>
    'setId' in of
      ? answer(api.GET('/api/sets/{setId}/notes', { ...way, params: { path: of } }))
      : answer(api.GET('/api/shots/{shotId}/notes', { ...way, params: { path: of } })),
  ),
  output: read(['OUTPUT', 'RECORD'], (_: object, way) => answer(api.GET('/api/output', { ...way, ...ONLY_NOW }))),
  patch: read(['RECORD', 'NODES', 'BOOK'], ({ shotId }: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/patch', { ...way, params: { path: { shotId } } })),
  ),
  plot: read(['RECORD', 'BOOK', 'SET', 'READINGS'], ({ shotId, asOf }: OfShot & { asOf?: number }, way) =>
    answer(api.GET('/api/shots/{shotId}/plot', { ...way, params: { path: { shotId }, query: { asOf } } })),
  ),
  readBack: read(['OUTPUT', 'RECORD', 'NODES'], ({ shotId }: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/readback', { ...way, ...ONLY_NOW, params: { path: { shotId } } })),
  ),
  rebuild: read(['RECORD', 'BOOK', 'SET', 'RUNS'], ({ shotId, run }: OfShot & { run?: number }, way) =>
    run === undefined
      ? answer(api.GET('/api/shots/{shotId}/rebuild', { ...way, params: { path: { shotId } } }))
      : answer(api.GET('/api/runs/{id}', { ...way, params: { path: { id: run } } })),
  ),
  recall: read(['OUTPUT', 'RECORD', 'NODES'], ({ shotId }: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/recall', { ...way, ...ONLY_NOW, params: { path: { shotId } } })),
  ),
  revisions: read(['RECORD', 'BOOK'], ({ shotId }: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/revisions', { ...way, params: { path: { shotId } } })),
  ),
  rig: read(['OUTPUT'], (_: object, way) => answer(api.GET('/api/rig', { ...way, ...ONLY_NOW }))),
  runStill: read(['NOTES', 'RUNS', 'MATCH'], ({ runId }: { runId: number }, way) =>
    answer(api.GET('/api/runs/{id}/still', { ...way, params: { path: { id: runId } } })),
  ),
  still: read([...JUDGED, 'NOTES'], ({ id }: { id: number }, way) =>
    answer(api.GET('/api/stills/{id}', { ...way, params: { path: { id } } })),
  ),
  stillPair: read(['NOTES', 'MATCH'], (path: { first: number; second: number }, way) =>
    answer(api.GET('/api/stills/{first}/beside/{second}', { ...way, params: { path } })),
  ),
  stills: read(['NOTES', 'BOOK', 'RUNS'], ({ sceneId }: OfScene, way) =>
    answer(api.GET('/api/scenes/{sceneId}/stills', { ...way, params: { path: { sceneId } } })),
  ),
  survey: read(['NOTES', 'RECORD', 'BOOK', 'SET', 'RUNS'], ({ shotId, round }: OfShot & { round?: string }, way) =>
    answer(api.GET('/api/shots/{shotId}/survey', { ...way, params: { path: { shotId }, query: { round } } })),
  ),
  takes: read(['TAKES'], ({ shotId }: OfShot, way) =>
    answer(api.GET('/api/shots/{shotId}/takes', { ...way, params: { path: { shotId } } })),
  ),
  verdict: read(JUDGED, ({ runId }: { runId: number }, way) =>
    answer(api.GET('/api/runs/{id}/verdict', { ...way, params: { path: { id: runId } } })),
  ),
} as const

export type ReadName = keyof typeof READS
export type ParamsOf<N extends ReadName> = Parameters<(typeof READS)[N]['ask']>[0]
export type AnswerOf<N extends ReadName> = Awaited<ReturnType<(typeof READS)[N]['ask']>>

/* What an edit answered is there when the next one is made. */
notifyManager.setScheduler((tell) => tell())

/** What is on the screen is current, or is read: nothing is shown again that another may have changed since. */
export const reads = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always', // without a network this device's own copy answers
      retry: false,
      gcTime: 0,
      structuralSharing: false, // what was read anew counts as new: the light is asked again for it
      refetchOnWindowFocus: false,
      refetchOnReconnect: false,
    },
  },
})

export interface UseReadReturn<N extends ReadName> {
  data: Ref<AnswerOf<N> | undefined>
  /** Why it could not be read, or empty. */
  problem: ComputedRef<string>
  /** Shows what an edit answered; what is on its way is older, and comes too late. */
  show: (now: AnswerOf<N>) => void
  /** Reads it again. */
  again: () => Promise<unknown>
}

export interface UseReadOptions<N extends ReadName> {
  /** Goes on showing what was read before, until the other is read. */
  keepBefore?: boolean
  /** Reads it again after so many ms while the page is seen, or not when false. */
  everyMs?: (now: AnswerOf<N> | undefined) => number | false
  /** Wraps each call. */
  inTurn?: <T>(job: () => Promise<T>) => Promise<T>
}

/**
 * Reads something and keeps it current while the caller lives.
 *
 * @param of what it is asked of; nothing is asked while undefined
 */
export function useRead<N extends ReadName>(
  name: N,
  of: MaybeRefOrGetter<ParamsOf<N> | undefined>,
  { keepBefore, everyMs, inTurn = (job) => job() }: UseReadOptions<N> = {},
): UseReadReturn<N> {
  const ask = READS[name].ask as (params: ParamsOf<N>, way: Way) => Promise<AnswerOf<N>>
  const queryKey = computed(() => [name, toValue(of)] as const)
  const query = useQuery<AnswerOf<N>, Error, AnswerOf<N>, readonly [N, ParamsOf<N> | undefined]>(
    {
      queryKey,
      queryFn: ({ queryKey: [, params], signal }) => inTurn(() => ask(params!, { signal })),
      enabled: () => toValue(of) !== undefined,
      placeholderData: keepBefore ? (before: AnswerOf<N> | undefined) => before as never : undefined,
      refetchInterval: everyMs ? ({ state }) => everyMs(state.data) : false,
      shallow: true,
    },
    reads,
  )
  return {
    data: query.data as Ref<AnswerOf<N> | undefined>,
    problem: computed(() => (query.error.value ? sentence(query.error.value) : '')),
    show(now) {
      void reads.cancelQueries({ queryKey: queryKey.value })
      reads.setQueryData(queryKey.value, now as never)
    },
    again: () => query.refetch(),
  }
}

/**
 * Reads again what a change made out of date; what nobody looks at is forgotten.
 *
 * @param changed topics, and the scene or shot that the change is known to be about
 * @param sceneOf the scene of a shot, where known
 * @param but a read that is current already
 * @returns when it is read
 */
export async function outdate(
  changed: { topics: readonly Topic[] } & Partial<RecordChanged>,
  sceneOf: (shotId: number) => number | undefined = () => undefined,
  but?: ReadName,
): Promise<void> {
  const scene = changed.sceneId ?? (changed.shotId === undefined ? undefined : sceneOf(changed.shotId))
  await reads.invalidateQueries({
    predicate: ({ queryKey }) => {
      const [name, of] = queryKey as [ReadName, { sceneId?: number; shotId?: number } | undefined]
      if (name === but || !READS[name].topics.some((topic) => changed.topics.includes(topic))) return false
      const mine = of?.sceneId ?? (of?.shotId === undefined ? undefined : sceneOf(of.shotId))
      return scene === undefined || mine === undefined || mine === scene
    },
  })
}

/** Reads all again that is shown: the line stood still, or what waited is sent. */
export async function outdateAll(): Promise<void> {
  await reads.invalidateQueries()
}
