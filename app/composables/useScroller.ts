import type { Ref } from 'vue'

/** What an element scrolls in, and how far below the top of its content the element begins, in pixels. */
export function useScroller(element: Readonly<Ref<HTMLElement | null>>) {
  const scroller = shallowRef<HTMLElement | null>(null)
  const above = ref(0)
  onMounted(() => {
    const box = element.value!
    let parent = box.parentElement
    while (parent && !/auto|scroll/.test(getComputedStyle(parent).overflowY)) parent = parent.parentElement
    scroller.value = parent ?? document.documentElement
    above.value =
      box.getBoundingClientRect().top - scroller.value.getBoundingClientRect().top + scroller.value.scrollTop
  })
  return { scroller, above }
}
