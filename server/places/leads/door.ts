import { eq } from 'drizzle-orm'
import { doorPage, type DoorQuestion, type DoorRow } from '#core/files/door/doorPage'
import { readDoorNote } from '#core/files/door/doorNote'
import { arrivalChecklist } from '#core/ledger/arrival'
import { minorDigits } from '#core/money/currencies'
import { formatAmount } from '#core/money/formatAmount'
import { partLabel } from '#core/parts/part'
import { seenAtTheDoor, wantedFacts, type LeadFact } from '#core/reading/listings/completeness'
import { doorTable, mostTelling } from '#core/supply/door/doorTable'
import { haggleWords } from '#core/supply/haggle/haggleWords'
import type { Database } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { useWorld } from '#server/readings/useWorld'
import { NotFoundError } from '#server/errors/notFoundError'
import type { ValuedLead } from '#server/context/valuedLeads'
import type { DoorAnswered } from '#shared/leads/views'
import { haggled, noteOffer, sheetOf } from './haggle'
import { patchLeadIn } from './patchLead'

const asked = ({ key, question, quote, isTold }: LeadFact): DoorQuestion => ({
  key,
  question,
  said: quote,
  isTold,
})

/** The page for the door of a lead: every answer that changes a figure worked out beforehand. */
export async function doorPageOf(
  db: Database,
  buildId: string,
  leadId: string,
  today: string,
): Promise<string> {
  const read = haggled(await useWorld(db), buildId, leadId, today)
  const { own, build, market } = read
  const { lead } = own
  const { telling, others } = seenAtTheDoor(own.facts)
  const worked = telling.slice(0, mostTelling)
  const money = (amount: number | null, currency: string) =>
    amount === null ? 'not known' : `${formatAmount(amount, currency)} ${currency}`
  const row = (as: ValuedLead): DoorRow => {
    const { walkAway, advice, costAtAsk, askedBy } = sheetOf(read, as)
    return {
      expected: money(costAtAsk, build.currency),
      worth: money(as.value.street, build.currency),
      most: walkAway,
      mostShown: money(walkAway, lead.currency),
      advice: haggleWords(advice, askedBy === 'listing' ? 'The asking price' : 'The latest counter-offer'),
    }
  }
  const library = new Map(market.library.map((part) => [part.id, part]))
  return doorPage({
    leadId,
    title: lead.title,
    seller: own.sourceName,
    currency: lead.currency,
    digits: minorDigits(lead.currency),
    price: formatAmount(lead.price, lead.currency),
    today,
    telling: worked.map(asked),
    others: [...telling.slice(mostTelling), ...others].map(asked),
    rows: doorTable(
      worked.map(({ key }) => key),
      (answers) => row(own.answered(answers)),
    ),
    checks: lead.things.map(({ partId }) => {
      const part = library.get(partId)!
      return { name: partLabel(part), lines: arrivalChecklist([part.role]) }
    }),
    note: lead.note,
  })
}

/** What came back from the door goes into the lead: answers, what is asked now, and the note. */
export async function answerFromDoor(db: Database, text: string, today: string): Promise<DoorAnswered> {
  const { leadId, answers, asked: typed, note, looked } = readDoorNote(text)
  const [lead] = await db
    .select({ title: leads.title, answers: leads.answers })
    .from(leads)
    .where(eq(leads.id, leadId))
  if (!lead) throw new NotFoundError('lead', leadId)
  const known = Object.entries(answers).filter(([key]) => wantedFacts.some((fact) => fact.key === key))
  const said = [
    ...(note === '' ? [] : [note]),
    ...(looked.length === 0 ? [] : [`checked: ${looked.join('; ')}`]),
  ]
  const offerId = await db.transaction(async (tx) => {
    await patchLeadIn(tx, leadId, { answers: Object.fromEntries(known) }, today, today)
    return typed === '' && said.length === 0
      ? null
      : noteOffer(
          tx,
          leadId,
          {
            by: 'seller',
            amount: typed === '' ? null : typed.replace(',', '.'),
            day: today,
            note: said.join('. ').slice(0, 300),
          },
          today,
        )
  })
  return {
    leadId,
    title: lead.title,
    answered: known.length,
    before: Object.fromEntries(known.map(([key]) => [key, lead.answers[key] ?? null])),
    offerId,
  }
}
