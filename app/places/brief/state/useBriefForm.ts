import { useDebounceFn } from '@vueuse/core'
import { ValidationError } from 'yup'
import { briefSchema, type BriefInput } from '#shared/brief/schemas'
import { problemsByPath } from '~/utils/problems'
import { RequestError } from '~/utils/request'

/**
 * A brief that is saved as typed. What is typed is kept in the browser at once, valid or not, so that a reload loses
 * nothing; as soon as it is valid it goes to `save`. Problems stand by the path of their field.
 */
export function useBriefForm(key: string, initial: BriefInput, save: (brief: BriefInput) => Promise<void>) {
  const stored = localStorage.getItem(key)
  const kept = JSON.parse(stored ?? JSON.stringify(initial)) as BriefInput
  // a draft kept by an earlier version lacks what came since
  const draft = reactive<BriefInput>({
    ...initial,
    ...kept,
    houseRules: { ...initial.houseRules, ...kept.houseRules },
  })
  const problems = ref<Record<string, string>>({})
  const state = ref<'saved' | 'typing' | 'saving' | 'refused'>(stored === null ? 'saved' : 'typing')
  const refusal = ref('')

  function check(): BriefInput | null {
    try {
      const brief = briefSchema.validateSync(toRaw(draft), { abortEarly: false })
      problems.value = {}
      return brief as BriefInput
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error
      problems.value = problemsByPath(error)
      return null
    }
  }

  async function saveNow(): Promise<boolean> {
    const brief = check()
    if (!brief) return false
    state.value = 'saving'
    try {
      await save(brief)
      localStorage.removeItem(key)
      state.value = 'saved'
      refusal.value = ''
      return true
    } catch (error) {
      state.value = 'refused'
      refusal.value = error instanceof RequestError ? error.message : String(error)
      return false
    }
  }
  const saveSoon = useDebounceFn(() => void saveNow(), 500)

  return {
    draft,
    problems: readonly(problems),
    state: readonly(state),
    refusal: readonly(refusal),
    check,
    saveNow,
    saveSoon,
    keep: () => localStorage.setItem(key, JSON.stringify(toRaw(draft))),
    markTyping: () => (state.value = 'typing'),
  }
}
