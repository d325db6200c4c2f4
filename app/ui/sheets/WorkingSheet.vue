<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { figureKinds } from '~/workings/working'

const sheet = useWorkingSheet()
</script>

<template>
  <Dialog :open="sheet.working !== null" class="relative z-40" @close="sheet.close()">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel
      v-if="sheet.working"
      class="fixed inset-y-0 right-0 flex w-full max-w-[460px] flex-col border-l border-ink bg-sheet"
    >
      <div class="flex items-start justify-between gap-3 border-b border-line px-5 py-4">
        <div>
          <DialogTitle as="h2" class="!text-[15px]">{{ sheet.working.title }}</DialogTitle>
          <p class="figures mt-1 text-xl font-semibold">{{ sheet.working.result }}</p>
        </div>
        <button type="button" class="button !p-1" aria-label="close the working" @click="sheet.close()">
          <X :size="16" />
        </button>
      </div>
      <div class="flex-1 overflow-y-auto px-5 py-4">
        <p class="text-[15px] leading-relaxed">{{ sheet.working.formula }}.</p>
        <table v-if="sheet.working.lines.length > 0" class="ledger mt-4">
          <thead>
            <tr>
              <th>from</th>
              <th>source</th>
              <th class="!text-right">figure</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(line, index) in sheet.working.lines" :key="index">
              <td>
                {{ line.label }}<span v-if="line.note" class="block text-xs text-soft">{{ line.note }}</span>
              </td>
              <td class="text-xs whitespace-nowrap text-soft">{{ figureKinds[line.kind] }}</td>
              <td class="amount">{{ line.value }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="sheet.working.change" class="mt-4 text-soft">{{ sheet.working.change }}</p>
      </div>
    </DialogPanel>
  </Dialog>
</template>
