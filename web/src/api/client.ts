import { keep, kept } from '@/lib/offlineStore'
import type { ConflictingValue } from './types'

const UNHEARD = [502, 503, 504]

/** A refusal with the server's own sentence, or one of ours when there is no answer. */
export class ApiError extends Error {
  readonly status: number
  readonly field?: string
  readonly conflict?: ConflictingValue
  /** When to send it again, in s, as the server says. */
  readonly retryAfterS?: number

  constructor(status: number, sentence: string, field?: string, conflict?: ConflictingValue, retryAfterS?: number) {
    super(sentence)
    this.status = status
    this.field = field
    this.conflict = conflict
    this.retryAfterS = retryAfterS
  }

  /** Whether nothing was done about it, as far as this device knows, and it may be sent again: no answer, or a server that is busy or going away. */
  get unanswered(): boolean {
    return this.status === 0 || UNHEARD.includes(this.status)
  }
}

export interface CallOptions {
  body?: unknown
  /** Version the edit was made on, for If-Match. */
  version?: number
  /** A key of its own for an edit: however often it is sent, it is done once. */
  idempotencyKey?: string
  /** Of what is true only now: an older answer is no answer. */
  now?: boolean
  signal?: AbortSignal
}

/** What this page calls itself, so that it knows its own edits among those of others. */
export const device = crypto.getRandomValues(new Uint32Array(2)).join('-')

let signedInAgain: () => Promise<void> = () => new Promise(() => undefined)

/** Tells the client what to wait for when a session has ended, before it sends a call again. */
export function whenSignedOut(wait: () => Promise<void>) {
  signedInAgain = wait
}

export async function call<T>(method: string, path: string, options: CallOptions = {}): Promise<T> {
  const reads = method === 'GET'
  const headers: Record<string, string> = {
    'Oblume-Units': globalThis.localStorage?.getItem('oblume.units') ?? 'metric',
  }
  const pass = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1]
  if (!reads) {
    headers['Oblume-Device'] = device
    if (pass) headers['X-XSRF-TOKEN'] = decodeURIComponent(pass)
  }
  if (options.body !== undefined)
    headers['Content-Type'] = options.body instanceof Blob ? 'application/octet-stream' : 'application/json'
  if (options.version !== undefined) headers['If-Match'] = `"${options.version}"`
  if (options.idempotencyKey) headers['Idempotency-Key'] = options.idempotencyKey
  let response: Response
  try {
    response = await fetch(path, {
      method,
      headers,
      signal: options.signal,
      body:
        typeof options.body === 'string' || options.body instanceof Blob ? options.body : JSON.stringify(options.body),
    })
  } catch (failure) {
    if (options.signal?.aborted) throw failure
    const before = reads && !options.now ? await kept<T>(path) : undefined
    if (before !== undefined) return before
    throw new ApiError(0, 'The server does not answer. Nothing was saved; check the network and try again.')
  }
  if (response.status === 401) {
    await signedInAgain()
    return call<T>(method, path, options)
  }
  const answer = parsed(await response.text())
  if (response.ok) {
    if (reads && !options.now) void keep(path, answer)
    return answer as T
  }
  const problem = (answer ?? {}) as { detail?: string; field?: string; conflict?: ConflictingValue }
  throw new ApiError(
    response.status,
    problem.detail ?? `The server could not do this (${response.status}). Try again.`,
    problem.field,
    problem.conflict,
    Number(response.headers.get('Retry-After')) || undefined,
  )
}

export function sentence(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}

function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : undefined
  } catch {
    return undefined
  }
}
