<script setup lang="ts">
import type { RecipeSettings } from '#shared/prices/queries'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** Settings of a query kept under a name, to be used on other parts. */
const { partId, active, isOwn } = defineProps<{ partId: string; active: boolean; isOwn: boolean }>()
const emit = defineEmits<{ recipe: [id: string]; reset: [] }>()
const { run } = useAction()
const asked = useCall('GET /api/prices/recipes', () => (active ? {} : null))
const recipes = computed(() => asked.data.value ?? [])
const name = ref('')
const keep = () =>
  run(
    async () => {
      await call('POST /api/prices/recipes', {}, { name: name.value, partId })
      name.value = ''
    },
    { message: 'query saved' },
  )
const archive = (id: string) =>
  run(() => call('DELETE /api/prices/recipes/:id', { id }), {
    message: 'saved query archived',
    undo: () => call('POST /api/prices/recipes/:id/restore', { id }),
  })
function told({ windowDays, conditions, mustNot }: RecipeSettings) {
  return `${windowDays} days, ${conditions.join(', ')}${mustNot.length > 0 ? `, without ${mustNot.join(', ')}` : ''}`
}
</script>

<template>
  <span v-if="recipes.length > 0" class="flex flex-wrap items-center gap-2"
    ><span class="text-soft">saved queries:</span
    ><span v-for="each in recipes" :key="each.id"
      ><button
        type="button"
        class="quiet-button"
        :title="told(each.settings)"
        @click="emit('recipe', each.id)"
      >
        {{ each.name }}
      </button>
      <button
        type="button"
        class="text-soft"
        :aria-label="`archive the saved query ${each.name}`"
        @click="archive(each.id)"
      >
        ×
      </button></span
    ></span
  >
  <form class="ml-auto flex gap-2" @submit.prevent="keep">
    <input
      v-model="name"
      class="field !min-h-0 w-40 !py-0.5"
      placeholder="name of the query"
      aria-label="name of the query"
    /><button type="submit" class="button !py-0.5" :disabled="name.trim() === ''">Save query</button>
  </form>
  <button v-if="isOwn" type="button" class="quiet-button" @click="emit('reset')">
    back to the part’s default query
  </button>
</template>
