<script setup lang="ts">
import { computed } from 'vue'
import { usualShop } from '#core/shop/usual'
import { INCH_GRIDS, MM_GRIDS } from '#core/units/format-length'
import { useShopSettings } from '~/composables/useShopSettings'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

const records = useRecords()
const history = useHistory()
const change = useShopSettings()
const shop = computed(() => records.shop!)
useHead({ title: () => `${shop.value.name} · Fingerling` })

function newShop() {
  const id = crypto.randomUUID()
  history.act('New shop', [{ kind: 'shops', id, shop: id, data: usualShop('New shop', shop.value.unit) }])
  void records.enter(id)
}
</script>

<template>
  <div class="page shop">
    <h1>The shop</h1>
    <section class="top">
      <div>
        <label class="over" for="shop-name">Name</label>
        <NameField
          :model-value="shop.name"
          label="Name of the shop"
          input-id="shop-name"
          @update:model-value="change.patch('Name', { name: $event })"
        />
      </div>
      <div>
        <span class="over">Lengths in</span>
        <ChoiceRow
          label="Lengths in"
          :model-value="shop.unit"
          :values="[
            { value: 'mm', label: 'millimetres' },
            { value: 'in', label: 'inches' },
          ]"
          @update:model-value="change.patch('Unit', { unit: $event as 'mm' | 'in' })"
        />
      </div>
      <div>
        <span class="over">Printed to</span>
        <ChoiceRow
          v-if="shop.unit === 'mm'"
          label="Printed to"
          :model-value="shop.gridMm"
          :values="MM_GRIDS.map((g) => ({ value: g, label: `${g} mm` }))"
          @update:model-value="change.patch('Grid', { gridMm: $event as typeof shop.gridMm })"
        />
        <ChoiceRow
          v-else
          label="Printed to"
          :model-value="shop.gridIn"
          :values="INCH_GRIDS.map((g) => ({ value: g, label: `1/${g} in` }))"
          @update:model-value="change.patch('Grid', { gridIn: $event as typeof shop.gridIn })"
        />
      </div>
    </section>

    <ShopBitDrawer class="part" :shop="shop" />
    <ShopStockRack class="part" :shop="shop" />
    <ShopSettingGroups class="part" :shop="shop" />
    <section>
      <h2>Shops</h2>
      <ul class="shops">
        <li v-for="s in records.shops" :key="s.id">
          <strong v-if="s.id === records.shopId">{{ s.shop.name }}</strong>
          <button v-else class="link" @click="records.enter(s.id)">{{ s.shop.name }}</button>
        </li>
      </ul>
      <button class="btn" @click="newShop">Open another shop</button>
      <a class="btn" :href="`/api/shops/${records.shopId}/project`" :download="`${shop.name}.json`"
        >Keep a copy of this one (JSON)</a
      >
    </section>
  </div>
</template>

<style scoped>
.shop {
  max-width: 900px;
}
section,
.part {
  margin-top: 24px;
}
h2 {
  margin-bottom: 6px;
}
.top {
  display: flex;
  gap: 18px;
  flex-wrap: wrap;
}
.top > div {
  flex: 1 1 220px;
}
.over {
  font-size: 0.86rem;
  color: var(--pencil);
}
.shops {
  list-style: none;
  padding: 0;
}
section > .btn {
  margin-right: 8px;
}
</style>
