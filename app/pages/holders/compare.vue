<script setup lang="ts">
import { computed } from 'vue'
import { benchSteps } from '#core/bench/steps/steps'
import type { Level } from '#core/checks/verdict'
import { compare, givesUp, type Compared } from '#core/choose/compare'
import { design } from '#core/choose/design'
import { quickCuts } from '#core/cutting/quick-cuts'
import { formOf } from '#core/forms/all-forms'
import { useFormat } from '~/composables/useFormat'
import { minutesText } from '~/composables/useTimers'
import { useRecords } from '~/stores/records'

/** Two holders side by side: their figures, the time they take, what is chosen otherwise, what each gives up. */
useHead({ title: 'Compare · Fingerling' })
const records = useRecords()
const route = useRoute()
const router = useRouter()
const { length, mass } = useFormat()

const idOf = (key: 'a' | 'b', other: number) => String(route.query[key] ?? records.holders[other]?.id ?? '')
const ids = computed(() => [idOf('a', 0), idOf('b', 1)] as const)
function choose(key: 'a' | 'b', id: string) {
  void router.replace({ query: { a: ids.value[0], b: ids.value[1], [key]: id } })
}
/** One that is asked for but isn’t here. */
const missing = computed(() => ids.value.find((id) => id !== '' && !records.holders.some((h) => h.id === id)))
const both = computed(() =>
  ids.value.map((id) => {
    const holder = records.holders.find((h) => h.id === id)
    return holder ? design(records.inputOf(holder)) : null
  }),
)
const pair = computed(() => (both.value[0] && both.value[1] ? ([both.value[0], both.value[1]] as const) : null))
const rows = computed(() => (pair.value ? compare(...pair.value) : []))
/** Minutes of work for each. */
const minutes = computed(
  () =>
    pair.value?.map((d) => {
      if (!d.model) return null
      const { shop, holder } = d.input
      return benchSteps({ model: d.model, shop, cuts: quickCuts(shop, [{ id: holder.id, model: d.model }]) }, holder.id)
        .handsOn
    }) ?? [],
)
const LEVELS: readonly Level[] = ['pass', 'watch', 'stop']
function written(row: Compared, value: number | null): string {
  if (value === null) return '–'
  if (row.quantity === 'length') return length(value)
  if (row.quantity === 'mass') return mass(value)
  if (row.quantity === 'area') return `${(value / 1e6).toFixed(3)} m²`
  if (row.quantity === 'ratio') return value.toFixed(2)
  return row.quantity === 'level' ? LEVELS[value]! : String(value)
}
/** Questions that are answered otherwise, where both are of one form. */
const chosen = computed(() => {
  if (!pair.value || pair.value[0].input.holder.form !== pair.value[1].input.holder.form) return []
  const [a, b] = pair.value.map((d) => d.input.holder.choices) as [Record<string, string | number>, Record<string, string | number>] // prettier-ignore
  const tell = (value: string | number | undefined, type: string) => value === undefined ? 'as usual' : typeof value === 'number' ? length(value) : type === 'stock' ? (records.shop!.stock.find((s) => s.id === value)?.name ?? value) : value // prettier-ignore
  return (formOf(pair.value[0].input.holder.form)?.choices ?? [])
    .filter((c) => a[c.key] !== b[c.key])
    .map((c) => ({ label: c.label, values: [tell(a[c.key], c.type), tell(b[c.key], c.type)] }))
})
const lost = computed(() => (pair.value ? [givesUp(pair.value[0], pair.value[1]), givesUp(pair.value[1], pair.value[0])] : [])) // prettier-ignore
</script>

<template>
  <div v-if="missing" class="page">
    <NotHere :id="missing" :key="missing" :kinds="['holders']" />
  </div>
  <div v-else class="page">
    <h1>Compare</h1>
    <p v-if="records.holders.length < 2" class="quiet">
      Two holders are wanted. Open one and press ‘A variant’ to try something else beside it.
    </p>
    <table v-else class="plain" data-test="compare">
      <thead>
        <tr>
          <th />
          <th v-for="(key, i) in ['a', 'b'] as const" :key="key">
            <select
              class="field"
              :value="ids[i]"
              :aria-label="i === 0 ? 'The one' : 'The other'"
              @change="choose(key, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="h in records.holders" :key="h.id" :value="h.id">{{ h.name }}</option>
            </select>
            <NuxtLink
              v-if="both[i]"
              class="open"
              :to="`/holders/${ids[i]}`"
              :aria-label="`Open ${both[i]!.input.holder.name}`"
            >
              <HolderThumbnail :worked="both[i]!" />
            </NuxtLink>
          </th>
        </tr>
      </thead>
      <tbody v-if="pair">
        <tr v-for="row in rows" :key="row.key">
          <th scope="row">{{ row.label }}</th>
          <td v-for="i in [0, 1] as const" :key="i" :class="{ better: row.better === i }">
            <VerdictMark v-if="row.quantity === 'level'" :level="LEVELS[row.values[i]!]!" worded />
            <LengthText v-else :text="written(row, row.values[i])" />
            <span v-if="row.better === i" class="sign" title="better"> ◂<span class="hidden-text">better</span></span>
          </td>
        </tr>
        <tr>
          <th scope="row">Time at the bench</th>
          <td v-for="(m, i) in minutes" :key="i">{{ m === null ? '–' : minutesText(m) }}</td>
        </tr>
        <tr v-for="c in chosen" :key="c.label">
          <th scope="row">{{ c.label }}</th>
          <td v-for="(v, i) in c.values" :key="i">{{ v }}</td>
        </tr>
        <tr>
          <th scope="row">Gives up</th>
          <td v-for="(list, i) in lost" :key="i" class="lost">
            <p v-for="line in list" :key="line">{{ line }}</p>
            <p v-if="list.length === 0" class="quiet">nothing that the other has</p>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.page {
  max-width: 1000px;
}
table {
  table-layout: fixed;
  margin-top: 12px;
}
th:first-child {
  width: 22%;
}
thead th {
  vertical-align: top;
}
.open {
  display: block;
  height: 170px;
  margin: 8px 0;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
tbody th {
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
td {
  vertical-align: top;
}
.better {
  font-weight: 650;
}
.sign {
  color: var(--pass);
}
.lost p {
  margin: 0 0 4px;
}
@media (max-width: 600px) {
  .open {
    height: 110px;
  }
}
</style>
