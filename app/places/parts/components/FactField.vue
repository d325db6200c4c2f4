<script setup lang="ts">
import { factKinds } from '#core/parts/facts'
import type { PartFacts } from '#core/parts/part'

/** One fact of a part, by its kind; an empty field is a fact not known. */
const { fact } = defineProps<{ fact: keyof PartFacts }>()
const kind = computed(() => factKinds[fact])
const bound = computed(() => ({
  name: `facts.${fact}`,
  label: kind.value.unit ? `${kind.value.name}, ${kind.value.unit}` : kind.value.name,
  spoken: kind.value.name,
  placeholder: 'not known',
  absent: true,
}))
</script>

<template>
  <YesNoField v-if="kind.kind === 'yes-no'" v-bind="bound" />
  <ChoiceField
    v-else-if="kind.kind === 'choice'"
    v-bind="bound"
    none="not known"
    :options="kind.choices ?? []"
  />
  <ListField v-else-if="kind.kind === 'texts'" v-bind="bound" />
  <NumberField v-else-if="kind.kind === 'number' || kind.kind === 'whole'" v-bind="bound" />
  <TextField v-else v-bind="bound" />
</template>
