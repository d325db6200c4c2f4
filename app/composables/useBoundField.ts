import { useField } from 'vee-validate'

/** A field's value in the form around it, and what is wrong with it; a message that begins with the path loses it. */
export function useBoundField<T>(name: () => string) {
  const { value, errorMessage } = useField<T>(name)
  const problem = computed(() => withoutPath(errorMessage.value, name()))
  return { value, problem }
}

/** `price is needed` beside the field `price` is "is needed". */
export function withoutPath(message: string | undefined, path: string): string | undefined {
  return message?.startsWith(`${path} `) ? message.slice(path.length + 1) : message
}
