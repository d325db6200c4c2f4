<script setup lang="ts">
import { addDays } from '#core/time/calendarDate'
import { useCall } from '~/data/useCall'

/** Every date of every build in one list, the next two months first; all of it as a calendar. */
const session = useSession()
const datesAsked = useCall('GET /api/ledger/dates')
const dates = computed(() => datesAsked.data.value ?? [])
const showsAll = ref(false)
const soonDays = 60
const soon = computed(() => dates.value.filter(({ day }) => day <= addDays(session.view!.today, soonDays)))
const shown = computed(() => (showsAll.value ? dates.value : soon.value))
</script>

<template>
  <section v-if="dates.length > 0" class="sheet mt-6 p-4" aria-label="dates of all builds">
    <div class="flex items-baseline gap-3">
      <h2>Dates</h2>
      <a class="quiet-button ml-auto" href="/api/ledger/calendar" download>as a calendar</a>
    </div>
    <DeadlineLine
      v-for="each in shown"
      :key="each.buildId + each.day + each.what"
      :deadline="each"
      :of="each.build"
    />
    <button
      v-if="dates.length > soon.length"
      type="button"
      class="quiet-button mt-1"
      :aria-expanded="showsAll"
      @click="showsAll = !showsAll"
    >
      {{ showsAll ? 'the next two months only' : `${dates.length - soon.length} later` }}
    </button>
  </section>
</template>
