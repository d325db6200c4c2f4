<script setup lang="ts">
import { noEstimate } from '#core/performance/model/noEstimate'
import { useEventListener } from '@vueuse/core'
import type { FrameColumn } from '#core/reading/frames/frameLogFile'
import type { LogStretch } from '~/workers/frameLogProtocol'
import type { RunInput } from '#shared/bench/schemas'
import { useCall } from '~/data/useCall'

/** Bench: how fast is it, how fast will it be, what limits it? */
const build = useBuild()
const view = computed(() => build.view!)
const mode = useRouteState('mode', 'targets')
const asked = useCall('GET /api/builds/:id/bench', () => ({ id: view.value.id }))
const bench = computed(() => asked.data.value ?? null)
const { data: library } = useCall('GET /api/library')
const frames = useFrameLogs()
const writing = ref(false)
const fromLog = shallowRef<{
  name: string
  figures: Partial<RunInput>
  times(): Promise<Float32Array>
} | null>(null)
const missing = computed(() => view.value.targets[0]?.missing ?? [])
const runsIn = computed(() => Math.max(0, ...view.value.targets.map((target) => target.estimate?.runs ?? 0)))
usePlace('bench', { N: () => (writing.value = library.value !== undefined) })
const dropping = ref(false)
useEventListener(document, 'dragover', (event: DragEvent) => {
  event.preventDefault()
  dropping.value = true
})
useEventListener(document, 'dragleave', (event: DragEvent) => {
  if (event.relatedTarget === null) dropping.value = false
})
useEventListener(document, 'drop', (event: DragEvent) => {
  event.preventDefault()
  dropping.value = false
  const file = event.dataTransfer?.files[0]
  if (file) void frames.offer(file)
})
const pastedLog = useLogToRead()
watch(
  pastedLog,
  (file) => {
    if (!file) return
    pastedLog.value = null
    void frames.offer(file)
  },
  { immediate: true },
)
async function read(column: FrameColumn) {
  if (await frames.read(column)) mode.value = 'frames'
}
async function openLog(id: string, name: string) {
  mode.value = 'frames'
  await frames.openKept(id, name)
}
function saveFromLog(name: string, { statistics }: LogStretch) {
  if (!statistics) return
  const round = (value: number | null | undefined) =>
    value === null || value === undefined ? null : Math.round(value * 10) / 10
  const low =
    view.value.houseRules.lowMethod === 'worst-share'
      ? statistics.onePercentLow?.worstShare
      : statistics.onePercentLow?.percentile
  fromLog.value = {
    name,
    times: () => frames.times(name),
    figures: {
      averageFps: round(statistics.averageFps)!,
      lowFps: round(low),
      minFps: statistics.minWindowFps,
      maxFps: statistics.maxWindowFps,
    },
  }
  writing.value = true
}
function saved() {
  writing.value = false
  fromLog.value = null
}
function close() {
  writing.value = false
  fromLog.value = null
}
</script>

<template>
  <div class="relative px-5 py-4">
    <PlaceTabs v-model="mode" place="bench" />
    <p
      v-if="frames.failed.value && !frames.waiting.value"
      class="mb-2 border-l-4 border-stop bg-stop-ground px-3 py-1.5"
      role="alert"
    >
      {{ frames.failed.value }}
    </p>
    <template v-if="mode === 'targets'">
      <p class="text-soft">
        {{ view.machineName.cpu ?? 'no CPU chosen' }} ·
        {{ view.machineName.graphics ?? 'no graphics card chosen' }} ·
        {{
          runsIn === 0
            ? 'from the library’s defaults; no runs yet'
            : `fitted to your runs, up to ${runsIn} per workload`
        }}
      </p>
      <p v-if="view.targets.length === 0" class="mt-4 text-waiting">
        The brief has no targets yet.
        <NuxtLink :to="`/b/${view.id}/brief`" class="underline">Set a target</NuxtLink>.
      </p>
      <p v-else-if="missing.length > 0" class="mt-4 text-waiting">
        {{ noEstimate(view.targets) }} Add parts in Leads or Prices; add performance indexes in Parts or paste
        a table of scores.
      </p>
      <template v-else>
        <TargetAxis :view="view" :bench="bench" class="mt-2" />
        <TargetNeeds v-if="bench" :view="view" :bench="bench" class="mt-3" />
        <div class="mt-3 grid grid-cols-3 gap-3 @max-4xl/place:grid-cols-1">
          <MillisecondRuler v-for="target in view.targets" :key="target.id" :target="target" :view="view" />
        </div>
        <LimitMap
          v-if="bench?.machine"
          :key="`${bench.machine.cpuIndex} ${bench.machine.graphicsIndex}`"
          class="mt-4"
          :view="view"
          :bench="bench"
        />
      </template>
    </template>
    <p v-else-if="!bench || !library" class="text-soft" role="status">Calculating…</p>
    <template v-else-if="mode === 'runs'">
      <RunTable :view="view" :bench="bench" @add="writing = true" @open-log="openLog" />
      <BeforeAfter class="mt-6" :bench="bench" />
    </template>
    <FrameTimes
      v-else-if="mode === 'frames'"
      :view="view"
      :bench="bench"
      :frames="frames"
      @save="saveFromLog"
    />
    <template v-else-if="mode === 'work'">
      <GamesTable :library="library" class="mb-6" />
      <h2 class="mb-1">Other work</h2>
      <WorkLeaf :view="view" :bench="bench" :library="library" />
      <LivingLeaf class="mt-6" :bench="bench" />
    </template>
    <ValueStairs v-else :view="view" :bench="bench" />
    <LogColumns
      v-if="frames.waiting.value"
      :key="frames.waiting.value.file.name"
      :log="frames.waiting.value"
      :progress="frames.progress.value"
      :failed="frames.failed.value"
      @read="read"
      @close="frames.progress.value === null ? frames.forget() : frames.cancel()"
    />
    <RunForm
      v-if="writing && library"
      :view="view"
      :library="library"
      :from-log="fromLog"
      @close="close"
      @saved="saved"
    />
    <div
      v-if="dropping"
      class="pointer-events-none fixed inset-8 z-30 grid place-items-center border-2 border-dashed border-info bg-info-ground/80 text-lg"
      aria-hidden="true"
    >
      Drop a frame-time log here
    </div>
  </div>
</template>
