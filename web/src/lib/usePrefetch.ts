import { watch } from 'vue'
import { READS } from '@/api/reads'
import type { ProductionPage } from '@/api/types'
import { useBook } from '@/stores/book'
import { useConnection } from '@/stores/connection'

const BETWEEN_MS = 150
const SETTLED_MS = 3000
/** Of a very large production the shots nearest to the one that is open are read ahead; of the others the carry board, which holds every knot. */
const MOST_SHOTS = 60

/** Reads the open production ahead, one call after the other while the line stands, so that it can be read without it. */
export function usePrefetch(openShot: () => number | undefined) {
  const book = useBook()
  const connection = useConnection()
  let round = 0
  let settling: ReturnType<typeof setTimeout> | undefined

  async function read(production: ProductionPage) {
    const mine = ++round
    const scenes = production.scenes
    const shots = scenes.flatMap((s) => s.shots.map((shot) => shot.id))
    const at = Math.max(0, shots.indexOf(openShot() ?? -1))
    const from = Math.max(0, Math.min(at - MOST_SHOTS / 2, shots.length - MOST_SHOTS))
    const near = shots.slice(from, from + MOST_SHOTS)
    const kit = () => READS.kit.ask({}, {})
    await readAll(
      [kit, pulls(production.production.id), ...scenes.map((s) => boardOf(s.id)), ...near.flatMap(all)],
      () => mine === round,
    )
  }

  /** The pull lists that are counted on, so that they can be in the store, where no line is. */
  const pulls = (productionId: number) => async () => {
    const { lists } = await READS.pullLists.ask({ productionId }, {})
    for (const list of lists.filter((l) => !l.wrappedAt)) await READS.pullList.ask({ id: list.id }, {})
  }
  const boardOf = (sceneId: number) => () => READS.board.ask({ sceneId }, {})
  function all(shotId: number): (() => Promise<unknown>)[] {
    return [
      () => READS.plot.ask({ shotId }, {}),
      () => READS.rebuild.ask({ shotId }, {}),
      () => READS.meter.ask({ shotId }, {}),
      () => READS.notes.ask({ shotId }, {}),
    ]
  }

  async function readAll(asks: (() => Promise<unknown>)[], wanted: () => boolean) {
    for (const ask of asks) {
      if (!wanted() || !connection.live) return
      await ask().catch(() => undefined)
      await new Promise((done) => setTimeout(done, BETWEEN_MS))
    }
  }

  function soon() {
    clearTimeout(settling)
    settling = setTimeout(() => {
      const shot = openShot()
      const production = (shot !== undefined && book.shots.get(shot)?.production) || book.book?.productions[0]
      if (production && connection.live) void read(production)
    }, SETTLED_MS)
  }

  watch(
    () => [!!book.book, connection.live],
    ([there, live]) => there && live && soon(),
    { immediate: true },
  )
  /* of what others change, what was read ahead of that shot is read anew */
  const dirty = new Set<number>()
  let after: ReturnType<typeof setTimeout> | undefined
  connection.onChanged(({ shotId: id, topics }) => {
    if (!id || !topics.some((t) => ['RECORD', 'BOOK', 'RUNS', 'READINGS'].includes(t))) return
    dirty.add(id)
    clearTimeout(after)
    after = setTimeout(() => {
      const shots = [...dirty]
      dirty.clear()
      const scenes = new Set(shots.flatMap((s) => book.sceneOf(s) ?? []))
      void readAll([...[...scenes].map(boardOf), ...shots.flatMap(all)], () => true)
    }, SETTLED_MS)
  })
}
