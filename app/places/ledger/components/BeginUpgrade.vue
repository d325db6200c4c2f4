<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import { request } from '~/utils/request'

/** A new build that begins with this machine: its things are handed over for no cash. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const session = useSession()
const { run, busy } = useAction()
const isOpen = ref(false)
const wanted = ref({ name: `${build.view!.name}, upgraded`, budget: '' })
const begin = () =>
  run(async () => {
    const { id } = await request<{ id: string }>(`/api/builds/${build.view!.id}/ledger/upgrade`, {
      method: 'POST',
      body: { ...wanted.value, day: build.view!.today },
    })
    await session.load()
    await navigateTo(`/b/${id}/plan`)
  })
</script>

<template>
  <button
    v-if="!isOpen"
    type="button"
    class="quiet-button mt-2"
    :disabled="ledger.items.every(({ place }) => place !== 'build')"
    @click="isOpen = true"
  >
    begin an upgrade with it…
  </button>
  <form v-else class="mt-3 flex flex-wrap items-end gap-2" @submit.prevent="begin">
    <label class="text-xs text-soft"
      >the upgrade is called
      <input v-model="wanted.name" class="field block w-60" aria-label="name of the upgrade" /></label
    ><label class="text-xs text-soft"
      >to spend
      <input
        v-model="wanted.budget"
        class="field figures block w-28"
        inputmode="decimal"
        aria-label="budget of the upgrade" /></label
    ><button type="submit" class="button button-main" :disabled="busy || wanted.budget.trim() === ''">
      Begin it
    </button>
    <p class="basis-full text-xs text-soft">
      All that is in it goes over for no cash, at what is left of its cost; this build is then apart.
    </p>
  </form>
</template>
