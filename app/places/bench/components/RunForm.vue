<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { toast } from 'vue-sonner'
import { ValidationError } from 'yup'
import { partLabel } from '#core/parts/part'
import { lowsCauses, runKinds } from '#core/performance/runs/run'
import { noises } from '#core/performance/runs/livingWithIt'
import { feelings } from '#core/performance/model/throughput'
import { runSchema } from '#shared/bench/schemas'
import type { BuildView } from '#shared/builds/views'
import type { LibraryView } from '#shared/parts/views'
import { problemsByPath } from '~/utils/problems'
import { request, RequestError } from '~/utils/request'
import { blankRun, type RunDraft } from '../state/runDraft'

/** A measured result by form, or what a log says of it filled in. What is typed is kept until it is saved. */
const {
  view,
  library,
  fromLog = null,
} = defineProps<{
  view: BuildView
  library: LibraryView
  fromLog?: { name: string; figures: Partial<RunDraft>; times(): Promise<Float32Array> } | null
}>()
const emit = defineEmits<{ close: []; saved: [] }>()
const key = `tarvin-run-${view.id}`
const stored = fromLog ? null : localStorage.getItem(key)
const draft = reactive<RunDraft>({
  ...blankRun(view),
  ...(stored ? (JSON.parse(stored) as RunDraft) : {}),
  ...(fromLog ? { ...fromLog.figures, kind: 'own-log' as const, note: fromLog.name } : {}),
})
watch(draft, () => !fromLog && localStorage.setItem(key, JSON.stringify(draft)), { deep: true })
const problems = ref<Record<string, string>>({})
const failure = ref('')
const busy = ref(false)
const workload = computed(() => view.workloads.find((each) => each.id === draft.workloadId))
const ofRole = (role: string) => library.parts.filter((part) => part.role === role)
const cards = computed(() => library.parts.filter((part) => part.facts.graphicsIndex !== undefined))
const sizes = ['1280x720', '1600x900', '1920x1080', '2560x1440', '3440x1440', '3840x2160']
const size = computed({
  get: () => `${draft.width}x${draft.height}`,
  set: (value) => ([draft.width, draft.height] = value.split('x').map(Number) as [number, number]),
})
const isConsole = computed(() => draft.kind === 'console-mode')
const orNull = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Number(value)
}
const rates = [
  ['lowFps', '1 % low'],
  ['minFps', 'fewest'],
  ['maxFps', 'most'],
] as const
const meters = [
  ['cpuUse', 'CPU in use, %'],
  ['cardUse', 'card in use, %'],
  ['videoMemoryGb', 'video memory, GB'],
  ['cpuC', 'CPU, °C'],
  ['cardC', 'card, °C'],
  ['wallW', 'at the wall, W'],
] as const
async function save() {
  problems.value = {}
  failure.value = ''
  busy.value = true
  try {
    const repeats = draft.repeats ?? []
    const body = runSchema.validateSync(
      {
        ...toRaw(draft),
        ...(isConsole.value ? { cpuId: null, graphicsId: null } : {}),
        ...(repeats.length > 0 && draft.averageFps === undefined
          ? { averageFps: repeats[0]!.averageFps }
          : {}),
      },
      { abortEarly: false },
    )
    const { id } = await request<{ id: string }>('/api/bench/runs', { method: 'POST', body })
    localStorage.removeItem(key)
    if (fromLog) {
      const times = await fromLog.times()
      const kept = await fetch(`/api/bench/runs/${id}/log?name=${encodeURIComponent(fromLog.name)}`, {
        method: 'PUT',
        body: times.buffer as ArrayBuffer,
      })
      if (!kept.ok) toast.error('The run is saved; its frame times could not be kept beside it.')
    }
    emit('saved')
  } catch (error) {
    if (error instanceof ValidationError) problems.value = problemsByPath(error)
    else if (error instanceof RequestError) failure.value = error.message
    else throw error
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Dialog open class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel
      class="fixed inset-x-0 top-10 mx-auto flex max-h-[90vh] w-[860px] max-w-[96vw] flex-col border border-ink bg-sheet"
    >
      <DialogTitle as="h2" class="border-b border-line px-5 py-3 !text-[15px]">{{
        fromLog ? `A run from ${fromLog.name}` : 'A run'
      }}</DialogTitle>
      <form novalidate class="min-h-0 flex-1 overflow-y-auto px-5 py-4" @submit.prevent="save">
        <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
          <FormField label="workload" class="flex flex-col" :problem="problems.workloadId"
            ><select v-model="draft.workloadId" class="field" aria-label="workload of the run">
              <option v-for="each in view.workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
            </select></FormField
          >
          <FormField label="scene" class="flex flex-col" :problem="problems.scene"
            ><input v-model="draft.scene" class="field w-32" placeholder="the usual one" aria-label="scene"
          /></FormField>
          <FormField label="resolution" class="flex flex-col"
            ><select v-model="size" class="field" aria-label="resolution of the run">
              <option v-for="each in sizes" :key="each">{{ each }}</option>
            </select></FormField
          >
          <FormField label="preset" class="flex flex-col" :problem="problems.preset"
            ><select v-model="draft.preset" class="field" aria-label="preset of the run">
              <option v-for="name in Object.keys(workload?.presets ?? {})" :key="name">{{ name }}</option>
            </select></FormField
          >
          <FormField label="upscaling" class="flex flex-col"
            ><select v-model="draft.upscaling" class="field" aria-label="upscaling of the run">
              <option :value="null">off</option>
              <option v-for="name in Object.keys(workload?.upscaling ?? {})" :key="name" :value="name">
                {{ name }}
              </option>
            </select></FormField
          >
          <label class="pb-1.5"
            ><input v-model="draft.frameGeneration" type="checkbox" /> frame generation</label
          >
        </div>
        <div class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
          <FormField v-if="!isConsole" label="CPU" class="flex flex-col" :problem="problems.cpuId"
            ><select v-model="draft.cpuId" class="field w-56" aria-label="CPU of the run">
              <option v-for="part in ofRole('cpu')" :key="part.id" :value="part.id">
                {{ partLabel(part) }}
              </option>
            </select></FormField
          >
          <FormField
            v-if="!isConsole"
            label="graphics card"
            class="flex flex-col"
            :problem="problems.graphicsId"
            ><select v-model="draft.graphicsId" class="field w-56" aria-label="card of the run">
              <option v-for="part in cards" :key="part.id" :value="part.id">{{ partLabel(part) }}</option>
            </select></FormField
          >
          <FormField v-if="!isConsole" label="memory channels" class="flex flex-col"
            ><input
              v-model.number="draft.memoryChannels"
              type="number"
              min="1"
              max="8"
              class="field figures w-20"
              aria-label="memory channels of the run"
          /></FormField>
          <FormField label="kind" class="flex flex-col"
            ><select v-model="draft.kind" class="field" aria-label="kind of run">
              <option v-for="(kind, id) in runKinds" :key="id" :value="id">{{ kind.name }}</option>
            </select></FormField
          >
          <FormField
            v-if="draft.kind === 'published' || draft.kind === 'console-mode'"
            :label="isConsole ? 'which console' : 'where, by whom'"
            class="flex flex-col"
            ><input v-model="draft.origin" class="field w-48" aria-label="where it was published"
          /></FormField>
          <FormField label="on" class="flex flex-col" :problem="problems.ranOn"
            ><DateField v-model="draft.ranOn" label="day of the run"
          /></FormField>
        </div>
        <div class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
          <FormField
            label="average, fps"
            class="flex flex-col"
            :problem="draft.repeats!.length > 0 ? undefined : problems.averageFps"
            ><input
              v-model.number="draft.averageFps"
              type="number"
              step="any"
              class="field figures w-24"
              :disabled="draft.repeats!.length > 0"
              :placeholder="draft.repeats!.length > 0 ? 'median' : ''"
              aria-label="average of the run"
          /></FormField>
          <FormField
            v-for="[name, label] in rates"
            :key="name"
            :label="label"
            class="flex flex-col"
            :problem="problems[name]"
            ><input
              :value="draft[name]"
              type="number"
              step="any"
              class="field figures w-20"
              :disabled="name === 'lowFps' && draft.repeats!.length > 0"
              :aria-label="`${label} of the run`"
              @input="draft[name] = orNull($event)"
          /></FormField>
          <button
            type="button"
            class="button"
            @click="
              draft.repeats!.push({ averageFps: undefined as unknown as number, lowFps: null, discarded: '' })
            "
          >
            Add a repeat
          </button>
          <span v-if="draft.repeats!.length > 0" class="pb-1.5 text-soft"
            >the median of the repeats stands</span
          >
        </div>
        <div v-for="(repeat, index) in draft.repeats" :key="index" class="mt-1 flex items-center gap-2">
          <span class="w-20 text-soft">repeat {{ index + 1 }}</span>
          <input
            v-model.number="repeat.averageFps"
            type="number"
            step="any"
            class="field figures w-24"
            :aria-label="`average of repeat ${index + 1}`"
          /><input
            :value="repeat.lowFps"
            type="number"
            step="any"
            class="field figures w-20"
            placeholder="low"
            :aria-label="`low of repeat ${index + 1}`"
            @input="repeat.lowFps = orNull($event)"
          /><input
            v-model="repeat.discarded"
            class="field flex-1"
            placeholder="discarded because… (empty: it counts)"
            :aria-label="`why repeat ${index + 1} does not count`"
          /><button type="button" class="quiet-button" @click="draft.repeats!.splice(index, 1)">
            remove
          </button>
          <span v-if="problems[`repeats[${index}].averageFps`]" class="text-xs text-stop">{{
            problems[`repeats[${index}].averageFps`]
          }}</span>
        </div>
        <details class="mt-4" :open="fromLog !== null">
          <summary class="font-semibold">
            Conditions and readings
            <span class="font-normal text-soft">runs under unlike conditions are never averaged</span>
          </summary>
          <div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2">
            <FormField label="other work in the background" class="flex flex-col"
              ><input
                v-model="draft.conditions.background"
                class="field w-44"
                placeholder="none"
                aria-label="other work in the background"
            /></FormField>
            <FormField label="room, °C" class="flex flex-col"
              ><input
                :value="draft.conditions.ambientC"
                type="number"
                class="field figures w-20"
                aria-label="room temperature"
                @input="draft.conditions.ambientC = orNull($event)"
            /></FormField>
            <FormField label="side panel" class="flex flex-col"
              ><select v-model="draft.conditions.sidePanel" class="field" aria-label="side panel">
                <option :value="null">not noted</option>
                <option>on</option>
                <option>off</option>
              </select></FormField
            >
            <FormField label="game version" class="flex flex-col"
              ><input v-model="draft.conditions.gameVersion" class="field w-24" aria-label="game version"
            /></FormField>
            <FormField label="driver" class="flex flex-col"
              ><input v-model="draft.conditions.driverVersion" class="field w-24" aria-label="driver version"
            /></FormField>
            <FormField
              v-for="[name, label] in meters"
              :key="name"
              :label="label"
              class="flex flex-col"
              :problem="problems[`readings.${name}`]"
              ><input
                :value="draft.readings[name]"
                type="number"
                step="any"
                class="field figures w-24"
                :aria-label="label"
                @input="draft.readings[name] = orNull($event)"
            /></FormField>
            <FormField label="bad lows come from" class="flex flex-col"
              ><select v-model="draft.lowsCause" class="field" aria-label="cause of bad lows">
                <option :value="null">no bad lows</option>
                <option v-for="cause in lowsCauses" :key="cause" :value="cause">
                  {{ cause.replace('-', ' ') }}
                </option>
              </select></FormField
            >
            <FormField label="noise by ear" class="flex flex-col"
              ><select v-model="draft.noise" class="field" aria-label="noise by ear">
                <option :value="null">not noted</option>
                <option v-for="each in noises" :key="each">{{ each }}</option>
              </select></FormField
            >
            <FormField label="it felt" class="flex flex-col"
              ><select v-model="draft.feeling" class="field" aria-label="how it felt">
                <option :value="null">not noted</option>
                <option v-for="each in feelings" :key="each">{{ each }}</option>
              </select></FormField
            >
          </div>
        </details>
        <FormField label="note" class="mt-3 flex flex-col"
          ><input v-model="draft.note" class="field" aria-label="note on the run"
        /></FormField>
        <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
        <div class="mt-4 flex gap-3">
          <button type="submit" class="button button-main" :disabled="busy">Save the run</button
          ><button type="button" class="button" @click="emit('close')">Never mind</button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>
