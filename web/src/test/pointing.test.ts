// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import LandingCard from '@/components/plot/LandingCard.vue'
import type { PlanPoint } from '@/api/types'
import { usePlanPointer } from '@/lib/usePlanPointer'
import { usePointed } from '@/lib/usePointed'
import type { UseViewportReturn } from '@/lib/useViewport'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { fakeServer, GAFFER, json, type FakeServer } from './server'
import { lit, shop } from './shop'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

const LANDED = {
  on: 'WALL',
  xM: 7.2,
  yM: 2,
  zM: 1.5,
  lux: { metric: '45.0 lux', imperial: '4.2 fc' },
  stop: 'T2 1/3',
  light: { lux: 45, overStops: -0.8, kelvin: 4656, duv: 0.009, swatch: '#ffeedd' },
  from: Array.from({ length: 7 }, (_, i) => ({
    key: `s${i}`,
    name: `Source ${i}`,
    light: { lux: 7 - i, overStops: -i },
    part: (7 - i) / 28,
  })),
}

let server: FakeServer
beforeEach(() => {
  server = fakeServer()
  server.pages['/api/shots/3/plot'] = () => shop()
  server.posts['/light'] = () => lit()
  server.posts['/light/at'] = () => LANDED
  server.posts['/bench/read'] = () => ({ items: [{ value: 7.2, metric: '7.20 m', imperial: '23′ 7″' }] })
  useSession().session = GAFFER
})
afterEach(() => vi.unstubAllGlobals())

const asked = () => server.sent.filter((s) => s.path.endsWith('/light/at')).at(-1)?.body
async function card() {
  usePlot().open(3)
  await vi.waitFor(() => expect(useLight().answer).toBeDefined())
  const shown = mount(LandingCard, { props: { shotId: 3, at: { xM: 7.1, yM: 2, withinM: 0.15 } } })
  await vi.waitFor(() => expect(shown.text()).toContain('On the wall'))
  return shown
}

describe('where the light lands', () => {
  it('is told in light, stops, white and by source, the strongest first', async () => {
    const shown = await card()
    expect(asked()).toMatchObject({ xM: 7.1, yM: 2, withinM: 0.15, changes: [], holds: [], out: [] })
    const said = shown.text().replace(/\s+/g, ' ')
    expect(said).toContain('45.0 lux')
    expect(said).toContain('−0.8')
    expect(said).toContain('4656 K')
    expect(shown.findAll('ol li').map((l) => l.text().slice(0, 8))).toEqual([
      'Source 0',
      'Source 1',
      'Source 2',
      'Source 3',
      'Source 4',
      'and 2 mo',
    ])
  })

  it('is asked again with what is tried, and a colour is no white', async () => {
    const shown = await card()
    server.posts['/light/at'] = () => ({ ...LANDED, light: { lux: 45, swatch: '#00ff40' } })
    useLight().toggleOut(['key'])
    await vi.waitFor(() => expect(asked()).toMatchObject({ out: ['key'] }))
    await vi.waitFor(() => expect(shown.text()).toContain('a colour, no white'))
  })

  it('says why a place is out of reach and keeps the card', async () => {
    const shown = await card()
    delete server.posts['/light/at']
    server.answers.push(json(400, { detail: 'The height is out of range.', field: 'heightM' }))
    await shown.setProps({ at: { xM: 1, yM: 1, heightM: 99, withinM: 0 } })
    await vi.waitFor(() => expect(shown.get('[role=alert]').text()).toBe('The height is out of range.'))
  })
})

describe('a tap on the plan', () => {
  it('is told with its place, and a drag is not', () => {
    const element = ref({ getBoundingClientRect: () => ({ left: 10, top: 20 }), setPointerCapture: () => {} })
    const viewport = { view: ref({ x: 0, y: 0, scale: 100 }), pan: () => {}, zoom: () => {} }
    const tapped: PlanPoint[] = []
    const nothing = () => {}
    const pointer = usePlanPointer({
      element: element as never,
      viewport: viewport as unknown as UseViewportReturn,
      locked: () => false,
      turnedAbout: () => undefined,
      onTake: nothing,
      onTap: (at) => tapped.push(at),
      onDrag: nothing,
      onTurn: nothing,
      onDrop: nothing,
    })
    const at = (x: number, y: number) =>
      ({ button: 0, pointerId: 1, clientX: x, clientY: y, stopPropagation: nothing }) as unknown as PointerEvent
    pointer.down(at(110, 70), { kind: 'pan' })
    pointer.up(at(110, 70))
    expect(tapped).toHaveLength(1)
    pointer.down(at(110, 70), { kind: 'pan' })
    pointer.move(at(160, 70))
    pointer.up(at(160, 70))
    expect(tapped).toHaveLength(1)
  })

  it('puts the card into the corner that is farthest away', () => {
    const { pointed, corner, begin } = usePointed(
      () => ({ xM: 2, yM: 3 }),
      () => 1,
    )
    expect(corner.value).toEqual([])
    begin()
    expect(pointed.value).toEqual({ xM: 2, yM: 3, withinM: 0 })
    pointed.value = { xM: 5, yM: 1, withinM: 0 }
    expect(corner.value).toEqual(['left-3', 'top-3'])
    pointed.value = { xM: 1, yM: 5, withinM: 0 }
    expect(corner.value).toEqual(['right-3', 'bottom-14'])
  })
})
