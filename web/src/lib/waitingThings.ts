import type { Intent } from '@/api/intents'
import type { Placed } from '@/api/types'
import { measuredWords, recordsOf } from './words'

/** Version of a thing that the server has not heard of. */
export const WAITS = -1

/** Things that were found on set and wait on this device to be sent, as they will be recorded. */
export function waitingThings(intents: Intent[], shotId: number | undefined): Placed[] {
  return intents.flatMap((intent): Placed[] => {
    if (intent.kind !== 'thing' || intent.shotId !== shotId) return []
    const { key, name, kind, role, piece, measured } = intent.body
    const said = measured ? measuredWords(measured) : ''
    const looked = { author: '', at: new Date().toISOString() }
    const value = (of: object | undefined, say: string) => {
      const both = { metric: say, imperial: say }
      return {
        value: of,
        say: both,
        typed: both,
        brief: both,
        from: '',
        tiedHere: true,
        author: '',
        at: looked.at,
        looked,
      }
    }
    return [
      {
        placement: { key: key!, name, kind, role, piece },
        version: WAITS,
        onSet: true,
        records: recordsOf(kind),
        values: { STANDING: value({ state: 'ON' }, 'on'), ...(measured && { PLACE: value(undefined, said) }) },
        revisions: { STANDING: 1, ...(measured && { PLACE: 1 }) },
        buildRank: Number.MAX_SAFE_INTEGER,
        toBuild: true,
        findings: [],
      } as unknown as Placed,
    ]
  })
}
