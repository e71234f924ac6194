// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import SayBar from '@/components/plot/SayBar.vue'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { fakeServer, GAFFER, type FakeServer } from './server'
import { levelled, lit, shop } from './shop'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

const CHANGE = {
  placement: 'key',
  name: 'Key',
  attribute: 'LEVEL' as const,
  label: 'level',
  before: { metric: '42 %', imperial: '42 %' },
  after: { metric: '45 %', imperial: '45 %' },
  value: { percent: 45 },
  revision: 5,
}
const UNDERSTOOD = {
  changes: [{ placement: 'key', attribute: 'LEVEL', value: { percent: 45 } }],
  holds: [],
  problems: [],
}
const NOT_UNDERSTOOD = {
  changes: [],
  holds: [],
  problems: [{ from: 0, to: 3, sentence: '“edg” is nothing that stands here.', suggestions: ['edge'] }],
}

let server: FakeServer
beforeEach(() => {
  server = fakeServer()
  server.pages['/api/shots/3/plot'] = () => shop()
  server.posts['/light'] = () => lit()
  server.posts['/knots'] = () => levelled(shop(), 'key', 45)
  useSession().session = GAFFER
})
afterEach(() => vi.unstubAllGlobals())

async function bar() {
  const plot = usePlot()
  const light = useLight()
  plot.open(3)
  await vi.waitFor(() => expect(plot.plot).toBeDefined())
  const say = mount(SayBar, { attachTo: document.body })
  const kept = () => server.sent.filter((s) => s.path.endsWith('/knots'))
  return { plot, light, say, input: say.get('input'), kept }
}
/** The light answers what is proposed. */
function answersTheProposal() {
  server.posts['/light'] = () => lit([], (server.asked as { changes: unknown[] }).changes.length ? [CHANGE] : [])
}

describe('what is said', () => {
  it('is echoed before it is kept, and written with Enter', async () => {
    const { say, input, kept } = await bar()
    server.posts['/say'] = () => UNDERSTOOD
    answersTheProposal()
    await input.setValue('key 45%')
    await vi.waitFor(() =>
      expect(say.get('[role=status]').text().replace(/\s+/g, ' ')).toContain('Key level 42 % to 45 %'),
    )
    expect(kept()).toHaveLength(0)
    await vi.waitFor(() => expect(say.get('button').attributes('disabled')).toBeUndefined())
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(kept()).toHaveLength(1))
    await vi.waitFor(() => expect((input.element as HTMLInputElement).value).toBe(''))
  })

  it('and not understood is pointed at; Enter writes nothing', async () => {
    const { say, input, kept } = await bar()
    server.posts['/say'] = () => NOT_UNDERSTOOD
    await input.setValue('edg down 1 stop')
    await vi.waitFor(() => expect(say.get('mark').text()).toBe('edg'))
    expect(say.text()).toContain('“edg” is nothing that stands here.')
    await input.trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(kept()).toHaveLength(0)
    await say.get('.suggestion').trigger('click')
    expect((input.element as HTMLInputElement).value).toBe('edge down 1 stop')
  })

  it('goes into the trial with Ctrl and Enter, and not into the record', async () => {
    const { light, say, input, kept } = await bar()
    server.posts['/say'] = () => UNDERSTOOD
    answersTheProposal()
    await input.setValue('key 45%')
    await vi.waitFor(() => expect(say.text()).toContain('45 %'))
    await vi.waitFor(() => expect(say.get('button').attributes('disabled')).toBeUndefined())
    await input.trigger('keydown', { key: 'Enter', ctrlKey: true })
    expect(light.trials.map((t) => t.changes)).toEqual([UNDERSTOOD.changes])
    expect(kept()).toHaveLength(0)
  })

  it('and taken back leaves nothing proposed', async () => {
    const { light, input } = await bar()
    server.posts['/say'] = () => UNDERSTOOD
    await input.setValue('key 45%')
    await vi.waitFor(() => expect(light.preview.changes).toHaveLength(1))
    await input.trigger('keydown', { key: 'Escape' })
    expect(light.preview.changes).toEqual([])
  })
})
