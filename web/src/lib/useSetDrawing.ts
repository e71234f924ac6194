import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { DrawnSet, PlanPoint, SetPlan, StageSet } from '@/api/types'
import { cornersOf, drawn, listOf, pieceAt, same, withCorners, type Chosen, type Tool } from './setDrawing'
import { useHistory } from './useHistory'

const EMPTY: StageSet = { name: '', plan: { northDeg: 0, walls: [], openings: [], furniture: [], landmarks: [] } }

export interface UseSetDrawingReturn {
  set: Readonly<Ref<StageSet>>
  plan: ComputedRef<SetPlan>
  tool: Ref<Tool>
  chosen: Ref<Chosen | undefined>
  corners: ComputedRef<PlanPoint[]>
  /** Whether something is drawn that is not kept. */
  changed: ComputedRef<boolean>
  undo: () => void
  /** Shows a set as it is kept, with nothing drawn on it. */
  take: (kept: DrawnSet) => void
  rename: (name: string) => void
  change: (part: Partial<SetPlan>) => void
  put: (list: Chosen['list'], piece: object) => void
  /** Changes parts of the piece that is chosen. */
  replace: (part: object) => void
  remove: () => void
  choose: (piece: Chosen | undefined) => void
  /** Points were clicked with the tool in hand. @returns whether they made a piece */
  finish: (points: PlanPoint[]) => boolean
  /** A corner of what is chosen is dragged; one drag is one step back. */
  corner: (index: number, at: PlanPoint, end: boolean) => void
  pick: (at: PlanPoint, reachM: number) => void
}

/** A set that is drawn, step by step, before it is kept. */
export function useSetDrawing(): UseSetDrawingReturn {
  const history = useHistory<StageSet>(EMPTY)
  const set = history.now
  const plan = computed(() => set.value.plan)
  const tool = ref<Tool>('choose')
  const chosen = ref<Chosen>()
  const corners = computed(() => (chosen.value ? cornersOf(plan.value, chosen.value) : []))
  let before: StageSet | undefined

  function change(part: Partial<SetPlan>) {
    history.set({ ...set.value, plan: { ...plan.value, ...part } })
  }
  function replaced({ list, at }: Chosen, part: object): Partial<SetPlan> {
    return { [list]: listOf(plan.value, list).map((piece, i) => (i === at ? { ...piece, ...part } : piece)) }
  }
  function put(list: Chosen['list'], piece: object) {
    change({ [list]: [...listOf(plan.value, list), piece] })
    chosen.value = { list, at: listOf(plan.value, list).length - 1 }
  }

  return {
    set,
    plan,
    tool,
    chosen,
    corners,
    changed: history.canUndo,
    undo: history.undo,
    take(kept) {
      history.reset(kept.set)
      chosen.value = undefined
    },
    rename: (name) => history.set({ ...set.value, name }),
    change,
    put,
    replace: (part) => chosen.value && change(replaced(chosen.value, part)),
    remove() {
      const gone = chosen.value
      chosen.value = undefined
      if (gone) change({ [gone.list]: listOf(plan.value, gone.list).filter((_, i) => i !== gone.at) })
    },
    choose(piece) {
      tool.value = 'choose'
      chosen.value = piece
    },
    finish(points) {
      const made = drawn(tool.value, points, plan.value)
      if (made) put(made.list, made.piece)
      if (tool.value !== 'wall' && tool.value !== 'landmark') tool.value = 'choose'
      return !!made
    },
    corner(index, at, end) {
      const piece = chosen.value
      if (!piece) return
      before ??= set.value
      const from = corners.value[index]!
      const moved = corners.value.map((p, i) => (i === index || (piece.list === 'walls' && same(p, from)) ? at : p))
      const part = replaced(piece, withCorners(piece.list, moved))
      history.now.value = { ...set.value, plan: { ...plan.value, ...part } }
      if (!end) return
      const after = set.value
      history.now.value = before
      history.set(after)
      before = undefined
    },
    pick: (at, reachM) => (chosen.value = pieceAt(plan.value, at, reachM)),
  }
}
