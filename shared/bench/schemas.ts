import { array, object, type InferType } from 'yup'
import { feelings } from '#core/performance/model/throughput'
import { noises } from '#core/performance/runs/livingWithIt'
import {
  lowsCauses,
  noReadings,
  plainConditions,
  runDrives,
  runKinds,
  type RunKind,
} from '#core/performance/runs/run'
import { calendarDate, finite, idText, line, oneOf, percent, rate, text, wholeFrom, yesOrNo } from '../fields'

const runKindNames = Object.keys(runKinds) as RunKind[]

const celsius = () => finite().min(-50).max(150).nullable().default(null)

const usePercent = () => percent().nullable().default(null)

/** A measured result. A console's stated mode names no parts; its name stands in `origin`. */
export const runSchema = object({
  workloadId: idText(),
  cpuId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'console-mode', otherwise: (field) => field.required('choose the CPU') }),
  graphicsId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'console-mode', otherwise: (field) => field.required('choose the card') }),
  memoryChannels: wholeFrom(1).max(8).default(2),
  width: wholeFrom(320).max(16_384).required(),
  height: wholeFrom(200).max(16_384).required(),
  preset: text().required('choose a preset'),
  upscaling: text().nullable().default(null),
  frameGeneration: yesOrNo().default(false),
  scene: line(80),
  averageFps: rate().required('enter an average'),
  lowFps: rate()
    .nullable()
    .default(null)
    .test(
      'below',
      'the 1 % low cannot be above the average',
      (value, { parent }) => value === null || value === undefined || value <= parent.averageFps,
    ),
  minFps: finite().min(0).nullable().default(null),
  maxFps: rate().nullable().default(null),
  kind: oneOf(runKindNames).required(),
  origin: line(200),
  ranOn: calendarDate().required('enter a date'),
  note: line(),
  repeats: array()
    .of(
      object({
        averageFps: rate().required(),
        lowFps: rate().nullable().default(null),
        discarded: line(200),
      }),
    )
    .max(20)
    .default([]),
  conditions: object({
    background: line(120),
    ambientC: celsius(),
    sidePanel: oneOf(['on', 'off']).nullable().default(null),
    gameVersion: line(40),
    driverVersion: line(40),
    capFps: rate().nullable().default(null),
    memoryMts: wholeFrom(200).max(20_000).nullable().default(null),
    drive: oneOf(runDrives).nullable().default(null),
  }).default(() => ({ ...plainConditions, capFps: null, memoryMts: null, drive: null })),
  readings: object({
    cpuUse: usePercent(),
    cardUse: usePercent(),
    videoMemoryGb: finite().min(0).max(256).nullable().default(null),
    cpuC: celsius(),
    cardC: celsius(),
    wallW: finite().min(0).max(3000).nullable().default(null),
  }).default(() => ({ ...noReadings })),
  lowsCause: oneOf(lowsCauses).nullable().default(null),
  noise: oneOf(noises).nullable().default(null),
  feeling: oneOf(feelings).nullable().default(null),
  overruled: yesOrNo().default(false),
  buildId: text().nullable().default(null),
})

export type RunInput = InferType<typeof runSchema>

export const runPatchSchema = object({ overruled: yesOrNo(), deleted: yesOrNo() })

/** `?name=…`: how a kept log is called. */
export const logQuery = object({ name: text().max(200).default('log') })
