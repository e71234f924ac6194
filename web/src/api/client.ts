import createClient from 'openapi-fetch'
import { keep, kept } from '@/lib/offlineStore'
import type { components, paths } from './generated/schema'
import { conflictingValue, type ConflictingValue } from './types'

const UNHEARD = [502, 503, 504]

/** A refusal with the server's own sentence, or one of ours when there is no answer. */
export class ApiError extends Error {
  readonly status: number
  readonly field?: string
  /** What stands now, where somebody was there first. */
  readonly conflict?: unknown
  /** When to send it again, in s, as the server says. */
  readonly retryAfterS?: number

  constructor(status: number, sentence: string, field?: string, conflict?: unknown, retryAfterS?: number) {
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

/** What this page calls itself, so that it knows its own edits among those of others. */
export const device = crypto.getRandomValues(new Uint32Array(2)).join('-')

/** For what is true only now: an older answer is no answer. */
export const ONLY_NOW = { cache: 'no-store' } as const

/** Header of an edit that was made on a version. */
export function onVersion(version: number | undefined): { 'If-Match'?: string } {
  return version === undefined ? {} : { 'If-Match': `"${version}"` }
}

const EPOCH_KEPT = 'oblume.epoch'
/** Which stretch of the record this device has read: it begins anew when the record is brought back from a copy. */
let epoch = globalThis.localStorage?.getItem(EPOCH_KEPT) ?? undefined
let restored: () => void = () => undefined
/** When the server answered an edit, by its clock in ms, by the key of the edit. */
const answeredAt = new Map<string, number>()

/** Tells the client what to do when the record was brought back from a copy. */
export function whenRestored(then: () => void) {
  restored = then
}

/** The stretch of the record that this device reads now; undefined before it has read anything. */
export function epochNow(): string | undefined {
  return epoch
}

/** When the server answered the edit of a key, by its clock in ms; told once. */
export function answeredOf(key: string): number | undefined {
  const at = answeredAt.get(key)
  answeredAt.delete(key)
  return at
}

function heed(request: Request, { ok, headers }: Response) {
  const key = request.headers.get('Idempotency-Key')
  const at = headers.get('Oblume-Answered')
  if (ok && key && at) answeredAt.set(key, Number(at))
  const now = headers.get('Oblume-Epoch')
  if (!now || now === epoch) return
  const before = epoch
  epoch = now
  globalThis.localStorage?.setItem(EPOCH_KEPT, now)
  if (before) restored()
}

let signedInAgain: () => Promise<void> = () => new Promise(() => undefined)

/** Tells the client what to wait for when a session has ended, before it sends a call again. */
export function whenSignedOut(wait: () => Promise<void>) {
  signedInAgain = wait
}

function headersOf(request: Request): Headers {
  const headers = new Headers(request.headers)
  headers.set('Oblume-Units', globalThis.localStorage?.getItem('oblume.units') ?? 'metric')
  if (request.method === 'GET') return headers
  headers.set('Oblume-Device', device)
  if (epoch && !headers.has('Oblume-Epoch')) headers.set('Oblume-Epoch', epoch)
  const pass = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1]
  if (pass) headers.set('X-XSRF-TOKEN', decodeURIComponent(pass))
  return headers
}

/** What is read is kept on this device, and stands in for the answer when there is none. */
async function send(request: Request): Promise<Response> {
  const { pathname, search } = new URL(request.url)
  const keeps = request.method === 'GET' && request.cache !== 'no-store'
  let response: Response
  try {
    response = await fetch(new Request(request.clone(), { headers: headersOf(request) }))
  } catch (failure) {
    if (request.signal.aborted) throw failure
    const before = keeps ? await kept(pathname + search) : undefined
    if (before !== undefined) return Response.json(before)
    throw new ApiError(0, 'The server does not answer. Nothing was saved; check the network and try again.')
  }
  heed(request, response)
  if (response.status === 401) {
    await signedInAgain()
    return send(request)
  }
  if (response.ok && keeps)
    void response
      .clone()
      .json()
      .then((read) => keep(pathname + search, read))
      .catch(() => undefined) // it is read by whoever asked
  return response
}

/** The server's calls, as its document describes them. */
export const api = createClient<paths>({
  baseUrl: location.origin,
  fetch: send,
  bodySerializer: (body: unknown) => (body instanceof Blob || typeof body === 'string' ? body : JSON.stringify(body)),
})

/** The content of a file, as it is: what the document calls binary text. */
export function asFile(file: Blob) {
  return { headers: { 'Content-Type': 'application/octet-stream' }, body: file as unknown as string }
}

/**
 * Sends a large file as it is.
 *
 * @param onSent told what share of it was sent, 0 to 1
 */
export function upload<T>(path: string, file: Blob, onSent: (share: number) => void): Promise<T> {
  return new Promise((done, failed) => {
    const request = new XMLHttpRequest()
    request.open('POST', path)
    headersOf(new Request(location.origin + path, { method: 'POST' })).forEach((value, name) =>
      request.setRequestHeader(name, value),
    )
    request.setRequestHeader('Content-Type', 'application/octet-stream')
    request.responseType = 'json'
    request.upload.onprogress = (sent) => onSent(sent.loaded / sent.total)
    request.onerror = () =>
      failed(new ApiError(0, 'The server does not answer. Nothing was kept; check the network and send it again.'))
    request.onload = () => {
      const body = request.response as unknown
      if (request.status < 300) done(body as T)
      else failed(problemOf(request.status, body))
    }
    request.send(file)
  })
}

function problemOf(status: number, body: unknown, retryAfterS?: number): ApiError {
  const problem: Partial<Problem> = body && typeof body === 'object' ? body : {}
  return new ApiError(
    status,
    problem.detail ?? `The server could not do this (${status}). Try again.`,
    problem.field,
    problem.conflict,
    retryAfterS,
  )
}

type Problem = components['schemas']['Problem']

/** What a call answers. Rejects with an {@link ApiError} when it is refused, or when there is no answer. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call
  if (response.ok) return data as T
  throw problemOf(response.status, error, Number(response.headers.get('Retry-After')) || undefined)
}

/** What someone else recorded meanwhile, where that is why an edit was refused. */
export function conflictOf(failure: unknown): ConflictingValue | undefined {
  return failure instanceof ApiError ? conflictingValue(failure.conflict) : undefined
}

export function sentence(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}
