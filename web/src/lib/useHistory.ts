import { computed, ref, shallowRef, type ComputedRef, type ShallowRef } from 'vue'

export interface UseHistoryReturn<T> {
  now: ShallowRef<T>
  set: (next: T) => void
  undo: () => void
  reset: (to: T) => void
  canUndo: ComputedRef<boolean>
}

const MOST_STEPS = 200

/** A value that is edited step by step before it is kept, with a way back. */
export function useHistory<T>(start: T): UseHistoryReturn<T> {
  const now = shallowRef(start) as ShallowRef<T>
  const before = ref<T[]>([]) as { value: T[] }
  return {
    now,
    set(next) {
      before.value = [...before.value, now.value].slice(-MOST_STEPS)
      now.value = next
    },
    undo() {
      const last = before.value.at(-1)
      if (last === undefined) return
      before.value = before.value.slice(0, -1)
      now.value = last
    },
    reset(to) {
      before.value = []
      now.value = to
    },
    canUndo: computed(() => before.value.length > 0),
  }
}
