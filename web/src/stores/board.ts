import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answer, api, ApiError } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { Reason } from '@/api/types'
import { bases } from '@/lib/board'
import { useSubmit } from '@/lib/useSubmit'

/** What one cell becomes: by what is called out, like another shot's, or, with neither, the same by another reason. */
export interface CellEdit {
  shotId: number
  placement: string
  text?: string
  from?: number
}

/** The carry board of the scene that is open. */
export const useBoard = defineStore('board', () => {
  const sceneId = ref<number>()
  const reason = ref<Reason>('MATCH')
  const note = ref('')
  const read = useRead('board', () => (sceneId.value === undefined ? undefined : { sceneId: sceneId.value }))
  const board = read.data
  // with theirs in sight, asking again puts these on top
  const { error, submit } = useSubmit((refusal: ApiError) => refusal.conflict && void read.again())

  const problem = computed(() => error.value || read.problem.value)
  const based = computed(() => bases(board.value?.shots ?? []))

  /** @param scene to look at, or undefined when nobody looks any more */
  function open(scene: number | undefined) {
    sceneId.value = scene
  }

  /** Keeps edits of cells, all or none. @returns whether they were kept */
  function edit(cells: CellEdit[], why: Reason = reason.value): Promise<boolean> {
    const now = board.value
    if (!now) return Promise.resolve(false)
    return submit(async () => {
      read.show(
        await answer(
          api.POST('/api/scenes/{sceneId}/carry', {
            params: { path: { sceneId: now.sceneId } },
            body: { cells, reason: why, note: note.value || undefined, seen: now.seen },
          }),
        ),
      )
      note.value = ''
      void outdate({ topics: ['RECORD'], sceneId: now.sceneId }, undefined, 'board')
    })
  }

  function dismiss() {
    error.value = ''
  }

  return { board, based, problem, reason, note, open, again: read.again, edit, dismiss }
})
