import type { Answer } from '../../reading/listings/completeness'

/** What an answer may be at the door: nobody knows is one of them. */
export const doorAnswers = ['yes', 'no', 'unknown'] as const
export type DoorAnswer = (typeof doorAnswers)[number]

/** Most questions whose every set of answers is worked out: 3⁴ = 81 rows. */
export const mostTelling = 4

export type DoorTable<T> = Readonly<Record<string, T>>

/** The key of a row: one letter an answer, in the order of the questions: `u`, `y`, `n`. */
export function doorKey(answers: readonly DoorAnswer[]): string {
  return answers.map((answer) => answer[0]).join('')
}

/**
 * Every set of answers to some questions with what follows from it, worked out beforehand, so that a page can look it up
 * where there is no net. What nobody knows is left as the listing has it.
 *
 * @param keys the questions, `mostTelling` at the most
 * @example one question: rows `u`, `y` and `n`
 */
export function doorTable<T>(
  keys: readonly string[],
  worth: (answers: Readonly<Record<string, Answer>>) => T,
): DoorTable<T> {
  const rows: Record<string, T> = {}
  for (let index = 0; index < doorAnswers.length ** keys.length; index += 1) {
    const answers = keys.map((_, at) => doorAnswers[Math.floor(index / doorAnswers.length ** at) % 3]!)
    rows[doorKey(answers)] = worth(
      Object.fromEntries(
        keys.flatMap((key, at) => {
          const answer = answers[at]!
          return answer === 'unknown' ? [] : [[key, answer] as const]
        }),
      ),
    )
  }
  return rows
}
