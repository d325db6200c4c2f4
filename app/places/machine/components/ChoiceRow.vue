<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import { scopeNames, scopes, type Scope } from '#core/ledger/scopes'
import type { BuildView } from '#shared/builds/views'
import type { ChoiceView } from '#shared/machine/views'
import { choiceWorking } from '~/workings/receiptWorkings'
import { amount } from '~/utils/show'

/** One chosen thing: its scope, its reason, its money. */
const { choice, view } = defineProps<{ choice: ChoiceView; view: BuildView }>()
const build = useBuild()
const { run } = useAction()
const reason = ref(choice.reason)
watch(
  () => choice.reason,
  (next) => (reason.value = next),
)
const value = <T extends string>(event: Event) => (event.target as HTMLInputElement).value as T
const saveReason = () =>
  reason.value !== choice.reason &&
  run(() => build.changeChoice(choice.id, { reason: reason.value }, choice.label))
const takeOut = () =>
  run(() => build.takeOut(choice.id, choice.label), {
    message: choice.kind === 'item' ? `${choice.label} moved to the shelf` : `${choice.label} removed`,
    undo: () =>
      choice.kind === 'item' && !choice.isInherited
        ? build.choose({ kind: 'owned', shelfId: choice.id, scope: choice.scope }, choice.label)
        : build.putBack(choice.id, choice.label),
  })
/** Paid as it stands here; its order, and what comes after, are in the Ledger. */
const pay = () =>
  run(() => build.pay(choice.id, choice.payNow!, choice.label), {
    message: `${choice.label} paid and booked in the ledger`,
  })
const wait = computed(() =>
  choice.kind !== 'hunt'
    ? ''
    : choice.expectedWait === null
      ? ', no sale seen at that price'
      : choice.expectedWait === 0
        ? ', a shop sells it for that'
        : `, about ${Math.ceil(choice.expectedWait)} days`,
)
</script>

<template>
  <tr>
    <td class="min-w-44">
      <b class="font-medium">{{ choice.label }}</b>
      <span v-if="choice.paidOn" class="tag tag-settled">paid</span>
      <span v-if="choice.item?.place === 'ordered'" class="tag tag-info">ordered</span>
      <span v-if="choice.item?.place === 'returning'" class="tag tag-waiting">being returned</span>
      <span v-if="choice.item?.state === 'dead'" class="tag tag-stop">dead</span>
      <span v-if="choice.voidBecause" class="tag tag-stop">void</span>
      <span
        v-if="choice.isInherited"
        class="tag tag-info"
        title="same as in the original build; a change here affects this variant only"
        >shared</span
      >
      <span class="block text-xs text-soft"
        >{{ choice.roles.map((role) => roleNames[role]).join(', ') }} ·
        <NuxtLink
          v-if="choice.leadId"
          :to="`/b/${view.id}/leads?lead=${choice.leadId}`"
          class="underline decoration-dotted"
          >{{ choice.source }}</NuxtLink><template v-else>{{ choice.source }}{{ wait }}</template></span
      >
      <select
        v-if="choice.kind === 'hunt'"
        class="field mt-0.5 !min-h-0 !py-0 text-xs"
        :value="choice.huntCondition ?? ''"
        :aria-label="`used or new ${choice.label}`"
        @change="
          run(() =>
            build.changeChoice(
              choice.id,
              { condition: value<'used' | 'new' | ''>($event) || null },
              choice.label,
            ),
          )
        "
      >
        <option value="">used or new</option>
        <option value="used">used</option>
        <option value="new">new</option>
      </select>
      <span v-if="choice.leftOut.length > 0" class="block text-xs text-waiting"
        >not installed:
        {{
          choice.parts
            .filter((part) => choice.leftOut.includes(part.id))
            .map((part) => part.name)
            .join(', ')
        }}
        <button
          type="button"
          class="quiet-button"
          @click="run(() => build.changeChoice(choice.id, { leftOut: [] }, choice.label))"
        >
          install
        </button></span
      >
    </td>
    <td>
      <select
        class="field !min-h-0 w-[124px] !py-0.5"
        :value="choice.scope"
        :aria-label="`scope of ${choice.label}`"
        @change="run(() => build.changeChoice(choice.id, { scope: value<Scope>($event) }, choice.label))"
      >
        <option v-for="scope in scopes" :key="scope" :value="scope">{{ scopeNames[scope] }}</option>
      </select>
    </td>
    <td>
      <input
        v-model="reason"
        class="field !min-h-0 w-full min-w-32 !py-0.5"
        placeholder="reason"
        :aria-label="`reason for ${choice.label}`"
        @change="saveReason"
      />
    </td>
    <td class="amount">
      <TheFigure :text="amount(choice.payNow, view.currency)" :working="() => choiceWorking(view, choice)" />
    </td>
    <td class="amount text-soft">
      <TheFigure
        :text="amount(choice.anyoneCanPay, view.currency)"
        :working="() => choiceWorking(view, choice)"
      />
    </td>
    <td class="whitespace-nowrap">
      <button
        v-if="choice.kind !== 'item' && !choice.isInherited && !choice.voidBecause && choice.payNow !== null"
        type="button"
        class="quiet-button mr-2"
        @click="pay"
      >
        paid</button
      ><button
        v-if="choice.item?.place !== 'ordered' && choice.item?.place !== 'returning'"
        type="button"
        class="quiet-button"
        @click="takeOut"
      >
        {{ choice.kind === 'item' ? 'to the shelf' : 'remove' }}
      </button>
    </td>
  </tr>
</template>
