import { object, type InferType } from 'yup'
import { feelings } from '#core/performance/model/throughput'
import {
  calendarDate,
  finite,
  idText,
  line,
  name,
  oneOf,
  recordOf,
  rate,
  share,
  text,
  trimmed,
  wholeFrom,
  yesOrNo,
} from '../fields'

const presetSchema = object({
  graphics: rate().required(),
  cpu: rate().required(),
  videoMemoryGb: finite().min(0).required(),
})

export const workloadSchema = object({
  id: idText(),
  name: name(),
  kind: line(40),
  graphicsMs: rate().required(),
  cpuMs: rate().required(),
  pixelExponent: finite().min(0.1).max(3).required(),
  threadsWanted: wholeFrom(1).required(),
  lowShare: object({ graphics: share().required(), cpu: share().required() }).required(),
  // what a preset or a way of upscaling is called is open: no field of a schema
  presets: recordOf(presetSchema, 'a cost for each preset')
    .required()
    .test(
      'presets',
      '${path} must hold a cost for each preset',
      (value) => Object.keys(value ?? {}).length > 0,
    ),
  upscaling: recordOf(finite(), 'a factor for each way of upscaling').default({}),
  frameGenerationFactor: rate().default(1.6),
  priorSpread: share().default(0.12),
  frameCap: rate().nullable().default(null),
  systemMemoryGb: finite().min(0).max(1024).nullable().default(null),
})

export const workTaskSchema = object({
  id: idText(),
  name: name(),
  unit: trimmed().required('enter a unit').max(30),
  lessIsBetter: yesOrNo().required(),
  threadsExponent: finite().min(0).max(1).required(),
  mostThreads: wholeFrom(1).max(1024).default(64),
})

export const workResultSchema = object({
  taskId: idText(),
  cpuId: idText(),
  value: finite().moreThan(0, '${path} must be more than 0').required('enter a figure'),
  feeling: oneOf(feelings).nullable().default(null),
  kind: oneOf(['own-reading', 'published']).default('own-reading'),
  buildId: text().nullable().default(null),
  ranOn: calendarDate().required('enter a date'),
  note: line(),
})

/** One frame rate that somebody measured: it fixes how fast a new game runs. */
export const knownRateSchema = object({
  cpuId: idText(),
  graphicsId: idText(),
  width: wholeFrom(320).max(16_384).required(),
  height: wholeFrom(200).max(16_384).required(),
  preset: text().required('choose a preset'),
  averageFps: rate().required('enter a frame rate'),
})

/** A game made or changed on screen; a known rate moves its times. */
export const gameSchema = workloadSchema.shape({
  known: knownRateSchema.nullable().default(null),
})
export type GameInput = InferType<typeof gameSchema>
