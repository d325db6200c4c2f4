<script setup lang="ts">
import type { BriefInput } from '#shared/brief/schemas'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** Brief: what is it for, what may it cost, what must it reach? */
const build = useBuild()
const id = build.view!.id
const { data: initial } = useCall('GET /api/builds/:id/brief', () => ({ id }))

usePlace('brief')
async function save(brief: BriefInput, was: string | undefined) {
  let tag: string | undefined
  build.named('brief')
  await call('PUT /api/builds/:id/brief', { id }, brief, { was, onTag: (saved) => (tag = saved) })
  return tag
}
</script>

<template>
  <div class="px-6 py-4">
    <h1 class="mb-4">Brief</h1>
    <BudgetBuys class="mb-4" :view="build.view!" />
    <BriefForm
      v-if="initial"
      :storage-key="`tarvin-brief-${id}`"
      :initial="initial"
      :workloads="build.view!.workloads"
      :save="save"
    />
  </div>
</template>
