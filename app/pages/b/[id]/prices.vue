<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import { stateTag } from '#shared/text/stateTag'
import type { PriceView, RecordView } from '#shared/prices/views'
import { readBrush, writeBrush, type Brush } from '~/places/prices/state/brush'
import { groupDecisions } from '~/places/prices/state/triage'
import { call } from '~/data/call'
import { amount } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** Prices: what does each part really sell for, how long would I wait, new or used? */
const build = useBuild()
const { run } = useAction()
const id = build.view!.id
const { data: briefs } = useCall('GET /api/builds/:id/prices', () => ({ id }))
const partId = useRouteState('part')
const mode = useRouteState('mode', 'read')
const sheet = useRouteState('sheet')
const brushText = useRouteState('brush')
const brush = computed(() => readBrush(brushText.value))
const importing = ref(false)
const triage = useTemplateRef<{ select: (id: number) => void }>('triage')
const undoStack: { records: readonly number[]; decisions: readonly RecordView['decision'][] }[] = []

const part = useCall('GET /api/builds/:id/prices/parts/:part', () =>
  partId.value === '' ? null : { id, part: partId.value },
)
const view = computed<PriceView | null>(() => part.data.value ?? null)
watch(
  briefs,
  (list) => {
    const first = list?.find((brief) => brief.inBuild) ?? list?.[0]
    if (partId.value === '' && first) partId.value = first.partId
  },
  { immediate: true },
)
watch(partId, () => (undoStack.length = 0))
const ofPart = () => ({ id, part: view.value!.partId })
const setDecision = (records: readonly number[], decision: RecordView['decision']) =>
  call('PUT /api/builds/:id/prices/parts/:part/overrides', ofPart(), { recordIds: [...records], decision })
async function decide(records: readonly number[], decision: RecordView['decision']) {
  const before = new Map(view.value!.records.map((record) => [record.id, record.decision]))
  const entry = { records, decisions: records.map((record) => before.get(record) ?? null) }
  undoStack.push(entry)
  const isDone = await run(
    () => setDecision(records, decision),
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
  })
}
const saveQuery = (query: PriceView['query']) =>
  run(
    () =>
      call('PUT /api/builds/:id/prices/parts/:part/query', ofPart(), query as never, {
        was: stateTag(view.value!.query),
      }),
    { message: 'query applied' },
  )
const resetQuery = () => run(() => call('DELETE /api/builds/:id/prices/parts/:part/query', ofPart()))
const useRecipe = (recipeId: string) =>
  run(() => call('POST /api/builds/:id/prices/parts/:part/recipe', ofPart(), { recipeId }), {
    message: 'saved query applied',
    undo: resetQuery,
  })
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
  let done = 0
  const chosen = { kind: 'hunt', partId: part.partId, limit } as const
  await run(() => build.choose(chosen, part.name, (action) => (done = action)), {
    message: `hunting ${part.name} at up to ${amount(Math.round(price), part.currency)}`,
    undo: () => build.undo(done, part.name),
  })
}
function lookOut(price: number) {
  const { partId, name, currency } = view.value!
  const limit = toDecimal(Math.round(price), currency)
  return run(() => call('POST /api/builds/:id/prices/lookouts', { id }, { partId, limit }), {
    message: `watching ${name} at or below ${amount(Math.round(price), currency)}`,
  })
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
      :briefs="briefs ?? null"
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
        briefs && briefs.length === 0
          ? 'No part has past sales yet. Paste a page of them (Ctrl+V) or import a CSV.'
          : 'Loading prices…'
      }}
    </div>
    <ImportDialog
      v-if="importing"
      :currency="build.view!.currency"
      @close="importing = false"
      @done="importing = false"
    />
  </div>
</template>
