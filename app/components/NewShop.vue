<script setup lang="ts">
import { ref } from 'vue'
import { usualShop } from '#core/shop/usual'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

const records = useRecords()
const history = useHistory()
const name = ref('My shop')
const unit = ref<'mm' | 'in'>('mm')

async function open() {
  const id = crypto.randomUUID()
  const shop = usualShop(name.value.trim() || 'My shop', unit.value)
  history.act('New shop', [{ kind: 'shops', id, shop: id, data: shop }])
  await records.enter(id)
}
</script>

<template>
  <form class="page new" @submit.prevent="open">
    <h1>Whose wall is it?</h1>
    <p>Give your shop a name and say how you measure. You can change both at any time.</p>
    <label class="over" for="shop-name">Name of the shop</label>
    <input id="shop-name" v-model="name" class="field" maxlength="120" />
    <fieldset>
      <legend class="over">Lengths in</legend>
      <label><input v-model="unit" type="radio" value="mm" /> millimetres</label>
      <label><input v-model="unit" type="radio" value="in" /> inches and fractions</label>
    </fieldset>
    <button class="btn main">Open the shop</button>
  </form>
</template>

<style scoped>
.new {
  max-width: 480px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 14px 0 18px;
  display: flex;
  gap: 18px;
}
</style>
