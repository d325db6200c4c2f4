/** Whether something has been so once: what is opened now and then comes with its first opening, and stays from then on. */
export function useEver(isSo: () => boolean): Readonly<Ref<boolean>> {
  const ever = ref(false)
  watchEffect(() => {
    if (isSo()) ever.value = true
  })
  return ever
}
