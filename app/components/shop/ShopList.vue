<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, nextTick, ref } from 'vue'
import { LISTS, type AnyRow, type Column, type ListKey } from '#core/shop/lists'
import type { Shop } from '#core/shop/shop'
import { useNotice } from '~/composables/useNotice'
import { useShopSettings } from '~/composables/useShopSettings'

/** One list of what the shop has, drawn from its declaration. */
const props = defineProps<{ shop: Shop; list: ListKey }>()
const notice = useNotice()
const change = useShopSettings()

const says = computed(() => LISTS[props.list])
const rows = computed(() => props.shop[props.list] as unknown as AnyRow[])
const columns = computed(() => (says.value.columns as readonly Column[]).filter(({ only }) => !only || rows.value.some((r) => r[only.key] === only.value))) // prettier-ignore
const open = ref(false)
const table = ref<HTMLElement>()

/** A new row is like the last one, save for its name: the next offcut is mostly out of the same board. */
async function add() {
  open.value = true
  const { id: _, name: __, ...like } = rows.value.at(-1) ?? { id: '' }
  change.addRow(props.list, props.list === 'offcuts' ? like : {})
  await nextTick()
  const field = table.value?.querySelector<HTMLInputElement>('tr:last-child input')
  field?.focus()
  field?.select()
}
function remove(row: AnyRow) {
  change.removeRow(props.list, row.id)
  notice.say(`“${row.name}” is off the list.`, true)
}
</script>

<template>
  <section :id="list" class="list">
    <h3>
      <button class="head" :aria-expanded="open" @click="open = !open">
        <span class="turn" aria-hidden="true">{{ open ? '▾' : '▸' }}</span> {{ says.title }}
        <span class="quiet small">{{ rows.length || 'none' }}</span>
      </button>
    </h3>
    <template v-if="open">
      <p class="quiet small">{{ says.about }}</p>
      <div v-if="rows.length > 0" class="scroll">
        <table ref="table" class="plain">
          <thead>
            <tr>
              <th v-for="c in columns" :key="c.key" :class="c.type">{{ c.label }}</th>
              <th><span class="hidden-text">Remove</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.id">
              <td v-for="c in columns" :key="c.key" :class="c.type">
                <ShopCell
                  :column="c"
                  :label="`${c.label} of ${row.name}`"
                  :model-value="row[c.key] ?? null"
                  @update:model-value="change.row(list, row.id, { [c.key]: $event }, c.label)"
                />
              </td>
              <td>
                <button class="btn bare tiny" :aria-label="`Remove ${row.name}`" @click="remove(row)">
                  <v-icon :icon="mdiClose" size="16" />
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <button class="btn" @click="add">Add {{ /^[aeiou]/.test(says.one) ? 'an' : 'a' }} {{ says.one }}</button>
    </template>
  </section>
</template>

<style scoped>
.list {
  border-top: 1px solid var(--rule);
  margin-top: 0;
  padding: 2px 0;
}
.head {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  padding: 6px 0;
  min-height: 36px;
  cursor: pointer;
  width: 100%;
  text-align: left;
}
.turn {
  display: inline-block;
  width: 1em;
  color: var(--pencil);
}
.scroll {
  overflow-x: auto;
}
td {
  min-width: 96px;
}
td.name,
td.material,
td.text,
td.places {
  min-width: 170px;
}
td.option {
  min-width: 120px;
}
td.flag,
td:last-child {
  min-width: 0;
}
th {
  vertical-align: bottom;
}
p {
  margin: 0 0 4px;
}
.btn:not(.tiny) {
  margin: 8px 0 10px;
}
</style>
