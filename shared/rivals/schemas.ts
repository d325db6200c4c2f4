import { array, object, type InferType } from 'yup'
import { needs } from '#core/parts/part'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  idText,
  line,
  name,
  oneOf,
  percent,
  rate,
  text,
  texts,
  trimmed,
  wholeFrom,
  yesOrNo,
} from '../fields'

export const rivalSchema = object({
  kind: oneOf(['prebuilt', 'console', 'configured', 'offered', 'own']).required(),
  name: name(),
  price: decimalText().required('enter a price'),
  currency: currencyCode().required(),
  taxPercent: percent().default(0),
  shipping: decimalText().default('0'),
  brings: array().of(oneOf(needs).defined()).default([]),
  cpuId: text().nullable().default(null),
  graphicsId: text().nullable().default(null),
  notStated: texts().default([]),
  shippingStated: yesOrNo().default(true),
  parts: object({
    memoryGb: finite().moreThan(0).nullable().default(null),
    memoryModules: wholeFrom(1).max(16).nullable().default(null),
    memoryMts: finite().moreThan(0).nullable().default(null),
    storageGb: finite().moreThan(0).nullable().default(null),
    storageKind: oneOf(['nvme', 'sata', 'hdd']).nullable().default(null),
    supplyW: finite().moreThan(0).nullable().default(null),
    supplyMake: text().max(80).nullable().default(null),
  }).default(() => ({
    memoryGb: null,
    memoryModules: null,
    memoryMts: null,
    storageGb: null,
    storageKind: null,
    supplyW: null,
    supplyMake: null,
  })),
  warrantyMonths: wholeFrom(0).max(240).nullable().default(null),
  fullW: finite().min(0).max(3000).nullable().default(null),
  idleW: finite().min(0).max(3000).nullable().default(null),
  subscriptionPerYear: decimalText().default('0'),
  gameSurcharge: decimalText({ min: 'any' }).default('0'),
  resaleToday: decimalText().nullable().default(null),
  equivalents: array()
    .of(
      object({
        by: trimmed().required('enter who says so').max(80),
        saidOn: calendarDate().required('enter a date'),
        cpuIndex: rate().required('enter a CPU index'),
        threads: wholeFrom(1).max(256).required(),
        graphicsIndex: rate().required('enter a graphics index'),
        videoMemoryGb: finite().moreThan(0).required(),
      }),
    )
    .max(20)
    .default([]),
  extras: array()
    .of(
      object({
        label: trimmed().required('enter a description').max(80),
        worth: decimalText().required('enter its value'),
      }),
    )
    .max(20)
    .default([]),
  url: line(1000),
  note: line(1000),
  rates: array()
    .of(
      object({
        workloadId: idText(),
        width: wholeFrom(1).required(),
        height: wholeFrom(1).required(),
        preset: text().nullable().default(null),
        averageFps: rate()
          .nullable()
          .default(null)
          .test(
            'a-rate',
            'enter an average or a minimum frame rate',
            (value, { parent }: { parent: { lowFps?: number | null } }) =>
              (value ?? null) !== null || (parent.lowFps ?? null) !== null,
          ),
        lowFps: rate().nullable().default(null),
        note: line(),
      }),
    )
    .default([]),
})

export type RivalInput = InferType<typeof rivalSchema>

export const rivalPageSchema = object({
  source: text().required('paste the source of the page').max(5_000_000),
})
