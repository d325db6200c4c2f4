<script setup lang="ts">
import { toast } from 'vue-sonner'
import { partLabel } from '#core/parts/part'
import { runKinds } from '#core/performance/runs/run'
import { runSchema, type RunInput } from '#shared/bench/schemas'
import type { BuildView } from '#shared/builds/views'
import type { LibraryView } from '#shared/parts/views'
import { sizeFrom, sizeOptions, sizeText } from '~/utils/screenSizes'
import { call } from '~/data/call'
import { blankRun } from '../state/runDraft'

/** A measured result by form, or what a log says of it filled in. */
const {
  view,
  library,
  fromLog = null,
} = defineProps<{
  view: BuildView
  library: LibraryView
  fromLog?: { name: string; figures: Partial<RunInput>; times(): Promise<Float32Array> } | null
}>()
const emit = defineEmits<{ close: []; saved: [] }>()
const blank = blankRun(view)
const form = useDraftForm<RunInput>({
  key: fromLog ? null : `tarvin-run-${view.id}`,
  schema: runSchema as never,
  initial: fromLog ? mergedDraft(blank, { ...fromLog.figures, kind: 'own-log', note: fromLog.name }) : blank,
  async save(body) {
    const { id } = await call('POST /api/bench/runs', {}, body)
    if (fromLog) await keepLog(id)
    emit('saved')
  },
})
const { values } = form
async function keepLog(runId: string) {
  const times = await fromLog!.times()
  const log = new Blob([times.buffer as ArrayBuffer], { type: 'application/octet-stream' })
  await call('PUT /api/bench/runs/:id/log', { id: runId, name: fromLog!.name }, log).catch(() =>
    toast.error('The run is saved, but its frame times could not be stored with it. Drop the log again.'),
  )
}

const workload = computed(() => view.workloads.find((each) => each.id === values.workloadId))
const workloads = view.workloads.map(({ id, name }) => [id, name] as const)
const cpus = library.parts
  .filter((part) => part.role === 'cpu')
  .map((part) => [part.id, partLabel(part)] as const)
const cards = library.parts
  .filter((part) => part.facts.graphicsIndex !== undefined)
  .map((part) => [part.id, partLabel(part)] as const)
const kinds = Object.fromEntries(Object.entries(runKinds).map(([id, kind]) => [id, kind.name]))
const isConsole = computed(() => values.kind === 'console-mode')
const hasRepeats = computed(() => (values.repeats ?? []).length > 0)

/** A console's mode names no parts; where there are repeats their median stands, and the schema only asks for a figure. */
async function submit() {
  if (isConsole.value) form.assign({ cpuId: null, graphicsId: null })
  if (hasRepeats.value) form.assign({ averageFps: values.repeats![0]!.averageFps })
  await form.submit()
}
</script>

<template>
  <FormSheet
    :title="fromLog ? `New run from ${fromLog.name}` : 'New run'"
    action="Save run"
    :form="form"
    @submit="submit"
    @close="emit('close')"
  >
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
      <ChoiceField name="workloadId" label="workload" spoken="workload of the run" :options="workloads" />
      <TextField name="scene" label="scene" placeholder="default scene" class="w-32" />
      <FormField label="resolution" spoken="resolution of the run"
        ><select
          class="field"
          :value="sizeText(values)"
          @change="form.assign(sizeFrom(($event.target as HTMLSelectElement).value))"
        >
          <option v-for="[size, called] in sizeOptions(values)" :key="size" :value="size">
            {{ called }}
          </option>
        </select></FormField
      >
      <ChoiceField
        name="preset"
        label="preset"
        spoken="preset of the run"
        :options="Object.keys(workload?.presets ?? {})"
      />
      <ChoiceField
        name="upscaling"
        label="upscaling"
        spoken="upscaling of the run"
        none="off"
        :options="Object.keys(workload?.upscaling ?? {})"
      />
      <TickField name="frameGeneration" label="frame generation" class="pb-1.5" />
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
      <template v-if="!isConsole">
        <ChoiceField name="cpuId" label="CPU" spoken="CPU of the run" :options="cpus" class="w-56" />
        <ChoiceField
          name="graphicsId"
          label="graphics card"
          spoken="card of the run"
          :options="cards"
          class="w-56"
        />
        <NumberField
          name="memoryChannels"
          label="memory channels"
          spoken="memory channels of the run"
          :min="1"
          :max="8"
          :step="1"
          class="w-28"
        />
      </template>
      <ChoiceField name="kind" label="kind" spoken="kind of run" :options="kinds" />
      <TextField
        v-if="values.kind === 'published' || isConsole"
        name="origin"
        :label="isConsole ? 'which console' : 'source'"
        spoken="where it was published"
        class="w-48"
      />
      <DayField name="ranOn" label="date" spoken="date of the run" />
    </div>
    <RunFigures
      :repeats="values.repeats ?? []"
      class="mt-3"
      @append="form.append('repeats', { averageFps: null, lowFps: null, discarded: '' })"
      @remove="form.remove('repeats', $event)"
    />
    <RunConditions class="mt-4" :open="fromLog !== null" />
    <TextField name="note" label="note" spoken="note on the run" class="mt-3" />
  </FormSheet>
</template>
