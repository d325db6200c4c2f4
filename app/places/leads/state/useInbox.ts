import type { Role } from '#core/parts/part'
import { inboxPage, type LeadOrder, type LeadShow } from '#shared/leads/inbox'
import { useCall } from '~/data/useCall'

/**
 * The rows of the inbox as far as somebody has come down it, by what the address says of filter and order. What is asked
 * for more stands under what is shown until it is there.
 */
export function useInbox(buildId: string) {
  const roleState = useRouteState('role')
  const orderState = useRouteState('order', 'saving')
  const showState = useRouteState('show', 'open')
  const role = computed({
    get: () => roleState.value as Role | '',
    set: (value) => (roleState.value = value),
  })
  const order = computed({
    get: () => orderState.value as LeadOrder,
    set: (value) => (orderState.value = value),
  })
  const show = computed({
    get: () => showState.value as LeadShow,
    set: (value) => (showState.value = value),
  })
  const count = ref(inboxPage)
  // at once: what is asked for is never the old number of rows under a new filter
  watch([role, order, show], () => (count.value = inboxPage), { flush: 'sync' })
  const asked = useCall(
    'GET /api/builds/:id/leads',
    () => ({ id: buildId, show: show.value, role: role.value, order: order.value, count: count.value }),
    { meanwhile: (before) => (count.value > inboxPage ? before : undefined) },
  )
  const inbox = computed(() => asked.data.value ?? null)
  function more() {
    const { leads = [], total = 0 } = inbox.value ?? {}
    if (leads.length >= count.value && total > leads.length) count.value += inboxPage
  }
  return { inbox, role, order, show, more }
}
