<script setup lang="ts">
import { opinionVerdicts } from '#core/supply/ways/opinions'
import type { WorthRow } from '#shared/prices/views'
import { call } from '~/data/call'
import { shortDate } from '~/utils/show'

/** What the guides say of one candidate, and what one more says. */
const { row } = defineProps<{ row: WorthRow }>()
const emit = defineEmits<{ open: [] }>()
const build = useBuild()
const { run } = useAction()
const opinion = reactive({
  guide: '',
  saidOn: build.view!.today,
  verdict: 'buy' as (typeof opinionVerdicts)[number],
  note: '',
})
const note = () =>
  run(
    async () => {
      await call('POST /api/prices/opinions', {}, { ...opinion, partId: row.partId })
      Object.assign(opinion, { guide: '', note: '' })
    },
    { message: 'noted' },
  )
const drop = (id: string) =>
  run(() => call('DELETE /api/prices/opinions/:id', { id }), {
    message: 'opinion archived',
    undo: () => call('POST /api/prices/opinions/:id/restore', { id }),
  })
</script>

<template>
  <div class="flex flex-wrap items-start gap-x-6 gap-y-2 py-1">
    <button type="button" class="button !py-0.5" @click="emit('open')">Open its street price</button>
    <p v-for="each in row.opinions" :key="each.id">
      <b>{{ each.verdict }}</b> {{ each.guide }}
      <span class="text-soft">{{ shortDate(each.saidOn) }}{{ each.note ? `: ${each.note}` : '' }}</span>
      <button
        type="button"
        class="quiet-button text-xs"
        :aria-label="`archive the opinion of ${each.guide}`"
        @click="drop(each.id)"
      >
        ×
      </button>
    </p>
    <form class="flex flex-wrap gap-1.5" @submit.prevent="note">
      <input
        v-model="opinion.guide"
        class="field w-40"
        placeholder="which guide"
        aria-label="which guide"
      /><DateField v-model="opinion.saidOn" label="date" /><select
        v-model="opinion.verdict"
        class="field"
        aria-label="value stated"
      >
        <option v-for="each in opinionVerdicts" :key="each">{{ each }}</option></select
      ><input
        v-model="opinion.note"
        class="field w-44"
        placeholder="note"
        aria-label="note on the opinion"
      /><button type="submit" class="button" :disabled="opinion.guide.trim() === ''">Add</button>
    </form>
  </div>
</template>
