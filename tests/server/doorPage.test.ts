import { afterEach, beforeEach, expect, test } from 'vitest'
import type { DoorRow } from '#core/files/door/doorPage'
import { leadSchema } from '#shared/leads/schemas'
import { answerFromDoor, doorPageOf } from '#server/places/leads/door'
import { haggleView } from '#server/places/leads/haggle'
import { createLead } from '#server/places/leads/leads'
import { patchLead } from '#server/places/leads/patchLead'
import { leadViews } from '#server/places/leads/readLeads'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** The page that goes along to the door, held against the haggle sheet once the answers are known. */
let place: MarketWithBuild
let leadId: string
beforeEach(async () => {
  place = await marketWithBuild()
  leadId = await createLead(
    place.db,
    leadSchema.validateSync({
      sourceId: 'yard',
      title: 'Tarn 640, pickup',
      price: '140.00',
      currency: 'CAD',
      condition: 'used',
      manner: 'local',
      listedOn: today,
      things: [{ partId: 'card' }],
    }),
  )
})
afterEach(() => place.close())

async function pageData() {
  const html = await doorPageOf(place.db, place.build, leadId, today)
  return JSON.parse(/const page = (.*);\n/.exec(html)![1]!) as {
    telling: string[]
    rows: Record<string, DoorRow>
  }
}

test('each row is what the haggle sheet says once those answers are known', async () => {
  const { telling, rows } = await pageData()
  expect(telling.slice(0, 1)).toEqual(['works'])
  expect(Object.keys(rows)).toHaveLength(3 ** telling.length)
  const before = rows['u'.repeat(telling.length)]!.most
  for (const letters of ['y', 'n']) {
    const key = letters.padEnd(telling.length, 'u')
    await patchLead(place.db, leadId, { answers: { works: letters === 'y' ? 'yes' : 'no' } }, today, today)
    expect(rows[key]!.most).toBe((await haggleView(place.db, place.build, leadId, today)).walkAway)
  }
  expect(rows['n'.padEnd(telling.length, 'u')]!.most).toBeLessThan(before!)
})

test('what came back is noted: answers, the seller’s price, the note; unknown facts are passed over', async () => {
  const text = [
    'Seen at the door: Tarn 640, pickup',
    `lead: ${leadId}`,
    'works: yes',
    'card-fans: no',
    'weather: no',
    'asked: 125,50',
    'looked at: all fans turn',
    'note: friendly',
  ].join('\n')
  const answered = await answerFromDoor(place.db, text, today)
  expect(answered).toMatchObject({ leadId, answered: 2, before: { works: null, 'card-fans': null } })
  const { facts } = (await leadViews(place.db, place.build, today)).leads[0]!
  expect(facts.filter(({ by }) => by === 'builder').map(({ key, answer }) => [key, answer])).toEqual([
    ['works', 'yes'],
    ['card-fans', 'no'],
  ])
  const sheet = await haggleView(place.db, place.build, leadId, today)
  expect([sheet.ask, sheet.log.at(-1)!.note]).toEqual([125_50, 'friendly. checked: all fans turn'])
})

test('a figure that is none leaves nothing, not even the answers', async () => {
  const text = `Seen at the door: x\nlead: ${leadId}\nworks: no\nasked: twelve`
  await expect(answerFromDoor(place.db, text, today)).rejects.toMatchObject({ path: 'amount' })
  const { facts } = (await leadViews(place.db, place.build, today)).leads[0]!
  expect(facts.some(({ by }) => by === 'builder')).toBe(false)
  await expect(answerFromDoor(place.db, 'Seen at the door: x\nlead: nowhere', today)).rejects.toThrow(
    'no lead',
  )
})
