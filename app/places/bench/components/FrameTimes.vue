<script setup lang="ts">
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import type { FrameLogs } from '~/places/bench/state/useFrameLogs'
import type { LogStretch } from '~/workers/frameLogProtocol'

/** A log or two laid over each other: trace, distribution, and the figures of the stretch that is shown. */
const { view, bench, frames } = defineProps<{ view: BuildView; bench: BenchView; frames: FrameLogs }>()
const emit = defineEmits<{ save: [name: string, whole: LogStretch] }>()
const frameView = useFrameView(frames, view.targets[0]?.averageFps ?? 60)
const { names, shown, stretches, shift, target, range, from, to, budget, highest } = frameView
async function save() {
  const found = await frameView.whole()
  if (found) emit('save', found.name, found.stretch)
}
const kept = computed(() =>
  bench.runs.flatMap((run) => run.logs.map((log) => ({ ...log, of: `${run.workload}, ${run.machine}` }))),
)
// what was kept last is laid open, so that nobody faces an empty bench
onMounted(() => {
  const [newest] = kept.value
  if (frames.logs.value.length === 0 && newest) void frames.openKept(newest.id, newest.name)
})
const picked = ref('')
watch(picked, (id) => {
  const log = kept.value.find((each) => each.id === id)
  if (log) void frames.openKept(log.id, log.name)
  picked.value = ''
})
function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  if (input.files?.[0]) void frames.offer(input.files[0])
  input.value = ''
}
const newest = computed(() => frames.logs.value.at(-1))
const colours = ['var(--series-1)', 'var(--series-2)']
</script>

<template>
  <section aria-label="frame times">
    <div class="mb-2 flex flex-wrap items-center gap-2">
      <button
        v-for="log in frames.logs.value"
        :key="log.name"
        type="button"
        class="button !py-0.5"
        :aria-pressed="names.includes(log.name)"
        :style="names.includes(log.name) ? { borderColor: colours[names.indexOf(log.name)] } : {}"
        @click="frameView.toggle(log.name)"
      >
        <span v-if="names.includes(log.name)" :style="{ color: colours[names.indexOf(log.name)] }">{{
          names.indexOf(log.name) === 0 ? '●' : '◆'
        }}</span>
        {{ log.name }}
      </button>
      <label class="button cursor-pointer !py-0.5"
        >Open a log…<input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          class="sr-only"
          data-test="log-file"
          @change="openFile"
      /></label>
      <select
        v-if="kept.length > 0"
        v-model="picked"
        class="field !min-h-0 !py-0.5"
        aria-label="open a saved log"
      >
        <option value="">saved log…</option>
        <option v-for="log in kept" :key="log.id" :value="log.id">{{ log.name }} ({{ log.of }})</option>
      </select>
      <span v-if="newest" class="text-xs text-soft" data-test="read-time"
        >{{ newest.frames.toLocaleString('en') }} frames read in
        {{ (newest.tookMs / 1000).toFixed(1) }} s</span
      >
      <button v-if="shown[0]" type="button" class="button button-main !py-0.5" @click="save">
        Save {{ shown[0].name }} as a run…
      </button>
      <label class="ml-auto text-soft"
        >target
        <input
          v-model.number="target"
          type="number"
          min="1"
          max="1000"
          class="field figures w-20"
          aria-label="target frame rate"
        />
        fps</label
      >
    </div>
    <p v-if="shown.length === 0" class="sheet p-6 text-soft">
      Drop a frame-time log anywhere on Bench: any CSV with one line per frame, as frame times or timestamps.
      It is read in your browser and not uploaded; a million frames take under two seconds.
    </p>
    <template v-else>
      <p
        v-for="log in shown.filter((each) => each.rejected > 0)"
        :key="log.name"
        class="mb-2 border-l-4 border-stop bg-stop-ground px-3 py-1.5"
        role="alert"
      >
        {{ log.name }}: {{ log.rejected }} lines without a frame time were skipped.
        <template v-for="problem in log.problems.slice(0, 4)" :key="problem.line"
          >Line {{ problem.line }}: {{ problem.reason }}.
        </template>
      </p>
      <div class="sheet p-3">
        <div class="flex items-center gap-3">
          <h2>
            Trace
            <span class="font-normal text-soft"
              >ms per frame · dashed: {{ target }} fps · ▼ stutter · drag to zoom</span
            >
          </h2>
          <button v-if="range" type="button" class="quiet-button" @click="range = null">show all</button>
          <span v-if="shown.length === 2" class="ml-auto flex items-center gap-2 text-soft"
            >shift second log by
            <input
              v-model.number="shift"
              type="number"
              step="100"
              class="field figures !min-h-0 w-24 !py-0.5"
              aria-label="shift of the second log, ms"
            />
            ms <button type="button" class="button !py-0.5" @click="frameView.align">Align</button></span
          >
        </div>
        <FrameTrace
          :stretches="stretches"
          :from="from"
          :to="to"
          :budget-ms="budget"
          :highest-ms="highest"
          @zoom="(start, end) => (range = { from: start, to: end })"
        />
      </div>
      <div class="mt-3 grid grid-cols-[minmax(0,1fr)_380px] gap-3 @max-4xl/place:grid-cols-1">
        <FrameFigures
          :names="shown.map((log) => log.name)"
          :stretches="stretches"
          :target="target"
          :low-method="view.houseRules.lowMethod ?? 'percentile'"
          :is-part="range !== null"
          @close="frames.close"
        />
        <FrameDistribution :stretches="stretches" :budget-ms="budget" :highest-ms="highest" />
      </div>
    </template>
  </section>
</template>
