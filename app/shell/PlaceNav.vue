<script setup lang="ts">
/** The places of a build in the order of the work, each with what is open in it. */
const build = useBuild()
const view = computed(() => build.view!)
const places = computed(() => {
  const stops = view.value.fit.findings.length + view.value.breaches.length
  const missed = view.value.targets.filter((target) => target.verdict === 'missed').length
  return [
    {
      path: 'brief',
      name: 'Brief',
      note: view.value.targets.length === 0 ? 'no targets' : '',
      tone: 'text-waiting',
    },
    { path: 'prices', name: 'Prices', note: '', tone: '' },
    { path: 'leads', name: 'Leads', note: '', tone: '' },
    {
      path: 'machine',
      name: 'Machine',
      note:
        stops > 0
          ? `${stops} to fix`
          : view.value.emptyRoles.length > 0
            ? `${view.value.emptyRoles.length} missing`
            : '',
      tone: stops > 0 ? 'text-stop' : 'text-waiting',
    },
    { path: 'bench', name: 'Bench', note: missed > 0 ? `${missed} missed` : '', tone: 'text-stop' },
    { path: 'plan', name: 'Plan', note: '', tone: '' },
    {
      path: 'scales',
      name: 'Compare',
      note: view.value.weighing.others.length > 0 ? String(view.value.weighing.others.length + 1) : '',
      tone: 'text-soft',
    },
    { path: 'ledger', name: 'Ledger', note: '', tone: '' },
  ]
})
</script>

<template>
  <nav
    class="w-[146px] shrink-0 border-r border-line py-2 max-md:flex max-md:w-full max-md:overflow-x-auto max-md:border-r-0 max-md:border-b max-md:py-0"
    aria-label="places of this build"
  >
    <NuxtLink
      v-for="place in places"
      :key="place.path"
      :to="`/b/${view.id}/${place.path}`"
      class="flex items-baseline justify-between border-l-3 border-transparent py-[5px] pr-3 pl-3.5 max-md:border-b-3 max-md:border-l-0 max-md:px-3"
      active-class="!border-settled bg-sheet font-semibold"
    >
      <span>{{ place.name }}</span><span
        class="figures text-[11px] font-normal max-md:hidden"
        :class="place.tone"
        >{{ place.note }}</span
      >
    </NuxtLink>
  </nav>
</template>
