<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { BuildView } from '#shared/views'

/** What is still open: findings gravest first, house rules, empty roles, what cannot be checked, and what passed. */
const { view } = defineProps<{ view: BuildView }>()
const tone = { stops: 'tag-stop', needs: 'tag-waiting', costs: 'tag-waiting', hints: 'tag-info' } as const
const nothing = computed(() => view.fit.findings.length + view.fit.cannotCheck.length + view.emptyRoles.length + view.breaches.length === 0)
</script>

<template>
  <section aria-label="still open">
    <h2>Still open</h2>
    <p v-if="nothing" class="mt-1 text-settled">✓ Nothing: {{ view.fit.passed.length }} rules passed.</p>
    <div class="mt-1 grid grid-cols-2 gap-3 max-lg:grid-cols-1">
      <article v-for="finding in view.fit.findings" :key="finding.ruleId + finding.why[1].partId" class="sheet border-l-4 !border-l-stop p-3" :data-finding="finding.ruleId">
        <p><span class="tag" :class="tone[finding.severity]">{{ finding.severity }}</span> <b>{{ finding.what }}</b></p>
        <table class="ledger mt-2"><tbody><tr v-for="fact in finding.why" :key="fact.partId + fact.fact"><td>{{ fact.part }}</td><td class="text-soft">{{ fact.fact }}</td><td class="amount">{{ fact.value }}</td></tr></tbody></table>
        <ul class="mt-2"><li v-for="mend in finding.mends" :key="mend.what">→ {{ mend.what }}<span v-if="mend.leavesOpen" class="text-soft"> ({{ mend.leavesOpen }})</span></li></ul>
      </article>
      <article v-for="breach in view.breaches" :key="breach" class="sheet border-l-4 !border-l-stop p-3"><span class="tag tag-stop">rule</span> {{ breach }}</article>
      <article v-if="view.emptyRoles.length > 0" class="sheet p-3">
        <p><span class="tag tag-waiting">empty</span> <b>{{ view.emptyRoles.length }} {{ view.emptyRoles.length === 1 ? 'role' : 'roles' }} to fill</b></p>
        <p class="mt-1"><NuxtLink v-for="role in view.emptyRoles" :key="role" :to="`/b/${view.id}/leads?role=${role}`" class="mr-4 underline decoration-dotted underline-offset-2">{{ roleNames[role] }} →</NuxtLink></p>
      </article>
      <article v-for="open in view.fit.cannotCheck" :key="open.ruleId + open.what" class="sheet p-3"><span class="tag tag-waiting">not known</span> {{ open.what }}</article>
    </div>
    <p v-if="view.fit.passed.length > 0" class="mt-2 text-soft"><template v-for="rule in view.fit.passed" :key="rule.ruleId"><span class="mr-4"><span class="text-settled">✓</span> {{ rule.question }}</span></template></p>
  </section>
</template>
