<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import { isCurrency } from '#core/money/currencies'
import { conditions } from '#core/reading/sales/soldRecord'
import { roleNames, roles } from '#core/parts/part'
import { moneyGroup } from '#core/assumptions/money'
import { moneySize } from '#core/assumptions/moneySize'
import { faultDefaults, faultSignNames, faultSigns, protections } from '#core/supply/risk/faultRisk'
import type { BriefInput } from '#shared/brief/schemas'

/** The table behind fault loss: every default beside the builder's own figure, which may be left empty. */
const { currency } = defineProps<{ currency: string }>()
const { value: faults, problem } = useBoundField<BriefInput['houseRules']['faults']>(
  () => 'houseRules.faults',
)
type Group = 'used' | 'byCondition' | 'bySign' | 'recovered'
const groups = [
  {
    group: 'used' as Group,
    title: 'fault risk, used',
    keys: roles as readonly string[],
    name: (key: string) => roleNames[key as keyof typeof roleNames],
  },
  {
    group: 'byCondition' as Group,
    title: 'multiplier by condition',
    keys: conditions as readonly string[],
    name: (key: string) => key,
  },
  {
    group: 'bySign' as Group,
    title: 'multiplier by warning sign',
    keys: faultSigns as readonly string[],
    name: (key: string) => faultSignNames[key as keyof typeof faultSignNames],
  },
  {
    group: 'recovered' as Group,
    title: 'share recovered, by protection',
    keys: protections as readonly string[],
    name: (key: string) => key,
  },
]
const defaultOf = (group: Group, key: string) => (faultDefaults[group] as Record<string, number>)[key]!
const ownOf = (group: Group, key: string) =>
  (faults.value?.[group] as Record<string, number> | undefined)?.[key]
function set(group: Group, key: string, text: string) {
  const own = { ...(faults.value?.[group] as Record<string, number> | undefined) }
  if (text.trim() === '') Reflect.deleteProperty(own, key)
  else own[key] = Number(text)
  faults.value = { ...faults.value, [group]: own } as never
}
function setHassle(text: string) {
  faults.value = { ...faults.value, hassle: text.trim() === '' ? undefined : text.trim() } as never
}
const changed = computed(() =>
  groups.reduce(
    (sum, { group, keys }) => sum + keys.filter((key) => ownOf(group, key) !== undefined).length,
    faults.value?.hassle === undefined ? 0 : 1,
  ),
)
</script>

<template>
  <details class="mt-2">
    <summary class="cursor-pointer">
      Fault table
      <span class="text-soft">{{
        changed === 0 ? 'defaults' : `${changed} figure${changed === 1 ? '' : 's'} changed by you`
      }}</span>
    </summary>
    <p v-if="problem" class="text-xs text-stop" role="alert">{{ problem }}</p>
    <div class="mt-2 flex flex-wrap gap-x-8 gap-y-3">
      <table v-for="{ group, title, keys, name } in groups" :key="group" class="ledger !w-auto self-start">
        <thead>
          <tr>
            <th>{{ title }}</th>
            <th class="!text-right">default</th>
            <th>yours</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="key in keys" :key="key">
            <td>{{ name(key) }}</td>
            <td class="amount text-soft">{{ defaultOf(group, key) }}</td>
            <td>
              <input
                :value="ownOf(group, key) ?? ''"
                type="number"
                step="any"
                min="0"
                class="field figures w-20"
                :aria-label="`${title}: ${name(key)}`"
                @change="set(group, key, ($event.target as HTMLInputElement).value)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <label class="self-start"
        >cost of hassle per fault
        <span v-if="isCurrency(currency)" class="figures text-soft">{{
          toDecimal(moneyGroup.hassle.size * moneySize(currency), currency)
        }}</span>
        <input
          :value="faults?.hassle ?? ''"
          class="field figures w-24"
          inputmode="decimal"
          aria-label="cost of hassle per fault"
          @change="setHassle(($event.target as HTMLInputElement).value)"
      /></label>
    </div>
  </details>
</template>
