import { useEventListener } from '@vueuse/core'

/** Keys of a place: one deed a key, not while something is typed or a dialog is open. Keys are named as in KeyboardEvent.key, lower case. */
export function useKeys(deeds: Readonly<Record<string, (event: KeyboardEvent) => void>>): void {
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      isTyping(event.target) ||
      document.querySelector('[role="dialog"]')
    )
      return
    const deed = deeds[event.key.toLowerCase()]
    if (!deed) return
    event.preventDefault()
    deed(event)
  })
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}
