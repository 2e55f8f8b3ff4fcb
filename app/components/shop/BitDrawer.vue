<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { bitName } from '#core/shop/bit-name'
import { plainBit, type Shop } from '#core/shop/shop'
import { useFormat } from '~/composables/useFormat'
import { useNotice } from '~/composables/useNotice'
import { useShopSettings } from '~/composables/useShopSettings'

/** The bits a shop owns, with the holes they really make. */
const props = defineProps<{ shop: Shop }>()
const { format } = useFormat()
const notice = useNotice()
const change = useShopSettings()

const bits = computed(() => [...props.shop.bits].sort((a, b) => a.diameter - b.diameter))
const newBit = ref<number | null>(null)
function addBit() {
  const diameter = newBit.value
  if (diameter === null) return
  if (props.shop.bits.some((b) => Math.abs(b.diameter - diameter) < 1e-6))
    notice.say(`A ${bitName(diameter, format.value)} bit is in the list already.`)
  else change.patch('New bit', { bits: [...props.shop.bits, plainBit(diameter)] })
  newBit.value = null
}
</script>

<template>
  <section>
    <h2>Bits you own</h2>
    <p class="quiet small">
      Bore a test hole and measure it: a bit that wanders makes a bigger one, and slots follow what it really makes.
    </p>
    <table class="plain bits">
      <thead>
        <tr>
          <th>Bit</th>
          <th>Test bore</th>
          <th>To buy</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="b in bits" :key="b.diameter">
          <td>{{ bitName(b.diameter, format) }}</td>
          <td>
            <LengthField
              :model-value="b.testBore"
              :label="`Test bore of the ${bitName(b.diameter, format)} bit`"
              optional
              placeholder="not measured"
              :max="300"
              @update:model-value="change.bit(b.diameter, { testBore: $event }, 'Test bore')"
            />
          </td>
          <td>
            <input
              type="checkbox"
              :checked="b.toBuy"
              :aria-label="`The ${bitName(b.diameter, format)} bit is still to be bought`"
              @change="change.bit(b.diameter, { toBuy: ($event.target as HTMLInputElement).checked }, 'To buy')"
            />
          </td>
          <td>
            <button
              class="btn bare tiny"
              :aria-label="`Remove the ${bitName(b.diameter, format)} bit`"
              @click="change.patch('Delete a bit', { bits: shop.bits.filter((x) => x.diameter !== b.diameter) })"
            >
              <v-icon :icon="mdiClose" size="16" />
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="add" @submit.prevent="addBit">
      <LengthField
        v-model="newBit"
        label="Diameter of another bit"
        optional
        placeholder="another size"
        :max="300"
        @next="addBit"
      />
      <button class="btn">Add the bit</button>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}
.bits {
  max-width: 620px;
}
.bits td:nth-child(2) {
  width: 200px;
}
.add {
  display: flex;
  gap: 8px;
  max-width: 420px;
  margin-top: 8px;
}
</style>
