import type { AdviceView, CarryView, MachineView, StepsView } from './machine/views'
import type { BackupPreview, LearningView, SettingsView } from './settings/views'
import type { BenchView } from './bench/views'
import type { BriefInput } from './brief/schemas'
import type {
  BuildStrip,
  BuildView,
  EditionsView,
  RepricedView,
  SessionView,
  VariantsView,
} from './builds/views'
import type { ConnectorView } from './sources/views'
import type { DatedBuild, FlipsView, LedgerView } from './ledger/views'
import type { DoorAnswered, HaggleView, LeadInboxView, LeadView } from './leads/views'
import { inboxQuery, type LeadTitle } from './leads/inbox'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { PlanCarriedOut } from '#core/planning/planBuild'
import type { EditionDrift } from '#core/files/editions/edition'
import type { GameInput } from './work/schemas'
import type { ImportReport } from './files/importReport'
import type { LeadInput } from './leads/schemas'
import type { LibraryView } from './parts/views'
import type {
  LookoutHit,
  NewOrUsedRow,
  PriceBrief,
  PriceView,
  RecipeView,
  RecordPool,
  WorthView,
} from './prices/views'
import type { PasteKept } from './pastes/views'
import type { PlanTaken, PlanView } from './plan/views'
import type { Proposals } from './prices/proposals'
import type { RateView } from './settings/rates'
import type { RivalInput } from './rivals/schemas'
import type { RivalPage } from '#core/files/import/rivalPage'
import type { SoldRecordsRead } from '#core/files/import/soldRecordsFile'
import type { SourceInput } from './sources/schemas'
import type { LevelView, TierView } from './scales/views'
import {
  accountRequest,
  checkFitRequest,
  frameTimesRequest,
  landedCostRequest,
  lotRequest,
  planRequest,
  readListingRequest,
  readPartRequest,
  readSalesRequest,
  streetPriceRequest,
} from './calc/schemas'
import {
  adviceSchema,
  adviceStateSchema,
  assembledSchema,
  carryQuery,
  choiceOfQuery,
  choicePatchSchema,
  choiceSchema,
  fixSchema,
  settledSchema,
  stepsQuery,
  swapSchema,
} from './machine/schemas'
import {
  agreeSchema,
  doorNoteSchema,
  leadDaySchema,
  leadPatchSchema,
  leadSchema,
  offerSchema,
  passSchema,
  reopenSchema,
  photoQuery,
} from './leads/schemas'
import {
  applyRecipeSchema,
  lookoutSchema,
  opinionSchema,
  overridesSchema,
  ownFigureSchema,
  poolSchema,
  querySchema,
  readSchema,
  recipeSchema,
  seenSchema,
  waitNoteSchema,
} from './prices/schemas'
import { assumptionSchema, homeSchema, moneySchema, passphraseSchema, sessionQuery } from './settings/schemas'
import { briefSchema } from './brief/schemas'
import { buildFileSchema } from './builds/buildFile'
import { connectorPatchSchema, connectorSchema, sourceSchema } from './sources/schemas'
import {
  daySchema,
  driveSchema,
  itemSteps,
  entrySchema,
  machineSaleSchema,
  orderGroupSchema,
  orderPaymentSchema,
  paymentSchema,
  rebateStepSchema,
  returnedMachineSchema,
  tripSchema,
  upgradeSchema,
} from './ledger/schemas'
import { doublesSchema, pasteSchema, pasteUndoSchema } from './pastes/schemas'
import {
  driftQuery,
  editionImportSchema,
  editionQuery,
  editionSchema,
  exportQuery,
  variantSchema,
} from './builds/schemas'
import { gameSchema, workResultSchema, workTaskSchema } from './work/schemas'
import { importQuery } from './files/importOptions'
import { libraryExportQuery, partSchema } from './parts/schemas'
import { librarySchema } from './parts/libraryFile'
import { logQuery, runPatchSchema, runSchema } from './bench/schemas'
import { levelSchema, rivalQuestionSchema, rivalsOfBuildSchema, weighingSchema } from './scales/schemas'
import { planPriceSchema, takePlanSchema } from './plan/schemas'
import { proposalsQuery } from './prices/proposals'
import { rateKeySchema, rateSchema } from './settings/rates'
import { whatIfSchema } from './whatif/schemas'
import type { WhatIf } from './whatif/views'
import { rivalPageSchema, rivalSchema } from './rivals/schemas'
import { sellingChangeSchema } from './ledger/selling'
import { shelfSchema } from './shelf/schemas'
import { shopPriceSchema } from './prices/shopPrice'
import {
  answers,
  takes,
  twins,
  type Call,
  type Checked,
  type Done,
  type Identified,
  type PathParams,
  type Sent,
} from './call'

const MB = 1024 * 1024

/**
 * Every call between the page and the server: its verb and path are its name, its record says what it takes and answers.
 * The route (`defineCall`) and the page (`call`) read the record and nothing else; a route's file lies where its path says.
 */
export const calls = {
  'GET /api/bench/frame-logs/:id': takes({ raw: true }).answers<Blob>(),
  'POST /api/bench/runs': takes({ body: runSchema }).answers<Identified>(),
  'PATCH /api/bench/runs/:id': takes({ body: runPatchSchema }).answers<Done>(),
  'PUT /api/bench/runs/:id/log': takes({
    query: logQuery,
    file: true,
    mostBytes: 32 * MB,
  }).answers<Identified>(),
  'POST /api/bench/runs/import': takes({
    file: true,
    mostBytes: 16 * MB,
    query: importQuery,
  }).answers<ImportReport>(),
  'GET /api/builds': answers<readonly BuildStrip[]>(),
  'POST /api/builds': takes({ body: briefSchema }).answers<Identified>(),
  'GET /api/builds/:id': answers<BuildView>(),
  'GET /api/builds/:id/bench': answers<BenchView>(),
  'GET /api/builds/:id/brief': answers<BriefInput>(),
  'PUT /api/builds/:id/brief': takes({ body: briefSchema }).answers<BuildView>(),
  'GET /api/builds/:id/calendar': takes({ raw: true }).answers<Blob>(),
  'GET /api/builds/:id/editions': answers<EditionsView>(),
  'POST /api/builds/:id/editions': takes({ body: editionSchema }).answers<EditionsView>(),
  'GET /api/builds/:id/export': takes({ query: exportQuery, raw: true }).answers<Blob>(),
  'GET /api/builds/:id/leads': takes({ query: inboxQuery }).answers<LeadInboxView>(),
  'GET /api/builds/:id/leads/:lead': answers<LeadView>(),
  'GET /api/builds/:id/leads/:lead/door': takes({ raw: true }).answers<Blob>(),
  'GET /api/builds/:id/leads/titles': answers<readonly LeadTitle[]>(),
  'GET /api/builds/:id/leads/:lead/haggle': answers<HaggleView>(),
  'GET /api/builds/:id/ledger': answers<LedgerView>(),
  'POST /api/builds/:id/ledger': takes({ body: entrySchema }).answers<LedgerView>(),
  'GET /api/builds/:id/ledger/csv': takes({ raw: true }).answers<Blob>(),
  'POST /api/builds/:id/ledger/import': takes({
    file: true,
    mostBytes: 16 * MB,
    query: importQuery,
  }).answers<ImportReport>(),
  'POST /api/builds/:id/ledger/sell': takes({ body: machineSaleSchema }).answers<BuildView>(),
  'PATCH /api/builds/:id/ledger/selling': takes({ body: sellingChangeSchema }).answers<BuildView>(),
  'POST /api/builds/:id/ledger/stand': takes({ body: daySchema }).answers<BuildView>(),
  'POST /api/builds/:id/ledger/take-apart': takes({ body: daySchema }).answers<BuildView>(),
  'POST /api/builds/:id/ledger/take-back': takes({ body: returnedMachineSchema }).answers<BuildView>(),
  'POST /api/builds/:id/ledger/trips': takes({ body: tripSchema }).answers<Identified>(),
  'POST /api/builds/:id/ledger/upgrade': takes({ body: upgradeSchema }).answers<Identified>(),
  'GET /api/builds/:id/listing-text': answers<{ text: string }>(),
  'GET /api/builds/:id/machine': answers<MachineView>(),
  'GET /api/builds/:id/machine/advice': answers<AdviceView[]>(),
  'POST /api/builds/:id/machine/advice': takes({ body: adviceSchema }).answers<AdviceView[]>(),
  'POST /api/builds/:id/machine/advice/:advice': takes({ body: adviceStateSchema }).answers<BuildView>(),
  'POST /api/builds/:id/machine/assembled': takes({ body: assembledSchema }).answers<{
    assembled: readonly string[]
  }>(),
  'GET /api/builds/:id/machine/carry': takes({ query: carryQuery }).answers<CarryView>(),
  'POST /api/builds/:id/machine/choices': takes({ body: choiceSchema }).answers<BuildView>(),
  'POST /api/builds/:id/machine/fix': takes({ body: fixSchema }).answers<BuildView>(),
  'GET /api/builds/:id/machine/steps': takes({ query: stepsQuery }).answers<StepsView>(),
  'POST /api/builds/:id/machine/swap': takes({ body: swapSchema }).answers<BuildView>(),
  'POST /api/builds/:id/machine/unsettle': takes({ body: settledSchema }).answers<BuildView>(),
  'GET /api/builds/:id/plan': answers<PlanView>(),
  'POST /api/builds/:id/plan/price': takes({
    body: planPriceSchema,
    isTrial: true,
    ownTurn: true,
  }).answers<PlanCarriedOut>(),
  'POST /api/builds/:id/plan/take': takes({ body: takePlanSchema }).answers<PlanTaken>(),
  'GET /api/builds/:id/prices': answers<readonly PriceBrief[]>(),
  'GET /api/builds/:id/prices/lookouts': answers<LookoutHit[]>(),
  'POST /api/builds/:id/prices/lookouts': takes({ body: lookoutSchema }).answers<Identified>(),
  'GET /api/builds/:id/prices/new-or-used': answers<readonly NewOrUsedRow[]>(),
  'GET /api/builds/:id/prices/parts/:part': answers<PriceView>(),
  'PUT /api/builds/:id/prices/parts/:part/overrides': takes({ body: overridesSchema }).answers<PriceView>(),
  'DELETE /api/builds/:id/prices/parts/:part/own-figure': answers<PriceView>(),
  'PUT /api/builds/:id/prices/parts/:part/own-figure': takes({ body: ownFigureSchema }).answers<PriceView>(),
  'POST /api/builds/:id/prices/parts/:part/pool': takes({
    body: poolSchema,
    ownTurn: true,
  }).answers<RecordPool>(),
  'DELETE /api/builds/:id/prices/parts/:part/query': answers<PriceView>(),
  'PUT /api/builds/:id/prices/parts/:part/query': takes({ body: querySchema }).answers<PriceView>(),
  'POST /api/builds/:id/prices/parts/:part/reads': takes({ body: readSchema }).answers<PriceView>(),
  'POST /api/builds/:id/prices/parts/:part/recipe': takes({ body: applyRecipeSchema }).answers<PriceView>(),
  'GET /api/builds/:id/prices/worth/:role': answers<WorthView>(),
  'GET /api/builds/:id/scales/level': takes({ query: levelSchema }).answers<LevelView>(),
  'GET /api/builds/:id/scales/question': takes({ query: rivalQuestionSchema }).answers<BuildQuestion>(),
  'PUT /api/builds/:id/scales/rivals': takes({ body: rivalsOfBuildSchema }).answers<BuildView>(),
  'PUT /api/builds/:id/scales/settings': takes({ body: weighingSchema }).answers<BuildView>(),
  'GET /api/builds/:id/variants': answers<VariantsView>(),
  'POST /api/builds/:id/variants': takes({ body: variantSchema }).answers<Identified>(),
  'POST /api/builds/:id/what-if': takes({
    body: whatIfSchema,
    isTrial: true,
    ownTurn: true,
  }).answers<WhatIf>(),
  'GET /api/builds/editions/:id': takes({ query: editionQuery, raw: true }).answers<Blob>(),
  'GET /api/builds/editions/:id/drift': takes({ query: driftQuery }).answers<EditionDrift>(),
  'POST /api/builds/editions/import': takes({
    body: editionImportSchema,
    mostBytes: 16 * MB,
  }).answers<RepricedView>(),
  'POST /api/builds/import': takes({ body: buildFileSchema, mostBytes: 64 * MB }).answers<Identified>(),
  'POST /api/calc/account': takes({ body: accountRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/check-fit': takes({ body: checkFitRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/frame-times': takes({
    body: frameTimesRequest,
    mostBytes: 64 * MB,
    ownTurn: true,
  }).answers<object>(),
  'POST /api/calc/landed-cost': takes({ body: landedCostRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/lot': takes({ body: lotRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/plan': takes({ body: planRequest, mostBytes: 16 * MB, ownTurn: true }).answers<object>(),
  'POST /api/calc/read-listing': takes({ body: readListingRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/read-part': takes({ body: readPartRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/read-sales': takes({ body: readSalesRequest, ownTurn: true }).answers<object>(),
  'POST /api/calc/street-price': takes({
    body: streetPriceRequest,
    mostBytes: 64 * MB,
    ownTurn: true,
  }).answers<object>(),
  'POST /api/leads': takes({ body: leadSchema }).answers<Identified>(),
  'GET /api/leads/:id': answers<LeadInput>(),
  'PATCH /api/leads/:id': takes({ body: leadPatchSchema }).answers<Done>(),
  'PUT /api/leads/:id': takes({ body: leadSchema }).answers<Identified>(),
  'POST /api/leads/:id/agree': takes({ body: agreeSchema }).answers<Done>(),
  'POST /api/leads/:id/gone': takes({ body: leadDaySchema }).answers<Done>(),
  'POST /api/leads/:id/offers': takes({ body: offerSchema }).answers<Identified>(),
  'POST /api/leads/:id/pass': takes({ body: passSchema }).answers<Done>(),
  'POST /api/leads/:id/photos': takes({
    query: photoQuery,
    file: true,
    mostBytes: 4 * MB,
  }).answers<Identified>(),
  'POST /api/leads/:id/reopen': takes({ body: reopenSchema }).answers<Done>(),
  'POST /api/leads/door': takes({ body: doorNoteSchema }).answers<DoorAnswered>(),
  'POST /api/leads/import': takes({
    file: true,
    mostBytes: 16 * MB,
    query: importQuery,
  }).answers<ImportReport>(),
  'DELETE /api/leads/photos/:id': answers<Done>(),
  'GET /api/leads/photos/:id': takes({ raw: true }).answers<Blob>(),
  'POST /api/ledger/actions/:id/undo': answers<{ build: string | null }>(),
  'GET /api/ledger/calendar': takes({ raw: true }).answers<Blob>(),
  'POST /api/ledger/choices/:id/pay': takes({ body: paymentSchema }).answers<BuildView>(),
  'GET /api/ledger/dates': answers<DatedBuild[]>(),
  'POST /api/ledger/entries/:id/reverse': answers<LedgerView>(),
  'GET /api/ledger/flips': answers<FlipsView[]>(),
  'POST /api/ledger/orders/group': takes({ body: orderGroupSchema }).answers<Done>(),
  'POST /api/ledger/orders/pay': takes({ body: orderPaymentSchema }).answers<{ builds: string[] }>(),
  'PATCH /api/ledger/rebates/:id': takes({ body: rebateStepSchema }).answers<{ buildId: string | null }>(),
  'DELETE /api/ledger/trips/:id': answers<Done>(),
  'POST /api/ledger/trips/:id/drive': takes({ body: driveSchema }).answers<{ build: string }>(),
  'GET /api/library': answers<LibraryView>(),
  'GET /api/library/export': takes({ query: libraryExportQuery, raw: true }).answers<Blob>(),
  'POST /api/library/import': takes({ body: librarySchema, mostBytes: 64 * MB }).answers<{
    added: number
    alreadyThere: number
  }>(),
  'DELETE /api/machine/choices/:id': takes({ query: choiceOfQuery }).answers<BuildView>(),
  'PATCH /api/machine/choices/:id': takes({
    body: choicePatchSchema,
    query: choiceOfQuery,
  }).answers<BuildView>(),
  'POST /api/machine/choices/:id/restore': takes({ query: choiceOfQuery }).answers<BuildView>(),
  'PUT /api/parts': takes({ body: partSchema }).answers<Identified>(),
  'POST /api/pastes/doubles': takes({ body: doublesSchema, mostBytes: 16 * MB, ownTurn: true }).answers<{
    places: number[]
  }>(),
  'POST /api/pastes/keep': takes({ body: pasteSchema, mostBytes: 16 * MB }).answers<PasteKept>(),
  'POST /api/pastes/undo': takes({ body: pasteUndoSchema }).answers<{ undone: number }>(),
  'POST /api/prices/lookouts/:id/seen': takes({ body: seenSchema }).answers<{ seen: string }>(),
  'POST /api/prices/opinions': takes({ body: opinionSchema }).answers<Identified>(),
  'GET /api/prices/recipes': answers<RecipeView[]>(),
  'POST /api/prices/recipes': takes({ body: recipeSchema }).answers<Identified>(),
  'POST /api/prices/shop-prices': takes({ body: shopPriceSchema }).answers<{ sourceId: string }>(),
  'POST /api/prices/shop-prices/import': takes({
    file: true,
    mostBytes: 16 * MB,
    query: importQuery,
  }).answers<ImportReport>(),
  'POST /api/prices/sold-records/import': takes({
    file: true,
    mostBytes: 200 * MB,
    query: importQuery,
    ownTurn: true,
    raw: true,
  }).answers<ImportReport | SoldRecordsRead>(),
  'GET /api/prices/sold-records/proposals': takes({ query: proposalsQuery }).answers<Proposals>(),
  'POST /api/prices/wait-notes': takes({ body: waitNoteSchema }).answers<Identified>(),
  'POST /api/rivals': takes({ body: rivalSchema }).answers<Identified>(),
  'GET /api/rivals/:id': answers<RivalInput>(),
  'PUT /api/rivals/:id': takes({ body: rivalSchema }).answers<Identified>(),
  'POST /api/rivals/import': takes({
    file: true,
    mostBytes: 16 * MB,
    query: importQuery,
  }).answers<ImportReport>(),
  'POST /api/rivals/page': takes({
    body: rivalPageSchema,
    mostBytes: 6 * MB,
    ownTurn: true,
  }).answers<RivalPage>(),
  'GET /api/rivals/tiers': answers<TierView[]>(),
  'DELETE /api/session': takes({ query: sessionQuery, ownTurn: true }).answers<Done>(),
  'GET /api/session': answers<SessionView>(),
  'GET /api/settings': answers<SettingsView>(),
  'PUT /api/settings/assumptions': takes({ body: assumptionSchema }).answers<SettingsView>(),
  'GET /api/settings/backup': takes({ raw: true }).answers<Blob>(),
  'POST /api/settings/backup/empty': takes({ ownTurn: true }).answers<{ emptied: boolean }>(),
  'POST /api/settings/backup/preview': takes({ file: true, ownTurn: true }).answers<BackupPreview>(),
  'POST /api/settings/backup/restore': takes({ file: true, ownTurn: true }).answers<BackupPreview>(),
  'PUT /api/settings/home': takes({ body: homeSchema }).answers<SettingsView>(),
  'GET /api/settings/learning': answers<LearningView[]>(),
  'PUT /api/settings/money': takes({ body: moneySchema }).answers<SettingsView>(),
  'PUT /api/settings/passphrase': takes({ body: passphraseSchema }).answers<Done>(),
  'DELETE /api/settings/rates': takes({ body: rateKeySchema }).answers<RateView[]>(),
  'GET /api/settings/rates': answers<RateView[]>(),
  'PUT /api/settings/rates': takes({ body: rateSchema }).answers<RateView[]>(),
  'POST /api/shelf': takes({ body: shelfSchema }).answers<Identified>(),
  'PUT /api/sources': takes({ body: sourceSchema }).answers<Identified>(),
  'DELETE /api/sources/:id': answers<Done>(),
  'GET /api/sources/:id': answers<SourceInput>(),
  'GET /api/sources/connectors': answers<ConnectorView[]>(),
  'POST /api/sources/connectors': takes({ body: connectorSchema }).answers<Identified>(),
  'DELETE /api/sources/connectors/:id': answers<ConnectorView[]>(),
  'PATCH /api/sources/connectors/:id': takes({ body: connectorPatchSchema }).answers<ConnectorView[]>(),
  'POST /api/sources/connectors/:id/poll': takes({ ownTurn: true }).answers<ConnectorView[]>(),
  'POST /api/sources/connectors/:id/restore': answers<ConnectorView[]>(),
  'PUT /api/work/games': takes({ body: gameSchema }).answers<Identified>(),
  'DELETE /api/work/games/:id': answers<Done>(),
  'GET /api/work/games/:id': answers<Omit<GameInput, 'known'>>(),
  'POST /api/work/results': takes({ body: workResultSchema }).answers<Identified>(),
  'POST /api/work/tasks': takes({ body: workTaskSchema }).answers<Identified>(),
  ...stepsOfItems(),
  ...twins('/api/builds'),
  ...twins('/api/leads/offers'),
  ...twins('/api/prices/lookouts'),
  ...twins('/api/prices/opinions'),
  ...twins('/api/prices/reads'),
  ...twins('/api/prices/recipes'),
  ...twins('/api/prices/wait-notes'),
  ...twins('/api/rivals'),
  ...twins('/api/builds/editions'),
  ...twins('/api/work/results'),
}

/** One step of an item's life: its name is the end of the path. */
function stepsOfItems() {
  const steps = Object.entries(itemSteps).map(([step, body]) => [
    `POST /api/ledger/items/:id/${step}`,
    takes({ body }).answers<unknown>(),
  ])
  return Object.fromEntries(steps) as {
    [Step in keyof typeof itemSteps as `POST /api/ledger/items/:id/${Step}`]: Call<
      { readonly build: string | null },
      { readonly body: (typeof itemSteps)[Step] }
    >
  }
}

export type Calls = typeof calls
export type CallName = keyof Calls

type Twin<Name> = Name extends `DELETE ${infer Path}/:id`
  ? `POST ${Path}/:id/restore` extends CallName
    ? Path
    : never
  : never
/** Paths of what is removed and put back. */
export type TwinPath = Twin<CallName>

/** The path of a call, by its name. */
export type PathOf<Name extends CallName> = Name extends `${string} ${infer Path}` ? Path : never
export type AnswerOf<Name extends CallName> = Exclude<Calls[Name]['answer'], undefined>[0]
export type CheckedBody<Name extends CallName> = Calls[Name] extends { readonly body: infer S }
  ? Checked<S>
  : undefined
export type CheckedQuery<Name extends CallName> = Calls[Name] extends { readonly query: infer S }
  ? Checked<S>
  : object
export type SentBody<Name extends CallName> = Calls[Name] extends { readonly body: infer S }
  ? Sent<S>
  : Calls[Name] extends { readonly file: true }
    ? Blob
    : undefined
type SentQuery<Name extends CallName> = Calls[Name] extends { readonly query: infer S }
  ? Partial<Checked<S>>
  : unknown
/** What a call is asked with beside its body: the ids in its path, and what stands behind the `?`. */
export type ParamsOf<Name extends CallName> = PathParams<PathOf<Name>> & SentQuery<Name>
