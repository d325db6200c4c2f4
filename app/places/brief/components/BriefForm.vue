<script setup lang="ts">
import { intentNames } from '#shared/brief/houseRules'
import { coreRoles, roleNames } from '#core/parts/part'
import type { Workload } from '#core/performance/model/workload'
import { briefSchema, type BriefInput } from '#shared/brief/schemas'
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
  save: (brief: BriefInput, was: string | undefined) => Promise<unknown>
  autosave?: boolean
}>()
defineSlots<{ actions(): unknown }>()
const form = useDraftForm<BriefInput>({
  key: storageKey,
  schema: briefSchema as never,
  initial,
  isSaved: autosave,
  save,
})
const { values, problems, failure, busy } = form
const isSaved = ref(!form.wasKept)
const submit = async () => (isSaved.value = await form.submit())
const saveOver = async () => (isSaved.value = await form.saveOver())
if (autosave) {
  useAutosave(form, isSaved)
  onMounted(() => form.wasKept && void submit())
}
const saveState = computed(() => {
  if (failure.value !== '') return ''
  if (busy.value) return 'saving…'
  if (Object.keys(problems.value).length > 0) return 'not saved: see the marked fields'
  return isSaved.value ? 'saved' : 'editing…'
})
const hasProblem = (...paths: string[]) =>
  Object.keys(problems.value).some((path) => paths.some((each) => path.startsWith(each)))
const covers = { core: 'core machine', ready: 'machine ready to use', everything: 'everything' }
const patiences = { patient: 'patient', typical: 'typical', hurried: 'quick' }
</script>

<template>
  <form class="max-w-[880px] space-y-6" novalidate @submit.prevent="submit">
    <FormConflict
      v-if="form.conflict.value"
      class="sticky top-0 z-10"
      :saved="form.conflict.value.saved"
      :mine="values"
      @take-saved="form.takeSaved"
      @save-over="saveOver"
    />
    <div class="space-y-3 text-[16px] leading-[2.3]">
      <p>
        I’m building <BriefBlank name="name" label="name" :width="220" /> ,
        <ChoiceField
          bare
          name="houseRules.intent"
          label="what it is built for"
          :options="intentNames"
          class="!inline-flex"
        />: <BriefBlank name="purpose" label="purpose" :width="360" placeholder="what for" />,
      </p>
      <p>
        in <BriefBlank name="region" label="region" :width="150" placeholder="region" />. Budget
        <BriefBlank name="budget" label="budget" :width="90" figures />, stretch
        <BriefBlank name="stretch" label="stretch" :width="90" figures />
        <BriefBlank name="currency" label="currency" :width="64" figures />, covering
        <ChoiceField
          bare
          name="budgetScope"
          label="what the budget covers"
          :options="covers"
          class="!inline-flex"
        />,
      </p>
      <p>
        and needed by <DayField bare name="wantedBy" label="needed by" class="!inline-flex" />. I pay the
        <ChoiceField
          bare
          name="houseRules.patience"
          label="patience"
          :options="patiences"
          class="!inline-flex"
        />
        street price. Never buy used:
        <TicksField
          name="houseRules.neverUsed"
          :options="coreRoles.map((role) => [role, roleNames[role]] as const)"
          class="text-sm"
        />
      </p>
    </div>
    <TargetTable
      :targets="values.targets"
      :workloads="workloads"
      @change="form.assign({ targets: $event })"
      @append="form.append('targets', $event)"
      @remove="form.remove('targets', $event)"
    />
    <NeedList :needs="values.needs" @change="form.assign({ needs: $event })" />
    <section class="space-y-2" aria-label="your rules">
      <h2>Your rules</h2>
      <RuleGroup
        title="Buying"
        :summary="buyingSummary(values.houseRules, values.currency)"
        :has-problem="hasProblem('houseRules.') && !hasProblem('houseRules.machine', 'houseRules.faults')"
      >
        <HouseRulesForm :currency="values.currency" />
      </RuleGroup>
      <RuleGroup
        title="The machine"
        :summary="machineSummary(values.houseRules)"
        :has-problem="hasProblem('houseRules.machine')"
      >
        <MachineRulesForm :rules="values.houseRules.machine" :currency="values.currency" />
      </RuleGroup>
      <RuleGroup
        title="Faults and 1 % lows"
        :summary="faultSummary(values.houseRules)"
        :has-problem="hasProblem('houseRules.faults', 'houseRules.lowMethod')"
      >
        <ChoiceField
          name="houseRules.lowMethod"
          label="1 % low means"
          spoken="definition of the 1 % low"
          :options="{ percentile: 'the 99th percentile', 'worst-share': 'the mean of the worst 1 %' }"
          class="w-60"
        />
        <FaultTable :currency="values.currency" />
      </RuleGroup>
    </section>
    <section class="grid grid-cols-2 gap-6 max-md:grid-cols-1">
      <TextField
        name="privateNote"
        label="private: never exported or shared"
        spoken="private note"
        :rows="3"
      />
      <TextField name="saleText" label="text for a buyer" spoken="description for a buyer" :rows="3" />
    </section>
    <div class="sticky bottom-0 flex items-center gap-3 bg-paper py-1.5">
      <slot name="actions" />
      <span class="text-soft" role="status" data-test="save-state"
        >{{ saveState }}<span v-if="failure" class="text-stop">{{ failure }}</span></span
      >
    </div>
  </form>
</template>
