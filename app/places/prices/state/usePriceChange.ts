import type { PriceView } from '#shared/prices/views'
import { request } from '~/utils/request'

/** A change of what is noted of a part: done, told, read anew; taken back where that can be. */
export function usePriceChange(partId: () => string, changed: (view: PriceView) => void) {
  const { run } = useAction()
  const path = computed(() => `/api/builds/${useBuild().view!.id}/prices/parts/${partId()}`)
  async function change(action: () => Promise<unknown>, message: string, undo?: () => Promise<unknown>) {
    const fresh = async () => changed(await request<PriceView>(path.value))
    const thenFresh = (step: () => Promise<unknown>) => async () => {
      await step()
      await fresh()
    }
    await run(thenFresh(action), { message, ...(undo ? { undo: thenFresh(undo) } : {}) })
  }
  return { path, change }
}
