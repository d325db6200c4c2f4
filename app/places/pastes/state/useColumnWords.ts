import type { SaleRead, SalesProblem } from '#core/reading/sales/saleRead'
import { stateOfTitle, worse } from '#core/reading/sales/stateOf'
import type { Meanings } from '#shared/sources/schemas'

/** A word of a column that is not ours, and the lines of the rows that have it. */
export interface ColumnWord {
  readonly field: 'manner' | 'condition'
  readonly said: string
  readonly lines: number[]
}

const isSame = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

/**
 * Words of columns that are not ours, each asked for once: what is said counts for all rows that have the word, and for
 * the next paste of the source.
 */
export function useColumnWords(
  problems: readonly SalesProblem[],
  rows: Ref<SaleRead[]>,
  known: Ref<Meanings | null | undefined>,
) {
  const meanings = usePasteDraft<Meanings>('meanings', { manner: {}, condition: {} }, problems)
  const words = computed(() => {
    const asked = new Map<string, ColumnWord>()
    for (const { word, line, code } of problems) {
      if (code !== 'unknown-value' || !word) continue
      const key = `${word.field} ${word.said.toLowerCase()}`
      if (!asked.has(key)) asked.set(key, { ...word, lines: [] })
      asked.get(key)!.lines.push(line)
    }
    return [...asked.values()]
  })
  const meant = ({ field, said }: ColumnWord): string => meanings.value[field][said] ?? ''
  function mean({ field, said, lines: at }: ColumnWord, value: string) {
    meanings.value = { ...meanings.value, [field]: { ...meanings.value[field], [said]: value } }
    for (const row of rows.value) {
      if (!at.includes(row.lines[0])) continue
      if (field === 'manner') Object.assign(row, { manner: value })
      else Object.assign(row, { condition: worse(value as SaleRead['condition'], stateOfTitle(row.title)) })
    }
  }
  watch([known, words], () => {
    for (const word of words.value) {
      const before = Object.entries(known.value?.[word.field] ?? {}).find(([said]) => isSame(said, word.said))
      if (before && meant(word) === '') mean(word, before[1])
    }
  })
  const said = computed(() => (words.value.some((word) => meant(word) !== '') ? meanings.value : null))
  return { words, meant, mean, said }
}
