<script setup lang="ts">
import { ValidationError, type Schema } from 'yup'
import { partLabel } from '#core/parts/part'
import { feelings } from '#core/performance/model/throughput'
import { slug } from '#shared/text/slug'
import { workResultSchema, workTaskSchema } from '#shared/work/schemas'
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import type { LibraryView } from '#shared/parts/views'
import { shortDate } from '~/utils/show'
import { call } from '~/data/call'

/** Work that is no game: what this machine would take, from measured references; feel as it was said. */
const { view, bench, library } = defineProps<{ view: BuildView; bench: BenchView; library: LibraryView }>()
const { run } = useAction()
const cpus = computed(() => library.parts.filter((part) => part.role === 'cpu'))
const ownCpu = view.parts.find((part) => part.role === 'cpu')?.id
const result = reactive({
  taskId: bench.tasks[0]?.id ?? '',
  cpuId: ownCpu ?? '',
  value: undefined as number | undefined,
  feeling: null as (typeof feelings)[number] | null,
  ranOn: view.today,
})
const task = reactive({ name: '', unit: 'min', lessIsBetter: true, threadsExponent: 0.7 })
const problem = ref('')
/** Checks a body by the schema of its route; null where it is wrong, and `problem` says why. */
function checked<T extends object>(schema: Schema, body: T): T | null {
  problem.value = ''
  try {
    schema.validateSync(body)
    return body
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    problem.value = error.message
    return null
  }
}
async function addResult() {
  const body = checked(workResultSchema, { ...result, buildId: result.cpuId === ownCpu ? view.id : null })
  if (body && (await run(() => call('POST /api/work/results', {}, body as never), { message: 'noted' })))
    result.value = undefined
}
async function addTask() {
  const body = checked(workTaskSchema, { ...task, id: slug(task.name || 'task'), mostThreads: 64 })
  const message = `${task.name} can now be measured`
  if (body && (await run(() => call('POST /api/work/tasks', {}, body), { message }))) task.name = ''
}
const takeOut = (id: string) =>
  run(() => call('DELETE /api/work/results/:id', { id }), {
    message: 'removed',
    undo: () => call('POST /api/work/results/:id/restore', { id }),
  })
const round = (value: number) => (value < 10 ? value.toFixed(1) : value.toFixed(0))
</script>

<template>
  <section aria-label="other workloads">
    <div class="grid grid-cols-2 gap-3 @max-4xl/place:grid-cols-1">
      <article v-for="each in bench.tasks" :key="each.id" class="sheet p-3" :data-task="each.id">
        <div class="flex items-baseline gap-2">
          <h2>{{ each.name }}</h2>
          <span class="text-xs text-soft"
            >{{ each.lessIsBetter ? 'lower is better' : 'higher is better' }} · thread scaling exponent
            {{ each.threadsExponent }}, up to {{ each.mostThreads }} threads</span
          >
        </div>
        <p v-if="each.estimate" class="mt-1">
          This PC: <b class="figures text-[15px]">{{ round(each.estimate.value) }} {{ each.unit }}</b>
          <span class="text-soft"
            >estimate {{ round(each.estimate.range.low) }} to {{ round(each.estimate.range.high) }}, from
            {{ each.estimate.references }}
            {{ each.estimate.references === 1 ? 'reference' : 'references' }}</span
          >
        </p>
        <p v-else class="mt-1 text-soft">
          {{ each.results.length === 0 ? 'No reference measured yet.' : 'This PC’s CPU has no index.' }}
        </p>
        <table class="ledger mt-1">
          <tbody>
            <tr v-for="one in each.results" :key="one.id" :class="{ 'font-semibold': one.isThisMachine }">
              <td>{{ one.cpu }}</td>
              <td class="amount">{{ one.value }} {{ each.unit }}</td>
              <td class="text-soft">{{ one.feeling ? `felt ${one.feeling}` : '' }}</td>
              <td class="text-xs text-soft">
                {{ one.kind === 'published' ? 'published' : 'own' }}, {{ shortDate(one.ranOn) }}
              </td>
              <td class="text-right">
                <button type="button" class="quiet-button text-xs" @click="takeOut(one.id)">remove</button>
              </td>
            </tr>
          </tbody>
        </table>
      </article>
    </div>
    <p v-if="bench.tasks.length === 0" class="text-soft">
      No other workloads yet. Add one below, such as a video export, boot time or load time.
    </p>
    <form class="mt-4 flex flex-wrap items-center gap-2" aria-label="a result" @submit.prevent="addResult">
      New result:
      <select v-model="result.taskId" class="field" aria-label="workload">
        <option v-for="each in bench.tasks" :key="each.id" :value="each.id">{{ each.name }}</option>
      </select>
      on
      <select v-model="result.cpuId" class="field" aria-label="CPU it was measured on">
        <option v-for="part in cpus" :key="part.id" :value="part.id">{{ partLabel(part) }}</option>
      </select>
      result
      <input
        v-model.number="result.value"
        type="number"
        step="any"
        class="field figures w-24"
        aria-label="result"
      />
      {{ bench.tasks.find((each) => each.id === result.taskId)?.unit }}, feel
      <select v-model="result.feeling" class="field" aria-label="how it felt">
        <option :value="null">not noted</option>
        <option v-for="each in feelings" :key="each">{{ each }}</option>
      </select>
      <button type="submit" class="button">Add result</button>
    </form>
    <form
      class="mt-2 flex flex-wrap items-center gap-2"
      aria-label="new workload type"
      @submit.prevent="addTask"
    >
      New workload:
      <input v-model="task.name" class="field" placeholder="name" aria-label="name of the workload" /> unit
      <input v-model="task.unit" class="field w-20" aria-label="unit of the workload" />
      <label><input v-model="task.lessIsBetter" type="checkbox" /> lower is better</label>
      <label
        >thread scaling exponent
        <input
          v-model.number="task.threadsExponent"
          type="number"
          min="0"
          max="1"
          step="0.05"
          class="field figures w-20"
      /></label>
      <button type="submit" class="button">Add</button>
    </form>
    <p v-if="problem" class="mt-2 text-stop" role="alert">{{ problem }}</p>
  </section>
</template>
