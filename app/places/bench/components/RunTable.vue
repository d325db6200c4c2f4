<script setup lang="ts">
import { runKinds } from '#core/performance/runs/run'
import type { BenchView, RunView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { percent, shortDate, signedPercent } from '~/utils/show'
import type { SentBody } from '#shared/calls'

/** Every run, newest first, with what the fit says of it; excluded ones say why and can be let count. */
const { view, bench } = defineProps<{ view: BuildView; bench: BenchView }>()
const emit = defineEmits<{ add: []; openLog: [id: string, name: string] }>()
const { run: action } = useAction()
const workload = useRouteState('workload')
const which = useRouteState('which', 'all')
const shown = computed(() =>
  bench.runs.filter(
    (run) =>
      (workload.value === '' || run.workloadId === workload.value) &&
      (which.value === 'all' ||
        (which.value === 'this'
          ? run.isThisMachine
          : which.value === 'own'
            ? run.kind.startsWith('own')
            : run.excluded !== null)),
  ),
)
const open = ref('')
type Change = SentBody<'PATCH /api/bench/runs/:id'>
const patch = (run: RunView, body: Change, message: string, undo?: Change) =>
  action(() => call('PATCH /api/bench/runs/:id', { id: run.id }, body), {
    message,
    ...(undo
      ? {
          undo: () => call('PATCH /api/bench/runs/:id', { id: run.id }, undo),
        }
      : {}),
  })
const { report, take: takeCsv } = useCsvImport('POST /api/bench/runs/import', () => ({}))
const facts = (run: RunView) => [
  ...(run.origin ? [`from ${run.origin}`] : []),
  ...(run.spread === null
    ? []
    : [
        `${run.repeats.filter((each) => each.discarded === '').length} repeats, ${percent(run.spread, 1)} spread`,
      ]),
  ...run.repeats
    .filter((each) => each.discarded !== '')
    .map((each) => `repeat of ${each.averageFps} discarded: ${each.discarded}`),
  ...(run.minFps === null ? [] : [`${run.minFps} to ${run.maxFps ?? '?'} fps`]),
  ...(run.readings.cpuUse === null ? [] : [`CPU usage ${run.readings.cpuUse} %`]),
  ...(run.readings.cardUse === null ? [] : [`GPU usage ${run.readings.cardUse} %`]),
  ...(run.readings.cpuC === null ? [] : [`CPU ${run.readings.cpuC} °C`]),
  ...(run.readings.cardC === null ? [] : [`GPU ${run.readings.cardC} °C`]),
  ...(run.readings.wallW === null ? [] : [`wall power ${run.readings.wallW} W`]),
  ...(run.conditions.ambientC === null ? [] : [`room ${run.conditions.ambientC} °C`]),
  ...(run.conditions.sidePanel === null ? [] : [`side panel ${run.conditions.sidePanel}`]),
  ...(run.conditions.memoryMts ? [`memory at ${run.conditions.memoryMts} MT/s`] : []),
  ...(run.conditions.drive ? [`installed on ${run.conditions.drive}`] : []),
  ...(run.conditions.driverVersion ? [`driver ${run.conditions.driverVersion}`] : []),
  ...(run.noise ? [run.noise] : []),
  ...(run.feeling ? [`felt ${run.feeling}`] : []),
  ...(run.note ? [run.note] : []),
]
const order = useRouteState('by')
const columns: readonly Column<RunView>[] = [
  {
    key: 'day',
    name: 'date',
    class: 'figures text-xs whitespace-nowrap',
    isLargestFirst: true,
    by: (run) => run.ranOn,
  },
  { key: 'workload', name: 'workload', by: (run) => run.workload },
  { key: 'at', name: 'settings', class: 'whitespace-nowrap', by: (run) => run.settings.height },
  { key: 'machine', name: 'machine', class: 'text-xs', by: (run) => run.machine },
  { key: 'kind', name: 'kind', class: 'text-xs', by: (run) => runKinds[run.kind].name },
  { key: 'average', name: 'average', isFigure: true, isLargestFirst: true, by: (run) => run.averageFps },
  { key: 'low', name: '1 % low', isFigure: true, isLargestFirst: true, by: (run) => run.lowFps },
  {
    key: 'fit',
    name: 'vs estimate',
    title: 'measured fps compared with the fitted estimate, and with an estimate fitted without these parts',
    class: 'text-xs',
    isFigure: true,
    isLargestFirst: true,
    by: (run) => (run.residual ? -run.residual.leftOut : null),
  },
  { key: 'actions', name: 'actions', isSpoken: true, class: 'text-right whitespace-nowrap' },
]
</script>

<template>
  <section aria-label="runs">
    <div class="mb-2 flex flex-wrap items-center gap-2">
      <select v-model="which" class="field" aria-label="which runs">
        <option value="all">all machines</option>
        <option value="this">this machine</option>
        <option value="own">mine</option>
        <option value="excluded">left out</option>
      </select>
      <select v-model="workload" class="field" aria-label="workload">
        <option value="">all workloads</option>
        <option v-for="each in view.workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
      </select>
      <span class="text-soft">{{ shown.length }} of {{ bench.runs.length }}</span>
      <label class="button ml-auto cursor-pointer"
        >Import CSV…<input
          type="file"
          accept=".csv,text/csv"
          class="sr-only"
          data-test="runs-file"
          @change="takeCsv" /></label
      ><button type="button" class="button button-main" @click="emit('add')">
        Add a run <span class="key">N</span>
      </button>
    </div>
    <p v-if="report" class="mb-2" role="status" data-test="runs-report">{{ report }}</p>
    <p v-if="shown.length === 0" class="text-soft">
      No runs match. Add one by form, import a CSV, or drop a frame-time log on the page.
    </p>
    <div v-else class="sheet max-h-[560px] overflow-auto">
      <DataTable
        v-model:order="order"
        sticky-head
        :columns="columns"
        :rows="shown"
        :row-id="(run) => run.id"
        :row-class="(run) => (run.excluded ? 'text-soft' : '')"
        :row-data="(run) => ({ 'data-run': run.id })"
        :open="open"
      >
        <template #day="{ row: run }">{{ shortDate(run.ranOn) }}</template>
        <template #workload="{ row: run }"
          >{{ run.workload
          }}<span v-if="run.scene" class="text-xs text-soft"> · {{ run.scene }}</span></template
        >
        <template #at="{ row: run }"
          >{{ run.settings.height }}p {{ run.settings.preset
          }}<template v-if="run.settings.upscaling"> · {{ run.settings.upscaling }}</template
          ><template v-if="run.settings.frameGeneration"> · with frame generation</template></template
        >
        <template #machine="{ row: run }"
          >{{ run.machine }}<span v-if="run.isThisMachine" class="tag tag-settled ml-1">this</span></template
        >
        <template #kind="{ row: run }"
          >{{ runKinds[run.kind].name
          }}<span v-if="run.excluded" class="block text-waiting">left out: {{ run.excluded }}</span
          ><span v-else-if="run.overruled" class="block text-info">counted by you</span></template
        >
        <template #average="{ row: run }">{{ run.averageFps.toFixed(1) }}</template>
        <template #low="{ row: run }">{{ run.lowFps?.toFixed(1) ?? '—' }}</template>
        <template #fit="{ row: run }">{{
          run.residual
            ? `${signedPercent(-100 * run.residual.fitted)} / ${signedPercent(-100 * run.residual.leftOut)}`
            : '—'
        }}</template>
        <template #actions="{ row: run }">
          <button
            type="button"
            class="quiet-button text-xs"
            :aria-expanded="open === run.id"
            @click="open = open === run.id ? '' : run.id"
          >
            more
          </button>
          <button
            v-if="run.excluded && run.kind !== 'console-mode'"
            type="button"
            class="quiet-button text-xs"
            @click="patch(run, { overruled: true }, 'it is counted by you', { overruled: false })"
          >
            count it</button
          ><button
            v-else-if="run.overruled"
            type="button"
            class="quiet-button text-xs"
            @click="patch(run, { overruled: false }, 'it is left out again')"
          >
            leave out
          </button>
          <button
            type="button"
            class="quiet-button text-xs"
            @click="patch(run, { deleted: true }, 'the run is removed', { deleted: false })"
          >
            remove
          </button>
        </template>
        <template #below="{ row: run }"
          ><div class="text-soft">
            {{ facts(run).join(' · ') || 'No more details.' }}
            <button
              v-for="log in run.logs"
              :key="log.id"
              type="button"
              class="quiet-button"
              @click="emit('openLog', log.id, log.name)"
            >
              open its log ({{ log.frames.toLocaleString('en') }} frames)
            </button>
          </div></template
        >
      </DataTable>
    </div>
  </section>
</template>
