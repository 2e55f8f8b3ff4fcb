<script setup lang="ts">
import { ref } from 'vue'
import { OUTFIT_SAYS, OUTFITS, usualShop, type Outfit } from '#core/shop/usual'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Opens a shop: its name, how it measures, and what it has to begin with. */
const emit = defineEmits<{ opened: [] }>()
const records = useRecords()
const history = useHistory()
const name = ref('My shop')
const unit = ref<'mm' | 'in'>('mm')
const outfit = ref<Outfit>('small')

async function open() {
  const id = crypto.randomUUID()
  const shop = usualShop(name.value.trim() || 'My shop', unit.value, outfit.value)
  history.act('New shop', [{ kind: 'shops', id, shop: id, data: shop }])
  await records.enter(id)
  emit('opened')
}
</script>

<template>
  <form class="page new" @submit.prevent="open">
    <h1>Whose wall is it?</h1>
    <p>Give the shop a name, say how you measure and what you have. All of it can be changed at any time.</p>
    <label class="over" for="shop-name">Name of the shop</label>
    <input id="shop-name" v-model="name" class="field" maxlength="120" />
    <fieldset>
      <legend class="over">Lengths in</legend>
      <label><input v-model="unit" type="radio" value="mm" /> millimetres</label>
      <label><input v-model="unit" type="radio" value="in" /> inches and fractions</label>
    </fieldset>
    <fieldset class="outfits">
      <legend class="over">It has</legend>
      <label v-for="o in OUTFITS" :key="o" class="outfit" :class="{ on: o === outfit }">
        <input v-model="outfit" type="radio" name="outfit" :value="o" />
        <span
          ><strong>{{ OUTFIT_SAYS[o].label }}</strong
          ><br /><span class="quiet small">{{ OUTFIT_SAYS[o].has }}</span></span
        >
      </label>
    </fieldset>
    <button class="btn main">Open the shop</button>
  </form>
</template>

<style scoped>
.new {
  max-width: 520px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 14px 0 18px;
  display: flex;
  gap: 18px;
}
legend {
  padding: 0;
  color: var(--pencil);
  font-size: 0.86rem;
  margin-bottom: 2px;
}
.outfits {
  flex-direction: column;
  gap: 6px;
}
.outfit {
  display: flex;
  gap: 10px;
  align-items: start;
  border: 1px solid var(--rule);
  background: var(--sheet);
  padding: 8px 12px;
  cursor: pointer;
}
.outfit.on {
  box-shadow: inset 3px 0 0 var(--chalk);
}
.outfit input {
  margin-top: 4px;
}
</style>
