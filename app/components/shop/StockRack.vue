<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { Shop } from '#core/shop/shop'
import { useNotice } from '~/composables/useNotice'
import { useShopSettings } from '~/composables/useShopSettings'

/** The boards a shop cuts from, with their thickness as it really is. */
const props = defineProps<{ shop: Shop }>()
const notice = useNotice()
const change = useShopSettings()

function addStock() {
  const id = crypto.randomUUID().slice(0, 8)
  change.patch('New board', {
    stock: [...props.shop.stock, { id, name: 'New board', material: 'pine', thickness: 18 }],
  })
}
function removeStock(id: string) {
  change.patch('Delete a board', { stock: props.shop.stock.filter((s) => s.id !== id) })
  notice.say('The board is off the list.', true)
}
</script>

<template>
  <section>
    <h2>Boards you cut from</h2>
    <table class="plain stock">
      <thead>
        <tr>
          <th>Name</th>
          <th>Material</th>
          <th>Thickness as it really is</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in shop.stock" :key="s.id">
          <td>
            <NameField
              :model-value="s.name"
              label="Name of the board"
              @update:model-value="change.stock(s.id, { name: $event })"
            />
          </td>
          <td>
            <NameField
              :model-value="s.material"
              label="Material"
              @update:model-value="change.stock(s.id, { material: $event })"
            />
          </td>
          <td>
            <LengthField
              :model-value="s.thickness"
              label="Thickness"
              :max="200"
              @update:model-value="change.stock(s.id, { thickness: $event! })"
            />
          </td>
          <td>
            <button class="btn bare tiny" :aria-label="`Remove ${s.name}`" @click="removeStock(s.id)">
              <v-icon :icon="mdiClose" size="16" />
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button class="btn" @click="addStock">Add a board</button>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}
.stock + .btn {
  margin-top: 8px;
}
</style>
