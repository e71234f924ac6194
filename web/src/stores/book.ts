import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { call, sentence } from '@/api/client'
import type { Book, ProductionPage, ScenePage, ShotCard, ShotLine } from '@/api/types'

export interface FoundShot {
  production: ProductionPage
  scene: ScenePage
  shot: ShotLine
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

  async function load() {
    try {
      book.value = await call<Book>('GET', '/api/book')
      error.value = ''
    } catch (failure) {
      error.value = sentence(failure)
    }
  }

  async function addShot(sceneId: number, card: ShotCard): Promise<number> {
    const shot = await call<{ id: number }>('POST', `/api/scenes/${sceneId}/shots`, { body: card })
    await load()
    return shot.id
  }

  async function changeShot(id: number, card: ShotCard, version: number) {
    await call('PUT', `/api/shots/${id}`, { body: card, version })
    await load()
  }

  async function deleteShot(shot: ShotLine) {
    await call('DELETE', `/api/shots/${shot.id}`, { version: shot.version })
    await load()
  }

  return { book, error, shots, load, addShot, changeShot, deleteShot }
})
