import { defineStore } from 'pinia'
import { computed } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { BookShot, ProductionPage, ScenePage, ShotCard } from '@/api/types'
import { useSession } from './session'

export interface FoundShot {
  production: ProductionPage
  scene: ScenePage
  shot: BookShot
}

/** Productions, scenes and shots. */
export const useBook = defineStore('book', () => {
  const session = useSession()
  const { data: book, problem: error, again } = useRead('book', () => (session.name ? {} : undefined))

  const shots = computed(() => {
    const found = new Map<number, FoundShot>()
    for (const production of book.value?.productions ?? [])
      for (const scene of production.scenes)
        for (const shot of scene.shots) found.set(shot.id, { production, scene, shot })
    return found
  })

  /** The scene of a shot, where it is in the book. */
  function sceneOf(shotId: number): number | undefined {
    return shots.value.get(shotId)?.scene.id
  }

  /** This device changed what the book lists: it is read again, with all that shows of it. */
  const changed = () => outdate({ topics: ['BOOK'] })

  /** @param place after which shot, and whether the next one carries from it; last in its scene when it is left out */
  async function addShot(sceneId: number, body: ShotCard, place?: { after: number; next: boolean }): Promise<number> {
    const params = { path: { sceneId }, query: place }
    const shot = await answer(api.POST('/api/scenes/{sceneId}/shots', { params, body }))
    await changed()
    return shot.id
  }

  async function changeShot(shotId: number, body: ShotCard, version: number) {
    await answer(api.PUT('/api/shots/{shotId}', { params: { path: { shotId }, header: onVersion(version) }, body }))
    await changed()
  }

  async function deleteShot(shot: BookShot) {
    const params = { path: { shotId: shot.id }, header: onVersion(shot.version) }
    await answer(api.DELETE('/api/shots/{shotId}', { params }))
    await changed()
  }

  return { book, error, shots, sceneOf, again, changed, addShot, changeShot, deleteShot }
})
