<script setup lang="ts">
import type { RecipeSettings } from '#shared/prices/queries'
import { request } from '~/utils/request'

/** Settings of a query kept under a name, to be used on other parts. */
const { partId, active, isOwn } = defineProps<{ partId: string; active: boolean; isOwn: boolean }>()
const emit = defineEmits<{ recipe: [id: string]; reset: [] }>()
const { run } = useAction()
const recipes = ref<{ id: string; name: string; settings: RecipeSettings }[]>([])
const name = ref('')
const load = async () => (recipes.value = await request('/api/prices/recipes'))
watch(
  () => active,
  (isActive) => isActive && run(load),
  { immediate: true },
)
const keep = () =>
  run(
    async () => {
      await request('/api/prices/recipes', { method: 'POST', body: { name: name.value, partId } })
      name.value = ''
      await load()
    },
    { message: 'query saved' },
  )
const change = async (path: string, method: 'DELETE' | 'POST') => {
  await request(`/api/prices/recipes/${path}`, { method })
  await load()
}
const archive = (id: string) =>
  run(() => change(id, 'DELETE'), {
    message: 'saved query archived',
    undo: () => change(`${id}/restore`, 'POST'),
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
