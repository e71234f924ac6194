import vocabulary from '../../vocabulary.json'
import {
  held,
  value,
  type Attribute,
  type Placed,
  type Reason,
  type AttributeValue,
  type Department,
  type Patch,
  type Role,
  type ShotStage,
  type TeamRole,
} from '@/api/types'

/** What core calls things: `web/vocabulary.json`, which a test of the server keeps. Keys in their order there. */
function named<K extends string>(words: Record<K, string>): { key: K; name: string }[] {
  return Object.entries<string>(words).map(([key, name]) => ({ key: key as K, name }))
}

export const REASONS = named<Reason>(vocabulary.reasons).map((r) => ({ ...r, means: vocabulary.reasonsMean[r.key] }))

export const ROLES = named<Role>(vocabulary.roles)

/** What a person is here for, and may do. */
export const TEAM_ROLES = named<TeamRole>(vocabulary.teamRoles).map((r) => ({
  ...r,
  does: vocabulary.teamRolesDo[r.key],
}))

/** How a light is told what to do. */
export const PATHS = named<NonNullable<Patch['path']>>(vocabulary.controlPaths)

export const DEPARTMENTS = named<Department>(vocabulary.departments)

export const STAGES = named<ShotStage>(vocabulary.stages)

/** How a fixture follows its level. */
export const LEVEL_CURVES = named(vocabulary.levelCurves)

export const ATTRIBUTES: Record<Attribute, string> = vocabulary.attributes

/** A value that the server has not put into words yet: `x 3.4, y 2.1`. */
export function words(value: AttributeValue | undefined): string {
  return Object.entries(value ?? {})
    .filter(([, part]) => part !== false && part !== null)
    .map(([part, figure]) =>
      Array.isArray(figure)
        ? figure.map((m: { name: string }) => m.name).join(', ') || 'none'
        : `${part.replace(/M$|Deg$/, '')} ${figure}`,
    )
    .join(', ')
}

export function reasonName(reason: Reason | undefined): string {
  return REASONS.find((r) => r.key === reason)?.name ?? ''
}

export function stageName(stage: ShotStage): string {
  return STAGES.find((s) => s.key === stage)?.name ?? stage
}

/** `gaffer, 16 Nov 18:05` in this device's time. */
export function when(at: string): string {
  return new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
}

export function tilt(degrees: number): string {
  const size = Math.round(Math.abs(degrees))
  return size === 0 ? 'level' : `${degrees < 0 ? 'down' : 'up'} ${size}°`
}

export function signed(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals)
  return Number(text) === 0 ? '0' : `${value < 0 ? '−' : '+'}${text}`
}

/** What stands in a field when one starts to type over a value; the server reads it back in either units. */
export function typed(placed: Placed, attribute: Attribute, imperial: boolean): string {
  switch (attribute) {
    case 'PLACE': {
      const place = value(placed, 'PLACE')
      if (place && imperial) return (held(placed, 'PLACE')?.sayImperial ?? '').replace(' right', '').replace(' up', '')
      return place ? `${place.xM.toFixed(2)}, ${place.yM.toFixed(2)}${place.outside ? ' outside' : ''}` : ''
    }
    case 'AIM': {
      const aim = placed.aim
      return aim
        ? `${Math.round(aim.bearingDeg)} ${aim.tiltDeg < 0 ? 'down' : 'up'} ${Math.abs(Math.round(aim.tiltDeg))}`
        : ''
    }
    case 'WHITE': {
      const white = value(placed, 'WHITE')
      return white ? `${white.kelvin}${white.duv ? ` ${white.duv > 0 ? '+' : ''}${white.duv}` : ''}` : ''
    }
    default:
      return ((imperial ? held(placed, attribute)?.sayImperial : held(placed, attribute)?.say) ?? '')
        .replace(/ (%|K|m|mm|s)$|°$/, '')
        .replace('−', '-')
  }
}

/** What is told of a thing beside its name: level and colour of a light, lens and height of a camera. */
export function recorded(placed: Placed): string {
  const light = placed.light
  if (!light)
    return placed.placement.kind === 'CAMERA'
      ? [held(placed, 'LENS')?.say, held(placed, 'HEIGHT')?.say].filter(Boolean).join(', ')
      : ''
  if (value(placed, 'STANDING')?.state === 'OFF') return 'off'
  const gel = value(placed, 'MODIFIERS')?.items.find((m) => m.gel)
  const colour = gel ? gel.name : light.kelvin ? `${Math.round(light.kelvin)}K` : ''
  return `${held(placed, 'LEVEL')?.say.replace(' ', '') ?? ''} ${colour}`
}
