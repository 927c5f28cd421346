<script setup lang="ts">
import { definePageMeta } from '#imports'
definePageMeta({ redirect: (to) => ({ path: `/jobs/${String(to.params.id)}/look`, query: to.query }) })
</script>

<template><span /></template>
