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
const NOTHING_MORE = { measured: [], asks: [], notes: [], takes: [], places: [], stages: [], locks: [] }
const UNDERSTOOD = {
  changes: [{ placement: 'key', attribute: 'LEVEL', value: { percent: 45 } }],
  holds: [],
  problems: [],
  ...NOTHING_MORE,
}
const NOT_UNDERSTOOD = {
  changes: [],
  holds: [],
  ...NOTHING_MORE,
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
  const say = mount(SayBar, { attachTo: document.body, props: { middle: { xM: 0, yM: 0 } } })
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

  it('waits for the answer that is on its way when Enter is pressed at once', async () => {
    const { input, kept } = await bar()
    server.posts['/say'] = () => UNDERSTOOD
    answersTheProposal()
    await input.setValue('key 45%')
    await input.trigger('keydown', { key: 'Enter' })
    expect(kept()).toHaveLength(0)
    await vi.waitFor(() => expect(kept()).toHaveLength(1))
  })

  it('keeps waiting when the answer to what was typed before is not understood', async () => {
    const { input, kept } = await bar()
    const answers = [NOT_UNDERSTOOD, UNDERSTOOD]
    server.posts['/say'] = () => answers.shift() ?? UNDERSTOOD
    answersTheProposal()
    await input.setValue('key 4')
    await input.setValue('key 45%')
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(kept()).toHaveLength(1))
  })

  it('is asked back where a name fits more than one thing, and chosen by its number', async () => {
    const { say, input, kept } = await bar()
    server.posts['/say'] = () => ({
      ...UNDERSTOOD,
      changes: [],
      asks: [
        {
          from: 0,
          to: 3,
          words: 'rim',
          sentence: 'Which one?',
          candidates: ['key', 'edge'],
          lines: ['Key off', 'Edge off'],
        },
      ],
    })
    await input.setValue('rim off')
    await vi.waitFor(() => expect(say.get('[role=status]').text()).toContain('Which one?'))
    await input.trigger('keydown', { key: 'Enter' })
    expect(kept()).toHaveLength(0)
    const choice = say.findAll('[role=status] button')[1]!
    expect(document.activeElement).toBe(say.findAll('[role=status] button')[0]!.element)
    await choice.trigger('keydown', { key: '2' })
    expect((input.element as HTMLInputElement).value).toBe('Edge off')
  })

  it('is written as a note where it is one, and comes back with the arrow', async () => {
    const { say, input } = await bar()
    server.posts['/say'] = () => ({ ...UNDERSTOOD, changes: [], notes: [{ placement: 'key', text: 'rattles' }] })
    server.posts['/notes'] = () => ({ id: 1 })
    await input.setValue('note on the key rattles')
    await vi.waitFor(() => expect(say.get('[role=status]').text()).toContain('note on Key: rattles'))
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(server.sent.some((s) => s.path.includes('/notes'))).toBe(true))
    await vi.waitFor(() => expect((input.element as HTMLInputElement).value).toBe(''))
    await input.trigger('keydown', { key: 'ArrowUp' })
    expect((input.element as HTMLInputElement).value).toBe('note on the key rattles')
  })
})
