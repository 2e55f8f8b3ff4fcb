<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { bitName } from '#core/shop/bit-name'
import { SETTINGS, settingKeys, type SettingKey } from '#core/shop/settings'
import { plainBit, usualShop } from '#core/shop/shop'
import { INCH_GRIDS, MM_GRIDS } from '#core/units/format-length'
import { useFormat } from '~/composables/useFormat'
import { useNotice } from '~/composables/useNotice'
import { useShopSettings } from '~/composables/useShopSettings'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

const records = useRecords()
const history = useHistory()
const notice = useNotice()
const { format } = useFormat()
const change = useShopSettings()
const shop = computed(() => records.shop!)
useHead({ title: () => `${shop.value.name} · Fingerling` })

const groups = computed(() => {
  const names = [...new Set(settingKeys.map((k) => SETTINGS[k].group))]
  return names.map((name) => ({ name, keys: settingKeys.filter((k) => SETTINGS[k].group === name) }))
})
const newBit = ref<number | null>(null)
const bits = computed(() => [...shop.value.bits].sort((a, b) => a.diameter - b.diameter))
function addBit() {
  const diameter = newBit.value
  if (diameter === null) return
  if (shop.value.bits.some((b) => Math.abs(b.diameter - diameter) < 1e-6))
    notice.say(`A ${bitName(diameter, format.value)} bit is in the list already.`)
  else change.patch('New bit', { bits: [...shop.value.bits, plainBit(diameter)] })
  newBit.value = null
}
function addStock() {
  const id = crypto.randomUUID().slice(0, 8)
  change.patch('New board', {
    stock: [...shop.value.stock, { id, name: 'New board', material: 'pine', thickness: 18 }],
  })
}
function removeStock(id: string) {
  change.patch('Delete a board', { stock: shop.value.stock.filter((s) => s.id !== id) })
  notice.say('The board is off the list.', true)
}
function newShop() {
  const id = crypto.randomUUID()
  history.act('New shop', [{ kind: 'shops', id, shop: id, data: usualShop('New shop', shop.value.unit) }])
  void records.enter(id)
}
const settingValue = (key: SettingKey) => shop.value.settings[key]
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

    <section v-for="group in groups" :key="group.name">
      <h2>{{ group.name }}</h2>
      <div class="settings">
        <div v-for="key in group.keys" :key="key" class="setting">
          <span>{{ SETTINGS[key].label }}</span>
          <LengthField
            v-if="SETTINGS[key].quantity === 'length'"
            :model-value="settingValue(key)"
            :label="SETTINGS[key].label"
            :nought-allowed="SETTINGS[key].min === 0"
            :max="SETTINGS[key].max"
            @update:model-value="$event !== null && change.setting(key, $event, SETTINGS[key].label)"
          />
          <MassField
            v-else-if="SETTINGS[key].quantity === 'mass'"
            :input-id="`set-${key}`"
            :model-value="settingValue(key)"
            @update:model-value="$event !== null && change.setting(key, $event, SETTINGS[key].label)"
          />
          <NumberField
            v-else
            :model-value="settingValue(key)"
            :label="SETTINGS[key].label"
            :min="SETTINGS[key].min"
            :max="SETTINGS[key].max"
            @update:model-value="change.setting(key, $event, SETTINGS[key].label)"
          />
          <p class="quiet small">{{ SETTINGS[key].about }}</p>
        </div>
      </div>
    </section>

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
section {
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
.stock + .btn {
  margin-top: 8px;
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
.shops {
  list-style: none;
  padding: 0;
}
section > .btn {
  margin-right: 8px;
}
</style>
