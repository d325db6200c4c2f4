import { rateSettings, targetName } from '#core/performance/model/targetName'
import type { ChoiceView } from '#shared/machine/views'
import { enteredPrice } from '#core/comparison/adjustments/enteredPrice'
import {
  missingFacts,
  rivalComponents,
  rivalFactNames,
  unknownRival,
} from '#core/comparison/components/rivalFacts'
import type { MachineRate, WeighedComponent, WeighedMachine } from '#core/comparison/weighedMachine'
import { powerSheet } from '#core/machine/power/powerSheet'
import { convertAmount, rateTable } from '#core/money/rates'
import { partLabel, type Need, type Part } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { judgeTarget, type TargetVerdict } from '#core/performance/model/judgeTarget'
import { frameMachineOf } from '#core/performance/model/machineOf'
import type { Workload } from '#core/performance/model/workload'
import type { Condition } from '#core/reading/sales/soldRecord'
import { arrivalShare } from '#core/comparison/adjustments/arrivalShare'
import { usedWorth } from '#core/comparison/adjustments/keptValue'
import type { BuildToWeigh, Scales } from '#server/context/buildToWeigh'
import type { BuildRow } from '#server/context/findBuild'
import { faultsOf } from '#server/context/faults'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { streetAt } from '#server/context/market'
import { newPriceIn } from '#server/context/newOffers'
import { partsAtTheirWays, suggested } from '#server/context/waysToGet'
import type { rivalRates, rivals } from '#server/db/schema/rivals'
import type { TargetView } from '#shared/bench/views'
import type { WeighingSettings } from '#shared/scales/settings'
import type { WeighedView } from '#shared/scales/views'

/** The machines on the scales, from what is stored: a build, a rival of the library, another build. */

type RivalRow = typeof rivals.$inferSelect

type RateRow = typeof rivalRates.$inferSelect

/** Months of warranty on a thing by its condition; none on a used one. */
function warrantyOf(condition: Condition, { market }: Scales): number {
  const { resale } = market.assumptions
  return condition === 'new' || condition === 'opened' || condition === 'refurbished'
    ? resale[`warranty.${condition}`]
    : 0
}

/** The targets of a build on the parts of another one: nothing was measured there at these settings. */
export function onThese(
  targets: readonly TargetView[],
  parts: readonly Part[],
  workloads: readonly Workload[],
): TargetView[] {
  const { machine } = frameMachineOf(parts)
  return targets.map((target) => {
    const estimate = machine
      ? estimateFrameRate(
          workloads.find((each) => each.id === target.workloadId)!,
          machine,
          target,
        )
      : null
    return {
      ...target,
      measured: [],
      heat: null,
      estimate,
      verdict: estimate ? judgeTarget(estimate, target) : null,
    }
  })
}

function settingsText(each: RateRow): string | null {
  return each.preset === null ? null : rateSettings({ ...each, preset: each.preset })
}

/** A part in a build on the scales. */
export function componentOf(
  part: Part,
  condition: Condition,
  currency: string,
  scales: Scales,
  costs: number | null = null,
): WeighedComponent {
  const { market, today } = scales
  return {
    role: part.role,
    label: partLabel(part),
    partId: part.id,
    state: 'stated',
    facts: part.facts,
    condition,
    // a replacement costs what is known of its price, else what this one does
    street:
      streetAt(market, part.id, today, currency) ??
      newPriceIn(market, part.id, currency, today) ??
      costs ??
      0,
    worthToday: worthOf(part, currency, scales),
    counted: true,
    warrantyMonths: warrantyOf(condition, scales),
  }
}

/**
 * What a part fetches used today: its typical street price, else what a thing bought new falls to. Extras that nobody
 * sells separately fetch nothing; of anything else nothing is known.
 */
function worthOf(part: Part, currency: string, { market, today }: Scales): number | null {
  const known = usedWorth(
    streetAt(market, part.id, today, currency),
    newPriceIn(market, part.id, currency, today),
    market.assumptions.comparison,
  )
  return known ?? (part.role === 'extra' ? 0 : null)
}

/** What is expected to be dead on arrival of what has not come yet, minor units; unknown counts as nothing. */
const arrivalFaultOf = (choices: readonly ChoiceView[]) =>
  choices.reduce(
    (sum, { expected, payNow, rebatesExpected }) =>
      sum + (expected === null || payNow === null ? 0 : expected - payNow + rebatesExpected),
    0,
  )

/** Condition in which a part comes into a build: as its lead says; what is hunted comes used where the rules allow that. */
export function conditionIn(
  { houseRules }: Pick<BuildRow, 'houseRules'>,
  role: Part['role'],
  stated: Condition | null,
): Condition {
  return stated ?? (houseRules.neverUsed.includes(role) ? 'new' : 'used')
}

/** Which of the brief's needs the parts of a machine cover. */
export function broughtBy(parts: readonly Part[]): Need[] {
  return parts.flatMap((part): Need[] => [
    ...(part.facts.covers ? [part.facts.covers] : []),
    ...(part.facts.wireless ? ['wireless' as const] : []),
  ])
}

/**
 * A line of the build as the scales enter it: what is mine already costs nothing more, and what is not known counts as
 * nothing.
 */
export function entered(choice: ChoiceView) {
  return { ...choice, payNow: choice.payNow ?? 0, isOwned: choice.kind === 'item' && choice.paidOn === null }
}

/** A build on the scales, all its figures as they stand today. */
export function ownMachine(
  { build, choices, parts, targets, hours, measuredW, notYet }: BuildToWeigh,
  settings: WeighingSettings,
  scales: Scales,
): WeighedMachine {
  const counted = choices.filter((choice) => choice.scope !== 'test')
  const stated = (partId: string) => {
    const choice = counted.find((each) => each.parts.some((part) => part.id === partId))
    return choice?.kind === 'item' && choice.paidOn === null ? 'used' : (choice?.condition ?? null)
  }
  const costOf = (partId: string) =>
    counted.find((each) => each.parts.length === 1 && each.parts[0]!.id === partId)?.payNow ?? null
  const components = parts.map((part) =>
    componentOf(
      part,
      conditionIn(build, part.role, stated(part.id)),
      build.currency,
      scales,
      costOf(part.id),
    ),
  )
  return {
    id: build.id,
    name: build.name,
    kind: 'build',
    price: counted.reduce((sum, choice) => sum + enteredPrice(entered(choice), settings.basis), 0),
    taxPercent: 0,
    shipping: 0,
    brings: broughtBy(parts),
    extras: [],
    rates: targets.flatMap((target): MachineRate[] => {
      const base = { workloadId: target.workloadId, settings: rateSettings(target) }
      const measured = target.measured.find((run) => run.stands)
      if (measured)
        return [{ ...base, averageFps: measured.averageFps, lowFps: measured.lowFps, kind: 'measured' }]
      return target.estimate
        ? [
            {
              ...base,
              averageFps: target.estimate.averageFps,
              lowFps: target.estimate.lowFps,
              kind: 'estimate',
              range: target.estimate.range,
            },
          ]
        : []
    }),
    modes: [],
    components,
    notStated: [],
    warrantyMonths: 0,
    watts: wattsOf(parts, build, scales, measuredW),
    notYet,
    heat: targets[0]?.heat ?? null,
    subscriptionPerYear: 0,
    gameSurcharge: 0,
    hours,
    resaleToday: 0,
    arrivalFault: arrivalFaultOf(counted),
    arrivalShare: 0,
    targets: targets.map((target) => ({ name: targetName(target), verdict: target.verdict })),
  }
}

/** Wall draw of a machine at full load and idle; null without a supply whose rating is known. */
export function wattsOf(
  parts: readonly Part[],
  build: BuildRow,
  { market, today }: Pick<Scales, 'market' | 'today'>,
  measuredW: number | null,
): WeighedMachine['watts'] {
  const rules = machineRules(market, build, today)
  const { wall } = powerSheet(parts, {
    power: market.assumptions.power,
    rule: rules.supplyRule,
    year: fitBriefOf(market, build, today).year,
    fullHours: rules.fullHours,
    idleHours: rules.idleHours,
    tariff: rules.tariff,
    ...(measuredW === null ? {} : { measuredFullW: measuredW }),
  })
  return wall === null
    ? null
    : { full: wall.full, idle: wall.idle, kind: measuredW === null ? 'estimate' : 'measured' }
}

export function asPart(component: WeighedComponent): Part {
  return {
    id: component.partId ?? component.label,
    role: component.role,
    make: '',
    name: component.label,
    facts: component.facts,
  }
}

/** What is said of a rival's parts, all in one. */
export function saidOf(rival: Pick<RivalRow, 'cpuId' | 'graphicsId' | 'parts'>) {
  return { ...unknownRival, ...rival.parts, cpuId: rival.cpuId, graphicsId: rival.graphicsId }
}

/** Questions to the seller of a machine whose parts are its point. */
export function questionsOf(rival: RivalRow): WeighedView['questions'] {
  if (rival.kind !== 'prebuilt' && rival.kind !== 'configured' && rival.kind !== 'offered') return []
  return [
    ...missingFacts(saidOf(rival)).map((key) => ({ key, question: rivalFactNames[key].question })),
    ...(rival.shippingStated
      ? []
      : [{ key: 'delivery', question: 'Is delivery included in the price? If not, what does it cost?' }]),
    ...(rival.warrantyMonths === null
      ? [{ key: 'warranty', question: 'How long is the warranty, and who provides it?' }]
      : []),
  ]
}

/** Machines that stood somewhere before: the builder's own, and what somebody offers used. */
const isUsed = ({ kind }: Pick<RivalRow, 'kind'>) => kind === 'own' || kind === 'offered'

/** A machine of the library of rivals on the scales: as stated, else as its parts are estimated. */
export function rivalMachine(
  rival: RivalRow,
  stated: readonly RateRow[],
  { build, choices, targets }: BuildToWeigh,
  { market, performance, today }: Scales,
): WeighedMachine {
  const rate = rateTable(market.rates).rateOn(today, rival.currency, build.currency)
  const inBuild = (amount: number) => convertAmount(amount, rival.currency, build.currency, rate)
  const library = new Map(market.library.map((part) => [part.id, part]))
  const warrantyMonths = rival.warrantyMonths ?? 0
  // what lies on my shelf is in no machine of another
  const plausible = partsAtTheirWays(
    suggested(market.world, build.id, { today, choices }).filter(({ kind }) => kind !== 'item'),
  )
  const components =
    rival.kind === 'console'
      ? []
      : rivalComponents(saidOf(rival), library, plausible, {
          condition: isUsed(rival) ? 'used' : 'new',
          warrantyMonths,
          worthToday: (partId) =>
            worthOf(library.get(partId)!, build.currency, { market, performance, today }),
        })
  const parts = components.map(asPart)
  const frames = rival.cpuId !== null && rival.graphicsId !== null ? frameMachineOf(parts).machine : null
  const estimates = targets.map((target) =>
    frames ? estimated(target, performance.workloads, frames) : null,
  )
  const ownRates = stated.flatMap((each): MachineRate[] =>
    each.averageFps === null
      ? []
      : [
          {
            workloadId: each.workloadId,
            settings: settingsText(each),
            averageFps: each.averageFps,
            lowFps: each.lowFps,
            kind: 'stated',
          },
        ],
  )
  return {
    id: rival.id,
    name: rival.name,
    kind: rival.kind,
    price: inBuild(rival.price),
    taxPercent: rival.taxPercent,
    shipping: rival.shippingStated ? inBuild(rival.shipping) : null,
    brings: rival.brings,
    extras: rival.extras.map(({ label, worth }) => ({ label, worth: inBuild(worth) })),
    rates: [
      ...ownRates,
      ...estimates.flatMap((each) =>
        each && !ownRates.some((own) => own.workloadId === each.workloadId && own.settings === each.settings)
          ? [each]
          : [],
      ),
    ],
    modes: stated
      .filter((each) => each.preset === null)
      .map(({ workloadId, width, height, averageFps, lowFps }) => ({
        workloadId,
        width,
        height,
        fps: averageFps,
        lowFps,
      })),
    components,
    notStated: [
      ...rival.notStated,
      ...questionsOf(rival).map(({ key }) =>
        key in rivalFactNames ? rivalFactNames[key as keyof typeof rivalFactNames].name : key,
      ),
    ],
    warrantyMonths,
    watts:
      rival.fullW === null
        ? parts.length === 0
          ? null
          : wattsOf(parts, build, { market, today }, null)
        : { full: rival.fullW, idle: rival.idleW ?? 0, kind: 'stated' },
    notYet: null,
    heat: null,
    subscriptionPerYear: inBuild(rival.subscriptionPerYear),
    gameSurcharge: inBuild(rival.gameSurcharge),
    hours: 0,
    resaleToday: rival.resaleToday === null ? null : inBuild(rival.resaleToday),
    arrivalFault: 0,
    arrivalShare: arrivalShare(rival.kind, faultsOf(market, build, today)),
    targets: targets.map((target, index) => ({
      name: targetName(target),
      verdict: verdictAt(target, stated, estimates[index] ?? null),
    })),
  }
}

function estimated(
  target: TargetView,
  workloads: readonly Workload[],
  frames: FrameMachine,
): MachineRate & { readonly judged: TargetVerdict } {
  const estimate = estimateFrameRate(
    workloads.find((each) => each.id === target.workloadId)!,
    frames,
    target,
  )
  return {
    workloadId: target.workloadId,
    settings: rateSettings(target),
    averageFps: estimate.averageFps,
    lowFps: estimate.lowFps,
    kind: 'estimate',
    range: estimate.range,
    judged: judgeTarget(estimate, target),
  }
}

/** A target on a rival: by what is stated at its very settings, else by the estimate; null where there is neither. */
function verdictAt(
  target: TargetView,
  stated: readonly RateRow[],
  estimate: { readonly judged: TargetVerdict } | null,
): TargetVerdict | null {
  const same = stated.find(
    (each) =>
      each.workloadId === target.workloadId &&
      each.width === target.width &&
      each.height === target.height &&
      each.preset === target.preset &&
      target.upscaling === null,
  )
  if (!same || same.averageFps === null) return estimate?.judged ?? null
  const low = same.lowFps ?? Infinity
  return judgeTarget(
    { range: { low: same.averageFps, high: same.averageFps }, lowRange: { low, high: low } },
    target,
  )
}
