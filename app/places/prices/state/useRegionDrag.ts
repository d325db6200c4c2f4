import type { Chart } from 'chart.js'
import { brushBetween, type Brush } from './brush'

interface Corner {
  readonly day: number
  readonly price: number
  readonly x: number
  readonly y: number
}

/** A drag shorter than this, in pixels, is a click. */
const least = 8

/**
 * Dragging over a picture of prices over days marks a region; a plain click is left to the dots. `dragged` is a mere
 * rectangle above the picture, since drawing many dots again at each move is slow.
 */
export function useRegionDrag(
  chart: () => Chart<'scatter'> | undefined,
  perUnit: () => number,
  marked: (region: Brush) => void,
) {
  const dragged = ref<{ left: string; top: string; width: string; height: string } | null>(null)
  let start: Corner | null = null
  let last: Corner | null = null

  function corner(event: PointerEvent): Corner | null {
    const drawn = chart()
    const { x, y } = drawn?.scales ?? {}
    if (!drawn || !x || !y) return null
    const box = drawn.canvas.getBoundingClientRect()
    return {
      day: Number(x.getValueForPixel(event.clientX - box.left)),
      price: Number(y.getValueForPixel(event.clientY - box.top)) * perUnit(),
      x: event.clientX,
      y: event.clientY,
    }
  }
  return {
    dragged: readonly(dragged),
    down(event: PointerEvent) {
      if (event.button === 0) start = corner(event)
    },
    move(event: PointerEvent) {
      const end = start && corner(event)
      if (!start || !end || Math.abs(end.x - start.x) + Math.abs(end.y - start.y) <= least) return
      last = end
      const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
      dragged.value = {
        left: `${Math.min(start.x, end.x) - box.left}px`,
        top: `${Math.min(start.y, end.y) - box.top}px`,
        width: `${Math.abs(end.x - start.x)}px`,
        height: `${Math.abs(end.y - start.y)}px`,
      }
    },
    up() {
      if (dragged.value && start && last) marked(brushBetween(start, last))
      start = null
      last = null
      dragged.value = null
    },
  }
}
