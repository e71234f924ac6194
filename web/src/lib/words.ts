import vocabulary from '../../vocabulary.json'
import {
  held,
  value,
  type Attribute,
  type Placed,
  type Reason,
  type AttributeValue,
  type Department,
  type LightNeed,
  type MonitorCurve,
  type Patch,
  type MeasuredBody,
  type Phrase,
  type PlacementKind,
  type ValueEdit,
  type Role,
  type ShotStage,
  type Stock,
  type TeamRole,
  type Values,
} from '@/api/types'

/** What core calls things: `web/vocabulary.json`, which a test of the server keeps. Keys in their order there. */
function named<K extends string>(words: Record<K, string>): { key: K; name: string }[] {
  return Object.entries<string>(words).map(([key, name]) => ({ key: key as K, name }))
}

export const REASONS = named<Reason>(vocabulary.reasons).map((r) => ({ ...r, means: vocabulary.reasonsMean[r.key] }))

export const ROLES = named<Role>(vocabulary.roles)
/** What something that stands can be there for. */
export const THING_ROLES = ROLES.filter((r) => r.key !== 'CONDITION' && r.key !== 'CUE')

/** What a person is here for, and may do. */
export const TEAM_ROLES = named<TeamRole>(vocabulary.teamRoles).map((r) => ({
  ...r,
  does: vocabulary.teamRolesDo[r.key],
}))

/** How a light is told what to do. */
export const PATHS = named<NonNullable<Patch['path']>>(vocabulary.controlPaths)

/** The light of the day that a shot can only be shot in. */
export const LIGHT_NEEDS = named<LightNeed>(vocabulary.lightNeeds)

const CURVES = named<NonNullable<MonitorCurve['shipped']>>(vocabulary.signalCurves)
/** What signals on a monitor are read through; dividing them last. */
export const SIGNAL_CURVES = [...CURVES.filter((c) => c.key !== 'NONE'), ...CURVES.filter((c) => c.key === 'NONE')]

export const DEPARTMENTS = named<Department>(vocabulary.departments)

/** What a light does by itself. */
export const EFFECTS = named<Values['EFFECT']['kind']>(vocabulary.effects)

/** What stock is used for. */
export const STOCK_KINDS = named<Stock['kind']>(vocabulary.stockKinds)

/** What the place has conditions of, and what has to be known of each. */
export const CONDITIONS = named<Values['CONDITION']['sort']>(vocabulary.conditions).map((c) => ({
  ...c,
  asks: vocabulary.conditionsAsk[c.key],
}))

export const STAGES = named<ShotStage>(vocabulary.stages)

/** How a fixture follows its level. */
export const LEVEL_CURVES = named(vocabulary.levelCurves)
export type LevelCurve = (typeof LEVEL_CURVES)[number]['key']

/** What is recorded of a kind of thing. */
export function recordsOf(kind: PlacementKind): Attribute[] {
  return vocabulary.records[kind] as Attribute[]
}

/** Whether it stands somewhere; a condition of the place and a cue do not. */
export function isThing(kind: PlacementKind): boolean {
  return recordsOf(kind).includes('PLACE')
}

/** Whether a crew builds such a thing in sizes of its own. */
export function hasOwnSize(kind: PlacementKind): boolean {
  return isThing(kind) && kind !== 'MARK' && kind !== 'CAMERA' && kind !== 'HEAD'
}

/** Stands as a thing's kind until somebody says which it is. */
export const KIND_NOT_SAID = vocabulary.kindNotSaid

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

/** A place as somebody measured it, before the server has worked it out: `2.12 m from window post, 1.46 m from door post`. */
export function measuredWords({ tapes, polar, alongWall, onLandmark }: MeasuredBody): string {
  if (tapes?.length) return tapes.map((t) => `${t.length} from ${t.landmark}`).join(', ')
  if (polar) return `${polar.distance} from ${polar.mark}, ${polar.offDeg}° off the camera, ${polar.side.toLowerCase()}`
  if (alongWall) return `${alongWall.along} from ${alongWall.from} towards ${alongWall.towards}, ${alongWall.out} out`
  return `on ${onLandmark}`
}

/** A thing as a crew calls it, its tag first. */
export function calledWords({ unit, what }: { unit?: string; what: string }): string {
  return told([unit, what], ', ')
}

/** What somebody wants a value to be, in words. */
export function wantedWords(wanted: NonNullable<ValueEdit>): string {
  if ('text' in wanted) return wanted.text
  if ('measured' in wanted) return measuredWords(wanted.measured)
  return 'exchange' in wanted ? calledWords(wanted.exchange.piece) : words(wanted.value)
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

/** `gaffer, 16 Nov 18:05`; what is only tried carries no time, for nobody recorded it. */
export function byWhom({ author, at }: { author: string; at: string }): string {
  return `${author}, ${Date.parse(at) ? when(at) : 'not recorded'}`
}

export function tilt(degrees: number): string {
  const size = Math.round(Math.abs(degrees))
  return size === 0 ? 'level' : `${degrees < 0 ? 'down' : 'up'} ${size}°`
}

/** What is told of a thing beside its name: level and colour of a light, lens and height of a camera. */
export function recorded(placed: Placed, printed: (both: Phrase) => string): string {
  const said = (attribute: Attribute, how: 'say' | 'brief') => {
    const now = held(placed, attribute)
    return now && printed(now[how])
  }
  const { light, placement } = placed
  if (!light) return placement.kind === 'CAMERA' ? told([said('LENS', 'say'), said('HEIGHT', 'say')], ', ') : ''
  if (value(placed, 'STANDING')?.state === 'OFF') return 'off'
  const gel = value(placed, 'MODIFIERS')?.items.find((m) => m.gel)
  return told([said('LEVEL', 'brief'), gel?.name ?? (light.kelvin ? `${Math.round(light.kelvin)}K` : '')], ' ')
}

function told(parts: (string | undefined)[], between: string): string {
  return parts.filter(Boolean).join(between)
}

/** What is set before a figure, and the units that are set smaller behind it. */
const FIGURE = /^(T|ISO)? ?(.+?)(?: (%|K|mm|m|s|lux|fc|stops?|mired))?$/

/** A figure as the server said it, apart from what stands before it and from its unit: `ISO`, `800` and nothing; `2.4` and `stops`. */
export function apart(said: string): { before: string; figure: string; unit: string } {
  const [, before = '', figure = said, unit = ''] = FIGURE.exec(said) ?? []
  return { before, figure, unit }
}
