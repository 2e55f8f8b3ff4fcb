<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { bitName } from '#core/shop/bit-name'
import {
  BIT_KINDS,
  BORE_LIMITS,
  DEPTH_LIMITS,
  newBit,
  sameBit,
  type Bit,
  type BitKind,
  type Shop,
} from '#core/shop/shop'
import { useFormat } from '~/composables/useFormat'
import { useNotice } from '~/composables/useNotice'
import { useShopSettings } from '~/composables/useShopSettings'

/** The bits a shop owns or could buy, with the holes they really make and how deep they bore. */
const props = defineProps<{ shop: Shop }>()
const { format } = useFormat()
const notice = useNotice()
const change = useShopSettings()

const drawers = computed(() =>
  BIT_KINDS.map((kind) => ({
    kind,
    bits: props.shop.bits.filter((b) => b.kind === kind).sort((a, b) => a.diameter - b.diameter),
  })).filter((d) => d.bits.length > 0),
)
const size = ref<number | null>(null)
const kind = ref<BitKind>('forstner')
const called = (b: Bit) => `${bitName(b.diameter, format.value)} ${b.kind}`
function add() {
  if (size.value === null) return
  const bit = newBit(kind.value, size.value)
  if (props.shop.bits.some((b) => sameBit(b, bit))) notice.say(`A ${called(bit)} bit is in the list already.`)
  else change.patch('New bit', { bits: [...props.shop.bits, bit] }, true)
  size.value = null
}
</script>

<template>
  <section id="bits">
    <h2>Bits</h2>
    <p class="quiet small">
      Bore a test hole and measure it: a bit that wanders makes a bigger one, and slots follow what it really makes.
    </p>
    <div class="scroll">
      <table class="plain bits">
        <thead>
          <tr>
            <th>Bit</th>
            <th>Test bore</th>
            <th>Bores to a depth of</th>
            <th>To buy</th>
            <th><span class="hidden-text">Remove</span></th>
          </tr>
        </thead>
        <tbody v-for="d in drawers" :key="d.kind">
          <tr>
            <th colspan="5" scope="rowgroup" class="kind">{{ d.kind }}</th>
          </tr>
          <tr v-for="b in d.bits" :key="b.diameter">
            <td><LengthText :text="bitName(b.diameter, format)" /></td>
            <td>
              <LengthField
                :model-value="b.testBore"
                :label="`Test bore of the ${called(b)} bit`"
                optional
                placeholder="not measured"
                :min="BORE_LIMITS[0]"
                :max="BORE_LIMITS[1]"
                @update:model-value="change.bit(b, { testBore: $event }, 'Test bore')"
              />
            </td>
            <td>
              <LengthField
                :model-value="b.depth"
                :label="`Greatest depth of the ${called(b)} bit`"
                optional
                placeholder="not measured"
                :min="DEPTH_LIMITS[0]"
                :max="DEPTH_LIMITS[1]"
                @update:model-value="change.bit(b, { depth: $event }, 'Greatest depth')"
              />
            </td>
            <td>
              <input
                type="checkbox"
                :checked="b.toBuy"
                :aria-label="`The ${called(b)} bit is still to be bought`"
                @change="change.bit(b, { toBuy: ($event.target as HTMLInputElement).checked }, 'To buy')"
              />
            </td>
            <td>
              <button
                class="btn bare tiny"
                :aria-label="`Remove the ${called(b)} bit`"
                @click="change.patch('Delete a bit', { bits: shop.bits.filter((x) => !sameBit(x, b)) }, true)"
              >
                <v-icon :icon="mdiClose" size="16" />
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <form class="add" @submit.prevent="add">
      <select v-model="kind" class="field" aria-label="Kind of another bit">
        <option v-for="k in BIT_KINDS" :key="k" :value="k">{{ k }}</option>
      </select>
      <LengthField
        v-model="size"
        label="Diameter of another bit"
        optional
        placeholder="another size"
        :min="BORE_LIMITS[0]"
        :max="BORE_LIMITS[1]"
        @next="add"
      />
      <button class="btn">Add the bit</button>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}
.scroll {
  overflow-x: auto;
}
.bits {
  max-width: 700px;
}
.bits td:nth-child(2),
.bits td:nth-child(3) {
  width: 180px;
  min-width: 110px;
}
.kind {
  color: var(--ink);
  border-bottom-width: 1px;
  padding-top: 10px;
}
.add {
  display: grid;
  grid-template-columns: 130px 1fr auto;
  gap: 8px;
  max-width: 460px;
  margin-top: 8px;
}
</style>
