<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import { needNames, needs, roleNames, coreRoles } from '#core/parts/part'
import type { Workload } from '#core/performance/model/workload'
import type { BriefInput } from '#shared/brief/schemas'
import { buyingSummary, faultSummary, machineSummary } from '../state/ruleSummaries'

/** The brief as a sentence, its targets as a small table. Saved as typed, or by a button where `autosave` is off. */
const {
  storageKey,
  initial,
  workloads,
  save,
  autosave = true,
} = defineProps<{
  storageKey: string
  initial: BriefInput
  workloads: readonly Workload[]
  save: (brief: BriefInput) => Promise<void>
  autosave?: boolean
}>()
const form = useBriefForm(storageKey, initial, save)
const { draft, problems, state, refusal } = form
const shown = ref(false)

watch(
  draft,
  () => {
    form.markTyping()
    form.keep()
    if (autosave) {
      shown.value = true
      form.saveSoon()
    } else if (shown.value) form.check()
  },
  { deep: true },
)
onMounted(() => {
  if (state.value !== 'typing' || !autosave) return
  shown.value = true
  void form.saveNow()
})

const sizes = [
  ['1280x720', '720p'],
  ['1920x1080', '1080p'],
  ['2560x1440', '1440p'],
  ['3840x2160', '2160p'],
] as const
const problem = (path: string) => (shown.value ? problems.value[path] : undefined)
const hasProblem = (...paths: string[]) =>
  shown.value && Object.keys(problems.value).some((path) => paths.some((each) => path.startsWith(each)))
const rest = computed(() =>
  Object.entries(problems.value).filter(
    ([path]) =>
      path.startsWith('targets') || path.startsWith('needs') || path.startsWith('houseRules.faults'),
  ),
)
const presetsOf = (id: string) => Object.keys(workloads.find((each) => each.id === id)?.presets ?? {})

function addTarget() {
  const workload = workloads[0]
  if (workload)
    draft.targets.push({
      workloadId: workload.id,
      width: 1920,
      height: 1080,
      preset: presetsOf(workload.id)[0] ?? 'high',
      averageFps: 60,
      lowFps: 40,
    })
}
function setSize(index: number, size: string) {
  const [width, height] = size.split('x').map(Number)
  Object.assign(draft.targets[index]!, { width, height })
}
function setWorkload(index: number, id: string) {
  const target = draft.targets[index]!
  target.workloadId = id
  if (!presetsOf(id).includes(target.preset)) target.preset = presetsOf(id)[0] ?? ''
}
function toggleNeed(need: (typeof needs)[number], on: boolean) {
  draft.needs = on
    ? [...draft.needs, { need, price: '20.00' }]
    : draft.needs.filter((each) => each.need !== need)
}
function toggleRule(role: (typeof coreRoles)[number], on: boolean) {
  draft.houseRules.neverUsed = on
    ? [...draft.houseRules.neverUsed, role]
    : draft.houseRules.neverUsed.filter((each) => each !== role)
}
async function submit() {
  shown.value = true
  await form.saveNow()
}
defineExpose({ submit })
const optionalNumber = (text: string) => (text === '' ? null : Number(text))
</script>

<template>
  <form class="max-w-[880px] space-y-6" novalidate @submit.prevent="submit">
    <div class="space-y-3 text-[16px] leading-[2.3]">
      <p>
        I am building
        <BriefBlank v-model="draft.name" label="name" :width="220" :problem="problem('name')" /> ,
        <BriefBlank
          v-model="draft.purpose"
          label="purpose"
          :width="420"
          placeholder="what it is for"
          :problem="problem('purpose')"
        />,
      </p>
      <p>
        in
        <BriefBlank
          v-model="draft.region"
          label="region"
          :width="150"
          placeholder="region"
          :problem="problem('region')"
        />. It may cost
        <BriefBlank v-model="draft.budget" label="budget" :width="90" figures :problem="problem('budget')" />,
        at a stretch
        <BriefBlank
          v-model="draft.stretch"
          label="stretch"
          :width="90"
          figures
          :problem="problem('stretch')"
        />
        <BriefBlank
          v-model="draft.currency"
          label="currency"
          :width="64"
          figures
          :problem="problem('currency')"
        />,
      </p>
      <p>
        and is wanted by
        <DateField v-model="draft.wantedBy" label="wanted by" />. I pay the
        <select v-model="draft.houseRules.patience" class="field" aria-label="patience">
          <option value="patient">patient</option>
          <option value="typical">typical</option>
          <option value="hurried">quick</option>
        </select>
        street price. Never bought used:
        <label v-for="role in coreRoles" :key="role" class="mr-3 inline-flex items-center gap-1 text-sm"
          ><input
            type="checkbox"
            :checked="draft.houseRules.neverUsed.includes(role)"
            @change="toggleRule(role, ($event.target as HTMLInputElement).checked)"
          />{{ roleNames[role] }}</label
        >
      </p>
    </div>
    <section>
      <h2>It must reach</h2>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>workload</th>
            <th>resolution</th>
            <th>preset</th>
            <th>average fps</th>
            <th>1 % low</th>
            <th><span class="sr-only">remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(target, index) in draft.targets" :key="index">
            <td>
              <select
                :value="target.workloadId"
                class="field w-full"
                :aria-label="`workload of target ${index + 1}`"
                @change="setWorkload(index, ($event.target as HTMLSelectElement).value)"
              >
                <option v-for="each in workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
              </select>
            </td>
            <td>
              <select
                :value="`${target.width}x${target.height}`"
                class="field"
                :aria-label="`resolution of target ${index + 1}`"
                @change="setSize(index, ($event.target as HTMLSelectElement).value)"
              >
                <option v-for="[size, name] in sizes" :key="size" :value="size">{{ name }}</option>
              </select>
            </td>
            <td>
              <select v-model="target.preset" class="field" :aria-label="`preset of target ${index + 1}`">
                <option v-for="preset in presetsOf(target.workloadId)" :key="preset">{{ preset }}</option>
              </select>
            </td>
            <td>
              <input
                v-model.number="target.averageFps"
                type="number"
                min="1"
                class="field figures w-20"
                :aria-label="`average of target ${index + 1}`"
              />
            </td>
            <td>
              <input
                :value="target.lowFps ?? ''"
                type="number"
                min="1"
                class="field figures w-20"
                :aria-label="`low of target ${index + 1}`"
                @input="target.lowFps = optionalNumber(($event.target as HTMLInputElement).value)"
              />
            </td>
            <td class="w-8">
              <button
                type="button"
                class="p-1 text-soft"
                :aria-label="`remove target ${index + 1}`"
                @click="draft.targets.splice(index, 1)"
              >
                <X :size="14" />
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <button
        v-if="workloads.length > 0"
        type="button"
        class="button mt-2 inline-flex items-center gap-1"
        @click="addTarget"
      >
        <Plus :size="14" /> target
      </button>
      <p v-else class="mt-2 text-soft">No workloads in the library yet: open a library file on Builds.</p>
    </section>
    <section>
      <h2>To be used it also needs</h2>
      <div class="mt-1 flex flex-wrap gap-x-6 gap-y-2">
        <label v-for="need in needs" :key="need" class="inline-flex items-center gap-2">
          <input
            type="checkbox"
            :checked="draft.needs.some((each) => each.need === need)"
            @change="toggleNeed(need, ($event.target as HTMLInputElement).checked)"
          />{{ needNames[need] }}
          <template v-for="entry in draft.needs" :key="entry.need"
            ><input
              v-if="entry.need === need"
              v-model="entry.price"
              class="field figures w-20 text-right"
              :aria-label="`price of ${needNames[need]}`"
          /></template>
        </label>
      </div>
    </section>
    <section class="space-y-2" aria-label="your rules">
      <h2>Your rules</h2>
      <RuleGroup
        title="Buying"
        :summary="buyingSummary(draft.houseRules, draft.currency)"
        :has-problem="hasProblem('houseRules.') && !hasProblem('houseRules.machine', 'houseRules.faults')"
      >
        <HouseRulesForm v-model="draft.houseRules" :currency="draft.currency" :problem-of="problem" />
      </RuleGroup>
      <RuleGroup
        title="The machine"
        :summary="machineSummary(draft.houseRules)"
        :has-problem="hasProblem('houseRules.machine')"
      >
        <MachineRulesForm
          v-model="draft.houseRules.machine"
          :currency="draft.currency"
          :problem-of="problem"
        />
      </RuleGroup>
      <RuleGroup
        title="Faults and lows"
        :summary="faultSummary(draft.houseRules)"
        :has-problem="hasProblem('houseRules.faults', 'houseRules.lowMethod')"
      >
        <FormField label="a 1 % low is" :problem="problem('houseRules.lowMethod')">
          <select v-model="draft.houseRules.lowMethod" class="field w-60" aria-label="definition of a low">
            <option value="percentile">the 99th percentile</option>
            <option value="worst-share">the mean of the worst 1 %</option>
          </select>
        </FormField>
        <FaultTable v-model="draft.houseRules" :currency="draft.currency" />
      </RuleGroup>
    </section>
    <section class="grid grid-cols-2 gap-6 max-md:grid-cols-1">
      <FormField label="for me alone: never exported, never shared" :problem="problem('privateNote')">
        <textarea v-model="draft.privateNote" rows="3" class="field w-full" aria-label="private note" />
      </FormField>
      <FormField label="what a buyer may read" :problem="problem('saleText')">
        <textarea
          v-model="draft.saleText"
          rows="3"
          class="field w-full"
          aria-label="description for a buyer"
        />
      </FormField>
    </section>
    <ul v-if="shown && rest.length > 0" class="text-stop" role="alert">
      <li v-for="[path, message] in rest" :key="path">{{ path }}: {{ message }}</li>
    </ul>
    <div class="flex items-center gap-3">
      <slot name="actions" />
      <span class="text-soft" role="status" data-test="save-state"
        >{{
          {
            saved: 'saved',
            typing:
              Object.keys(problems).length > 0 && shown ? 'not saved yet: see the marked fields' : 'typing…',
            saving: 'saving…',
            refused: '',
          }[state]
        }}<span v-if="refusal" class="text-stop">{{ refusal }}</span></span
      >
    </div>
  </form>
</template>
