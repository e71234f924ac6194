// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { answer, api, whenSignedOut } from '@/api/client'
import { useSession } from '@/stores/session'
import { fakeServer, GAFFER, json, type FakeServer } from './server'

const device = vi.hoisted(() => ({ forgotten: 0 }))
vi.mock('@/lib/offlineStore', async () => ({
  ...(await import('./noDevice')),
  forgetRead: () => Promise.resolve(device.forgotten++),
}))

let server: FakeServer
beforeEach(() => {
  device.forgotten = 0
  server = fakeServer()
  const session = useSession()
  session.session = GAFFER
  whenSignedOut(() => session.signedInAgain())
})
afterEach(() => vi.unstubAllGlobals())

describe('a session that ends', () => {
  it('waits for the way back in and then does what was asked, once', async () => {
    const session = useSession()
    server.answers = [json(401, {}), json(200, GAFFER)]
    const note = answer(
      api.POST('/api/shots/{shotId}/notes', { params: { path: { shotId: 3 } }, body: { text: 'flag is low' } }),
    )
    await vi.waitFor(() => expect(session.ended).toBe(true))
    await session.signIn({ name: 'gaffer', passphrase: 'salt marsh line' })
    await note
    expect(session.ended).toBe(false)
    expect(server.sent.map((s) => s.path)).toEqual(['/api/shots/3/notes', '/api/session', '/api/shots/3/notes'])
    expect(server.sent.at(-1)!.body).toEqual({ text: 'flag is low' })
  })

  it('takes with it what this device had read: the next person may not see it', async () => {
    server.answers = [json(401, {})]
    void answer(api.POST('/api/shots/{shotId}/undo', { params: { path: { shotId: 3 } } }))
    await vi.waitFor(() => expect(device.forgotten).toBe(1))
  })

  it('is looked for when the browser takes a page out of its drawer', async () => {
    const reload = vi.spyOn(location, 'reload').mockImplementation(() => undefined)
    server.pages['/api/session'] = () => ({ permissions: [], first: false, demo: [] })
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: true }))
    await vi.waitFor(() => expect(reload).toHaveBeenCalled())
  })
})
