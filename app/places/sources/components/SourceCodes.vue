<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { SourceCode } from '#shared/sources/schemas'

/** Codes that count for all a source sells: public ones, and your own. */
const { codes } = defineProps<{ codes: readonly SourceCode[] }>()
const emit = defineEmits<{ append: [code: SourceCode]; remove: [index: number] }>()
const blank: SourceCode = {
  word: '',
  kind: 'percent',
  value: '10',
  minSpend: null,
  validFrom: null,
  validUntil: null,
  once: false,
  cap: null,
  stackable: true,
  role: null,
  isPublic: true,
  usedOn: null,
}
const said = (index: number, what: string) => `${what}, code ${index + 1}`
</script>

<template>
  <fieldset>
    <legend class="text-xs text-soft">codes for everything it sells</legend>
    <div v-for="(_, index) in codes" :key="index" class="mt-1 flex flex-wrap items-start gap-x-2 gap-y-1">
      <TextField :name="`codes[${index}].word`" label="code" :spoken="said(index, 'code')" class="w-24" />
      <ChoiceField
        :name="`codes[${index}].kind`"
        label="discount type"
        :spoken="said(index, 'discount type')"
        :options="['percent', 'fixed']"
      />
      <MoneyField :name="`codes[${index}].value`" label="value" :spoken="said(index, 'value')" class="w-20" />
      <MoneyField
        :name="`codes[${index}].minSpend`"
        optional
        label="minimum spend"
        :spoken="said(index, 'minimum spend')"
        placeholder="any"
        class="w-28"
      />
      <MoneyField
        :name="`codes[${index}].cap`"
        optional
        label="maximum discount"
        :spoken="said(index, 'maximum discount')"
        placeholder="any"
        class="w-20"
      />
      <DayField :name="`codes[${index}].validFrom`" label="from" :spoken="said(index, 'from')" class="w-32" />
      <DayField
        :name="`codes[${index}].validUntil`"
        label="until"
        :spoken="said(index, 'until')"
        class="w-32"
      />
      <ChoiceField
        :name="`codes[${index}].role`"
        label="applies to"
        :spoken="said(index, 'applies to')"
        none="the order"
        :options="roleNames"
      />
      <TickField :name="`codes[${index}].stackable`" label="combinable" class="pt-5" />
      <TickField :name="`codes[${index}].isPublic`" label="public" class="pt-5" />
      <TickField :name="`codes[${index}].once`" label="single use" class="pt-5" />
      <button
        type="button"
        class="quiet-button mt-5"
        :aria-label="`remove code ${index + 1}`"
        @click="emit('remove', index)"
      >
        remove
      </button>
    </div>
    <button type="button" class="quiet-button mt-1" @click="emit('append', { ...blank })">add a code</button>
  </fieldset>
</template>
