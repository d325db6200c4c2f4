<script setup lang="ts">
import { ValidationError } from 'yup'
import { partLabel } from '#core/parts/part'
import { scaledPresets } from '#core/performance/model/scaledPresets'
import { typicalGames } from '#core/performance/model/typicalGames'
import type { Workload } from '#core/performance/model/workload'
import { gameSchema } from '#shared/work/schemas'
import type { LibraryView } from '#shared/parts/views'
import { slug } from '#shared/text/slug'
import { call } from '~/data/call'
import { read } from '~/data/read'
import { stateTag } from '#shared/text/stateTag'

/** One game: after a typical kind or another game, with one known rate. `game` is the one that is changed, null a new one. */
const { library, like, game } = defineProps<{ library: LibraryView; like: string; game: Workload | null }>()
const emit = defineEmits<{ close: [] }>()
const { run, busy } = useAction()
const cpus = computed(() => library.parts.filter(({ role, facts }) => role === 'cpu' && facts.cpuIndex))
const cards = computed(() =>
  library.parts.filter(({ role, facts }) => ['graphics', 'cpu'].includes(role) && facts.graphicsIndex),
)
const resolutions = [
  [1280, 720],
  [1920, 1080],
  [2560, 1440],
  [3840, 2160],
] as const
const problem = ref('')
/** Tag of the game as it was when its form was opened: another tab's change is told, not overwritten. */
let tag: string | undefined
onMounted(
  () => game && run(async () => (tag = stateTag(await read('GET /api/work/games/:id', { id: game.id })))),
)
const draft = reactive({
  name: game?.name ?? '',
  like,
  threadsWanted: typicalGames[0]!.threadsWanted as number,
  videoMemoryGb: 3 as number,
  frameCap: game?.frameCap ?? null,
  cpuId: cpus.value[0]?.id ?? '',
  graphicsId: cards.value[0]?.id ?? '',
  resolution: 1,
  preset: 'high',
  averageFps: null as number | null,
})
const shapes = computed(() => [
  ...typicalGames.map((each) => ({ key: each.kind, label: `${each.kind}: ${each.saying}`, shape: each })),
  ...library.workloads.map((each) => ({ key: `id:${each.id}`, label: `as ${each.name}`, shape: each })),
])
const shape = computed(() => shapes.value.find(({ key }) => key === draft.like)!.shape)
const presets = computed(() => Object.keys(shape.value.presets))
const reference = computed(() => ('high' in shape.value.presets ? 'high' : presets.value[0]!))
watch(
  () => draft.like,
  () => {
    draft.threadsWanted = shape.value.threadsWanted
    draft.videoMemoryGb = shape.value.presets[reference.value]!.videoMemoryGb
    draft.preset = reference.value
  },
)
async function save() {
  problem.value = ''
  const { graphicsMs, cpuMs, pixelExponent, lowShare, upscaling, frameGenerationFactor, priorSpread, kind } =
    shape.value
  const [width, height] = resolutions[draft.resolution]!
  const { cpuId, graphicsId, preset } = draft
  // an emptied field of numbers holds an empty text
  const averageFps = draft.averageFps || null
  if (game === null && averageFps === null) {
    problem.value = 'Enter one measured frame rate; without it nothing can be estimated.'
    return
  }
  const body = {
    id: game?.id ?? slug(draft.name),
    name: draft.name,
    kind,
    graphicsMs,
    cpuMs,
    pixelExponent,
    threadsWanted: draft.threadsWanted,
    lowShare,
    presets: scaledPresets(shape.value.presets, reference.value, draft.videoMemoryGb),
    upscaling,
    frameGenerationFactor,
    priorSpread,
    frameCap: draft.frameCap || null,
    systemMemoryGb: (shape.value as Partial<Workload>).systemMemoryGb ?? null,
    known: averageFps === null ? null : { cpuId, graphicsId, width, height, preset, averageFps },
  }
  try {
    gameSchema.validateSync(body)
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    problem.value = error.message
    return
  }
  const done = await run(() => call('PUT /api/work/games', {}, body, { was: game === null ? 'new' : tag }), {
    message: `${draft.name} saved`,
  })
  if (done) emit('close')
}
</script>

<template>
  <form class="sheet mt-2 p-3" aria-label="game" @submit.prevent="save">
    <div class="flex flex-wrap items-end gap-3">
      <label class="text-xs text-soft"
        >name<input v-model="draft.name" class="field block w-48" aria-label="name of the game" /></label
      ><label class="text-xs text-soft"
        >kind<select
          v-model="draft.like"
          class="field block"
          aria-label="kind of game"
          :disabled="game !== null"
        >
          <option v-for="each in shapes" :key="each.key" :value="each.key">{{ each.label }}</option>
        </select></label
      ><label class="text-xs text-soft"
        >threads used<input
          v-model.number="draft.threadsWanted"
          type="number"
          min="1"
          class="field figures block w-20" /></label
      ><label class="text-xs text-soft"
        >video memory at {{ reference }}, GB<input
          v-model.number="draft.videoMemoryGb"
          type="number"
          min="0"
          step="0.1"
          class="field figures block w-24" /></label
      ><label class="text-xs text-soft"
        >engine fps cap<input
          v-model.number="draft.frameCap"
          type="number"
          min="1"
          placeholder="none"
          class="field figures block w-24"
      /></label>
    </div>
    <p class="mt-3 text-soft">
      {{
        game === null
          ? 'One known frame rate, from a review or your own PC:'
          : 'A known frame rate, if the estimates are off overall (optional):'
      }}
    </p>
    <p v-if="cpus.length === 0 || cards.length === 0" class="text-waiting">
      No CPU or card has a performance index yet: paste a table of scores, or enter an index on the part.
    </p>
    <div v-else class="mt-1 flex flex-wrap items-center gap-2">
      <select v-model="draft.cpuId" class="field max-w-56" aria-label="CPU of the known rate">
        <option v-for="each in cpus" :key="each.id" :value="each.id">{{ partLabel(each) }}</option>
      </select>
      with
      <select v-model="draft.graphicsId" class="field max-w-56" aria-label="card of the known rate">
        <option v-for="each in cards" :key="each.id" :value="each.id">{{ partLabel(each) }}</option>
      </select>
      at
      <select v-model.number="draft.resolution" class="field" aria-label="resolution of the known rate">
        <option v-for="([width, height], at) in resolutions" :key="at" :value="at">
          {{ width }} × {{ height }}
        </option>
      </select>
      <select v-model="draft.preset" class="field" aria-label="preset of the known rate">
        <option v-for="each in presets" :key="each" :value="each">{{ each }}</option>
      </select>
      ran at
      <input
        v-model.number="draft.averageFps"
        type="number"
        min="1"
        step="any"
        class="field figures w-20"
        aria-label="known frame rate"
      />
      fps
    </div>
    <p v-if="problem" class="mt-2 text-stop" role="alert">{{ problem }}</p>
    <div class="mt-3 flex gap-2">
      <button type="submit" class="button button-main" :disabled="busy">Save game</button
      ><button type="button" class="button" @click="emit('close')">Cancel</button>
    </div>
  </form>
</template>
