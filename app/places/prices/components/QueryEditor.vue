<script setup lang="ts">
import { conditions, manners } from '#core/reading/sales/soldRecord'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import { querySchema } from '#shared/prices/schemas'
import type { PriceView } from '#shared/prices/views'
import type { RecipeSettings } from '#shared/prices/queries'
import { amount, shortDate } from '~/utils/show'
import { request } from '~/utils/request'

/** The price query of a part. While it is written a worker says at once which records come and go; a button puts it in force. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{ save: [query: PartQuery]; reset: []; recipe: [id: string] }>()
const { run } = useAction()
const open = ref(false)
const draft = ref<PartQuery>(view.query)
const text = reactive({ must: '', mustNot: '', makes: '', siblings: '' })
const trying = useTriedQuery(() => view)
const recipes = ref<{ id: string; name: string; settings: RecipeSettings }[]>([])
const recipeName = ref('')

/** What is being written outlives a reload, until it is used or given up. */
const kept = computed(() => `tarvin-query-${view.partId}`)
function giveUp() {
  localStorage.removeItem(kept.value)
  takeOver()
}
function takeOver() {
  draft.value = view.query
  Object.assign(text, {
    must: view.query.must.join(', '),
    mustNot: view.query.mustNot.join(', '),
    makes: (view.query.makes ?? []).join(', '),
    siblings: (view.query.variant?.siblings ?? []).join(', '),
  })
  trying.clear()
  const stored = localStorage.getItem(kept.value)
  if (stored === null) return
  const written = JSON.parse(stored) as { draft: PartQuery; text: typeof text }
  draft.value = written.draft
  Object.assign(text, written.text)
  open.value = true
  void nextTick(() => trying.ask(edited.value))
}
watch(() => view, takeOver, { immediate: true })
watch(open, (isOpen) => isOpen && run(loadRecipes))
async function loadRecipes() {
  recipes.value = await request('/api/prices/recipes')
}

const words = (list: string) =>
  list
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '')
const variantOf = (change: Partial<NonNullable<PartQuery['variant']>>) => ({
  ...draft.value.variant,
  ...change,
})
const edited = computed<PartQuery>(() => {
  const siblings = words(text.siblings)
  const makes = words(text.makes)
  const { makes: _makes, variant, ...rest } = draft.value
  const { siblings: _siblings, ...facts } = variant ?? {}
  return {
    ...rest,
    must: words(text.must),
    mustNot: words(text.mustNot),
    ...(makes.length > 0 ? { makes } : {}),
    variant: { ...facts, ...(siblings.length > 0 ? { siblings } : {}) },
  }
})
const isChanged = computed(() => JSON.stringify(sorted(edited.value)) !== JSON.stringify(sorted(view.query)))
const sorted = (query: PartQuery) =>
  Object.entries({
    ...query,
    makes: query.makes ?? [],
    variant: Object.entries(query.variant ?? {})
      .filter(([, value]) => value !== undefined && !(Array.isArray(value) && value.length === 0))
      .sort(),
  }).sort()
const problem = computed(() => {
  try {
    querySchema.validateSync(edited.value)
    return ''
  } catch (error) {
    return (error as Error).message
  }
})
watch(
  edited,
  (query) => {
    if (isChanged.value) localStorage.setItem(kept.value, JSON.stringify({ draft: draft.value, text }))
    else localStorage.removeItem(kept.value)
    if (isChanged.value && problem.value === '') void trying.ask(query)
    else trying.clear()
  },
  { deep: true },
)

function use() {
  localStorage.removeItem(kept.value)
  emit('save', edited.value)
}

function set(change: Partial<PartQuery>) {
  draft.value = { ...draft.value, ...change }
}
const toggled = <T extends string>(list: readonly T[], value: T) =>
  list.includes(value) ? list.filter((each) => each !== value) : [...list, value]
const number = (event: Event) => {
  const value = Number((event.target as HTMLInputElement).value)
  return Number.isFinite(value) && value > 0 ? value : undefined
}
const variant = computed(() => {
  const { capacityGb, kitCount, memoryGeneration, module, siblings = [] } = view.query.variant ?? {}
  const sisters =
    siblings.length > 3
      ? `not ${siblings.slice(0, 2).join(', not ')} and ${siblings.length - 2} other models`
      : siblings.map((each) => `not ${each}`).join(', ')
  return [
    capacityGb ? `${capacityGb} GB` : '',
    kitCount ? `kit of ${kitCount}` : '',
    memoryGeneration ?? '',
    module ?? '',
    sisters,
  ]
    .filter((part) => part !== '')
    .join(' · ')
})
async function keepRecipe() {
  await run(
    async () => {
      await request('/api/prices/recipes', {
        method: 'POST',
        body: { name: recipeName.value, partId: view.partId },
      })
      recipeName.value = ''
      await loadRecipes()
    },
    { message: 'kept as a recipe' },
  )
}
async function dropRecipe(id: string) {
  await run(
    async () => {
      await request(`/api/prices/recipes/${id}`, { method: 'DELETE' })
      await loadRecipes()
    },
    {
      message: 'recipe archive',
      undo: async () => {
        await request(`/api/prices/recipes/${id}/restore`, { method: 'POST' })
        await loadRecipes()
      },
    },
  )
}
</script>

<template>
  <details
    class="@container shrink-0 text-[13px]"
    :open="open"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary class="truncate text-soft">
      query: <span class="text-ink">{{ view.query.must.join(' ') }}</span><template v-if="variant">
        · {{ variant }}</template
      >
      · {{ view.query.windowDays }} days · half-life {{ view.query.halfLifeDays
      }}<span v-if="view.queryIsOwn" class="tag tag-info ml-2">yours</span>
    </summary>
    <div
      class="sheet mt-2 grid grid-cols-[max-content_minmax(0,1fr)] items-center gap-x-3 gap-y-1.5 p-3 @3xl:grid-cols-[max-content_minmax(0,1fr)_max-content_minmax(0,1fr)]"
    >
      <label for="query-must">words wanted</label
      ><input id="query-must" v-model="text.must" class="field" placeholder="divided by commas" />
      <label for="query-not">words unwanted</label
      ><input id="query-not" v-model="text.mustNot" class="field" placeholder="divided by commas" />
      <label for="query-siblings">not the models</label
      ><input id="query-siblings" v-model="text.siblings" class="field" />
      <label for="query-makes">known makes only</label
      ><input id="query-makes" v-model="text.makes" class="field" placeholder="any make" />
      <span>facts</span>
      <span class="flex items-center gap-2">
        <input
          class="field figures w-16"
          type="number"
          min="0"
          step="any"
          :value="draft.variant?.capacityGb ?? ''"
          aria-label="capacity in GB"
          placeholder="GB"
          @input="set({ variant: variantOf({ capacityGb: number($event) }) })"
        />GB
        <input
          class="field figures w-12"
          type="number"
          min="0"
          :value="draft.variant?.kitCount ?? ''"
          aria-label="modules in the kit"
          placeholder="kit"
          @input="set({ variant: variantOf({ kitCount: number($event) }) })"
        />kit
        <input
          class="field w-16"
          :value="draft.variant?.memoryGeneration ?? ''"
          aria-label="memory generation"
          placeholder="DDR…"
          @input="
            set({
              variant: variantOf({
                memoryGeneration: ($event.target as HTMLInputElement).value.trim() || undefined,
              }),
            })
          "
        />
        <select
          class="field w-28 min-w-0"
          :value="draft.variant?.module ?? ''"
          aria-label="kind of module"
          @change="
            set({
              variant: variantOf({
                module: (($event.target as HTMLSelectElement).value || undefined) as
                  'desktop' | 'laptop' | undefined,
              }),
            })
          "
        >
          <option value="">any module</option>
          <option>desktop</option>
          <option>laptop</option>
        </select>
      </span>
      <span>window, half-life</span>
      <span class="flex items-center gap-2"
        ><input
          class="field figures w-16"
          type="number"
          min="1"
          :value="draft.windowDays"
          aria-label="window, days"
          @input="set({ windowDays: number($event) ?? 0 })"
        />days<input
          class="field figures w-16"
          type="number"
          min="1"
          :value="draft.halfLifeDays"
          aria-label="half-life, days"
          @input="set({ halfLifeDays: number($event) ?? 0 })"
        />days</span
      >
      <span>conditions</span
      ><span class="flex flex-wrap gap-x-3"
        ><label v-for="each in conditions" :key="each" class="flex gap-1"
          ><input
            type="checkbox"
            :checked="draft.conditions.includes(each)"
            @change="set({ conditions: toggled(draft.conditions, each) })"
          />{{ each === 'damaged' ? 'damaged or untested' : each }}</label
        ></span
      >
      <span>manners</span
      ><span class="flex flex-wrap gap-x-3"
        ><label v-for="each in manners" :key="each" class="flex gap-1"
          ><input
            type="checkbox"
            :checked="draft.manners.includes(each)"
            @change="set({ manners: toggled(draft.manners, each) })"
          />{{ each }}</label
        ><label
          class="flex gap-1"
          title="a wanted word of five letters or more counts with one letter swapped, missing or doubled"
          ><input
            type="checkbox"
            :checked="draft.forgiveSlips ?? false"
            @change="set({ forgiveSlips: !draft.forgiveSlips })"
          />forgive a misspelling</label
        ></span
      >

      <div
        class="col-span-full flex flex-wrap items-start gap-x-4 gap-y-1 border-t border-line pt-2"
        aria-live="polite"
      >
        <template v-if="problem"
          ><p class="text-stop" role="alert">{{ problem }}</p></template
        >
        <template v-else-if="isChanged">
          <p v-if="trying.progress.value !== null">
            trying it out, {{ Math.round(trying.progress.value * 100) }} %
            <button type="button" class="quiet-button" @click="trying.cancel()">cancel</button>
          </p>
          <p v-else-if="trying.failed.value" class="text-stop">{{ trying.failed.value }}</p>
          <p v-else-if="trying.tried.value" data-tried>
            <b class="text-settled">{{ trying.tried.value.came.length }} come</b>,
            <b class="text-stop">{{ trying.tried.value.went.length }} go</b>: typical
            <span class="figures"
              >{{ amount(view.marks?.typical, view.currency) }} →
              {{ amount(trying.tried.value.reading.marks?.typical, view.currency) }}</span
            >, {{ trying.tried.value.reading.grade }}
          </p>
          <button type="button" class="button button-main ml-auto !py-0.5" @click="use">
            Use this query
          </button>
          <button type="button" class="button !py-0.5" @click="giveUp">Never mind</button>
          <ul
            v-if="trying.tried.value"
            class="grid max-h-28 w-full grid-cols-2 gap-x-4 overflow-y-auto text-xs"
          >
            <li
              v-for="record in trying.tried.value.came.slice(0, 40)"
              :key="`c${record.id}`"
              class="truncate text-settled"
            >
              + {{ shortDate(record.soldOn) }} {{ record.title }}
            </li>
            <li
              v-for="record in trying.tried.value.went.slice(0, 40)"
              :key="`w${record.id}`"
              class="truncate text-stop"
            >
              − {{ shortDate(record.soldOn) }} {{ record.title }}
            </li>
          </ul>
        </template>
        <template v-else>
          <span v-if="recipes.length > 0" class="flex flex-wrap items-center gap-2"
            ><span class="text-soft">recipes:</span
            ><span v-for="each in recipes" :key="each.id"
              ><button
                type="button"
                class="quiet-button"
                :title="`${each.settings.windowDays} days, ${each.settings.conditions.join(', ')}${each.settings.mustNot.length > 0 ? `, without ${each.settings.mustNot.join(', ')}` : ''}`"
                @click="emit('recipe', each.id)"
              >
                {{ each.name }}
              </button>
              <button
                type="button"
                class="text-soft"
                :aria-label="`archive the recipe ${each.name}`"
                @click="dropRecipe(each.id)"
              >
                ×
              </button></span
            ></span
          >
          <form class="ml-auto flex gap-2" @submit.prevent="keepRecipe">
            <input
              v-model="recipeName"
              class="field !min-h-0 w-40 !py-0.5"
              placeholder="name of a recipe"
              aria-label="name of a recipe"
            /><button type="submit" class="button !py-0.5" :disabled="recipeName.trim() === ''">
              Keep as a recipe
            </button>
          </form>
          <button v-if="view.queryIsOwn" type="button" class="quiet-button" @click="emit('reset')">
            back to the part’s own
          </button>
        </template>
      </div>
    </div>
  </details>
</template>
