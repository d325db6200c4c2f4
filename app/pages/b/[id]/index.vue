<script setup lang="ts">
const route = useRoute()
await navigateTo(`/b/${String(route.params.id)}/machine`, { replace: true })
</script>

<template><div /></template>
