<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import type { PriceBrief, PriceView, RecordView } from '#shared/views'
import { request } from '~/utils/request'

/** Prices: what does each part really sell for, how long would I wait? */
const build = useBuild()
const { run } = useDeed()
const id = build.view!.id
const briefs = ref<PriceBrief[] | null>(null)
const view = shallowRef<PriceView | null>(null)
const failed = ref('')
const partId = useRouteState('part')
const mode = useRouteState('mode', 'read')
const importing = ref(false)
const triage = useTemplateRef<{ select: (id: number) => void }>('triage')
const undoStack: { records: readonly number[]; decisions: readonly RecordView['decision'][] }[] = []

async function loadBriefs() {
  briefs.value = await request<PriceBrief[]>(`/api/builds/${id}/prices`)
}
async function loadPart(part: string) {
  undoStack.length = 0
  failed.value = ''
  view.value = await request<PriceView>(`/api/builds/${id}/prices/${part}`).catch((error: Error) => {
    failed.value = error.message
    return null
  })
}
onMounted(() => run(async () => {
  await loadBriefs()
  const first = briefs.value?.find((brief) => brief.inBuild) ?? briefs.value?.[0]
  if (partId.value === '' && first) partId.value = first.partId
}))
watch(partId, (part) => part !== '' && void loadPart(part), { immediate: true })

const path = () => `/api/builds/${id}/prices/${view.value!.partId}`
async function setDecision(records: readonly number[], decision: RecordView['decision'] | readonly RecordView['decision'][]) {
  await run(async () => {
    if (typeof decision === 'string' || decision === null) view.value = await request<PriceView>(`${path()}/overrides`, { method: 'PUT', body: { recordIds: records, decision } })
    else for (const [index, each] of decision.entries()) view.value = await request<PriceView>(`${path()}/overrides`, { method: 'PUT', body: { recordIds: [records[index]], decision: each } })
    await afterChange()
  })
}
async function decide(records: readonly number[], decision: RecordView['decision']) {
  const before = new Map(view.value!.records.map((record) => [record.id, record.decision]))
  undoStack.push({ records, decisions: records.map((record) => before.get(record) ?? null) })
  await setDecision(records, decision)
}
async function undo() {
  const last = undoStack.pop()
  if (last) await setDecision(last.records, last.decisions)
}
const saveQuery = (query: PriceView['query']) => run(async () => {
  view.value = await request<PriceView>(`${path()}/query`, { method: 'PUT', body: query })
  await afterChange()
})
const resetQuery = () => run(async () => {
  view.value = await request<PriceView>(`${path()}/query`, { method: 'DELETE' })
  await afterChange()
})
/** A reading moved: the list beside it and the receipt at the foot follow. */
async function afterChange() {
  await Promise.all([loadBriefs(), build.load(id)])
}
async function hunt(price: number) {
  const part = view.value!
  await run(() => build.choose({ kind: 'hunt', partId: part.partId, limit: toDecimal(Math.round(price), part.currency) }, part.name), { message: `hunting ${part.name}`, undo: async () => build.takeOut(build.view!.choices.at(-1)!.id, part.name) })
}
async function imported() {
  importing.value = false
  await afterChange()
  if (partId.value !== '') await loadPart(partId.value)
}
function pick(record: number) {
  mode.value = 'sift'
  void nextTick(() => triage.value?.select(record))
}
</script>

<template>
  <div class="flex h-full min-h-0">
    <PriceList :briefs="briefs" :selected="partId" :currency="build.view!.currency" @select="partId = $event" @import="importing = true" />
    <div v-if="view" class="flex min-h-0 min-w-0 flex-1 flex-col gap-2 overflow-y-auto px-4 py-3">
      <PriceHead :view="view">
        <div class="flex rounded border border-ink" role="group" aria-label="mode">
          <button v-for="each in ['sift', 'read']" :key="each" type="button" class="px-3 py-1" :class="{ 'bg-ink text-paper': mode === each }" :aria-pressed="mode === each" @click="mode = each">{{ each === 'sift' ? `Sift ${view.records.length}` : 'Read' }}</button>
        </div>
      </PriceHead>
      <QueryEditor :view="view" @save="saveQuery" @reset="resetQuery" />
      <PriceRead v-if="mode === 'read'" :view="view" @hunt="hunt" />
      <template v-else>
        <div class="sheet shrink-0 p-2"><DotsChart :view="view" :height="120" @pick="pick" /></div>
        <RecordTriage ref="triage" :view="view" @decide="decide" @undo="undo" />
      </template>
    </div>
    <div v-else class="p-6 text-soft" role="status">{{ failed || (briefs && briefs.length === 0 ? 'No part has comps yet. Import sold records, or open a library file on Builds.' : 'Reading prices…') }}</div>
    <ImportDialog v-if="importing" :currency="build.view!.currency" @close="importing = false" @done="imported" />
  </div>
</template>
