// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Output } from '@/api/types'
import CueStrip from '@/components/recall/CueStrip.vue'
import { useOutput } from '@/stores/output'
import { useSession } from '@/stores/session'
import { fakeServer, GAFFER, json, type FakeServer } from './server'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

const after = (cue: number): Output => ({
  live: {
    shotId: 3,
    slate: '22A',
    by: 'gaffer',
    at: '',
    fadeSeconds: 0,
    done: 1,
    priority: 100,
    cue,
    universes: 1,
    packets: 1,
  },
  interfaces: [],
  rig: true,
  stopping: { stoppedBy: 'LEAD', roles: ['LEAD'], version: 0 },
})
const CUES = ['Lantern up', 'Hatch opens', 'Hatch shuts'].map((name, i) => ({
  number: i + 1,
  key: `c${i + 1}`,
  name,
  moment: name,
  steps: [],
  byHand: [],
  lastsS: 0,
}))

let server: FakeServer
let now: Output
beforeEach(() => {
  server = fakeServer()
  now = after(0)
  server.pages['/api/output'] = () => now
  useSession().session = GAFFER
})
afterEach(() => vi.unstubAllGlobals())

async function strip() {
  const output = useOutput()
  await vi.waitFor(() => expect(output.now?.live).toBeDefined())
  return mount(CueStrip, { attachTo: document.body, props: { shotId: 3, cues: CUES } })
}
const press = (key: string) => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
const ran = () => server.sent.map((s) => (s.body as { number: number }).number)

describe('keys of cues', () => {
  it('run one after the other when the second is pressed while the first is on its way', async () => {
    const strips = await strip()
    let arrive: (answer: Response) => void = () => {}
    server.answers = [
      new Promise((resolve) => (arrive = resolve)),
      new Promise((resolve) => resolve(json(200, (now = after(2))))),
    ]
    press('1')
    press('2')
    await flushPromises()
    expect(ran()).toEqual([1])
    now = after(1)
    arrive(json(200, now))
    await vi.waitFor(() => expect(ran()).toEqual([1, 2]))
    strips.unmount()
  })

  it('say which cue comes first when one is pressed out of turn', async () => {
    const strips = await strip()
    press('3')
    await flushPromises()
    expect(ran()).toEqual([])
    expect(strips.text()).toContain('Hatch shuts is cue 3: cue 1, Lantern up, comes first.')
    strips.unmount()
  })
})
