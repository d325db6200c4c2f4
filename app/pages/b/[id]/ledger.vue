<script setup lang="ts">
/** Ledger: what did I really pay, what is mine and where, what is still to come back, what is it worth now? */
const build = useBuild()
const ledger = useLedger()
const id = build.view!.id
usePlace('ledger')
const tab = useRouteState('tab', 'items')
const { report, take: takeCsv } = useCsvImport('POST /api/builds/:id/ledger/import', () => ({ id }))
</script>

<template>
  <div class="px-6 py-4">
    <PlaceTabs v-model="tab" place="ledger">
      <label v-if="tab === 'entries'" class="button ml-auto cursor-pointer"
        >Import CSV…<input
          type="file"
          accept=".csv,text/csv"
          class="sr-only"
          data-test="ledger-file"
          @change="takeCsv" /></label
      ><a v-if="tab === 'entries'" class="button" :href="`/api/builds/${id}/ledger/csv`" download>CSV</a
      ><a v-if="tab === 'dates'" class="button ml-auto" :href="`/api/builds/${id}/calendar`" download
        >Export dates (calendar)</a
      >
    </PlaceTabs>
    <p v-if="report" class="mb-2" role="status" data-test="ledger-report">{{ report }}</p>
    <LoadState :of="ledger.view" />
    <div v-if="ledger.view" class="grid grid-cols-[minmax(0,1fr)_320px] gap-4 @max-4xl/place:grid-cols-1">
      <div v-if="tab === 'items'" class="flex min-w-0 flex-col gap-4">
        <PlannedOrder
          v-for="order in ledger.view.orders"
          :key="order.lines.map((line) => line.choiceId).join(' ')"
          :order="order"
        />
        <HuntsToPay v-if="ledger.view.hunts.length > 0" :hunts="ledger.view.hunts" />
        <ItemTable :items="ledger.view.items" :currency="ledger.view.currency" />
      </div>
      <LedgerEntries v-else-if="tab === 'entries'" :ledger="ledger.view" />
      <LedgerDates v-else-if="tab === 'dates'" :ledger="ledger.view" />
      <SellMachine v-else :ledger="ledger.view" />
      <LedgerAccount :ledger="ledger.view" />
    </div>
  </div>
</template>
