<script setup lang="ts">
useHead({ title: 'Another shop · Fingerling' })
const router = useRouter()
</script>

<template>
  <NewShop @opened="router.push('/')" />
</template>
