<script setup lang="ts">
import { machineRulesSchema } from '#shared/brief/schemas'
import { defaultAnswerDays } from '#core/supply/risk/silence'
import type { BriefInput } from '#shared/brief/schemas'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

const { data: library } = useCall('GET /api/library')
const session = useSession()
const initial: BriefInput = {
  name: '',
  purpose: '',
  currency: session.view?.homeCurrency ?? '',
  region: '',
  budget: '',
  stretch: '',
  budgetScope: 'everything',
  wantedBy: null,
  houseRules: {
    intent: 'keep',
    neverUsed: ['supply'],
    patience: 'typical',
    mostFault: null,
    answerDays: defaultAnswerDays,
    perKm: '0',
    perHour: '0',
    pickupKm: null,
    lowMethod: 'percentile' as const,
    machine: machineRulesSchema.getDefault() as BriefInput['houseRules']['machine'],
  },
  privateNote: '',
  saleText: '',
  needs: [],
  targets: [],
}

async function create(brief: BriefInput) {
  const { id } = await call('POST /api/builds', {}, brief)
  await navigateTo(`/b/${id}/prices`)
}
usePlace('new')
</script>

<template>
  <main class="mx-auto h-full max-w-[1000px] overflow-y-auto px-6 py-6">
    <h1 class="mb-4">New build</h1>
    <BriefForm
      v-if="library"
      storage-key="tarvin-new-brief"
      :initial="initial"
      :workloads="library.workloads"
      :save="create"
      :autosave="false"
    >
      <template #actions><button type="submit" class="button button-main">Create the build</button></template>
    </BriefForm>
  </main>
</template>
