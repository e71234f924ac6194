// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import ValueRow from '@/components/inspector/ValueRow.vue'
import FigureField from '@/components/fields/FigureField.vue'
import WholeSet from '@/components/set/WholeSet.vue'
import { useSetDrawing } from '@/lib/useSetDrawing'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'
import { fakeServer, GAFFER, json, type FakeServer } from './server'
import { levelled, lit, shop } from './shop'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

let server: FakeServer
beforeEach(() => {
  localStorage.clear()
  server = fakeServer()
  server.pages['/api/shots/3/plot'] = () => shop()
  server.posts['/light'] = () => lit()
  useSession().session = GAFFER
})
afterEach(() => vi.unstubAllGlobals())

/** The server's reader: metres as they are, feet where a bare number is one. */
function reader(items: { kind: string; text: string }[]) {
  return {
    items: items.map(({ kind, text }) => {
      const figure = Number.parseFloat(text)
      if (Number.isNaN(figure)) return { problem: `“${text}” is not a length: type one such as 2.1 m or 6'11".` }
      const value = kind === 'LENGTH_IN_FEET' ? figure * 0.3048 : figure
      return { value, metric: `${value.toFixed(2)} m`, imperial: `${Math.round(value / 0.3048)}′ 0″` }
    }),
  }
}

describe('a recorded value', () => {
  async function levelRow() {
    const plot = usePlot()
    plot.open(3)
    await vi.waitFor(() => expect(plot.plot).toBeDefined())
    const row = mount(ValueRow, { props: { placed: plot.plot!.placements[0]!, attribute: 'LEVEL' } })
    await row.get('button.value').trigger('click')
    return { plot, row, input: row.get('input') }
  }
  const edits = () => server.sent.filter((s) => s.method === 'PUT')

  it('that is typed over is kept once, though leaving the field comes after Enter', async () => {
    const { row, input } = await levelRow()
    expect((input.element as HTMLInputElement).value).toBe('42 %')
    server.answers = [json(200, levelled(shop(), 'key', 45))]
    await input.setValue('45')
    await input.trigger('keydown', { key: 'Enter' })
    await input.trigger('blur')
    await flushPromises()
    await vi.waitFor(() => expect(row.find('input').exists()).toBe(false))
    expect(edits()).toHaveLength(1)
  })

  it('that is refused stays as it was typed, with the reason beside it', async () => {
    const { row, input } = await levelRow()
    server.answers = [json(400, { detail: 'Level is between 0 and 100 %.' })]
    await input.setValue('450')
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(row.get('[role=alert]').text()).toBe('Level is between 0 and 100 %.'))
    expect((row.get('input').element as HTMLInputElement).value).toBe('450')
    expect(row.get('input').attributes('aria-invalid')).toBe('true')
  })

  it('that somebody else changed meanwhile is sent on the version that was in sight', async () => {
    const { plot, input } = await levelRow()
    plot.lay(levelled(shop(), 'key', 50))
    server.answers = [json(409, { detail: 'key grip was first.', conflict: { attribute: 'LEVEL', revision: 6 } })]
    await input.setValue('45')
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(plot.conflict).toBeDefined())
    expect(edits()[0]!.version).toBe('"5"')
  })

  it('that was not changed is not sent', async () => {
    const { row, input } = await levelRow()
    await input.trigger('blur')
    await flushPromises()
    expect(row.find('input').exists()).toBe(false)
    expect(edits()).toHaveLength(0)
  })
})

describe('a figure', () => {
  beforeEach(() => {
    server.posts['/bench/read'] = () => reader((server.asked as { items: { kind: string; text: string }[] }).items)
  })
  const field = (value?: number) =>
    mount(FigureField, { props: { label: 'sill', kind: 'LENGTH', value }, attachTo: document.body })
  const shown = (one: ReturnType<typeof field>) => (one.get('input').element as HTMLInputElement).value

  it('that cannot be read stays, with what to type, and nothing else takes its place', async () => {
    const sill = field(0.9)
    await vi.waitFor(() => expect(shown(sill)).toBe('0.90 m'))
    await sill.get('input').setValue('knee high')
    await sill.get('input').trigger('change')
    await vi.waitFor(() => expect(sill.get('[role=alert]').text()).toContain('“knee high” is not a length'))
    expect(shown(sill)).toBe('knee high')
    expect(sill.emitted('read')).toBeUndefined()
  })

  it('is in the crew’s units, and a bare number is one of these', async () => {
    useSettings().units = 'imperial'
    const sill = field(0.9144)
    await vi.waitFor(() => expect(shown(sill)).toBe('3′ 0″'))
    await sill.get('input').setValue('4')
    await sill.get('input').trigger('change')
    await vi.waitFor(() => expect(sill.emitted('read')?.[0]?.[0]).toBeCloseTo(1.2192))
  })

  it('that has to be there is not taken out by emptying its field', async () => {
    const sill = field(0.9)
    await vi.waitFor(() => expect(shown(sill)).toBe('0.90 m'))
    await sill.get('input').setValue('')
    await sill.get('input').trigger('change')
    await vi.waitFor(() => expect(sill.find('[role=alert]').exists()).toBe(true))
    expect(sill.emitted('read')).toBeUndefined()
  })

  it('of the place on the earth is kept with its other half: no set stands at Greenwich by accident', async () => {
    const drawing = useSetDrawing()
    const set = mount(WholeSet, { props: { drawing }, attachTo: document.body })
    const type = async (label: string, text: string) => {
      const input = set.get(
        `#${set
          .findAll('label')
          .find((l) => l.text() === label)!
          .attributes('for')}`,
      )
      await input.setValue(text)
      await input.trigger('change')
      await flushPromises()
    }
    await type('latitude, °', '53.5')
    await vi.waitFor(() => expect(set.get('[role=status]').text()).toContain('Type the longitude too'))
    expect(drawing.plan.value.site).toBeUndefined()
    await type('longitude, °', '8.1')
    await vi.waitFor(() => expect(drawing.plan.value.site).toEqual({ latitude: 53.5, longitude: 8.1 }))
  })
})
