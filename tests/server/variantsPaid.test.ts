import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { buildView } from '#server/places/builds/buildView'
import { createVariant } from '#server/places/builds/variants'
import { createLead } from '#server/places/leads/leads'
import { addChoice } from '#server/places/machine/choices'
import { carryOut } from '#server/whatif/carryOut'
import { leadSchema } from '#shared/leads/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { pay, undoLast } from './purchases'

let place: MarketWithBuild
beforeEach(async () => {
  place = await marketWithBuild()
})
afterEach(() => place.close())

const hunt = { kind: 'hunt', leadId: null, shelfId: null, scope: 'core', reason: '' } as const
const partsOf = async (id: string) => (await buildView(place.db, id, today)).parts.map((part) => part.id).sort()

describe('L5: paying in the build leaves its variants as they are', () => {
  test('another card in the variant stays the only one', async () => {
    const { db, build } = place
    const card = await addChoice(
      db,
      build,
      { ...hunt, partId: 'card', limit: '100.00', condition: 'used' },
      today,
    )
    const variant = await createVariant(db, build, 'Faster', today)
    await addChoice(db, variant, { ...hunt, partId: 'better', limit: '200.00', condition: 'used' }, today)
    expect(await partsOf(variant)).toEqual(['better'])
    await pay(db, [card])
    expect(await partsOf(build)).toEqual(['card'])
    expect(await partsOf(variant)).toEqual(['better'])
    await undoLast(db)
    expect([await partsOf(build), await partsOf(variant)]).toEqual([['card'], ['better']])
  })
  test('of a lot, what the variant left out of it stays out once it is paid', async () => {
    const { db, build } = place
    const lead = await createLead(
      db,
      leadSchema.validateSync({
        title: 'Card and board',
        sourceId: 'yard',
        price: '150.00',
        currency: 'CAD',
        condition: 'used',
        listedOn: today,
        manner: 'fixed',
        things: [
          { partId: 'card', quantity: 1, plan: 'keep' },
          { partId: 'board', quantity: 1, plan: 'keep' },
        ],
      }),
    )
    const lot = await addChoice(
      db,
      build,
      { kind: 'lead', leadId: lead, partId: null, shelfId: null, limit: null, scope: 'core', reason: '' },
      today,
    )
    const variant = await createVariant(db, build, 'Without its card', today)
    await carryOut(db, variant, [{ kind: 'leave-out', line: lot, part: 'card' }], {
      today,
      text: 'left out',
      path: '',
    })
    expect([await partsOf(build), await partsOf(variant)]).toEqual([['board', 'card'], ['board']])
    await pay(db, [lot])
    expect([await partsOf(build), await partsOf(variant)]).toEqual([['board', 'card'], ['board']])
  })
})
