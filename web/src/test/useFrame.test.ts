// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { useFrame, type AskedFrame } from '@/lib/useFrame'

const BODY = { changes: [], holds: [], out: [], width: 320, of: 'LIGHT' as const, perStop: 1, touched: [] }
const frame = (coarse: boolean, camera: string) => ({
  coarse,
  camera,
  width: 160,
  height: 90,
  picture: '',
  lines: [],
  points: [],
  curve: 'BT709',
})

/** A server that answers line by line, when it is told to. */
function server() {
  const calls: { line: (step: object) => void; end: () => void; breaks: () => void; gone: () => boolean }[] = []
  vi.stubGlobal('fetch', (request: Request) => {
    let out!: ReadableStreamDefaultController<Uint8Array>
    let gone = false
    const body = new ReadableStream<Uint8Array>({ start: (c) => void (out = c), cancel: () => void (gone = true) })
    request.signal.addEventListener('abort', () => {
      gone = true
      out.error(new DOMException('stopped', 'AbortError'))
    })
    const write = (text: string) => out.enqueue(new TextEncoder().encode(text))
    calls.push({
      line: (step) => write(`${JSON.stringify(step)}\n`),
      end: () => out.close(),
      breaks: () => out.error(new TypeError('network')),
      gone: () => gone,
    })
    return Promise.resolve(new Response(body, { headers: { 'Content-Type': 'application/x-ndjson' } }))
  })
  return calls
}
const settled = () => new Promise((done) => setTimeout(done, 5))
const asked = (shotId: number): AskedFrame => ({ shotId, body: BODY })

describe('useFrame', () => {
  afterEach(() => vi.unstubAllGlobals())

  it('shows the coarse picture, then the whole one, and tells how far it is', async () => {
    const calls = server()
    const { frame: shown, done } = effectScope().run(() => useFrame(() => asked(1)))!
    await settled()
    calls[0]!.line({ done: 0.2, frame: frame(true, 'a') })
    await settled()
    expect(shown.value?.coarse).toBe(true)
    expect(done.value).toBe(0.2)
    calls[0]!.line({ done: 1, frame: frame(false, 'a') })
    calls[0]!.end()
    await settled()
    expect(shown.value?.coarse).toBe(false)
    expect(done.value).toBeUndefined()
  })

  it('lets a drag see each coarse picture and stops what nobody waits for', async () => {
    const calls = server()
    const question = ref(asked(1))
    const { frame: shown } = effectScope().run(() => useFrame(() => question.value))!
    await settled()
    question.value = { ...asked(1), body: { ...BODY, perStop: 3 } }
    await nextTick()
    expect(calls).toHaveLength(1)
    calls[0]!.line({ done: 0.2, frame: frame(true, 'first') })
    await settled()
    expect(shown.value?.camera).toBe('first')
    expect(calls[0]!.gone()).toBe(true)
    expect(calls).toHaveLength(2)
    calls[1]!.line({ done: 1, frame: frame(false, 'second') })
    calls[1]!.end()
    await settled()
    expect(shown.value?.camera).toBe('second')
  })

  it('says that a picture broke off, and shows the next one', async () => {
    const calls = server()
    const question = ref(asked(1))
    const { frame: shown, refused } = effectScope().run(() => useFrame(() => question.value))!
    await settled()
    calls[0]!.breaks()
    await settled()
    expect(refused.value).toContain('broke off')
    question.value = asked(1)
    await settled()
    calls[1]!.line({ done: 1, frame: frame(false, 'next') })
    calls[1]!.end()
    await settled()
    expect(refused.value).toBe('')
    expect(shown.value?.camera).toBe('next')
  })

  it('goes on showing a shot while nothing is asked of it for a moment', async () => {
    const calls = server()
    const question = ref<AskedFrame | undefined>(asked(1))
    const { frame: shown } = effectScope().run(() => useFrame(() => question.value))!
    await settled()
    calls[0]!.line({ done: 1, frame: frame(false, 'before') })
    calls[0]!.end()
    await settled()
    question.value = undefined
    await nextTick()
    question.value = asked(1)
    await settled()
    expect(shown.value?.camera).toBe('before')
    question.value = asked(2)
    await nextTick()
    expect(shown.value).toBeUndefined()
  })

  it('says why there is no picture', async () => {
    vi.stubGlobal('fetch', () =>
      Promise.resolve(Response.json({ detail: 'There is no camera on set: place one.' }, { status: 400 })),
    )
    const { frame: shown, refused } = effectScope().run(() => useFrame(() => asked(1)))!
    await settled()
    expect(refused.value).toBe('There is no camera on set: place one.')
    expect(shown.value).toBeUndefined()
  })
})
