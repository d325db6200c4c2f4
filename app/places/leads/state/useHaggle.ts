import type { HaggleView, LeadView } from '#shared/leads/views'
import { request } from '~/utils/request'

/** The haggle sheet of a lead, its bids among it; read anew where the lead or its ask changes. */
export function useHaggle(lead: () => LeadView) {
  const build = useBuild()
  const sheet = shallowRef<HaggleView | null>(null)
  const failed = ref('')
  async function load() {
    failed.value = ''
    sheet.value = await request<HaggleView>(`/api/builds/${build.view!.id}/leads/${lead().id}/haggle`).catch(
      (error: Error) => {
        failed.value = error.message
        return null
      },
    )
  }
  watch(() => [lead().id, lead().value.ask], load, { immediate: true })
  return { sheet, failed, load }
}
