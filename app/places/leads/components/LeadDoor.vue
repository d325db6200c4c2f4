<script setup lang="ts">
import type { DoorAnswered, LeadView } from '#shared/leads/views'
import { call } from '~/data/call'

/** The page to take along to the door, and what comes back from it. */
const { lead } = defineProps<{ lead: LeadView }>()
const build = useBuild()
const { run, busy } = useAction()
const note = ref('')
const answered = ref<DoorAnswered | null>(null)
async function takeBack() {
  const { leadId, before, offerId } = answered.value!
  await call('PATCH /api/leads/:id', { id: leadId }, { answers: before })
  if (offerId !== null) await call('DELETE /api/leads/offers/:id', { id: offerId })
}
const open = () =>
  run(
    async () => {
      answered.value = await call('POST /api/leads/door', {}, { text: note.value })
      note.value = ''
    },
    { message: 'notes from the visit saved', undo: takeBack },
  )
</script>

<template>
  <section class="sheet p-3" aria-label="on-site check">
    <h2>On-site check</h2>
    <p class="text-soft">
      One page for your phone that works offline: what to check, what to ask, and the most to pay for each
      answer.
    </p>
    <p class="mt-1">
      <a class="button" :href="`/api/builds/${build.view!.id}/leads/${lead.id}/door`" download
        >Open on-site page</a
      >
    </p>
    <form class="mt-2 flex items-start gap-2" @submit.prevent="open">
      <textarea
        v-model="note"
        rows="2"
        class="field figures min-w-0 flex-1 text-xs"
        aria-label="note from the on-site page"
        placeholder="paste the note from the on-site page here"
      /><button type="submit" class="button" :disabled="busy || note.trim() === ''">Save note</button>
    </form>
  </section>
</template>
