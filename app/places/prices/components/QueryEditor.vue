<script setup lang="ts">
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { PriceView } from '#shared/prices/views'
import { variantLine } from '../state/useQueryDraft'

/** The price query of a part. While it is written a worker says at once which records come and go; a button puts it in force. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{ save: [query: PartQuery]; reset: []; recipe: [id: string] }>()
const open = ref(false)
const query = useQueryDraft(() => view)
const { isChanged, problem, trying } = query
watch(query.wasKept, (kept) => (open.value ||= kept), { immediate: true })

function use() {
  query.forget()
  emit('save', query.edited.value)
}
</script>

<template>
  <details
    class="@container shrink-0 text-[13px]"
    :open="open"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary class="truncate text-soft">
      query: <span class="text-ink">{{ view.query.must.join(' ') }}</span><template
        v-if="variantLine(view.query)"
      >
        · {{ variantLine(view.query) }}</template
      >
      · {{ view.query.windowDays }} days · half-life {{ view.query.halfLifeDays
      }}<span v-if="view.queryIsOwn" class="tag tag-info ml-2">yours</span>
    </summary>
    <div class="sheet mt-2 p-3">
      <QueryFields
        :draft="query.draft.value"
        :written="query.written"
        @set="query.set"
        @fact="query.setFact"
      />
      <div
        class="mt-1.5 flex flex-wrap items-start gap-x-4 gap-y-1 border-t border-line pt-2"
        aria-live="polite"
      >
        <p v-if="problem" class="text-stop" role="alert">{{ problem }}</p>
        <TriedQueryLine
          v-else-if="isChanged"
          :view="view"
          :progress="trying.progress.value"
          :failed="trying.failed.value"
          :tried="trying.tried.value"
          @cancel="trying.cancel()"
          @use="use"
          @give-up="query.giveUp"
        />
        <QueryRecipes
          v-else
          :part-id="view.partId"
          :active="open"
          :is-own="view.queryIsOwn"
          @recipe="emit('recipe', $event)"
          @reset="emit('reset')"
        />
      </div>
    </div>
  </details>
</template>
