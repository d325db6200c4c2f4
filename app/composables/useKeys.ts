import { useEventListener, useLocalStorage } from '@vueuse/core'

/** Whether single letters do something; kept on this machine, for those who speak to it or hit keys by accident. */
export function useSingleKeys() {
  return useLocalStorage('tarvin-single-keys', true)
}

const arrows: Readonly<Record<string, string>> = { arrowdown: '↓', arrowup: '↑' }

/**
 * Keys of a place: one action a key, not while something is typed or a dialog is open. They are named as the list of
 * keys shows them: a capital letter, `?`, an arrow. Letters can be switched off.
 */
export function useKeys(actions: Readonly<Record<string, () => void>>): void {
  const areOn = useSingleKeys()
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
    if (document.querySelector('[role="dialog"]')) return
    const key = arrows[event.key.toLowerCase()] ?? event.key.toUpperCase()
    const action = actions[key]
    if (!action || (!areOn.value && /^[A-Z]$/.test(key))) return
    event.preventDefault()
    action()
  })
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}
