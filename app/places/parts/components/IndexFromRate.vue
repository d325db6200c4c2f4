<script setup lang="ts">
import { partLabel, type Part, type PartFacts } from '#core/parts/part'
import { indexFromRate } from '#core/performance/model/indexFromRate'
import type { LibraryView } from '#shared/parts/views'

/** The index of a part by a frame rate somebody measured: the estimate turned round. */
const { part, library } = defineProps<{ part: Part; library: LibraryView }>()
const emit = defineEmits<{ solved: [facts: PartFacts] }>()
const resolutions = ['1280×720', '1920×1080', '2560×1440', '3840×2160'] as const
const fact = computed(() => (part.role === 'cpu' ? 'cpuIndex' : 'graphicsIndex'))
const other = computed(() => (part.role === 'cpu' ? 'graphicsIndex' : 'cpuIndex'))
const others = computed(() =>
  library.parts.filter(
    ({ role, facts }) =>
      role === (part.role === 'cpu' ? 'graphics' : 'cpu') && facts[other.value] !== undefined,
  ),
)
const besideId = ref('')
const gameId = ref('')
const resolution = ref<(typeof resolutions)[number]>('1920×1080')
const preset = ref('')
const rate = ref<number | null>(null)
const game = computed(() => library.workloads.find(({ id }) => id === gameId.value))
watch(game, (chosen) => {
  const presets = Object.keys(chosen?.presets ?? {})
  if (!presets.includes(preset.value)) preset.value = presets.includes('high') ? 'high' : (presets[0] ?? '')
})
const solved = computed(() => {
  const beside = others.value.find(({ id }) => id === besideId.value)
  if (!beside || !game.value || !rate.value || rate.value <= 0) return undefined
  const [width, height] = resolution.value.split('×').map(Number) as [number, number]
  const settings = { width, height, preset: preset.value }
  return indexFromRate(part, { workload: game.value, settings, averageFps: rate.value, beside })
})
const shown = (index: number) => index.toFixed(1)
const heldBack = computed(
  () => solved.value && solved.value.limit === (part.role === 'cpu' ? 'graphics' : 'cpu'),
)
const take = () =>
  emit('solved', { ...part.facts, [fact.value]: Math.round(solved.value!.index * 10) / 10 } as PartFacts)
</script>

<template>
  <details class="mt-2">
    <summary class="cursor-pointer text-soft">Index from a measured frame rate…</summary>
    <p v-if="others.length === 0 || library.workloads.length === 0" class="mt-1 text-waiting">
      This needs a game, and {{ part.role === 'cpu' ? 'a card' : 'a CPU' }} with a known index. Add games in
      Bench; add indexes by pasting a table of scores.
    </p>
    <div v-else class="mt-1 flex flex-wrap items-end gap-2">
      <label class="text-xs text-soft"
        >game<select v-model="gameId" class="field block" aria-label="game of the rate">
          <option value="" disabled>which?</option>
          <option v-for="each in library.workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
        </select></label
      ><label class="text-xs text-soft"
        >at<select v-model="resolution" class="field block" aria-label="resolution of the rate">
          <option v-for="each in resolutions" :key="each" :value="each">{{ each }}</option>
        </select></label
      ><label class="text-xs text-soft"
        >preset<select v-model="preset" class="field block min-w-24" aria-label="preset of the rate">
          <option v-for="each in Object.keys(game?.presets ?? {})" :key="each" :value="each">
            {{ each }}
          </option>
        </select></label
      ><label class="text-xs text-soft"
        >with<select v-model="besideId" class="field block max-w-56" aria-label="paired part">
          <option value="" disabled>which {{ part.role === 'cpu' ? 'card' : 'CPU' }}?</option>
          <option v-for="each in others" :key="each.id" :value="each.id">{{ partLabel(each) }}</option>
        </select></label
      ><label class="text-xs text-soft"
        >average fps<input
          v-model.number="rate"
          type="number"
          min="1"
          step="any"
          class="field figures block w-24"
          aria-label="average fps of the rate" /></label
      ><button type="button" class="button" :disabled="!solved" @click="take">
        {{ solved ? `Use ${shown(solved.index)}` : 'Use it' }}
      </button>
    </div>
    <p v-if="solved === null" class="mt-1 text-waiting">
      No index gives that rate: {{ part.role === 'cpu' ? 'the card' : 'the CPU' }} paired with it, or the
      game’s fps cap, is slower.
    </p>
    <p v-else-if="solved" class="mt-1 text-soft">
      <span class="figures">{{ shown(solved.low) }}</span> to
      <span class="figures">{{ solved.high === null ? 'no upper limit' : shown(solved.high) }}</span> if the
      rate is off by {{ (100 * solved.doubt).toFixed(0) }} %.
      <template v-if="heldBack"
        >{{ part.role === 'cpu' ? 'The card' : 'The CPU' }} is the bottleneck here, so this rate says little:
        use one at {{ part.role === 'cpu' ? 'a lower' : 'a higher' }} resolution.</template
      >
    </p>
  </details>
</template>
