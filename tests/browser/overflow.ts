import type { Page } from '@playwright/test'

/**
 * What runs out of its column: elements that stand further right than the pane that holds them, unless something
 * between the two scrolls or cuts on purpose. In the words of a reader of the report: tag, class, how far.
 */
export function overflowing(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found: string[] = []
    const panes = [...document.querySelectorAll<HTMLElement>('main, main .sheet, main section, aside')]
    const cuts = (from: HTMLElement, to: HTMLElement) => {
      for (let each: HTMLElement | null = from.parentElement; each && each !== to; each = each.parentElement)
        if (getComputedStyle(each).overflowX !== 'visible') return true
      return false
    }
    for (const pane of panes) {
      if (pane.tagName !== 'MAIN' && getComputedStyle(pane).overflowX !== 'visible') continue
      const edge = pane.getBoundingClientRect().right
      for (const each of pane.querySelectorAll<HTMLElement>(
        'table, button, input, select, p, svg, canvas, td',
      )) {
        const { right, width } = each.getBoundingClientRect()
        if (width === 0 || right <= edge + 1.5 || each.closest('.sr-only') || cuts(each, pane)) continue
        found.push(
          `${each.tagName} ${each.textContent?.trim().slice(0, 30)} ` +
            `${Math.round(right - edge)} px out of ${pane.className.slice(0, 40)}`,
        )
      }
    }
    return [...new Set(found)].slice(0, 8)
  })
}
