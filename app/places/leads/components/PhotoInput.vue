<script setup lang="ts">
import { shrunkenJpeg } from '~/utils/shrunkenJpeg'
import { call } from '~/data/call'

/** A picture for a lead, of its listing or of what came; made small here, encoded again by the server. */
const { leadId, arrival = false } = defineProps<{ leadId: string; arrival?: boolean }>()
const emit = defineEmits<{ added: [] }>()
const { run, busy } = useAction()
async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  for (const file of files) {
    await run(
      async () => {
        const params = { id: leadId, ...(arrival ? { arrival: '1' } : {}) }
        await call('POST /api/leads/:id/photos', params, await shrunkenJpeg(file))
        emit('added')
      },
      { message: `${file.name} saved` },
    )
  }
}
</script>

<template>
  <label class="button cursor-pointer" :class="{ 'opacity-60': busy }"
    >{{ busy ? 'Saving…' : 'Add a picture…'
    }}<input type="file" accept="image/*" multiple class="sr-only" @change="take"
  /></label>
</template>
