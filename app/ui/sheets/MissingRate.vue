<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** A rate that is missing, asked for where it is missed. */
const sheet = useMissingRate()
const session = useSession()
const emit = defineEmits<{ saved: [] }>()
function saved() {
  sheet.close()
  emit('saved')
}
</script>

<template>
  <Dialog :open="sheet.pair !== null" class="relative z-40" @close="sheet.close()">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel class="fixed inset-x-0 top-24 mx-auto w-[640px] max-w-[96vw] border border-ink bg-sheet p-4">
      <DialogTitle as="h2">What is the exchange rate?</DialogTitle>
      <p class="mb-2 text-soft">
        The last rate on or before each date counts. Amounts already paid keep the rate they were booked at.
      </p>
      <RateForm
        v-if="sheet.pair"
        :from="sheet.pair.from"
        :to="sheet.pair.to"
        :today="session.view!.today"
        @saved="saved"
      />
    </DialogPanel>
  </Dialog>
</template>
