/** Colours of the look by token, read again when the theme changes: what a canvas needs, since it knows no variables. */
export function useTokens() {
  const { theme } = useTheme()
  return (name: `--${string}`): string => (
    theme.value,
    getComputedStyle(document.documentElement).getPropertyValue(name).trim()
  )
}
