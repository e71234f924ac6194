import type { components } from './generated/schema'

type Schemas = components['schemas']

export type Book = Schemas['BookView']
export type ProductionPage = Schemas['ProductionPage']
export type ScenePage = Schemas['ScenePage']
export type ShotLine = Schemas['ShotLine']
export type ShotCard = Schemas['ShotCard']
export type Plot = Schemas['PlotView']
export type Placed = Schemas['PlacedView']
export type Held = Schemas['Held']
export type SetPlan = Schemas['SetPlan']
export type PlanPoint = Schemas['PlanPoint']
export type Tape = Schemas['Tape']
export type Reach = Schemas['Reach']
export type Modifier = Schemas['Modifier']
export type Patch = Schemas['Patch']
export type PatchPage = Schemas['PatchPage']
export type PatchedLight = Schemas['PatchedLight']
export type PatchPlan = Schemas['PatchPlan']
export type Repatched = Schemas['Repatched']
export type KnownNode = Schemas['KnownNode']
export type Output = Schemas['OutputView']
export type RecallPreview = Schemas['RecallPreview']
export type RigBeside = Schemas['RigBeside']
export type Drifted = Schemas['Drifted']
export type RigState = Schemas['RigState']
export type Kit = Schemas['Kit']
export type Stock = Schemas['Stock']
export type Kind = NonNullable<Schemas['Typed']['kind']>
export type Understood = Schemas['Understood']
export type Behind = Schemas['Behind']
export type DialAnswer = Schemas['DialAnswer']
export type Prescribed = Schemas['Prescribed']
export type Prescriptions = Schemas['Prescriptions']
export type Exposed = Schemas['Exposed']
export type Ratio = Schemas['Ratio']
export type BothSchools = Schemas['BothSchools']
export type Moved = Schemas['Moved']
export type Thrown = Schemas['Thrown']
export type TapeAnswer = Schemas['TapeAnswer']
export type TapeOutAnswer = Schemas['TapeOutAnswer']
export type Loaded = Schemas['Loaded']
export type BatteryRun = Schemas['BatteryRun']
export type Fixture = Schemas['Fixture']
export type DrawnSet = Schemas['DrawnSet']
export type StageSet = Schemas['StageSet']
export type Wall = Schemas['Wall']
export type Surface = Schemas['Surface']
export type Underlay = Schemas['Underlay']
export type Restriction = Schemas['Restriction']
export type Light = Schemas['LightView']
export type AtMark = Schemas['AtMark']
export type FromOne = Schemas['FromOne']
export type Shining = Schemas['Shining']
export type Worth = Schemas['Worth']
export type Tried = Schemas['TriedView']
export type Told = Schemas['Told']
export type Holding = Schemas['Holding']
export type Wish = Schemas['Wish']
export type Understanding = Schemas['Understanding']
export type Arranged = Schemas['Arranged']
export type Order = Schemas['Arranging']['order']
export type Measured = Schemas['Measured']
export type PlacementCard = Schemas['PlacementCard']
export type Rebuild = Schemas['RebuildView']
export type Step = Schemas['Step']
export type Run = Schemas['RunHead']
export type Misfit = Schemas['MisfitSaid']
export type Standin = Schemas['Standin']
export type TapesSay = Schemas['TapesSay']
export type FitPreview = Schemas['FitPreview']
export type Meter = Schemas['MeterView']
export type Read = Schemas['Read']
export type UnderstoodReading = Schemas['UnderstoodReading']
export type Agreeing = Schemas['Agreeing']
export type AgreeWay = Schemas['AgreeWay']
export type Matching = Schemas['MatchView']
export type Judged = Schemas['Judged']
export type JudgedLine = Schemas['JudgedLine']
export type Aspect = JudgedLine['aspect']
export type Verdict = Schemas['VerdictView']
export type Words = Schemas['Words']
export type Role = Schemas['Placement']['role']
export type Attribute = Placed['records'][number]
export type Reason = NonNullable<Held['reason']>
export type Session = Schemas['SessionView']
export type May = Session['may'][number]
export type TeamRole = Session['demo'][number]
export type Team = Schemas['TeamView']
export type Member = Schemas['Member']
export type Board = Schemas['BoardView']
export type BoardShot = Schemas['BoardShot']
export type BoardRow = Schemas['BoardRow']
export type BoardCell = Schemas['BoardCell']
export type BoardKnot = Schemas['BoardKnot']
export type BoardThread = Schemas['BoardThread']
export type Department = MoveStep['department']
export type Printed = Schemas['Said']
export type Compared = Schemas['CompareView']
export type Preview = Schemas['Preview']
export type Changed = Schemas['Changed']
export type Moves = Schemas['MovesView']
export type MoveStep = Moves['moves'][number]
export type Tempo = Schemas['TempoView']
export type Rebased = Schemas['Rebased']
export type Take = Schemas['Take']
export type Note = Schemas['Note']
export type PastChange = Schemas['PastChange']
export type ClosedRevision = Schemas['ClosedRevision']
export type LookCard = Schemas['LookCard']
export type Stage = ShotCard['stage']
export type AttributeValue = Schemas['AttributeValue']

/** The value of each attribute. */
export interface Values {
  STANDING: Schemas['Standing']
  PLACE: Schemas['Place']
  HEIGHT: Schemas['Height']
  AIM: Schemas['Pointing']
  LEVEL: Schemas['Level']
  CCT: Schemas['Dial']
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
export function held(placed: Placed, attribute: Attribute): Held | undefined {
  return (placed.values as Partial<Record<Attribute, Held>>)[attribute]
}

export function value<A extends Attribute>(placed: Placed, attribute: A): Values[A] | undefined {
  return held(placed, attribute)?.value as Values[A] | undefined
}

/** The revision of the shot's own value, 0 when it was never tied here. */
export function revisionOf(placed: Placed, attribute: Attribute): number {
  return (placed.revisions as Partial<Record<Attribute, number>>)[attribute] ?? 0
}

/** What someone else recorded meanwhile, with a 409. */
export interface Theirs {
  placement: string
  attribute: Attribute
  label: string
  value?: AttributeValue
  say: string
  reason?: Reason
  author: string
  at: string
  revision: number
}
