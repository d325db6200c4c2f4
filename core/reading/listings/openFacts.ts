import { gapQuestion, gapsOf } from '../../parts/openPart'
import { factKinds } from '../../parts/facts'
import { roleNames, type Part } from '../../parts/part'
import type { Answer, LeadFact } from './completeness'

/** What a lead leaves unsaid of its open parts: each gap is to be asked, and by itself counts for nothing. */
export function openFacts(
  parts: readonly Part[],
  answers: Readonly<Record<string, Answer>> = {},
): LeadFact[] {
  return parts
    .filter(({ open }) => open === true)
    .flatMap((part) =>
      gapsOf(part).map((gap): LeadFact => {
        const key = `which-${part.id}-${gap}`
        const answer = answers[key] ?? null
        return {
          key,
          role: part.role,
          name: gap === 'model' ? `which ${roleNames[part.role]} it is` : factKinds[gap].name,
          question: gapQuestion(roleNames[part.role], gap),
          state: answer === null ? 'missing' : 'stated',
          answer,
          quote: '',
          by: answer === null ? 'silence' : 'builder',
          lost: 0,
          faultFactor: 1,
          silenceLoses: false,
          isTold: true,
        }
      }),
    )
}
