<script setup lang="ts">
definePageMeta({ redirect: (to) => ({ path: `/jobs/${String(to.params.id)}/look`, query: to.query }) })
</script>

<template><span /></template>
