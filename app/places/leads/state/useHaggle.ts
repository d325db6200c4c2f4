import type { LeadView } from '#shared/leads/views'
import { useCall } from '~/data/useCall'

/** The haggle sheet of a lead, its bids among it. */
export function useHaggle(lead: () => LeadView) {
  const build = useBuild()
  return useCall('GET /api/builds/:id/leads/:lead/haggle', () => ({ id: build.view!.id, lead: lead().id }))
}
