// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useShotEditor } from '@/stores/shotEditor'
import { fakeServer, GAFFER, json, type FakeServer } from './server'
import { levelled, lit, shop, thing } from './shop'

vi.mock('@/lib/offlineStore', () => import('./noDevice'))

let server: FakeServer
beforeEach(() => {
  server = fakeServer()
  server.pages['/api/shots/3/plot'] = () => shop()
  server.pages['/api/shots/4/plot'] = () => shop(4)
  server.posts['/light'] = () => lit()
  useSession().session = GAFFER
})
afterEach(() => vi.unstubAllGlobals())

async function opened() {
  const plot = usePlot()
  const editor = useShotEditor()
  plot.open(3)
  await vi.waitFor(() => expect(plot.plot?.shot.id).toBe(3))
  return { plot, editor, light: useLight() }
}
const edits = () => server.sent.filter((s) => s.method === 'PUT')

describe('edits of a shot', () => {
  it('are made one after the other, each on what the one before it left', async () => {
    const { plot } = await opened()
    server.answers = [json(200, levelled(shop(), 'key', 45)), json(200, levelled(shop(), 'key', 50))]
    await Promise.all([plot.record('key', 'LEVEL', { text: '45' }), plot.record('key', 'LEVEL', { text: '50' })])
    expect(edits().map((e) => e.version)).toEqual(['"5"', '"6"'])
    expect(plot.problem).toBeUndefined()
  })

  it('show at once what they changed, and only that', async () => {
    const { plot } = await opened()
    const edge = plot.plot!.placements[1]
    server.answers = [json(200, levelled(shop(), 'key', 45))]
    await plot.record('key', 'LEVEL', { text: '45' })
    expect(plot.plot!.placements[0]!.values.LEVEL).toMatchObject({ value: { percent: 45 }, tiedHere: true })
    expect(plot.plot!.placements[1]).toBe(edge)
    expect(plot.plot!.mine.undo).toBe('Key level')
  })

  it('belong to the shot that was shown when they were made', async () => {
    const { plot } = await opened()
    plot.open(4)
    await nextTick()
    const edit = plot.record('key', 'LEVEL', { text: '45' })
    server.answers = [json(200, levelled(shop(), 'key', 45))]
    await edit
    expect(plot.plot?.shot.id).toBe(4)
    expect(edits().map((e) => e.path)).toEqual(['/api/shots/3/placements/key/LEVEL'])
    expect(plot.plot!.placements[0]!.values.LEVEL).toMatchObject({ value: { percent: 42 } })
  })

  it('leave it to the person when somebody else was first, and put theirs on top of that', async () => {
    const { plot } = await opened()
    const conflict = { placement: 'key', attribute: 'LEVEL', label: 'level', say: { metric: '50 %' }, revision: 9 }
    server.answers = [json(409, { detail: 'key grip changed it.', conflict })]
    await expect(plot.record('key', 'LEVEL', { text: '45' })).rejects.toThrow('key grip changed it.')
    expect(plot.conflict?.current.revision).toBe(9)
    server.answers = [json(200, levelled(shop(), 'key', 45))]
    await plot.overwrite()
    expect(edits().at(-1)!.version).toBe('"9"')
    expect(plot.conflict).toBeUndefined()
  })
})

describe('what is under a finger', () => {
  it('stays in the hand when a second drag begins before the first is kept', async () => {
    const { editor } = await opened()
    let answerFirst: (response: Response) => void = () => undefined
    server.answers = [new Promise<Response>((resolve) => (answerFirst = resolve))]
    editor.drag({ key: { at: { xM: 5.5, yM: 4 } } })
    const first = editor.drop()
    const second = { edge: { at: { xM: 2.5, yM: 2 } } }
    editor.drag(second)
    answerFirst(json(200, levelled(shop(), 'key', 42)))
    await first
    expect(editor.draft).toEqual(second)
  })

  it('is let go once it is kept, and recorded as one change', async () => {
    const { editor } = await opened()
    server.answers = [json(200, levelled(shop(), 'key', 42))]
    editor.drag({ key: { at: { xM: 5.5, yM: 4 } } })
    await editor.drop()
    expect(editor.draft).toEqual({})
    expect(edits().map((e) => [e.path, e.body])).toEqual([
      ['/api/shots/3/placements/key/PLACE', { value: { xM: 5.5, yM: 4, outside: false }, reason: 'MATCH' }],
    ])
  })

  it('of several things is kept whole or not at all', async () => {
    const { editor, plot } = await opened()
    server.posts['/knots'] = () => levelled(shop(), 'key', 42)
    editor.drag({ key: { at: { xM: 5.5, yM: 4 } }, edge: { at: { xM: 2.5, yM: 2 } } })
    await editor.drop()
    const [whole] = server.sent.filter((s) => s.path.endsWith('/knots'))
    expect((whole!.body as { changes: { placement: string; revision: number }[] }).changes).toMatchObject([
      { placement: 'key', revision: 3 },
      { placement: 'edge', revision: 3 },
    ])
    expect(plot.problem).toBeUndefined()
  })

  it('that is refused goes back, and says why beside the plan', async () => {
    const { editor, plot } = await opened()
    server.answers = [json(400, { detail: 'That is outside the walls.' })]
    editor.drag({ key: { at: { xM: 50, yM: 4 } } })
    await editor.drop()
    expect(plot.problem).toMatchObject({ sentence: 'That is outside the walls.', placement: 'key', attribute: 'PLACE' })
    expect(editor.draft).toEqual({})
  })
})

describe('a shot that is edited', () => {
  it('shows what waits on this device as it was meant', async () => {
    const { plot, editor } = await opened()
    server.answers = ['no answer']
    await plot.record('key', 'LEVEL', { text: '45' })
    expect(editor.placements[0]!.values.LEVEL).toMatchObject({ say: { metric: '45' }, tiedHere: true })
    expect(editor.placements[1]!.values.LEVEL).toMatchObject({ say: { metric: '42 %' } })
  })

  it('puts edits into the trial in hand, and leaves the record alone', async () => {
    const { plot, editor, light } = await opened()
    server.posts['/light'] = () => lit([thing('key', { level: 60 })])
    light.begin()
    await editor.edit('key', 'LEVEL', { text: '60' })
    await vi.waitFor(() => expect(editor.placements[0]!.values.LEVEL).toMatchObject({ value: { percent: 60 } }))
    expect(edits()).toEqual([])
    expect(plot.plot!.placements[0]!.values.LEVEL).toMatchObject({ value: { percent: 42 } })
    light.drop(0)
    server.posts['/light'] = () => lit()
    await vi.waitFor(() => expect(editor.placements[0]!.values.LEVEL).toMatchObject({ value: { percent: 42 } }))
  })
})
