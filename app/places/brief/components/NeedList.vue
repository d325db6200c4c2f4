<script setup lang="ts">
import { needNames, needs as allNeeds, type Need } from '#core/parts/part'
import type { BriefInput } from '#shared/brief/schemas'

/** What it takes besides the machine to be used, each with the price the builder expects. */
const { needs } = defineProps<{ needs: BriefInput['needs'] }>()
const emit = defineEmits<{ change: [needs: BriefInput['needs']] }>()
const at = (need: Need) => needs.findIndex((each) => each.need === need)
const toggle = (need: Need) =>
  emit('change', at(need) < 0 ? [...needs, { need, price: '' }] : needs.filter((each) => each.need !== need))
</script>

<template>
  <section>
    <h2>Also needed to use it</h2>
    <div class="mt-1 flex flex-wrap gap-x-6 gap-y-2">
      <span v-for="need in allNeeds" :key="need" class="inline-flex items-start gap-2">
        <label class="inline-flex items-center gap-2 pt-1"
          ><input type="checkbox" :checked="at(need) >= 0" @change="toggle(need)" />{{
            needNames[need]
          }}</label
        >
        <MoneyField
          v-if="at(need) >= 0"
          bare
          :name="`needs[${at(need)}].price`"
          :label="`price of ${needNames[need]}`"
          placeholder="price"
          class="w-20"
        />
      </span>
    </div>
  </section>
</template>
