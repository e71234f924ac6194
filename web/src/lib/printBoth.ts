import { call } from '@/api/client'
import type { Phrase, Understood } from '@/api/types'

/** Lengths (metres) or light (lux) in both systems, as the server prints them. */
export async function say(kind: 'LENGTH' | 'LIGHT', values: number[]): Promise<Phrase[]> {
  const unit = kind === 'LENGTH' ? 'm' : 'lux'
  const { items } = await call<{ items: Understood[] }>('POST', '/api/bench/read', {
    body: { items: values.map((value) => ({ kind, text: `${value.toFixed(6)} ${unit}` })) },
  })
  return items.map((item) => ({ metric: item.metric ?? '', imperial: item.imperial ?? '' }))
}
