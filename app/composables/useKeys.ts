import { useEventListener } from '@vueuse/core'

/** Keys of a place: one action a key, not while something is typed or a dialog is open. Keys are named as in KeyboardEvent.key, lower case. */
export function useKeys(actions: Readonly<Record<string, (event: KeyboardEvent) => void>>): void {
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      isTyping(event.target) ||
      document.querySelector('[role="dialog"]')
    )
      return
    const action = actions[event.key.toLowerCase()]
    if (!action) return
    event.preventDefault()
    action(event)
  })
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}
