// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import { useWalk } from '@/lib/useWalk'
import { useWalkEntry } from '@/lib/useWalkEntry'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { fakeServer, GAFFER, json, type FakeServer } from './server'
import { lit, shop, thing } from './shop'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

const LANDMARKS = ['window post', 'door post', 'bench leg'].map((name, i) => ({ name, point: { xM: i, yM: 5 } }))
const guess = (gap: string, attribute: string) => ({
  gap,
  act: gap,
  attribute,
  guess: true,
  sentence: { metric: gap, imperial: gap },
})

function inTheShop(rank: number, name: string, more: object = {}) {
  return { ...thing(name), buildRank: rank, toBuild: true, findings: [], ...more }
}
function litShop() {
  const page = shop(3, [inTheShop(5, 'edge'), inTheShop(1, 'key', { findings: [guess('PLACE', 'PLACE')] })] as never)
  page.drawn.set.plan.landmarks = LANDMARKS
  return page
}

let server: FakeServer
let scope: EffectScope
beforeEach(() => {
  server = fakeServer()
  server.pages['/api/shots/3/plot'] = litShop
  server.posts['/light'] = () => lit()
  useSession().session = GAFFER
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
})

async function walking() {
  const plot = usePlot()
  plot.open(3)
  await vi.waitFor(() => expect(plot.plot?.shot.id).toBe(3))
  const walk = scope.run(() => useWalk(() => 3))!
  const entry = scope.run(() => useWalkEntry(walk))!
  await nextTick()
  return { plot, walk, entry }
}
const press = (entry: ReturnType<typeof useWalkEntry>, keys: string) => [...keys].forEach((k) => entry.press(k))
const edits = () => server.sent.filter((s) => s.path.includes('/placements'))
const edited = () => ({ shot: litShop().shot, mine: {}, placements: [] })

describe('a walk', () => {
  it('goes in build order and counts what could be rebuilt', async () => {
    const { walk } = await walking()
    expect(walk.things.value.map((t) => t.placement.key)).toEqual(['key', 'edge'])
    expect(walk.couldBeRebuilt.value).toBe(1)
    expect(walk.stateOf(walk.thing.value!)).toBe('to come')
  })

  it('sends three tapes as they were pulled, each kept when it is whole', async () => {
    const { entry } = await walking()
    server.answers = [json(200, edited())]
    entry.open('PLACE')
    press(entry, '212')
    expect(entry.field.value).toBe('B')
    press(entry, '146')
    press(entry, '331')
    await vi.waitFor(() => expect(edits()).toHaveLength(1))
    expect(edits()[0]).toMatchObject({
      path: '/api/shots/3/placements/key/PLACE',
      body: {
        looked: true,
        measured: {
          tapes: [
            { landmark: 'window post', length: '2.12 m' },
            { landmark: 'door post', length: '1.46 m' },
            { landmark: 'bench leg', length: '3.31 m' },
          ],
        },
      },
    })
    expect(entry.field.value).toBe('HEIGHT')
  })

  it('comes back to tapes that were refused, with what was typed', async () => {
    const { entry } = await walking()
    server.answers = [json(400, { detail: 'The tapes do not agree.', field: 'tapes' })]
    entry.open('PLACE')
    press(entry, '212146999')
    await vi.waitFor(() => expect(entry.refused.PLACE).toBe('The tapes do not agree.'))
    expect(entry.field.value).toBeUndefined()
    expect(entry.tapes.C.text).toBe('9.99')
    server.answers = [json(200, edited())]
    entry.keepTapes('C')
    await vi.waitFor(() => expect(edits()).toHaveLength(2))
    expect((edits()[1]!.body as { measured: { tapes: unknown[] } }).measured.tapes).toHaveLength(2)
  })

  it('asks for the side where nothing tells it', async () => {
    const { entry } = await walking()
    server.answers = [json(400, { detail: 'Left or right?', field: 'side' }), json(200, edited())]
    entry.open('PLACE')
    press(entry, '212146')
    entry.keep()
    await vi.waitFor(() => expect(entry.asksSide.value).toBe(true))
    entry.stand('LEFT')
    await vi.waitFor(() => expect(edits()).toHaveLength(2))
    expect(edits()[1]).toMatchObject({ body: { measured: { side: 'LEFT' } } })
  })

  it('says with one tap that what is recorded stands so', async () => {
    const { plot, walk } = await walking()
    server.answers = [json(200, edited())]
    await plot.look('key', walk.unseen.value)
    expect(edits()[0]).toMatchObject({
      path: '/api/shots/3/placements/key/looked',
      body: { values: { HEIGHT: { heightM: 2.07 }, LEVEL: { percent: 42 } } },
    })
  })

  it('tells that what was in hand was struck by somebody else', async () => {
    const { plot, walk } = await walking()
    server.pages['/api/shots/3/plot'] = () => ({ ...litShop(), placements: [inTheShop(5, 'edge')] })
    await plot.again()
    expect(walk.struck.value).toBe('Key')
    expect(walk.thing.value?.placement.key).toBe('edge')
  })
})
