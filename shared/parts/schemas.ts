import type { mixed, InferType } from 'yup'
import { object } from 'yup'
import { factKeys, factKinds } from '#core/parts/facts'
import { roles, type PartFacts } from '#core/parts/part'
import { finite, idText, line, name, oneOf, text, texts, wholeFrom, yesOrNo } from '../fields'

/** The facts of a part, from the one table of `core/parts/facts.ts`. */
export const partFactsSchema = object(
  Object.fromEntries(factKeys.map((key) => [key, factField(key)])) as Record<
    keyof PartFacts,
    ReturnType<typeof mixed>
  >,
).noUnknown('${path} has unknown facts: ${unknown}')

function factField(key: keyof PartFacts) {
  const { kind, choices } = factKinds[key]
  if (kind === 'number') return finite().min(0)
  if (kind === 'whole') return wholeFrom(0)
  if (kind === 'yes-no') return yesOrNo()
  if (kind === 'texts') return texts()
  if (kind === 'choice') return oneOf(choices ?? [])
  return text().max(120)
}

export const partSchema = object({
  id: idText(),
  role: oneOf(roles).required(),
  make: line(80),
  name: name(),
  facts: partFactsSchema.default({}),
  /** Not known which model it is; left out: as it was, known where it is new. */
  open: yesOrNo().optional(),
})

export type PartInput = InferType<typeof partSchema>

/** `?role=…`: parts of one role alone. */
export const libraryExportQuery = object({ role: oneOf(roles) })
