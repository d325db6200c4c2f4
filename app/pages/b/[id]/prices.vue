<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import type { PriceBrief, PriceView, RecordView } from '#shared/prices/views'
import { readBrush, writeBrush, type Brush } from '~/places/prices/state/brush'
import { groupDecisions } from '~/places/prices/state/triage'
import { request } from '~/utils/request'
import { amount } from '~/utils/show'

/** Prices: what does each part really sell for, how long would I wait, new or used? */
const build = useBuild()
const { run } = useAction()
const id = build.view!.id
const briefs = ref<PriceBrief[] | null>(null)
const view = shallowRef<PriceView | null>(null)
const failed = ref('')
const partId = useRouteState('part')
const mode = useRouteState('mode', 'read')
const sheet = useRouteState('sheet')
const brushText = useRouteState('brush')
const brush = computed(() => readBrush(brushText.value))
const importing = ref(false)
const triage = useTemplateRef<{ select: (id: number) => void }>('triage')
const undoStack: { records: readonly number[]; decisions: readonly RecordView['decision'][] }[] = []

async function loadBriefs() {
  briefs.value = await request<PriceBrief[]>(`/api/builds/${id}/prices`)
}
async function loadPart(part: string) {
  undoStack.length = 0
  failed.value = ''
  const next = await request<PriceView>(`/api/builds/${id}/prices/parts/${part}`).catch((error: Error) => {
    if (partId.value === part) failed.value = error.message
    return null
  })
  // of two parts picked quickly the later one stands, whichever answer comes last
  if (partId.value === part) view.value = next
}
onMounted(() =>
  run(async () => {
    await loadBriefs()
    const first = briefs.value?.find((brief) => brief.inBuild) ?? briefs.value?.[0]
    if (partId.value === '' && first) partId.value = first.partId
  }),
)
watch(partId, (part) => part !== '' && void loadPart(part), { immediate: true })

const path = () => `/api/builds/${id}/prices/parts/${view.value!.partId}`
async function setDecision(records: readonly number[], decision: RecordView['decision']) {
  view.value = await request<PriceView>(`${path()}/overrides`, {
    method: 'PUT',
    body: { recordIds: records, decision },
  })
}
async function decide(records: readonly number[], decision: RecordView['decision']) {
  const before = new Map(view.value!.records.map((record) => [record.id, record.decision]))
  const entry = { records, decisions: records.map((record) => before.get(record) ?? null) }
  undoStack.push(entry)
  const isDone = await run(
    async () => {
      await setDecision(records, decision)
      await afterChange()
    },
    records.length > 1
      ? { message: `${records.length} records ${decision === 'drop' ? 'dropped' : 'kept'}`, undo }
      : undefined,
  )
  if (!isDone) undoStack.splice(undoStack.indexOf(entry), 1)
}
async function undo() {
  const last = undoStack.pop()
  if (!last) return
  await run(async () => {
    for (const group of groupDecisions(last.records, last.decisions))
      await setDecision(group.records, group.decision)
    await afterChange()
  })
}
const saveQuery = (query: PriceView['query']) =>
  run(
    async () => {
      view.value = await request<PriceView>(`${path()}/query`, { method: 'PUT', body: query })
      await afterChange()
    },
    { message: 'query applied' },
  )
const resetQuery = () =>
  run(async () => {
    view.value = await request<PriceView>(`${path()}/query`, { method: 'DELETE' })
    await afterChange()
  })
const useRecipe = (recipeId: string) =>
  run(
    async () => {
      view.value = await request<PriceView>(`${path()}/recipe`, { method: 'POST', body: { recipeId } })
      await afterChange()
    },
    { message: 'saved query applied', undo: async () => resetQuery() },
  )
/** A reading moved: the list beside it and the receipt at the foot follow. */
async function afterChange() {
  await Promise.all([loadBriefs(), build.load(id)])
}
async function hunt(price: number) {
  const part = view.value!
  const known = build.view!.choices.find(
    (choice) => choice.kind === 'hunt' && choice.partId === part.partId && choice.paidOn === null,
  )
  const limit = toDecimal(Math.round(price), part.currency)
  if (known) {
    const before = known.limit === null ? null : toDecimal(known.limit, part.currency)
    await run(() => build.changeChoice(known.id, { limit }, part.name), {
      message: `hunting ${part.name} at up to ${amount(Math.round(price), part.currency)}`,
      undo: async () => build.changeChoice(known.id, { limit: before }, part.name),
    })
    return
  }
  await run(() => build.choose({ kind: 'hunt', partId: part.partId, limit }, part.name), {
    message: `hunting ${part.name} at up to ${amount(Math.round(price), part.currency)}`,
    undo: async () => build.takeOut(build.view!.choices.at(-1)!.id, part.name),
  })
  await loadBriefs()
}
async function lookOut(price: number) {
  const part = view.value!
  await run(
    async () => {
      await request(`/api/builds/${id}/prices/lookouts`, {
        method: 'POST',
        body: { partId: part.partId, limit: toDecimal(Math.round(price), part.currency) },
      })
      await loadPart(part.partId)
    },
    { message: `watching ${part.name} at or below ${amount(Math.round(price), part.currency)}` },
  )
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
async function markRegion(region: Brush) {
  const router = useRouter()
  // both at once: two changes of the address in a row would lose the first
  await router.replace({
    query: { ...router.currentRoute.value.query, mode: 'sift', brush: writeBrush(region) },
  })
}
async function selectPart(part: string) {
  const router = useRouter()
  const { sheet: _sheet, brush: _brush, ...rest } = router.currentRoute.value.query
  await router.replace({ query: { ...rest, part } })
}
</script>

<template>
  <div class="flex h-full min-h-0">
    <PriceList
      :briefs="briefs"
      :selected="sheet === '' ? partId : ''"
      :sheet="sheet"
      :currency="build.view!.currency"
      @select="selectPart"
      @sheet="sheet = $event"
      @import="importing = true"
    />
    <WorthSheet v-if="sheet === 'worth'" @open="selectPart" />
    <NewOrUsedSheet v-else-if="sheet === 'new-or-used'" @open="selectPart" />
    <div v-else-if="view" class="flex min-h-0 min-w-0 flex-1 flex-col gap-2 overflow-y-auto px-4 py-3">
      <PriceHead :view="view" class="shrink-0">
        <div v-if="!view.part.open" class="flex rounded border border-ink" role="group" aria-label="mode">
          <button
            v-for="each in ['sift', 'read']"
            :key="each"
            type="button"
            class="px-3 py-1"
            :class="{ 'bg-ink text-paper': mode === each }"
            :aria-pressed="mode === each"
            @click="mode = each"
          >
            {{ each === 'sift' ? `Clean up ${view.records.length}` : 'Price' }}
          </button>
        </div>
      </PriceHead>
      <p v-if="view.part.open" class="text-soft">
        The exact model is not known, so it has no sales of its own. What is known is listed in
        <NuxtLink to="/parts" class="underline">Parts</NuxtLink>; once the seller names the model, change the
        lead to that part.
      </p>
      <QueryEditor v-else :view="view" @save="saveQuery" @reset="resetQuery" @recipe="useRecipe" />
      <PriceRead
        v-if="mode === 'read' && !view.part.open"
        :view="view"
        @hunt="hunt"
        @lookout="lookOut"
        @brush="markRegion"
        @pick="pick"
        @catch-share="saveQuery({ ...view.query, catchShare: $event })"
        @changed="view = $event"
        @loosen="saveQuery({ ...view.query, ...$event })"
      />
      <template v-else-if="!view.part.open">
        <div class="sheet shrink-0 p-2">
          <DotsChart :view="view" :height="120" :brush="brush" @pick="pick" @brush="markRegion" />
        </div>
        <RecordTriage
          ref="triage"
          :view="view"
          :brush="brush"
          @decide="decide"
          @undo="undo"
          @unbrush="brushText = ''"
        />
      </template>
    </div>
    <div v-else class="p-6 text-soft" role="status">
      {{
        failed ||
        (briefs && briefs.length === 0
          ? 'No part has past sales yet. Paste a page of them (Ctrl+V) or import a CSV.'
          : 'Loading prices…')
      }}
    </div>
    <ImportDialog
      v-if="importing"
      :currency="build.view!.currency"
      @close="importing = false"
      @done="imported"
    />
  </div>
</template>
