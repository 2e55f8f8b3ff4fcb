<script setup lang="ts">
import { computed } from 'vue'
import { shoppingList } from '#core/bench/shopping'
import type { NoPlace } from '#core/cutting/no-place'
import type { SheetCuts } from '#core/cutting/sheets-used'
import type { HolderModel } from '#core/model/model'
import { useRecords } from '~/stores/records'

/** What has to be bought for the holders that are cut, and what the bin saves. */
const props = defineProps<{ models: readonly HolderModel[]; cuts: readonly SheetCuts[]; noPlace: readonly NoPlace[] }>()
const records = useRecords()
const list = computed(() => shoppingList(records.shop!, props.models, props.cuts, props.noPlace))
const worth = computed(() => list.value.saved.reduce((sum, s) => sum + s.worth, 0))
</script>

<template>
  <section aria-label="To buy" data-test="to-buy">
    <h2>To buy</h2>
    <p v-if="list.wanted.length === 0">Nothing: it is all there.</p>
    <ul v-else>
      <li v-for="w in list.wanted" :key="w.name">
        {{ w.count }} × {{ w.name }} <span v-if="w.cost !== null" class="quiet">{{ w.cost.toFixed(2) }}</span>
      </li>
    </ul>
    <p v-if="list.cost > 0">
      <b>{{ list.cost.toFixed(2) }}</b> in all<template v-if="list.incomplete">, without what has no price</template>.
    </p>
    <p v-if="list.saved.length" class="quiet">
      From the bin: {{ list.saved.map((s) => s.name).join(', ')
      }}<template v-if="worth > 0">; as much new stock would cost {{ worth.toFixed(2) }}</template
      >.
    </p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
p {
  margin: 2px 0;
}
</style>
