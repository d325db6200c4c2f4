<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { partLabel, type Part } from '#core/parts/part'
import { takesPlaceOf } from '#core/whatif/takesPlaceOf'
import { scopeNames, scopes, type Scope } from '#core/ledger/scopes'
import type { BuildView } from '#shared/builds/views'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** A hunt at a street price, or a part from the shelf, into the build. */
const { view } = defineProps<{ view: BuildView }>()
const emit = defineEmits<{ close: [] }>()
const build = useBuild()
const { run } = useAction()
const { data: library } = useCall('GET /api/library')
const scope = ref<Scope>('core')
const picked = ref<Part | null>(null)
const limit = ref('')
const keepBoth = ref(false)
/** What would leave for the part that is picked: of a role with room for one, what is chosen and not paid. */
const leaves = computed(() =>
  picked.value ? takesPlaceOf(view.choices, [picked.value.role], scope.value) : [],
)
async function hunt() {
  const part = picked.value!
  if (
    await run(() =>
      build.choose(
        {
          kind: 'hunt',
          partId: part.id,
          limit: limit.value.trim() === '' ? null : limit.value.trim(),
          scope: scope.value,
          keepBoth: keepBoth.value,
        },
        part.name,
      ),
    )
  )
    emit('close')
}
async function own(shelfId: string, name: string) {
  if (await run(() => build.choose({ kind: 'owned', shelfId, scope: scope.value }, name))) emit('close')
}
async function shelve() {
  const part = picked.value!
  if (
    await run(async () => {
      const { id } = await call(
        'POST /api/shelf',
        {},
        { partId: part.id, condition: 'used', cost: '0', currency: view.currency, note: '' },
      )
      await build.choose({ kind: 'owned', shelfId: id, scope: scope.value }, part.name)
    })
  )
    emit('close')
}
const free = computed(() =>
  (library.value?.shelf ?? []).filter((thing) => thing.place === 'shelf' && thing.state !== 'dead'),
)
</script>

<template>
  <Dialog open class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/25" aria-hidden="true" />
    <DialogPanel
      class="sheet fixed top-16 left-1/2 max-h-[80vh] w-[560px] max-w-[96vw] -translate-x-1/2 overflow-y-auto p-5"
    >
      <DialogTitle as="h1">Hunt for a part, or add one you own</DialogTitle>
      <label class="mt-3 block text-xs text-soft"
        >scope
        <select v-model="scope" class="field ml-1">
          <option v-for="each in scopes" :key="each" :value="each">{{ scopeNames[each] }}</option>
        </select></label
      >
      <PartPicker
        v-if="!picked"
        :parts="library?.parts ?? []"
        label="part"
        placeholder="type a part name or role"
        class="mt-3"
        @pick="picked = $event"
      />
      <div v-else class="mt-2 border-l-4 border-settled pl-3">
        <p class="font-semibold">
          {{ partLabel(picked) }}
          <button type="button" class="quiet-button" @click="picked = null">change</button>
        </p>
        <p class="mt-1 flex items-center gap-2">
          pay up to
          <input
            v-model="limit"
            class="field figures w-24"
            placeholder="street price"
            aria-label="pay up to"
          />
          {{ view.currency }}
          <button type="button" class="button button-main" @click="hunt">Hunt for it</button
          ><button type="button" class="button" @click="shelve">I own it</button>
        </p>
        <label v-if="leaves.length > 0" class="mt-1 flex items-center gap-1.5 text-xs">
          <input v-model="keepBoth" type="checkbox" /> keep
          {{ leaves.map(({ label }) => label).join(', ') }} too
        </label>
      </div>
      <template v-if="free.length > 0">
        <h2 class="mt-4">On the shelf</h2>
        <p
          v-for="thing in free"
          :key="thing.id"
          class="flex items-center justify-between border-b border-line py-1"
        >
          <span
            >{{ thing.name }} <span class="text-soft">{{ thing.note }}</span></span
          ><button type="button" class="button !py-0.5" @click="own(thing.id, thing.name)">Use it</button>
        </p>
      </template>
      <button type="button" class="button mt-4" @click="emit('close')">Close</button>
    </DialogPanel>
  </Dialog>
</template>
