/** What every field of a form takes: its path in the form, what it is called, and how it stands. */
export interface FieldProps {
  /** path of the value in the form, such as `parts.memoryGb` or `rates[0].averageFps` */
  name: string
  label: string
  /** accessible name where the visible label alone would be ambiguous */
  spoken?: string
  /** no visible label: a cell of a table, or a word in a sentence */
  bare?: boolean
  hint?: string
  placeholder?: string
  disabled?: boolean
  /** an empty field is left out (undefined) instead of null: for schemas that know no null */
  absent?: boolean
}
