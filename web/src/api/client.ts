import { t } from '../text'
import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Answer = Schemas['Asked']
export type CheckView = Schemas['CheckView']
export type CheckSheet = Schemas['CheckSheet']
export type CheckedPiece = Schemas['CheckedPiece']
export type DrillShown = Schemas['DrillShown']
export type CaliperShows = Schemas['CaliperShows']
export type LotKnown = Schemas['LotKnown']
export type LotLine = Schemas['LotLine']
export type MetalRow = Schemas['MetalRow']
export type Matching = Schemas['Matching']
export type Misfit = Schemas['Misfit']
export type NextBlank = Schemas['NextBlank']
export type OwnSpread = Schemas['OwnSpread']
export type Pace = Schemas['Pace']
export type PieceCheck = Schemas['PieceCheck']
export type ReadPage = Schemas['ReadPage']
export type Rescues = Schemas['Rescues']
export type ToMeasure = Schemas['ToMeasure']
export type WentWrong = Schemas['WentWrong']
export type BatchChart = Schemas['BatchChart']
export type CaliperReading = Schemas['CaliperReading']
export type RolledLoop = Schemas['RolledLoop']
export type RodNow = Schemas['RodNow']
export type ChainRequest = Schemas['ChainRequest']
export type ChainSheet = Schemas['ChainSheet']
export type ChainSlot = Schemas['ChainSlot']
export type ChainWorked = Schemas['ChainWorked']
export type Gives = Schemas['Gives']
export type KeptChain = Schemas['KeptChain']
export type KnownWeave = Schemas['KnownWeave']
export type OnScale = Schemas['OnScale']
export type PlacingShown = Schemas['PlacingShown']
export type Relaxed = Schemas['Relaxed']
export type RingDrawn = Schemas['RingDrawn']
export type RodFor = Schemas['RodFor']
export type Weave = Schemas['Weave']
export type Agenda = Schemas['Agenda']
export type AgendaSession = Schemas['AgendaSession']
export type Alone = Schemas['Alone']
export type BagRow = Schemas['BagRow']
export type BatchRow = Schemas['BatchRow']
export type ScheduleChange = Schemas['ScheduleChange']
export type Hours = Schemas['Hours']
export type LabelPaper = Schemas['LabelPaper']
export type MadeBag = Schemas['MadeBag']
export type NewOrder = Schemas['NewOrder']
export type OrderRow = Schemas['OrderRow']
export type PlannedSchedule = Schemas['PlannedSchedule']
export type BatchRun = Schemas['BatchRun']
export type SessionStep = Schemas['SessionStep']
export type Recipe = Schemas['Recipe']
export type MatchOf = Schemas['MatchOf']
export type BatchNow = Schemas['BatchNow']
export type LedBatch = Schemas['LedBatch']
export type Told = Schemas['Told']
export type Changes = Schemas['Changes']
export type Candidate = Schemas['Candidate']
export type CurvePoint = Schemas['CurvePoint']
export type Curve = Schemas['Curve']
export type Drawing = Schemas['Drawing']
export type Fault = Schemas['Fault']
export type Figure = Schemas['Figure']
export type KeptPiece = Schemas['KeptPiece']
export type KeptPlan = Schemas['KeptPlan']
export type GaugeSystem = Schemas['GaugeSystem']
export type KeptBlade = Schemas['KeptBlade']
export type Mandrel = Schemas['Mandrel']
export type Place = Schemas['Place']
export type Check = Schemas['Check']
export type Dimension = Schemas['Dimension']
export type DrawnPart = Schemas['DrawnPart']
export type Fit = Schemas['Fit']
export type KeptPattern = Schemas['KeptPattern']
export type Mark = Schemas['Mark']
export type Parameter = Schemas['Parameter']
export type PatternForm = Schemas['PatternForm']
export type PatternKind = Schemas['PatternKind']
export type PatternRequest = Schemas['PatternRequest']
export type PatternSheet = Schemas['PatternSheet']
export type PatternWorked = Schemas['PatternWorked']
export type Phrase = Schemas['Phrase']
export type Piece = Schemas['Piece']
export type Plier = Schemas['Plier']
export type PlierEntry = Schemas['Entry_Plier']
export type Step = Schemas['Step']
export type Target = Schemas['Target']
export type Thumbnail = Schemas['Thumbnail']
export type Transferred = Schemas['Transferred']
export type Wire = Schemas['Wire']
export type Workpiece = Schemas['Workpiece']
export type PlacedRod = Schemas['PlacedRod']
export type PlanDocument = Schemas['PlanDocument']
export type Problem = Schemas['Problem']
export type RingRequest = Schemas['RingRequest']
export type Revisioned = Schemas['Revisioned']
export type Settings = Schemas['Settings']
export type SetStrength = Schemas['SetStrength']
export type Sheet = Schemas['Sheet']
export type Slot = Schemas['Slot']
export type Strip = Schemas['Strip']
export type Worked = Schemas['Worked']
export type RodEntry = Schemas['Entry_Mandrel']
export type BladeEntry = Schemas['Entry_KeptBlade']
export type ChooseRequest = Schemas['ChooseRequest']
export type WireCandidate = Schemas['WireCandidate']
export type Cost = Schemas['Cost']
export type CostRequest = Schemas['CostRequest']
export type CutPlan = Schemas['CutPlan']
export type CutRequest = Schemas['CutRequest']
export type StockLevel = Schemas['StockLevel']
export type LedgerLine = Schemas['LedgerLine']
export type Lot = Schemas['Lot']
export type LotCut = Schemas['LotCut']
export type Need = Schemas['Need']
export type PickedRow = Schemas['PickedRow']
export type PlanSheet = Schemas['PlanSheet']
export type Reading = Schemas['Reading']
export type ReadField = Schemas['ReadField']
export type Reads = Schemas['Reads']
export type Scale = Schemas['Scale']
export type Comparison = Schemas['Comparison']
export type RackImport = Schemas['RackImport']
export type StockCut = Schemas['StockCut']
export type Stocked = Schemas['Stocked']
export type WrittenBatch = Schemas['WrittenBatch']
export type Wanted = Schemas['Wanted']
export type Weighed = Schemas['Weighed']
export type Word = Schemas['Word']
export type StartSet = Schemas['StartSet']

/** What the server said was wrong, with the field of each fault. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }
}

/** What stands there instead, where somebody else changed a record first. */
export const currentOf = (thrown: unknown) =>
  thrown instanceof Refused && thrown.problem.status === 409 ? (thrown.problem.current ?? null) : null

export const api = createClient<paths>({ baseUrl: '/' })

/** Called when the server wants the passphrase. */
let onLocked = () => {}
export function whenLocked(then: () => void) {
  onLocked = then
}

/** What an answer that went wrong throws; a lock is met as everywhere. */
export async function refusedBy(response: Response): Promise<Refused> {
  if (response.status === 401) onLocked()
  return new Refused((await response.json()) as Problem)
}

/** Thrown where nobody answers. */
export const unreachable = () =>
  new Refused({
    type: '/problems/unreachable',
    title: t('client-no-answer'),
    status: 0,
    detail: t('client-lorimant-server-doesnt-answer-start'),
    errors: [],
  })

/** The data of an answer; throws {@link Refused} for a problem, and one like it when nobody answers. */
export async function data<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let answer
  try {
    answer = await call
  } catch {
    throw unreachable()
  }
  if (answer.error !== undefined || !answer.response.ok) {
    if (answer.response.status === 401) onLocked()
    throw new Refused(answer.error as Problem)
  }
  return answer.data as T
}

/** The sentence to show for anything thrown. */
export function sentenceOf(thrown: unknown): string {
  return thrown instanceof Error ? thrown.message : String(thrown)
}

/** The faults of anything thrown, at least one. */
export function faultsOf(thrown: unknown): Fault[] {
  if (thrown instanceof Refused && thrown.problem.errors?.length) return thrown.problem.errors
  return [{ field: '', message: sentenceOf(thrown) }]
}
