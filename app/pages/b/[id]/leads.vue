<script setup lang="ts">
import { takesPlaceOf } from '#core/whatif/takesPlaceOf'
import { leadAge } from '~/places/leads/state/leadList'
import { useInbox } from '~/places/leads/state/useInbox'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** Leads: which of the things on offer is worth it, at what price, with what risk? */
const build = useBuild()
const { run } = useAction()
const id = build.view!.id
const today = build.view!.today
const { inbox, role, order, show, more } = useInbox(id)
const shown = computed(() => inbox.value?.leads ?? [])
const trips = computed(() => inbox.value?.trips ?? [])
const { data: watched } = useCall('GET /api/builds/:id/prices/lookouts', () => ({ id }))
const hits = computed(() => watched.value ?? [])
/** The lead whose form is open; one that cannot be valued can still be changed. */
const editingId = ref<string | null>(null)
const leadId = useRouteState('lead')
const capturing = ref<'no' | 'new' | 'edit'>('no')

const hitIds = computed(() => new Set(hits.value.map((each) => each.leadId)))
const hit = computed(() => hits.value.find((each) => each.leadId === lead.value?.id))
async function seen() {
  const { lookoutId, leadId: seenLead } = hit.value!
  await run(() => call('POST /api/prices/lookouts/:id/seen', { id: lookoutId }, { leadId: seenLead }), {
    message: 'seen; this watch no longer alerts you',
  })
}
const row = computed(() => shown.value.find((each) => each.id === leadId.value))
/** A lead that is named and not among the rows that are here. */
const isApart = computed(() => inbox.value !== null && leadId.value !== '' && !row.value)
const apart = useCall(
  'GET /api/builds/:id/leads/:lead',
  () => (isApart.value ? { id, lead: leadId.value } : null),
  { showsFailure: true },
)
/** Until it is here nothing is open: what is done by a key is done to the lead that is named, or to none. */
const isAwaited = computed(() => isApart.value && !apart.data.value && !apart.error.value)
const lead = computed(() =>
  isAwaited.value ? null : (row.value ?? (isApart.value ? apart.data.value : null) ?? shown.value[0] ?? null),
)

/** From so far above the end on the next rows are asked for. */
const nearEnd = 12
function move(by: number) {
  const at = shown.value.findIndex((each) => each.id === lead.value?.id)
  const next = shown.value[Math.min(shown.value.length - 1, Math.max(0, at + by))]
  if (next) leadId.value = next.id
  if (at + by > shown.value.length - nearEnd) more()
}
/** What leaves for the open lead, unless both are kept. */
const leaves = computed(() =>
  takesPlaceOf(
    build.view?.choices ?? [],
    lead.value?.things.flatMap(({ plan, role }) => (plan === 'keep' ? [role] : [])) ?? [],
  ),
)
const { choose, pass, ask, undo } = useLeadActions({
  lead,
  shown,
  select: (next) => (leadId.value = next),
})
function captured(newId: string | null) {
  capturing.value = 'no'
  if (newId) leadId.value = newId
}
function edit(leadToEdit: string) {
  editingId.value = leadToEdit
  capturing.value = 'edit'
}
usePlace('leads', {
  '↓': () => move(1),
  '↑': () => move(-1),
  K: () => void choose(),
  P: () => void pass(),
  Z: () => void undo(),
  A: () => void ask(),
  N: () => (capturing.value = 'new'),
  E: () => void (lead.value && edit(lead.value.id)),
})
</script>

<template>
  <div class="flex h-full min-h-0 max-md:flex-col">
    <LeadInbox
      v-model:role="role"
      v-model:order="order"
      v-model:show="show"
      :leads="shown"
      :unvalued="inbox?.unvalued ?? []"
      :hits="hitIds"
      :counts="inbox?.counts"
      :total="inbox?.total ?? 0"
      :selected="lead?.id ?? ''"
      :currency="build.view!.currency"
      :today="today"
      @select="leadId = $event"
      @capture="capturing = 'new'"
      @edit="edit"
      @more="more"
    />
    <div v-if="lead" class="flex min-h-0 min-w-0 flex-1 flex-col">
      <div class="@container/lead min-h-0 flex-1 overflow-y-auto px-4 py-3">
        <div class="mb-3 flex items-start gap-3 max-md:flex-col">
          <div class="min-w-0">
            <h1>{{ lead.title }}</h1>
            <p class="text-soft">
              {{ lead.sourceName }} · {{ lead.condition
              }}<template v-if="lead.place"> · {{ lead.place }}</template> · {{ leadAge(lead, today) }}
            </p>
          </div>
          <div class="ml-auto flex shrink-0 gap-2 max-md:ml-0">
            <button type="button" class="button" @click="edit(lead.id)">Change</button
            ><button type="button" class="button" @click="pass">
              {{ lead.state === 'open' ? 'Pass' : 'Reopen' }}</button
            ><button
              v-if="!lead.choiceId && leaves.length > 0"
              type="button"
              class="button"
              :title="`keeps ${leaves.map(({ label }) => label).join(', ')} too`"
              @click="choose(true)"
            >
              Keep both</button
            ><button type="button" class="button button-main" @click="choose()">
              {{ lead.choiceId ? 'Remove' : 'Add to the build' }}
            </button>
          </div>
        </div>
        <LeadNotices :lead="lead" :hit="hit" @seen="seen" @edit="edit(lead.id)" />
        <LeadDetail :lead="lead" :currency="build.view!.currency" :trips="trips" @open="leadId = $event" />
      </div>
      <KeyBar place="leads" :now="lead.choiceId ? { K: 'remove' } : {}" />
    </div>
    <div v-else class="p-6">
      <h1>Leads</h1>
      <p class="text-soft" role="status">
        {{
          inbox === null || isAwaited
            ? 'Loading leads…'
            : Object.values(inbox.counts).some((count) => count > 0)
              ? 'No leads match. Change the filter at the top of the list.'
              : 'No leads yet. Press N to add one from a form or a page’s source, or import a CSV.'
        }}
      </p>
    </div>
    <LeadCapture
      v-if="capturing !== 'no'"
      :key="capturing"
      :today="today"
      :currency="build.view!.currency"
      :editing="capturing === 'edit' ? editingId : null"
      @close="capturing = 'no'"
      @done="captured"
    />
  </div>
</template>
