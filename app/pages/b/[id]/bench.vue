<script setup lang="ts">
/** Bench: how fast will it be, and what limits it? */
const build = useBuild()
const view = computed(() => build.view!)
const missing = computed(() => view.value.targets[0]?.missing ?? [])
</script>

<template>
  <div class="px-5 py-4">
    <h1>Bench</h1>
    <p class="text-soft">{{ view.machineName.cpu ?? 'no CPU yet' }} · {{ view.machineName.graphics ?? 'no card yet' }} · estimates from the library's defaults: rough until runs are fitted</p>
    <p v-if="view.targets.length === 0" class="mt-4 text-waiting">The brief has no targets. <NuxtLink :to="`/b/${view.id}/brief`" class="underline">Write one down</NuxtLink>.</p>
    <p v-else-if="missing.length > 0" class="mt-4 text-waiting">No estimate yet: it wants {{ missing.join(' and ') }}. Put one into the build from Leads or Prices.</p>
    <template v-else>
      <TargetAxis :view="view" class="mt-4" />
      <div class="mt-4 grid grid-cols-3 gap-3 max-lg:grid-cols-1"><MillisecondRuler v-for="target in view.targets" :key="target.id" :target="target" :view="view" /></div>
    </template>
  </div>
</template>
