<script setup lang="ts">
import { SETTINGS, settingKeys, type SettingKey } from '#core/shop/settings'
import type { Shop } from '#core/shop/shop'
import { withUnit } from '#core/units/stored-units'
import { useShopSettings } from '~/composables/useShopSettings'

/** Every number of the shop that figures are derived from, in its groups. */
const props = defineProps<{ shop: Shop }>()
const change = useShopSettings()

const groups = [...new Set(settingKeys.map((k) => SETTINGS[k].group))].map((name) => ({
  name,
  keys: settingKeys.filter((k) => SETTINGS[k].group === name),
}))
const labelOf = (key: SettingKey) => withUnit(SETTINGS[key].label, SETTINGS[key].quantity)
const settingValue = (key: SettingKey) => props.shop.settings[key]
</script>

<template>
  <div>
    <section v-for="group in groups" :key="group.name">
      <h2>{{ group.name }}</h2>
      <div class="settings">
        <div v-for="key in group.keys" :key="key" class="setting">
          <span>{{ labelOf(key) }}</span>
          <QuantityField
            :quantity="SETTINGS[key].quantity"
            :model-value="settingValue(key)"
            :label="labelOf(key)"
            :min="SETTINGS[key].min"
            :max="SETTINGS[key].max"
            @update:model-value="$event !== null && change.setting(key, $event, SETTINGS[key].label)"
          />
          <p class="quiet small">{{ SETTINGS[key].about }}</p>
        </div>
      </div>
    </section>
  </div>
</template>

<style scoped>
section + section {
  margin-top: 24px;
}
h2 {
  margin-bottom: 6px;
}
.settings {
  display: grid;
  gap: 4px 28px;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
}
@media (max-width: 480px) {
  .settings {
    grid-template-columns: 1fr;
  }
}
.setting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px;
  gap: 0 10px;
  align-items: start;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
.setting p {
  grid-column: 1 / -1;
  margin: 2px 0 0;
}
</style>
