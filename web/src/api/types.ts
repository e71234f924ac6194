import type { components } from './generated/schema'

type Schemas = components['schemas']

export type RecordChanged = Schemas['RecordChanged']
export type Topic = RecordChanged['topics'][number]
export type Book = Schemas['BookView']
export type ProductionPage = Schemas['ProductionPage']
export type ScenePage = Schemas['ScenePage']
export type BookShot = Schemas['BookShot']
export type ShotCard = Schemas['ShotCard']
export type Plot = Schemas['PlotView']
export type PlotEdit = Schemas['PlotEdit']
export type Placed = Schemas['PlacedView']
export type ValueView = Schemas['ValueView']
export type SetPlan = Schemas['SetPlan']
export type PlanPoint = Schemas['PlanPoint']
export type Tape = Schemas['Tape']
export type LengthView = Schemas['LengthView']
export type Modifier = Schemas['Modifier']
export type Patch = Schemas['Patch']
export type PatchPage = Schemas['PatchPage']
export type PatchedLight = Schemas['PatchedLight']
export type PatchPlan = Schemas['PatchPlan']
export type Repatched = Schemas['Repatched']
export type KnownNode = Schemas['KnownNode']
export type Output = Schemas['OutputView']
export type AtStop = Schemas['Armed']['atStop']
export type RecallPreview = Schemas['RecallPreview']
export type ReadBackView = Schemas['ReadBackView']
export type DriftView = Schemas['DriftView']
export type RigState = Schemas['RigState']
export type Kit = Schemas['Kit']
export type Stock = Schemas['Stock']
export type Kind = NonNullable<Schemas['Typed']['kind']>
export type Understood = Schemas['Understood']
export type Behind = Schemas['Behind']
export type DialAnswer = Schemas['DialAnswer']
export type Prescribed = Schemas['Prescribed']
export type Exposed = Schemas['Exposed']
export type Ratio = Schemas['Ratio']
export type BothSchools = Schemas['BothSchools']
export type Moved = Schemas['Moved']
export type Thrown = Schemas['Thrown']
export type Loaded = Schemas['Loaded']
export type BatteryRun = Schemas['BatteryRun']
export type Fixture = Schemas['Fixture']
export type DrawnSet = Schemas['DrawnSet']
export type StageSet = Schemas['StageSet']
export type Wall = Schemas['Wall']
export type Surface = Schemas['Surface']
export type Restriction = Schemas['Restriction']
export type Light = Schemas['LightView']
export type AtMark = Schemas['AtMark']
export type SourceAtMark = Schemas['SourceAtMarkView']
export type SourceView = Schemas['SourceView']
export type HintView = Schemas['HintView']
export type TrialView = Schemas['TrialView']
export type Landing = Schemas['LandingView']
export type ChangeView = Schemas['ChangeView']
export type ProposedChange = Schemas['ProposedChange']
export type ParsedLine = Schemas['ParsedLine']
export type Order = Schemas['Arranging']['order']
export type Measured = Schemas['Measured']
export type PlacementCard = Schemas['PlacementCard']
export type Rebuild = Schemas['RebuildView']
export type Step = Schemas['Step']
export type Standin = Schemas['Standin']
export type TapeCheckView = Schemas['TapeCheckView']
export type FitPreview = Schemas['FitPreview']
export type Meter = Schemas['MeterView']
export type ReadingView = Schemas['ReadingView']
export type ParsedReading = Schemas['ParsedReading']
export type WhiteMatch = Schemas['WhiteMatchView']
export type WhiteMatchWay = Schemas['WhiteMatchWay']
export type MatchReport = Schemas['MatchView']
export type ShotVerdict = Schemas['ShotVerdict']
export type VerdictLine = Schemas['VerdictLine']
export type Aspect = VerdictLine['aspect']
export type Verdict = Schemas['VerdictView']
export type Phrase = Schemas['Phrase']
export type Role = Schemas['Placement']['role']
export type Attribute = Placed['records'][number]
export type Reason = NonNullable<ValueView['reason']>
export type Session = Schemas['SessionView']
export type Permission = Session['permissions'][number]
export type TeamRole = Session['demo'][number]
export type Team = Schemas['TeamView']
export type Address = Schemas['Address']
export type Link = Schemas['Link']
export type Member = Schemas['Member']
export type QrCode = Schemas['QrCode']
export type Board = Schemas['BoardView']
export type BoardShot = Schemas['BoardShot']
export type BoardRow = Schemas['BoardRow']
export type BoardCell = Schemas['BoardCell']
export type BoardKnot = Schemas['BoardKnot']
export type BoardThread = Schemas['BoardThread']
export type Department = MoveStep['department']
export type Compared = Schemas['CompareView']
export type Preview = Schemas['Preview']
export type DifferenceView = Schemas['DifferenceView']
export type Moves = Schemas['MovesView']
export type MoveStep = Moves['moves'][number]
export type JobTimes = Schemas['JobTimesView']
export type Rebased = Schemas['Rebased']
export type Safety = Schemas['Safety']
export type Take = Schemas['Take']
export type Note = Schemas['Note']
export type PastChange = Schemas['PastChange']
export type ClosedRevision = Schemas['ClosedRevision']
export type LookCard = Schemas['LookCard']
export type ShotStage = ShotCard['stage']
export type AttributeValue = Schemas['AttributeValue']
/** A change on its way: a value, what someone typed, or null to let it carry again. */
export type ValueEdit = { value: AttributeValue } | { text: string } | null

/** The value of each attribute. */
export interface Values {
  STANDING: Schemas['SetStatus']
  PLACE: Schemas['Place']
  HEIGHT: Schemas['Height']
  AIM: Schemas['AimSetting']
  LEVEL: Schemas['Level']
  CCT: Schemas['ColourTemperature']
  TINT: Schemas['Tint']
  BEAM: Schemas['Beam']
  MODIFIERS: Schemas['Modifiers']
  PATCH: Schemas['Patch']
  COLOUR: Schemas['Colour']
  EFFECT: Schemas['Effect']
  MENU: Schemas['Menu']
  LENS: Schemas['Lens']
  STOP: Schemas['Stop']
  SPEED: Schemas['Speed']
  SHUTTER: Schemas['Shutter']
  WHITE: Schemas['White']
  LENS_ND: Schemas['LensNd']
  DAYLIGHT: Schemas['Daylight']
  ON_PURPOSE: Schemas['OnPurpose']
}

/** What is recorded for an attribute of a placement, or undefined when nothing is. */
export function held(placed: Placed, attribute: Attribute): ValueView | undefined {
  return (placed.values as Partial<Record<Attribute, ValueView>>)[attribute]
}

export function value<A extends Attribute>(placed: Placed, attribute: A): Values[A] | undefined {
  return held(placed, attribute)?.value as Values[A] | undefined
}

/** The revision of the shot's own value, 0 when it was never tied here. */
export function revisionOf(placed: Placed, attribute: Attribute): number {
  return (placed.revisions as Partial<Record<Attribute, number>>)[attribute] ?? 0
}

/** What someone else recorded meanwhile, with a 409. */
export type ConflictingValue = Schemas['ConflictingValue']

/** What stands now of a value, where a conflict is about one. */
export function conflictingValue(conflict: unknown): ConflictingValue | undefined {
  return conflict && typeof conflict === 'object' && 'attribute' in conflict && 'revision' in conflict
    ? (conflict as ConflictingValue)
    : undefined
}
