<script setup lang="ts">
import { differences } from '~/utils/differences'

/** Two states of one thing: what is saved now, by another tab, and what stands in this form. The builder says which. */
const { saved, mine } = defineProps<{ saved: object; mine: object }>()
const emit = defineEmits<{ takeSaved: []; saveOver: [] }>()
const rows = computed(() => differences(saved, mine))
</script>

<template>
  <div class="mt-3 border-l-4 border-waiting bg-waiting-ground p-3" role="alert" data-test="conflict">
    <p class="font-semibold">This was changed in another tab. Nothing has been overwritten yet.</p>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>field</th>
          <th>saved value</th>
          <th>your value</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.path">
          <td>{{ row.path }}</td>
          <td>{{ row.saved }}</td>
          <td>{{ row.mine }}</td>
        </tr>
      </tbody>
    </table>
    <div class="mt-2 flex gap-2">
      <button type="button" class="button" @click="emit('takeSaved')">Keep the saved value</button
      ><button type="button" class="button" @click="emit('saveOver')">Overwrite with mine</button>
    </div>
  </div>
</template>
