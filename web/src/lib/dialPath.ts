import type { DialAnswer } from '@/api/types'
import type { RulerArrow, RulerMark } from '@/components/bench/MiredRuler.vue'
import { signed } from './print'
import { miredAt } from './scales'

interface White {
  kelvin: number
  duv: number
}
export interface Dialling {
  dial: DialAnswer
  asked: Record<'dialled' | 'measured' | 'target', White>
}

/** What was dialled, measured and wanted, and what to dial, on the ruler. */
export function dialMarks({ dial, asked }: Dialling): RulerMark[] {
  return [
    { key: 'dialledKelvin', name: 'dialled', ...asked.dialled, as: 'dot', handle: true },
    { key: 'measuredKelvin', name: 'measured', ...asked.measured, as: 'ring', handle: true },
    { key: 'targetKelvin', name: 'wanted', kelvin: asked.target.kelvin, duv: 0, as: 'line', handle: true },
    { key: 'dial', name: 'dial this', kelvin: dial.dialKelvin, duv: dial.dialDuv, as: 'dot' },
  ]
}

/** The fixture's path from what is dialled to what it measures, and the same path to what is wanted. */
export function dialArrows({ dial, asked }: Dialling): RulerArrow[] {
  const to = miredAt(dial.dialKelvin)
  return [
    {
      key: 'path',
      name: `its path ${signed(dial.pathMired, 0)}`,
      from: miredAt(asked.dialled.kelvin),
      to: miredAt(asked.measured.kelvin),
    },
    { key: 'again', name: 'the same path', from: to, to: to + dial.pathMired },
  ]
}

export function toldDial({ dial, asked }: Dialling): string {
  const said = `Dial ${Math.round(dial.dialKelvin)} K, tint ${signed(dial.dialDuv, 3)}`
  return dial.reachable
    ? `${said}: it then measures ${asked.target.kelvin} K.`
    : `${said}, the end of its range: it stays ${Math.abs(Math.round(dial.residualMired))} mired too ${dial.residualMired > 0 ? 'warm' : 'cool'}.`
}
