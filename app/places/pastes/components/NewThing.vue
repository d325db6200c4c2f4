<script setup lang="ts">
import { roleNames, roles, type Role } from '#core/parts/part'

/** A thing that is not in the library: the name and the role of the part that is made of it. */
const { spoken } = defineProps<{
  /** Which thing it is, for the names of the fields. */
  spoken: string
}>()
const name = defineModel<string>('name', { required: true })
const role = defineModel<Role>('role', { required: true })
</script>

<template>
  <span class="tag tag-waiting">new part</span
  ><input v-model="name" class="field min-w-32 flex-1" :aria-label="`name of ${spoken}`" /><select
    v-model="role"
    class="field"
    :aria-label="`role of ${spoken}`"
  >
    <option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option>
  </select>
</template>
