import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import { reads } from '@/api/reads'
import type { Session } from '@/api/types'

/** An event stream that says nothing by itself. */
export class SilentStream {
  static readonly CLOSED = 2
  static last: SilentStream | undefined
  readyState = 1
  private readonly heard = new Map<string, (event: { data: string }) => void>()
  constructor() {
    SilentStream.last = this
  }
  addEventListener(name: string, tell: (event: { data: string }) => void) {
    this.heard.set(name, tell)
  }
  /** Says something to the page. */
  say(name: string, data: object = {}) {
    this.heard.get(name)?.({ data: JSON.stringify(data) })
  }
  close() {}
}

export interface Sent {
  method: string
  path: string
  key: string | null
  /** If-Match, as it was sent. */
  version: string | null
  body: unknown
}

export function json(status: number, body: unknown, headers: Record<string, string> = {}): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json', ...headers } })
}

export interface FakeServer {
  /** Edits that it was sent, in their order. */
  sent: Sent[]
  /** What it answers to the next edits; 204 when nothing is said. */
  answers: (Response | Promise<Response> | 'no answer')[]
  /** What it answers to reads, by path. */
  pages: Record<string, () => unknown>
  /** What it answers to questions that change nothing, by the end of the path. */
  posts: Record<string, () => unknown>
  /** The body of the question that was asked last. */
  asked: unknown
  /** How often a path was read. */
  read: Record<string, number>
}

/** Who is signed in. */
export const GAFFER: Session = {
  name: 'gaffer',
  permissions: ['READ', 'EDIT', 'NOTE', 'PATCH'],
  first: false,
  demo: [],
}

/** A server that answers as a test says, and stores that nobody has used yet. */
export function fakeServer(): FakeServer {
  const server: FakeServer = {
    sent: [],
    answers: [],
    pages: { '/api/session': () => GAFFER },
    posts: {},
    asked: undefined,
    read: {},
  }
  reads.clear()
  setActivePinia(createPinia())
  vi.stubGlobal('EventSource', SilentStream)
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname, search } = new URL(request.url)
    if (request.method === 'GET') {
      server.read[pathname] = (server.read[pathname] ?? 0) + 1
      const page = server.pages[pathname + search] ?? server.pages[pathname]
      return json(200, page ? page() : {})
    }
    const text = await request.text()
    server.sent.push({
      method: request.method,
      path: pathname + search,
      key: request.headers.get('Idempotency-Key'),
      version: request.headers.get('If-Match'),
      body: text && request.headers.get('Content-Type') === 'application/json' ? JSON.parse(text) : text || undefined,
    })
    const post = request.method === 'POST' && Object.keys(server.posts).find((end) => pathname.endsWith(end))
    if (post) {
      server.asked = text ? JSON.parse(text) : undefined
      return json(200, server.posts[post]!())
    }
    const next = server.answers.shift() ?? new Response(null, { status: 204 })
    if (next === 'no answer') throw new TypeError('gone')
    return next
  })
  return server
}
