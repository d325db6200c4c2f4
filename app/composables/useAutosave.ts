import { useDebounceFn } from '@vueuse/core'
import type { Ref } from 'vue'

/** What saving by itself needs of a form. */
interface SavedByItself {
  readonly values: object
  readonly busy: Readonly<Ref<boolean>>
  /** whether what stands in the form differs from what is saved */
  isChanged(): boolean
  /** nothing is to be saved any more: the draft and a refusal of it are gone */
  settle(): void
  submit(): Promise<boolean>
}

/**
 * Saves what is typed, half a second after the last key and one save at a time: what is typed while one is on its way
 * is sent when that is back, and what was typed back to what is saved leaves nothing to send and no refusal.
 */
export function useAutosave(form: SavedByItself, isSaved: Ref<boolean>) {
  const saveSoon = useDebounceFn(async () => {
    if (form.busy.value) return void saveSoon()
    if (form.isChanged()) isSaved.value = await form.submit()
    else {
      form.settle()
      isSaved.value = true
    }
  }, 500)
  watch(
    form.values,
    () => {
      if (form.isChanged()) isSaved.value = false
      void saveSoon()
    },
    { deep: true },
  )
}
