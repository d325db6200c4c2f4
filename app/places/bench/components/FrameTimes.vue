<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import type { FrameLogs } from '~/places/bench/state/useFrameLogs'
import type { LogStretch } from '~/workers/frameLogProtocol'
import { percent } from '~/utils/show'

/** A log or two laid over each other: trace, distribution, and the figures of the stretch that is shown. */
const { view, bench, frames } = defineProps<{ view: BuildView; bench: BenchView; frames: FrameLogs }>()
const emit = defineEmits<{ save: [name: string, whole: LogStretch] }>()
const names = ref<string[]>([])
const shift = ref(0)
const target = ref(view.targets[0]?.averageFps ?? 60)
const range = ref<{ from: number; to: number } | null>(null)
const stretches = shallowRef<readonly LogStretch[]>([])
watch(
  () => frames.logs.value.length,
  () => {
    const open = frames.logs.value.map((log) => log.name)
    const standing = names.value.filter((name) => open.includes(name))
    const newest = open.at(-1)
    names.value =
      newest === undefined ? [] : standing.includes(newest) ? standing : [...standing, newest].slice(-2)
    range.value = null
  },
  { immediate: true },
)
const shown = computed(() =>
  names.value.flatMap((name) => frames.logs.value.find((log) => log.name === name) ?? []),
)
const length = computed(() =>
  Math.max(1, ...shown.value.map((log, index) => log.seconds * 1000 + (index === 1 ? shift.value : 0))),
)
const from = computed(() => range.value?.from ?? 0)
const to = computed(() => range.value?.to ?? length.value)
const budget = computed(() => 1000 / Math.max(1, target.value))
/** The trace is cut at a height that leaves the usual frames readable; longer ones stand at the top and in the table. */
const highest = computed(() =>
  Math.max(
    2.5 * budget.value,
    3 *
      (1000 / Math.max(1, Math.min(...shown.value.map((log) => log.frames / Math.max(0.001, log.seconds))))),
  ),
)
const ask = useDebounceFn(async () => {
  if (shown.value.length === 0) {
    stretches.value = []
    return
  }
  const found = await frames.stretches(
    shown.value.map((log, index) => ({ name: log.name, shift: index === 1 ? shift.value : 0 })),
    from.value,
    to.value,
    Math.max(1, target.value),
    480,
    highest.value,
  )
  if (found)
    stretches.value = found.map((each, index) =>
      index === 1 && shift.value !== 0
        ? {
            ...each,
            stutters: each.stutters.map((one) => ({ ...one, at: one.at + shift.value })),
            pauses: each.pauses.map((at) => at + shift.value),
          }
        : each,
    )
}, 40)
watch([shown, from, to, target, shift], ask, { immediate: true })
async function align() {
  if (shown.value.length === 2) shift.value = await frames.align(shown.value[0]!.name, shown.value[1]!.name)
}
function toggle(name: string) {
  names.value = names.value.includes(name)
    ? names.value.filter((each) => each !== name)
    : [...names.value, name].slice(-2)
  shift.value = 0
  range.value = null
}
function zoom(start: number, end: number) {
  range.value = { from: start, to: end }
}
async function save() {
  const log = shown.value[0]
  if (!log) return
  const [whole] =
    (await frames.stretches(
      [{ name: log.name, shift: 0 }],
      0,
      log.seconds * 1000,
      Math.max(1, target.value),
      1,
      highest.value,
    )) ?? []
  if (whole) emit('save', log.name, whole)
}
const kept = computed(() =>
  bench.runs.flatMap((run) => run.logs.map((log) => ({ ...log, of: `${run.workload}, ${run.machine}` }))),
)
const picked = ref('')
watch(picked, (id) => {
  const log = kept.value.find((each) => each.id === id)
  if (log) void frames.openKept(log.id, log.name)
  picked.value = ''
})
const lowMethod = computed(() => view.houseRules.lowMethod ?? 'percentile')
const rows = computed(() => {
  const fps = (value: number | null | undefined) =>
    value === null || value === undefined ? '—' : value.toFixed(1)
  const list = stretches.value.map((each) => each.statistics)
  return (
    [
      ['frames', (s) => s.frames.toLocaleString('en')],
      ['seconds', (s) => s.seconds.toFixed(1)],
      ['average fps', (s) => fps(s.averageFps)],
      ['1 % low, percentile', (s) => fps(s.onePercentLow?.percentile)],
      ['1 % low, worst share', (s) => fps(s.onePercentLow?.worstShare)],
      ['0.1 % low, percentile', (s) => fps(s.pointOnePercentLow?.percentile)],
      ['0.1 % low, worst share', (s) => fps(s.pointOnePercentLow?.worstShare)],
      ['fewest and most in a second', (s) => `${s.minWindowFps ?? '—'} / ${s.maxWindowFps ?? '—'}`],
      [
        `time under ${target.value} fps`,
        (s) => (s.shareUnderTarget === null ? '—' : percent(s.shareUnderTarget, 1)),
      ],
      [
        'stutters',
        (s) =>
          `${s.stutters}${s.stuttersPerMinute === null ? '' : ` (${s.stuttersPerMinute.toFixed(1)} a minute)`}`,
      ],
    ] as [string, (s: NonNullable<LogStretch['statistics']>) => string][]
  ).map(([label, of]) => ({ label, cells: list.map((s) => (s ? of(s) : '—')) }))
})
const colours = ['var(--series-1)', 'var(--series-2)']
const mostInBin = computed(() =>
  Math.max(1, ...stretches.value.flatMap((each) => each.distribution.map((bin) => bin.count))),
)
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
        @click="toggle(log.name)"
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
          @change="
            (event) => {
              const input = event.target as HTMLInputElement
              if (input.files?.[0]) frames.offer(input.files[0])
              input.value = ''
            }
          "
      /></label>
      <select
        v-if="kept.length > 0"
        v-model="picked"
        class="field !min-h-0 !py-0.5"
        aria-label="open a kept log"
      >
        <option value="">a kept log…</option>
        <option v-for="log in kept" :key="log.id" :value="log.id">{{ log.name }} ({{ log.of }})</option>
      </select>
      <span v-if="frames.logs.value.at(-1)" class="text-xs text-soft" data-test="read-time"
        >{{ frames.logs.value.at(-1)!.frames.toLocaleString('en') }} frames read in
        {{ (frames.logs.value.at(-1)!.tookMs / 1000).toFixed(1) }} s</span
      >
      <button v-if="shown[0]" type="button" class="button button-main !py-0.5" @click="save">
        Save {{ shown[0].name }} as a run…
      </button>
      <label class="ml-auto text-soft"
        >hold
        <input
          v-model.number="target"
          type="number"
          min="1"
          max="1000"
          class="field figures w-20"
          aria-label="rate to hold"
        />
        fps</label
      >
    </div>
    <p v-if="shown.length === 0" class="sheet p-6 text-soft">
      Drop a frame-time log anywhere on Bench: any CSV with a line for each frame, as frame times or time
      stamps. It is read here and nothing leaves the machine; a million frames take under two seconds.
    </p>
    <template v-else>
      <p
        v-for="log in shown.filter((each) => each.rejected > 0)"
        :key="log.name"
        class="mb-2 border-l-4 border-stop bg-stop-ground px-3 py-1.5"
        role="alert"
      >
        {{ log.name }}: {{ log.rejected }} lines hold no frame time and are not in the figures.
        <template v-for="problem in log.problems.slice(0, 4)" :key="problem.line"
          >Line {{ problem.line }}: {{ problem.reason }}.
        </template>
      </p>
      <div class="sheet p-3">
        <div class="flex items-center gap-3">
          <h2>
            Trace
            <span class="font-normal text-soft"
              >ms a frame · dashed: {{ target }} fps · ▼ stutter · drag to go in</span
            >
          </h2>
          <button v-if="range" type="button" class="quiet-button" @click="range = null">show all</button>
          <span v-if="shown.length === 2" class="ml-auto flex items-center gap-2 text-soft"
            >second moved by
            <input
              v-model.number="shift"
              type="number"
              step="100"
              class="field figures !min-h-0 w-24 !py-0.5"
              aria-label="second log moved by, ms"
            />
            ms <button type="button" class="button !py-0.5" @click="align">Align</button></span
          >
        </div>
        <FrameTrace
          :stretches="stretches"
          :from="from"
          :to="to"
          :budget-ms="budget"
          :highest-ms="highest"
          @zoom="zoom"
        />
      </div>
      <div class="mt-3 grid grid-cols-[minmax(0,1fr)_380px] gap-3 @max-4xl/place:grid-cols-1">
        <div class="sheet p-3">
          <h2>
            {{ range ? 'In the stretch shown' : 'In the whole log' }}
            <span class="font-normal text-soft"
              >the build’s own 1 % low is by
              {{ lowMethod === 'percentile' ? 'percentile' : 'worst share' }}</span
            >
          </h2>
          <table class="ledger mt-1">
            <thead>
              <tr>
                <th>figure</th>
                <th
                  v-for="(log, index) in shown"
                  :key="log.name"
                  class="!text-right"
                  :style="{ color: colours[index] }"
                >
                  {{ index === 0 ? '●' : '◆' }} {{ log.name }}
                </th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="row in rows"
                :key="row.label"
                :class="{
                  'font-semibold':
                    row.label === `1 % low, ${lowMethod === 'percentile' ? 'percentile' : 'worst share'}`,
                }"
              >
                <td>{{ row.label }}</td>
                <td
                  v-for="(cell, index) in row.cells"
                  :key="index"
                  class="amount"
                  :data-stat="index === 0 ? row.label : undefined"
                >
                  {{ cell }}
                </td>
              </tr>
            </tbody>
          </table>
          <div class="mt-3 flex gap-3">
            <button
              v-for="log in shown"
              :key="log.name"
              type="button"
              class="quiet-button"
              @click="frames.close(log.name)"
            >
              close {{ log.name }}
            </button>
          </div>
        </div>
        <figure class="sheet self-start p-3">
          <figcaption class="text-[13px] font-semibold">
            Distribution <span class="font-normal text-soft">frames by length, ms</span>
          </figcaption>
          <svg
            viewBox="0 0 360 190"
            class="w-full"
            role="img"
            aria-label="distribution of frame times; the figures stand in the table beside it"
          >
            <template v-for="(each, index) in stretches" :key="index">
              <rect
                v-for="(bin, at) in each.distribution"
                :key="at"
                :x="10 + (at * 340) / each.distribution.length + (stretches.length === 2 ? index * 4 : 0)"
                :width="340 / each.distribution.length - (stretches.length === 2 ? 4.5 : 1)"
                :y="168 - (bin.count / mostInBin) * 155"
                :height="(bin.count / mostInBin) * 155"
                :fill="colours[index]"
              />
            </template>
            <line
              :x1="10 + (budget / highest) * 340"
              :x2="10 + (budget / highest) * 340"
              y1="8"
              y2="168"
              stroke="var(--ink)"
              stroke-dasharray="4 3"
            />
            <g class="figures" font-size="11" fill="var(--soft)">
              <text x="10" y="184">0</text>
              <text :x="10 + (budget / highest) * 340" y="184" text-anchor="middle">
                {{ budget.toFixed(1) }}
              </text>
              <text x="350" y="184" text-anchor="end">{{ highest.toFixed(0) }}+</text>
            </g>
          </svg>
        </figure>
      </div>
    </template>
  </section>
</template>
