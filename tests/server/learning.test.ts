import { afterEach, beforeEach, expect, test } from 'vitest'
import { agree } from '#server/places/leads/leadSteps'
import { createLead } from '#server/places/leads/leads'
import { addChoice } from '#server/places/machine/choices'
import { learningView } from '#server/places/settings/learning'
import { setAssumption } from '#server/places/settings/settings'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { itemsOf, itemStep, pay, undoLast } from './purchases'

/** What was assumed, held against what came, on a real database. */
let market: MarketWithBuild
beforeEach(async () => {
  market = await marketWithBuild()
})
afterEach(async () => market.close())
const row = async (id: string) => (await learningView(market.db)).find((each) => each.id === id)

/** A used card asked for at 140.00, agreed, bought and come; answers its item. */
async function bought(at: number, amount: string, state: 'works' | 'faulty'): Promise<string> {
  const { db, build } = market
  const lead = await createLead(
    db,
    leadSchema.validateSync({
      sourceId: 'yard',
      externalId: `L${at}`,
      title: `Tarn 640 8 GB, number ${at}`,
      price: '140.00',
      currency: 'CAD',
      condition: 'used',
      manner: 'local',
      listedOn: today,
      things: [{ partId: 'card', quantity: 1, plan: 'keep' }],
    }),
  )
  await agree(db, lead, { day: today, amount, until: null }, today)
  await pay(db, [
    await addChoice(db, build, choiceSchema.validateSync({ kind: 'lead', leadId: lead }), today),
  ])
  const item = (await itemsOf(db, build)).find(({ place }) => place === 'ordered')!.id
  await itemStep(db, item, 'arrive', { state })
  return item
}

test(
  'from five outcomes on haggling, faults and sales say what they came to, and can ' +
    'take the place of what was assumed',
  async () => {
    expect(await learningView(market.db)).toEqual([])
    const cards: string[] = []
    for (const [at, amount] of ['126.00', '133.00', '119.00', '126.00'].entries())
      cards.push(await bought(at, amount, at === 0 ? 'faulty' : 'works'))
    expect(await row('haggle')).toMatchObject({ count: 4, learnt: null, foreseen: 0.1 })
    cards.push(await bought(4, '105.00', 'works'))
    // 10, 5, 15, 10 and 25 % off; one of five faulty: Beta(3, 6)
    expect(await row('haggle')).toMatchObject({
      count: 5,
      key: 'resale.haggleShare',
      learnt: {
        value: expect.closeTo(0.1, 12),
        low: expect.closeTo(0.05, 12),
        high: expect.closeTo(0.25, 12),
      },
    })
    expect(await row('faults-graphics')).toMatchObject({
      key: 'risk.used.graphics',
      foreseen: 0.08,
      learnt: { value: 3 / 9 },
    })
    // four sold at 120.00 of a street price of 130.50, one written off
    for (const card of cards.slice(1)) await itemStep(market.db, card, 'sell', { price: '120.00' })
    await itemStep(market.db, cards[0]!, 'write-off')
    expect(await row('sells')).toMatchObject({ count: 5, learnt: { value: 6 / 9 } })
    expect(await row('single')).toMatchObject({ count: 4, learnt: null })
    // what is taken back was no outcome
    await undoLast(market.db)
    expect(await row('sells')).toMatchObject({ count: 4, learnt: null })
    await setAssumption(market.db, 'risk.used.graphics', 0.333)
    expect(await row('faults-graphics')).toMatchObject({ foreseen: 0.333 })
  },
)
