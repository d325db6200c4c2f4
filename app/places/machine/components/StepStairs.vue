<script setup lang="ts">
import { roleNames, type Role } from '#core/parts/part'
import { indexUnit } from '#core/parts/indexOfPart'
import type { BuildView } from '#shared/builds/views'
import type { StepView } from '#shared/machine/views'
import type { Tread } from '~/ui/charts/stairs'
import { stepWorking } from '~/workings/machineWorkings'
import { call } from '~/data/call'
import { amount, signedAmount, signedPercent } from '~/utils/show'
import { useCall } from '~/data/useCall'

/**
 * Steps up for a role as a staircase: the tread is money added, the rise frames gained in the brief's targets, or the
 * role's own measure.
 */
const { view } = defineProps<{ view: BuildView }>()
const build = useBuild()
const { run } = useAction()
const { data: steps } = useCall('GET /api/builds/:id/machine/steps', () => ({ id: view.id }))
const role = useRouteState('role', 'graphics')
const shown = computed(
  () => steps.value?.roles.find((each) => each.role === role.value) ?? steps.value?.roles[0],
)
const gainOf = (step: StepView) => step.framesChange ?? step.worthChange ?? null
const treads = computed<Tread[]>(() =>
  (shown.value?.steps ?? []).map((step) => ({
    id: step.id,
    at: step.more,
    rise: gainOf(step) ?? 0,
    label: step.name.replace(/^\S+ /, ''),
    foot: signedAmount(step.more, view.currency),
    told: `${step.name}: ${words(step)}`,
    look: step.worthIt ? 'good' : 'doubtful',
  })),
)
const isOver = computed(() => view.receipt.left !== null && view.receipt.left < 0)
/** Takes a way in place of what is in the build. */
function take(step: StepView) {
  const out = view.parts.find((part) => part.role === shown.value!.role)?.id ?? null
  let done = 0
  return run(
    async () => {
      build.named(step.name)
      const told = { onAction: (action: number) => (done = action) }
      await call('POST /api/builds/:id/machine/swap', { id: view.id }, { way: step.id, out }, told)
    },
    { message: `${step.name} added`, undo: () => build.undo(done, step.name) },
  )
}
const words = (step: StepView) => {
  const gain =
    step.framesChange !== null
      ? `${signedPercent(100 * step.framesChange)} fps in your targets`
      : step.worthChange === null
        ? ''
        : `${signedPercent(100 * step.worthChange)} ${indexUnit(shown.value!.role)}`
  return `${signedAmount(step.more, view.currency)}${gain ? ` for ${gain}` : ''}`
}
</script>

<template>
  <section aria-label="upgrades">
    <div v-if="isOver" class="mb-4 border-l-4 border-stop bg-stop-ground p-3" data-test="over-budget">
      <p class="mb-2">
        <b>{{ amount(-view.receipt.left!, view.currency) }} over the budget.</b>
      </p>
      <BudgetBuys :view="view" />
    </div>
    <div class="mb-2 flex flex-wrap items-center gap-2">
      <h2>Upgrades</h2>
      <button
        v-for="each in steps?.roles"
        :key="each.role"
        type="button"
        class="button !py-0.5"
        :class="{ 'button-main': each.role === shown?.role }"
        :aria-pressed="each.role === shown?.role"
        @click="role = each.role"
      >
        {{ roleNames[each.role as Role] }}
        <span class="figures text-xs">{{ each.steps.length }}</span></button
      ><span class="ml-auto text-soft">{{
        !steps
          ? ''
          : steps.left === null
            ? 'what is left is not known'
            : `${amount(steps.left, view.currency)} left`
      }}</span>
    </div>
    <p v-if="!steps" class="text-soft" role="status">Finding upgrades…</p>
    <template v-else-if="shown">
      <p v-if="shown.present" class="text-soft">
        Now: {{ shown.present.name }},
        <span class="figures">{{ amount(shown.present.cost, view.currency) }}</span>
        {{ shown.present.choiceId ? 'as chosen' : 'resale value' }}.
      </p>
      <p v-if="shown.steps.length === 0" class="mt-2">
        No upgrade fits{{
          steps.left === null ? '' : ` and costs at most ${amount(steps.left, view.currency)}`
        }}.
      </p>
      <p v-if="shown.noPrice.length > 0" class="mt-1 text-waiting">
        No price known: {{ shown.noPrice.slice(0, 5).join(', ')
        }}{{ shown.noPrice.length > 5 ? ` and ${shown.noPrice.length - 5} more` : '' }}.
      </p>
      <p v-if="shown.notRanked.length > 0" class="mt-1 text-waiting">
        Not ranked, no {{ indexUnit(shown.role) }} known: {{ shown.notRanked.slice(0, 5).join(', ')
        }}{{ shown.notRanked.length > 5 ? ` and ${shown.notRanked.length - 5} more` : '' }}.
      </p>
      <figure v-if="shown.steps.length > 0">
        <StairFigure :treads="treads" :height="190" />
        <figcaption class="text-xs text-soft">
          Across: money added. Up:
          {{
            shown.steps.some((step) => step.framesChange !== null)
              ? 'fps gained in your targets'
              : `${indexUnit(shown.role)} gained`
          }}. Dashed: gains less than {{ steps.threshold }} % per 10 spent, not worth it.
        </figcaption>
        <table class="ledger mt-2">
          <thead>
            <tr>
              <th>part</th>
              <th class="!text-right">cost, {{ view.currency }}</th>
              <th class="!text-right">total</th>
              <th class="!text-right">expected total</th>
              <th class="!text-right">gain</th>
              <th><span class="sr-only">take it</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="step in shown.steps" :key="step.id">
              <td>
                {{ step.name }}
                <span class="tag" :class="step.worthIt ? 'tag-settled' : ''">{{
                  step.worthIt ? 'worth it' : 'not worth it'
                }}</span><span class="block text-xs text-soft">{{ step.how }}</span>
              </td>
              <td class="amount">{{ amount(step.payNow, view.currency) }}</td>
              <td class="amount">{{ signedAmount(step.morePayNow, view.currency) }}</td>
              <td class="amount">
                <TheFigure
                  :text="signedAmount(step.more, view.currency)"
                  :working="() => stepWorking(step, shown!, view.currency)"
                />
              </td>
              <td class="amount">{{ gainOf(step) === null ? '—' : signedPercent(100 * gainOf(step)!) }}</td>
              <td class="text-right">
                <button
                  type="button"
                  class="button !py-0.5"
                  :aria-label="`take ${step.name}`"
                  @click="take(step)"
                >
                  take it
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </figure>
      <CarryLeaf v-if="shown.role === 'graphics' && shown.steps.length > 0" :view="view" :steps="shown" />
    </template>
  </section>
</template>
