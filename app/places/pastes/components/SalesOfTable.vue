<script setup lang="ts">
import type { SalesOf } from '#core/pricing/proposals/salesOf'
import { roleNames, roles, type Role } from '#core/parts/part'
import { amount } from '~/utils/show'
import { labelOfSales } from '../state/salesOfParts'

/** What sales are of, with the street price they make; what is not in the library can be made a part. */
const { sales, titles, currency } = defineProps<{
  sales: readonly SalesOf[]
  /** Of the records, in their order. */
  titles: readonly string[]
  currency: string
}>()
/** Which proposals become parts, by their place, under which role. */
const wanted = defineModel<Map<number, Role>>({ required: true })
const shownCatch = ref(-1)
function choose(index: number, role: Role | null) {
  const next = new Map(wanted.value)
  if (role === null) next.delete(index)
  else next.set(index, role)
  wanted.value = next
}
const roleOf = (index: number) => wanted.value.get(index) ?? sales[index]!.group.role ?? 'extra'
</script>

<template>
  <table class="ledger mt-1">
    <tbody>
      <template v-for="(each, index) in sales" :key="index">
        <tr>
          <td>
            <b>{{ labelOfSales(each) }}</b>
            <span class="block text-xs text-soft">{{
              each.partId ? 'in your library' : 'not in your library yet; name taken from the titles'
            }}</span>
          </td>
          <td>
            <button
              type="button"
              class="quiet-button"
              @click="shownCatch = shownCatch === index ? -1 : index"
            >
              {{ each.kept.length }} of {{ each.kept.length + each.left.length }} counted
            </button>
          </td>
          <td class="figures">
            <template v-if="each.marks"
              >patient {{ amount(each.marks.patient, currency) }} · typical
              {{ amount(each.marks.typical, currency) }} · quick
              {{ amount(each.marks.hurried, currency) }}</template
            ><template v-else>none counted</template>
          </td>
          <td class="text-right">
            <label v-if="!each.partId" class="whitespace-nowrap"
              ><input
                type="checkbox"
                :checked="wanted.has(index)"
                :aria-label="`create ${labelOfSales(each)} as a part`"
                @change="choose(index, wanted.has(index) ? null : roleOf(index))"
              />
              create part,
              <select
                class="field"
                :value="roleOf(index)"
                :aria-label="`role of ${labelOfSales(each)}`"
                @change="choose(index, ($event.target as HTMLSelectElement).value as Role)"
              >
                <option v-for="role in roles" :key="role" :value="role">{{ roleNames[role] }}</option>
              </select></label
            >
          </td>
        </tr>
        <tr v-if="shownCatch === index">
          <td colspan="4" class="text-xs text-soft">
            <span v-for="out in each.left.slice(0, 12)" :key="out.at" class="block"
              >left out: “{{ titles[out.at] }}”, {{ out.reason }}</span
            ><span v-if="each.left.length === 0">Nothing left out.</span>
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>
