import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'

/** What an element scrolls in, and how far below the top of its content the element begins, in pixels. */
export function useScroller(element: Readonly<Ref<HTMLElement | null>>) {
  const scroller = shallowRef<HTMLElement | null>(null)
  const above = ref(0)
  function measure() {
    const [box, outer] = [element.value, scroller.value]
    if (box && outer)
      above.value = box.getBoundingClientRect().top - outer.getBoundingClientRect().top + outer.scrollTop
  }
  onMounted(() => {
    let parent = element.value!.parentElement
    while (parent && !/auto|scroll/.test(getComputedStyle(parent).overflowY)) parent = parent.parentElement
    scroller.value = parent ?? document.documentElement
    measure()
  })
  // what stands before it may have grown since: a form that was opened, a report
  useEventListener(scroller, 'scroll', measure, { passive: true })
  return { scroller, above }
}
