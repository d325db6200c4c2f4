<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import { call } from '~/data/call'

/** A new build that begins with this machine: its things are handed over for no cash. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const { run, busy } = useAction()
const isOpen = ref(false)
const wanted = ref({ name: `${build.view!.name}, upgraded`, budget: '' })
const begin = () =>
  run(async () => {
    const { id } = await call(
      'POST /api/builds/:id/ledger/upgrade',
      { id: build.view!.id },
      { ...wanted.value, day: build.view!.today },
    )
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
    start an upgrade from it…
  </button>
  <form v-else class="mt-3 flex flex-wrap items-end gap-2" @submit.prevent="begin">
    <label class="text-xs text-soft"
      >name of the upgrade
      <input v-model="wanted.name" class="field block w-60" aria-label="name of the upgrade" /></label
    ><label class="text-xs text-soft"
      >budget
      <input
        v-model="wanted.budget"
        class="field figures block w-28"
        inputmode="decimal"
        aria-label="budget of the upgrade" /></label
    ><button type="submit" class="button button-main" :disabled="busy || wanted.budget.trim() === ''">
      Start
    </button>
    <p class="basis-full text-xs text-soft">
      All its parts move over for no cash, at their remaining cost; this build is then parted out.
    </p>
  </form>
</template>
