import { useField } from 'vee-validate'

/** A field's value in the form around it, and what is wrong with it; a message that begins with the path loses it. */
export function useBoundField<T>(name: () => string) {
  const { value, errorMessage } = useField<T>(name)
  const problem = computed(() => withoutPath(errorMessage.value, name()))
  return { value, problem }
}

/** `price: enter an amount` beside the field `price` is "enter an amount". */
export function withoutPath(message: string | undefined, path: string): string | undefined {
  const [whole] = [`${path}: `, `${path} `].filter((start) => message?.startsWith(start))
  return whole === undefined ? message : message!.slice(whole.length)
}
