import type { Ref } from 'vue'
import { useForm, type GenericObject } from 'vee-validate'
import type { ObjectSchema } from 'yup'
import { stateTag } from '#shared/text/stateTag'
import { RequestError } from '~/data/requestError'
import { withoutPath } from './useBoundField'

interface DraftFormOptions<T extends GenericObject> {
  /** where what is typed is kept in the browser until it is saved; null: nowhere */
  key: string | null
  /** the schema of the route that takes the form */
  schema: ObjectSchema<T>
  /** what stands in the form at first; a draft kept by an earlier version lacks what came since, and gets it from here */
  initial: T
  /** what the server holds, where the form changes something that is there; not asked for where a draft was kept */
  load?: () => Promise<T>
  /** whether `initial` is what is saved, to be changed, rather than something new */
  isSaved?: boolean
  /**
   * sends what was checked, with the tag of the state it changes; gives the tag of what is saved then, where the form
   * stays open. A refusal stands in `failure` in the server's own words
   */
  save(checked: T, was: string | undefined): Promise<unknown>
}

/** What a sheet around a form needs of it: what was refused, and the two states where another tab has saved. */
export interface DraftFormState {
  readonly values: object
  readonly failure: Readonly<Ref<string>>
  readonly busy: Readonly<Ref<boolean>>
  readonly conflict: Readonly<Ref<{ readonly saved: object } | null>>
  takeSaved(): Promise<unknown>
  saveOver(): Promise<unknown>
}

/**
 * A form on the schema of its route. What is typed is kept in the browser at once, valid or not, so that a reload loses
 * nothing, and forgotten when it is saved. Its fields bind themselves by path (`TextField name="price"`).
 */
export function useDraftForm<T extends GenericObject>({
  key,
  schema,
  initial,
  load,
  isSaved = false,
  save,
}: DraftFormOptions<T>) {
  const stored = key === null ? null : localStorage.getItem(key)
  const { draft: kept, was: keptWas } = readKept<T>(stored)
  const form = useForm<T>({
    validationSchema: schema,
    initialValues: mergedDraft(initial, kept) as never,
    keepValuesOnUnmount: true,
  })
  const values = form.values as T
  const failure = ref('')
  const busy = ref(false)
  /** What was saved when the form was opened; where another tab has saved since, both are shown. */
  let was = keptWas ?? (isSaved ? stateTag(initial) : undefined)
  const conflict = shallowRef<{ saved: T } | null>(null)
  let keeping = load === undefined || stored !== null
  /** Tag of what stood in the form when it was opened, or saved last: what differs from it was typed. */
  let base = stateTag(mergedDraft(initial, {}))
  const isChanged = () => stateTag(values) !== base

  /** Until what the server holds stands in the form; nothing is sent before. */
  let loaded: Promise<void> = Promise.resolve()
  onMounted(() => {
    if (!load || keeping) return
    loaded = takeLoaded(load)
    loaded.catch(say)
  })
  function say(error: unknown) {
    failure.value = error instanceof RequestError ? error.message : String(error)
  }
  async function takeLoaded(ask: () => Promise<T>) {
    const saved = await ask()
    was = stateTag(saved)
    // what was typed while it was on its way stays
    const typed = changedSince(mergedDraft(initial, {}), values)
    form.resetForm({ values: mergedDraft(initial, saved) as never })
    base = stateTag(values)
    if (typed) form.setValues(mergedDraft(values, typed) as never)
    // what the server sent is no draft; only what is typed after it is kept
    await nextTick()
    keeping = true
  }
  function keep() {
    if (!keeping || key === null) return
    if (isChanged()) localStorage.setItem(key, JSON.stringify({ draft: values, was }))
    else forget()
  }
  watch(values, keep, { deep: true })

  const problems = computed(() =>
    Object.fromEntries(
      Object.entries(form.errors.value as Record<string, string | undefined>).map(([path, message = '']) => [
        path,
        withoutPath(message, path) ?? '',
      ]),
    ),
  )
  const forget = () => key !== null && localStorage.removeItem(key)

  /** Checks and sends; true where it is in. A second press while one is under way does nothing. */
  async function submit(): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    failure.value = ''
    let isIn = false
    try {
      await loaded
      await form.handleSubmit(async (checked) => {
        const sent = stateTag(values)
        const tag = await save(checked as unknown as T, was)
        if (typeof tag === 'string') was = tag
        conflict.value = null
        base = sent
        // what was typed while it was on its way is not in, and stays kept
        isIn = !isChanged()
        keep()
      })()
    } catch (error) {
      say(error)
      if (error instanceof RequestError && error.status === 409 && error.saved)
        conflict.value = { saved: error.saved as T }
    } finally {
      busy.value = false
    }
    return isIn
  }

  return {
    values,
    problems,
    failure,
    busy: readonly(busy),
    wasKept: stored !== null,
    isChanged,
    conflict: readonly(conflict),
    /** Of two states: what is saved stays, what was typed goes. */
    async takeSaved() {
      const { saved } = conflict.value!
      was = stateTag(saved)
      conflict.value = null
      failure.value = ''
      form.resetForm({ values: mergedDraft(initial, saved) as never })
      base = stateTag(values)
      await nextTick()
      forget()
    },
    /** Nothing is to be saved any more: no draft is kept, no refusal stands. */
    settle() {
      failure.value = ''
      forget()
    },
    /** Of two states: what was typed is saved over the other. */
    async saveOver(): Promise<boolean> {
      was = stateTag(conflict.value!.saved)
      return submit()
    },
    submit,
    forget,
    /** Sets some of the values, as reading a page does. */
    assign: (some: Partial<T>) => form.setValues(some as never),
    append: (path: keyof T & string, item: unknown) =>
      form.setFieldValue(path as never, [...((values[path] as unknown[] | undefined) ?? []), item] as never),
    remove: (path: keyof T & string, index: number) =>
      form.setFieldValue(path as never, (values[path] as unknown[]).filter((_, at) => at !== index) as never),
  }
}

/** What was kept in the browser: the draft, and the tag of what it changes; an earlier version kept the draft alone. */
function readKept<T>(stored: string | null): { draft: Partial<T>; was?: string } {
  if (stored === null) return { draft: {} }
  const kept = JSON.parse(stored) as { draft?: Partial<T>; was?: string }
  return kept.draft && Object.keys(kept).every((name) => name === 'draft' || name === 'was')
    ? { draft: kept.draft, ...(kept.was ? { was: kept.was } : {}) }
    : { draft: kept as Partial<T> }
}

/** `kept` over `initial`, group by group; lists are taken as they are. */
export function mergedDraft<T extends GenericObject>(initial: T, kept: Partial<T>): T {
  const merged: GenericObject = { ...structuredClone(toRaw(initial)) }
  for (const [key, value] of Object.entries(kept)) {
    const before = merged[key] as unknown
    merged[key] = isGroup(before) && isGroup(value) ? mergedDraft(before, value) : value
  }
  return merged as T
}

/** What differs in `now` from `before`, group by group; lists are taken whole. Null: nothing. */
function changedSince<T extends GenericObject>(before: T, now: T): Partial<T> | null {
  const changed: GenericObject = {}
  for (const [key, value] of Object.entries(now)) {
    const was = before[key] as unknown
    if (isGroup(was) && isGroup(value)) {
      const inside = changedSince(was, value)
      if (inside) changed[key] = inside
    } else if (stateTag([was]) !== stateTag([value])) changed[key] = value
  }
  return Object.keys(changed).length === 0 ? null : (changed as Partial<T>)
}

function isGroup(value: unknown): value is GenericObject {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
