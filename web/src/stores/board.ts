import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { ApiError, call, sentence } from '@/api/client'
import type { Board, Reason } from '@/api/types'
import { bases } from '@/lib/board'
import { useBook } from './book'
import { useConnection } from './connection'

/** What one cell becomes: by what is called out, like another shot's, or, with neither, the same by another reason. */
export interface CellEdit {
  shotId: number
  placement: string
  text?: string
  from?: number
}

/** The carry board of the scene that is open. */
export const useBoard = defineStore('board', () => {
  const book = useBook()
  const connection = useConnection()
  const board = shallowRef<Board>()
  const problem = ref('')
  const reason = ref<Reason>('MATCH')
  const note = ref('')
  const saving = ref(false)
  let asked = 0

  const based = computed(() => bases(board.value?.shots ?? []))

  async function load(sceneId: number) {
    asked = sceneId
    if (board.value?.sceneId !== sceneId) board.value = undefined
    try {
      const now = await call<Board>('GET', `/api/scenes/${sceneId}/carry`)
      if (asked === sceneId) board.value = now
    } catch (failure) {
      problem.value = sentence(failure)
    }
  }

  function refresh() {
    return board.value ? load(board.value.sceneId) : Promise.resolve()
  }

  connection.onChanged(['RECORD', 'BOOK', 'LOOKS', 'SET'], (changed) => {
    if (board.value && book.mayConcern(changed, board.value.sceneId)) void refresh()
  })
  connection.onReconnect(() => void refresh())

  /** Keeps edits of cells, all or none. @returns whether they were kept */
  async function edit(cells: CellEdit[], why: Reason = reason.value): Promise<boolean> {
    const now = board.value
    if (!now || saving.value) return false
    saving.value = true
    try {
      board.value = await call<Board>('POST', `/api/scenes/${now.sceneId}/carry`, {
        body: { cells, reason: why, note: note.value || undefined, seen: now.seen },
      })
      problem.value = ''
      note.value = ''
      return true
    } catch (failure) {
      problem.value = sentence(failure)
      // with theirs in sight, asking again puts these on top
      if (failure instanceof ApiError && failure.conflict) await refresh()
      return false
    } finally {
      saving.value = false
    }
  }

  return { board, based, problem, reason, note, saving, load, refresh, edit }
})
