import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { call, sentence } from '@/api/client'
import type { RecordChanged, Book, ProductionPage, ScenePage, ShotCard, BookShot } from '@/api/types'
import { useConnection } from './connection'

export interface FoundShot {
  production: ProductionPage
  scene: ScenePage
  shot: BookShot
}

/** Productions, scenes and shots. */
export const useBook = defineStore('book', () => {
  const book = ref<Book>()
  const error = ref('')

  const shots = computed(() => {
    const found = new Map<number, FoundShot>()
    for (const production of book.value?.productions ?? [])
      for (const scene of production.scenes)
        for (const shot of scene.shots) found.set(shot.id, { production, scene, shot })
    return found
  })

  /** Reads the book again when someone else changed what it lists. */
  const connection = useConnection()
  connection.onChanged(['BOOK'], () => void load())
  connection.onReconnect(() => void load())

  /** Whether a change may be about a scene: it is, unless it is known to be about another. */
  function mayConcern(changed: RecordChanged, sceneId: number): boolean {
    const scene = changed.sceneId ?? (changed.shotId ? shots.value.get(changed.shotId)?.scene.id : undefined)
    return scene === undefined || scene === sceneId
  }

  async function load() {
    try {
      book.value = await call<Book>('GET', '/api/book')
      error.value = ''
    } catch (failure) {
      error.value = sentence(failure)
    }
  }

  /** @param place after which shot, and whether the next one carries from it; last in its scene when it is left out */
  async function addShot(sceneId: number, card: ShotCard, place?: { after: number; next: boolean }): Promise<number> {
    const query = place ? `?after=${place.after}&next=${place.next}` : ''
    const shot = await call<{ id: number }>('POST', `/api/scenes/${sceneId}/shots${query}`, { body: card })
    await load()
    return shot.id
  }

  async function changeShot(id: number, card: ShotCard, version: number) {
    await call('PUT', `/api/shots/${id}`, { body: card, version })
    await load()
  }

  async function deleteShot(shot: BookShot) {
    await call('DELETE', `/api/shots/${shot.id}`, { version: shot.version })
    await load()
  }

  return { book, error, shots, mayConcern, load, addShot, changeShot, deleteShot }
})
