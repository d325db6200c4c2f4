<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { DraftFormState } from '~/composables/useDraftForm'

/** A form on a sheet above the place: title, what is to fill in, what was refused, and the ways out. */
const {
  title,
  action,
  form,
  wide = false,
} = defineProps<{
  title: string
  action: string
  form: DraftFormState
  wide?: boolean
}>()
const emit = defineEmits<{ submit: []; close: [] }>()
defineSlots<{ before(): unknown; default(): unknown; actions(): unknown }>()
const { failure, busy, conflict } = form
</script>

<template>
  <Dialog open class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel
      class="fixed inset-x-0 top-8 mx-auto flex max-h-[92vh] max-w-[96vw] flex-col border border-ink bg-sheet"
      :class="wide ? 'w-[1000px]' : 'w-[860px]'"
    >
      <DialogTitle as="h2" class="border-b border-line px-5 py-3 !text-[15px]">{{ title }}</DialogTitle>
      <div class="min-h-0 flex-1 overflow-y-auto px-5 py-4">
        <slot name="before" />
        <form novalidate @submit.prevent="emit('submit')">
          <slot />
          <FormConflict
            v-if="conflict"
            :saved="conflict.saved"
            :mine="form.values"
            @take-saved="form.takeSaved"
            @save-over="form.saveOver"
          />
          <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
          <div class="mt-4 flex gap-3">
            <button type="submit" class="button button-main" :disabled="busy">{{ action }}</button><button
              type="button"
              class="button"
              @click="emit('close')"
            >
              Cancel
            </button>
            <slot name="actions" />
          </div>
        </form>
      </div>
    </DialogPanel>
  </Dialog>
</template>
