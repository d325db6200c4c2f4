<script setup lang="ts">
import { coreRoles, roleNames } from '#core/parts/part'

/** Machine: does it fit; what is still open; what is chosen for each role? */
const build = useBuild()
const view = computed(() => build.view!)
const adding = ref(false)
const rows = computed(() => [...view.value.choices].sort((a, b) => order(a.roles[0]) - order(b.roles[0])))
const order = (role: string | undefined) => (coreRoles as readonly string[]).indexOf(role ?? '') + 1 || 99
useKeys({ n: () => (adding.value = true) })
</script>

<template>
  <div class="px-5 py-4">
    <div class="mb-3 flex items-center"><h1>Machine</h1><button type="button" class="button ml-auto" @click="adding = true">Add a hunt or an owned part <span class="key">N</span></button></div>
    <StillOpen :view="view" />
    <section class="mt-5">
      <h2>What is chosen</h2>
      <p v-if="rows.length === 0" class="mt-1 text-soft">Nothing yet. Put leads into it from Leads, hunt at a street price from Prices, or add a part you own.</p>
      <table v-else class="ledger mt-1">
        <thead><tr><th>thing</th><th>scope</th><th>why</th><th class="!text-right">pay now</th><th class="!text-right">anyone can pay</th><th><span class="sr-only">deeds</span></th></tr></thead>
        <tbody><ChoiceRow v-for="choice in rows" :key="choice.id" :choice="choice" :view="view" /></tbody>
      </table>
      <p v-if="view.removedChoices.length > 0" class="mt-2 text-soft">taken out: <button v-for="each in view.removedChoices" :key="each.id" type="button" class="quiet-button mr-3" @click="build.putBack(each.id, each.label)">put back {{ each.label }}</button></p>
      <p class="mt-2 text-xs text-soft">Roles of a machine: {{ coreRoles.map((role) => roleNames[role]).join(', ') }}.</p>
    </section>
    <AddChoice v-if="adding" :view="view" @close="adding = false" />
  </div>
</template>
