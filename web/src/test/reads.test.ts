// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { outdate, READS, useRead } from '@/api/reads'
import { useFreshReads } from '@/lib/useFreshReads'
import { useBook } from '@/stores/book'
import { useSession } from '@/stores/session'
import { fakeServer, GAFFER, SilentStream, type FakeServer } from './server'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

let server: FakeServer
beforeEach(() => {
  server = fakeServer()
  server.pages['/api/book'] = () => ({
    productions: [
      {
        production: { id: 1, name: 'Saltmarsh Line', days: 4 },
        scenes: [1, 2].map((id) => ({ id, shots: [{ id: 10 * id, slate: `${id}A` }] })),
      },
    ],
  })
  useSession().session = GAFFER
})
afterEach(() => vi.unstubAllGlobals())

/** A page that shows the board of scene 1, the meter of a shot of scene 2, and the notes of one of scene 1. */
async function page() {
  const shown = mount(
    defineComponent(() => {
      useFreshReads()
      useBook()
      useRead('board', { sceneId: 1 })
      useRead('meter', { shotId: 20 })
      useRead('notes', { shotId: 10 })
      return () => h('div')
    }),
  )
  await vi.waitFor(() => expect(useBook().shots.size).toBe(2))
  await flushPromises()
  server.read = {}
  return shown
}
const read = async () => {
  await flushPromises()
  return Object.keys(server.read).sort()
}
const says = (name: string, data: object) => SilentStream.last!.say(name, data)

describe('what is shown', () => {
  it('is read again when another device changed it, and only then', async () => {
    await page()
    says('changed', { topics: ['RECORD'], sceneId: 1, device: 'another' })
    expect(await read()).toEqual(['/api/scenes/1/carry'])
  })

  it('is read again for a shot of its scene, as the book has it', async () => {
    await page()
    says('changed', { topics: ['RECORD'], shotId: 20, device: 'another' })
    expect(await read()).toEqual(['/api/shots/20/readings'])
  })

  it('is read again when nobody says what a change is about', async () => {
    await page()
    says('changed', { topics: ['RECORD'], device: 'another' })
    expect(await read()).toEqual(['/api/scenes/1/carry', '/api/shots/20/readings'])
  })

  it('is all read again when the line stands after it was lost', async () => {
    await page()
    says('beat', {})
    window.dispatchEvent(new Event('offline'))
    says('beat', {})
    expect(await read()).toEqual(['/api/book', '/api/scenes/1/carry', '/api/shots/10/notes', '/api/shots/20/readings'])
  })

  it('is not read again once nobody looks at it', async () => {
    ;(await page()).unmount()
    await outdate({ topics: ['RECORD', 'NOTES'] })
    expect(await read()).toEqual([])
  })
})

describe('each thing that is read', () => {
  it('says which changes make it out of date, or nothing would ever refresh it', () => {
    expect(Object.entries(READS).filter(([, one]) => !one.topics.length)).toEqual([])
  })
})
