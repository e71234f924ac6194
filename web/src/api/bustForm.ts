import { answer, api } from './client'
import type { BustForm } from './types'

let form: Promise<BustForm> | undefined

/** The bust's own form: the same for all, asked for once. */
export function bustForm(): Promise<BustForm> {
  form ??= answer(api.GET('/api/bust')).catch((failure: unknown) => {
    form = undefined
    throw failure
  })
  return form
}
