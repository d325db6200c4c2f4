<script setup lang="ts">
import { factKinds, factText } from '#core/parts/facts'
import { partLabel, roleNames, roles, type PartFacts, type Role } from '#core/parts/part'
import { partNamed } from '#core/reading/titles/partNamed'
import type { PasteInput } from '#shared/pastes/schemas'
import { slug } from '#shared/text/slug'
import type { Pasted } from '../state/preview'

/** Parts as their specifications were read, with the line each fact came from; kept, and taken as hunts, in one go. */
const { paste } = defineProps<{ paste: Pasted<'spec'> }>()
const emit = defineEmits<{ keep: [input: Partial<PasteInput>, goTo: string | null] }>()
const rows = ref(
  paste.read.map((spec) => ({
    role: spec.role ?? ('extra' as Role),
    make: spec.make,
    name: spec.name,
    facts: Object.fromEntries(
      Object.entries(spec.facts).map(([fact, read]) => [fact, read!.value]),
    ) as PartFacts,
    lines: Object.fromEntries(Object.entries(spec.facts).map(([fact, read]) => [fact, read!.line])),
    notRead: spec.notRead,
    isHunted: false,
    limit: '',
  })),
)
type Row = (typeof rows.value)[number]
const idOf = ({ make, name }: Row) => slug(make === '' || name.startsWith(make) ? name : `${make} ${name}`)
const isKnown = (row: Row) =>
  paste.library.parts.some(({ id }) => id === idOf(row)) ||
  partNamed(paste.library.parts, partLabel(row)) !== undefined
const keys = (row: Row) => Object.keys(row.facts) as (keyof PartFacts)[]
const drop = (row: Row, key: keyof PartFacts) =>
  (row.facts = Object.fromEntries(Object.entries(row.facts).filter(([each]) => each !== key)) as PartFacts)
const good = computed(() => rows.value.filter((row) => row.name.trim() !== '' && !isKnown(row)))
function keep() {
  const hunted = good.value.filter((row) => row.isHunted && paste.buildId !== null)
  emit(
    'keep',
    {
      parts: good.value.map((row) => ({
        id: idOf(row),
        role: row.role,
        make: row.make,
        name: row.name,
        facts: row.facts as never,
      })),
      hunts: hunted.map((row) => ({
        buildId: paste.buildId!,
        partId: idOf(row),
        limit: row.limit.trim() === '' ? null : row.limit.trim(),
        condition: null,
      })),
    },
    hunted.length > 0 ? 'machine?mode=chosen' : null,
  )
}
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-5 py-3">
    <section v-for="(row, index) in rows" :key="index" class="mb-4 border-b border-line pb-3">
      <div class="flex flex-wrap items-end gap-2">
        <label class="text-xs text-soft"
          >role<select v-model="row.role" class="field block" :aria-label="`role ${index + 1}`">
            <option v-for="role in roles" :key="role" :value="role">{{ roleNames[role] }}</option>
          </select></label
        ><label class="text-xs text-soft"
          >brand<input
            v-model="row.make"
            class="field block w-32"
            :aria-label="`brand ${index + 1}`" /></label
        ><label class="min-w-56 flex-1 text-xs text-soft"
          >name<input
            v-model="row.name"
            class="field block w-full"
            :aria-label="`name ${index + 1}`" /></label
        ><template v-if="paste.buildId"
          ><label class="flex gap-1 pb-1"
            ><input v-model="row.isHunted" type="checkbox" :aria-label="`hunt for ${row.name}`" />hunt</label
          ><input
            v-if="row.isHunted"
            v-model="row.limit"
            class="field figures w-24"
            placeholder="up to"
            :aria-label="`up to ${index + 1}`"
        /></template>
      </div>
      <p v-if="isKnown(row)" class="mt-1 text-waiting">
        A part with this name is already in the library: change the name to keep both.
      </p>
      <table class="ledger mt-2">
        <tbody>
          <tr v-for="key in keys(row)" :key="key">
            <td class="w-56">{{ factKinds[key].name }}</td>
            <td class="figures">{{ factText(row.facts, key) }}</td>
            <td class="w-24 text-xs text-soft">line {{ row.lines[key] }}</td>
            <td class="w-16 text-right">
              <button
                type="button"
                class="quiet-button"
                :aria-label="`remove ${factKinds[key].name}`"
                @click="drop(row, key)"
              >
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="keys(row).length === 0" class="mt-1 text-soft">No specs read.</p>
      <p v-if="row.notRead.length > 0" class="mt-1 text-xs text-soft">
        not used: {{ row.notRead.slice(0, 8).join(' · ') }}
      </p>
    </section>
    <button
      type="button"
      class="button button-main"
      :disabled="paste.busy || good.length === 0"
      @click="keep"
    >
      Save {{ good.length }} {{ good.length === 1 ? 'part' : 'parts' }}
    </button>
    <span class="ml-3 text-soft">nothing is saved yet; one undo reverts it all</span>
  </div>
</template>
