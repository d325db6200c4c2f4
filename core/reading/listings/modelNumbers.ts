import type { Part } from '../../parts/part'

const numbersOf = new WeakMap<readonly Part[], ReadonlySet<string>>()

/** Figures of the names of a library's models, such as `5300` and `640`: alone in a text they are no price. */
export function modelNumbers(library: readonly Part[]): ReadonlySet<string> {
  let numbers = numbersOf.get(library)
  if (!numbers) {
    numbers = new Set(library.flatMap(({ name }) => name.match(/\d+/g) ?? []))
    numbersOf.set(library, numbers)
  }
  return numbers
}
