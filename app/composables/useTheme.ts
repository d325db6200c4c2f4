import { useLocalStorage } from '@vueuse/core'

/** Daylight or lamp, kept on this machine. */
export function useTheme() {
  const theme = useLocalStorage<'daylight' | 'lamp'>('tarvin-theme', 'daylight')
  watchEffect(() => {
    document.documentElement.dataset.theme = theme.value
  })
  return { theme, toggle: () => (theme.value = theme.value === 'lamp' ? 'daylight' : 'lamp') }
}
