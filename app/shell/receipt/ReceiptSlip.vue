<script setup lang="ts">
import type { ReceiptLine } from '#core/ledger/receipt'
import { scopeNames } from '#core/ledger/scopes'
import { roleNames } from '#core/parts/part'
import { huntsWorking, lineWorking, scopeWorking } from '~/workings/receiptWorkings'
import { amount, percent, shortDate } from '~/utils/show'

/** The receipt unrolled: a paper slip, one line a thing, grouped paid · to buy · owned · to come back. */
const build = useBuild()
const receipt = computed(() => build.view!.receipt)
const groups = computed(() =>
  [
    { title: 'paid', lines: receipt.value.groups.paid },
    { title: 'to buy', lines: receipt.value.groups.toBuy.filter(({ id }) => !inCart.value.has(id)) },
    { title: 'owned', lines: receipt.value.groups.owned },
  ].filter((group) => group.lines.length > 0),
)
/** Orders that can be held against the shop's cart: wholly of this build, in its currency, with more than prices in them. */
const carts = computed(() =>
  build
    .view!.carts.filter(
      ({ currency, lines, steps }) =>
        currency === receipt.value.currency && steps.length > 0 && lines.every(({ isOwn }) => isOwn),
    )
    .map((cart) => ({
      ...cart,
      lines: cart.lines.flatMap(({ choiceId, price }) => {
        const line = receipt.value.groups.toBuy.find(({ id }) => id === choiceId)
        return line ? [{ line, price }] : []
      }),
    })),
)
const inCart = computed(() => new Set(carts.value.flatMap(({ lines }) => lines.map(({ line }) => line.id))))
const mark: Readonly<Record<ReceiptLine['kind'], string>> = {
  paid: '■',
  lead: '◧',
  street: '◇',
  assumed: '?',
  owned: '○',
}
const markWord: Readonly<Record<ReceiptLine['kind'], string>> = {
  paid: 'paid',
  lead: 'asking price',
  street: 'hunt at street price',
  assumed: 'assumed',
  owned: 'owned',
}
const lines = computed(() => {
  const { paid, toBuy, owned } = receipt.value.groups
  return [...paid, ...toBuy, ...owned]
})
const working = (id: string) =>
  lineWorking(
    build.view!,
    lines.value.find((line) => line.id === id)!,
  )
</script>

<template>
  <aside
    class="slip figures flex w-[360px] shrink-0 flex-col overflow-y-auto bg-sheet px-4 pt-3 pb-6 text-[12.5px]"
    aria-label="receipt"
  >
    <div class="border-b border-dashed border-soft pb-2 text-center">
      <div class="font-semibold">{{ build.view!.name }}</div>
      <div class="text-soft">{{ build.view!.today }} · {{ receipt.currency }}</div>
    </div>
    <section v-for="group in groups" :key="group.title" class="border-b border-dashed border-soft py-2">
      <h2 class="text-soft">{{ group.title }}</h2>
      <div v-for="line in group.lines" :key="line.id" class="flex items-baseline gap-2 py-0.5">
        <span :title="markWord[line.kind]" :aria-label="markWord[line.kind]">{{ mark[line.kind] }}</span>
        <span class="min-w-0 flex-1 truncate" :title="line.label">{{ line.label }}</span>
        <span v-if="line.scope !== 'core'" class="text-[10px] text-soft">{{ line.scope }}</span>
        <TheFigure :text="amount(line.payNow, receipt.currency)" :working="() => working(line.id)" />
      </div>
    </section>
    <section
      v-for="(cart, index) in carts"
      :key="`${cart.source} ${index}`"
      class="border-b border-dashed border-soft py-2"
      :aria-label="`order from ${cart.source}`"
    >
      <h2 class="text-soft">order from {{ cart.source }}</h2>
      <div v-for="{ line, price } in cart.lines" :key="line.id" class="flex items-baseline gap-2 py-0.5">
        <span :title="markWord[line.kind]" :aria-label="markWord[line.kind]">{{ mark[line.kind] }}</span>
        <span class="min-w-0 flex-1 truncate" :title="line.label">{{ line.label }}</span>
        <TheFigure :text="amount(price, receipt.currency)" :working="() => working(line.id)" />
      </div>
      <div v-for="step in cart.steps" :key="step.label" class="flex justify-between py-0.5 text-soft">
        <span class="min-w-0 truncate pl-5">{{ step.label }}</span><span>{{
          amount(step.amount, receipt.currency)
        }}</span>
      </div>
      <div class="flex justify-between py-0.5 font-semibold">
        <span class="pl-5">cart total</span
        ><span data-figure="cart">{{ amount(cart.total, receipt.currency) }}</span>
      </div>
    </section>
    <section v-if="build.view!.hunts" class="border-b border-dashed border-soft py-2">
      <h2 class="text-soft">
        {{ build.view!.hunts.count }} {{ build.view!.hunts.count === 1 ? 'hunt' : 'hunts' }} open
      </h2>
      <div class="flex justify-between py-0.5">
        <span
          >chance of all{{
            build.view!.hunts.days === null ? '' : ` by ${shortDate(build.view!.wantedBy!)}`
          }}</span
        ><TheFigure
          :text="
            build.view!.hunts.chanceByDate === null ? 'no date set' : percent(build.view!.hunts.chanceByDate)
          "
          :working="() => huntsWorking(build.view!)"
          data-figure="hunts"
        />
      </div>
      <div class="flex justify-between py-0.5">
        <span>8 of 10 times within</span
        ><span>{{
          build.view!.hunts.daysForMost === null
            ? 'no sale that cheap'
            : `${Math.ceil(build.view!.hunts.daysForMost)} days`
        }}</span>
      </div>
      <p v-if="build.view!.hunts.uncounted.length > 0" class="pl-5 text-xs text-soft" data-test="uncounted">
        {{ build.view!.hunts.uncounted.join(', ') }} not counted: no offer at that price
      </p>
    </section>
    <section v-if="build.view!.emptyRoles.length > 0" class="border-b border-dashed border-soft py-2">
      <h2 class="text-soft">missing</h2>
      <NuxtLink
        v-for="role in build.view!.emptyRoles"
        :key="role"
        :to="`/b/${build.view!.id}/leads?role=${role}`"
        class="block py-0.5 text-waiting underline decoration-dotted underline-offset-2"
        >no {{ roleNames[role] }} yet →</NuxtLink
      >
    </section>
    <section v-if="receipt.groups.toComeBack.length > 0" class="border-b border-dashed border-soft py-2">
      <h2 class="text-soft">rebates to claim</h2>
      <div v-for="line in receipt.groups.toComeBack" :key="line.id" class="flex justify-between py-0.5">
        <span class="truncate">{{ line.label }}</span><TheFigure
          :text="`−${amount(line.amount, receipt.currency)}`"
          :working="() => working(line.id)"
        />
      </div>
    </section>
    <table class="mt-2 w-full">
      <thead>
        <tr class="text-soft">
          <th class="text-left font-normal">up to</th>
          <th class="text-right font-normal">total</th>
          <th class="text-right font-normal">expected total</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in receipt.byScope" :key="each.scope">
          <td>{{ scopeNames[each.scope] }}</td>
          <td class="text-right">
            <TheFigure
              strong
              :text="amount(each.totals.payNow, receipt.currency)"
              :working="() => scopeWorking(receipt, each.scope, 'payNow')"
            />
          </td>
          <td class="text-right">
            <TheFigure
              :text="amount(each.totals.expected, receipt.currency)"
              :working="() => scopeWorking(receipt, each.scope, 'expected')"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-3 text-[11px] text-soft">■ paid ◧ asking price ◇ hunt ○ owned</p>
  </aside>
</template>

<style scoped>
.slip {
  border-left: 1px solid var(--line);
  --tooth: 6px;
  mask: conic-gradient(from -45deg at bottom, #0000, #000 1deg 89deg, #0000 90deg) 50% 100% /
    calc(2 * var(--tooth)) 100%;
}
</style>
