<script setup lang="ts">
import { computed } from 'vue'
import { LISTS, listKeys, type ListKey } from '#core/shop/lists'
import { INCH_GRIDS, MM_GRIDS } from '#core/units/format-length'
import { useShopSettings } from '~/composables/useShopSettings'
import { useRecords } from '~/stores/records'

const records = useRecords()
const change = useShopSettings()
const shop = computed(() => records.shop!)
useHead({ title: () => `${shop.value.name} · Fingerling` })

const groups = (['Cutting', 'Boards', 'Fixing'] as const).map((name) => ({
  name,
  lists: listKeys.filter((k): k is ListKey => LISTS[k].group === name),
}))
const places = ['bits', ...groups.map((g) => g.name.toLowerCase()), 'settings', 'shops']
</script>

<template>
  <div class="page shop">
    <h1>The shop</h1>
    <nav class="places" aria-label="On this page">
      <a v-for="p in places" :key="p" :href="`#${p}`">{{ p }}</a>
    </nav>
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
    <section v-for="g in groups" :id="g.name.toLowerCase()" :key="g.name">
      <h2>{{ g.name }}</h2>
      <ShopList v-for="list in g.lists" :key="list" :shop="shop" :list="list" />
    </section>
    <ShopSettingGroups id="settings" class="part" :shop="shop" />
    <section id="shops">
      <h2>Shops</h2>
      <ul class="shops">
        <li v-for="s in records.shops" :key="s.id">
          <strong v-if="s.id === records.shopId">{{ s.shop.name }}</strong>
          <button v-else class="link" @click="records.enter(s.id)">{{ s.shop.name }}</button>
        </li>
      </ul>
      <NuxtLink class="btn" to="/shop/new">Open another shop</NuxtLink>
      <a class="btn" :href="`/api/shops/${records.shopId}/project`" :download="`${shop.name}.json`"
        >Keep a copy of this one (JSON)</a
      >
    </section>
  </div>
</template>

<style scoped>
.shop {
  max-width: 1080px;
}
section,
.part {
  margin-top: 24px;
  scroll-margin-top: 56px;
}
.places {
  display: flex;
  gap: 4px 16px;
  flex-wrap: wrap;
  margin-top: 4px;
  text-transform: capitalize;
}
h2 {
  margin-bottom: 6px;
}
.top {
  display: flex;
  gap: 18px;
  flex-wrap: wrap;
  margin-top: 14px;
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
