import { array, object, type InferType } from 'yup'
import { scopes } from '#core/ledger/scopes'
import { decimalText, idText, line, oneOf, text, yesOrNo } from '../fields'

/** A hunt as it stands in a change; the limit in the build's currency. */
const huntSchema = object({
  part: idText().required(),
  condition: oneOf(['used', 'new']).nullable(),
  limit: decimalText().nullable(),
})

const asked = (kind: string) => ({ is: kind, then: (field: ReturnType<typeof text>) => field.required() })

/** A change of what is chosen; see `core/whatif/change.ts`. Of a choice exactly one of lead, hunt and item. */
const changeSchema = object({
  kind: oneOf(['choose', 'remove', 'leave-out', 'sell', 'limit', 'settle']).required(),
  lead: text().max(120),
  hunt: huntSchema.default(undefined).optional(),
  item: text().max(120).when('kind', asked('sell')),
  scope: oneOf(scopes),
  reason: line(300),
  keepBoth: yesOrNo(),
  choice: text().max(120).when('kind', asked('remove')).when('kind', asked('limit')),
  line: text().max(120).when('kind', asked('leave-out')),
  part: text().max(120).when('kind', asked('leave-out')),
  limit: decimalText().nullable(),
  finding: text().max(400).when('kind', asked('settle')),
}).test(
  'one-of-three',
  'choose a lead, a hunt or an item',
  ({ kind, lead, hunt, item }) =>
    kind !== 'choose' || [lead, hunt, item].filter((each) => each !== undefined).length === 1,
)

export const whatIfSchema = object({ changes: array().of(changeSchema.required()).max(60).required() })
export type ChangeInput = InferType<typeof changeSchema>
