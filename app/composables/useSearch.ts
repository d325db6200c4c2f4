import { createGlobalState, useEventListener } from '@vueuse/core'

/** Whether the search lies open; Ctrl+K opens it anywhere. */
export const useSearch = createGlobalState(() => {
  const isOpen = ref(false)
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return
    event.preventDefault()
    isOpen.value = true
  })
  return isOpen
})
