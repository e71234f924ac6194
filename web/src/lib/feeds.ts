import type { Values } from '@/api/types'

type Feed = Values['FEED']

/** On a circuit, with the cable that it has, or on a battery. */
export function feedOn(now: Feed | undefined, circuit?: string): Feed {
  if (!circuit) return { from: 'BATTERY' }
  return now && now.from !== 'BATTERY'
    ? { from: 'CIRCUIT', name: circuit, cableM: now.cableM, areaMm2: now.areaMm2 }
    : { from: 'CIRCUIT', name: circuit }
}
