import type { Intent } from '@/api/intents'
import type { Attribute, Placed, PlacementKind } from '@/api/types'
import { measuredWords } from './words'

/** Version of a thing that the server has not heard of. */
export const WAITS = -1
const OF_A_MARK: Attribute[] = ['STANDING', 'PLACE', 'HEIGHT', 'AIM']
const OF_A_LIGHT: Attribute[] = [...OF_A_MARK, 'LEVEL', 'CCT', 'TINT', 'MODIFIERS', 'PATCH']
const OF_A_CLOTH: Attribute[] = [...OF_A_MARK, 'MODIFIERS']
const CLOTHS: PlacementKind[] = ['NET', 'FRAME', 'CURTAIN', 'PATTERN']

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
        records: kind === 'HEAD' || kind === 'PRACTICAL' ? OF_A_LIGHT : CLOTHS.includes(kind) ? OF_A_CLOTH : OF_A_MARK,
        values: { STANDING: value({ state: 'ON' }, 'on'), ...(measured && { PLACE: value(undefined, said) }) },
        revisions: { STANDING: 1, ...(measured && { PLACE: 1 }) },
        buildRank: Number.MAX_SAFE_INTEGER,
        findings: [],
      } as unknown as Placed,
    ]
  })
}
