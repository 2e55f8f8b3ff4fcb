<script setup lang="ts">
import { onMounted } from 'vue'
import { useNewHolder } from '~/composables/useNewHolder'
import { useLive } from '~/stores/live'
import { useOutbox } from '~/stores/outbox'
import { useRecords } from '~/stores/records'

const records = useRecords()
const outbox = useOutbox()
const live = useLive()
const { wanted } = useNewHolder()

async function begin() {
  await records.load()
  if (records.state === 'here') outbox.resume()
  else setTimeout(begin, 1500)
}
onMounted(() => {
  live.join()
  void begin()
})
</script>

<template>
  <v-app>
    <ShopHeader />
    <v-main>
      <div v-if="records.state !== 'here'" class="page" role="status">
        <p class="quiet">
          {{
            records.state === 'loading'
              ? 'Fetching the shop’s records …'
              : 'The shop’s records can’t be reached just now. Trying again …'
          }}
        </p>
      </div>
      <NewShop v-else-if="!records.shop" />
      <NuxtPage v-else />
    </v-main>
    <ConflictDialog />
    <QuietNews />
    <DevicePanel />
    <HolderWhichForm v-if="wanted" />
  </v-app>
</template>
