<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { centreOfGravity } from '#core/footprint/balance'
import { allKinds } from '#core/footprint/kinds'
import { PRESENCES, SURENESS, type Sureness, type Tool } from '#core/footprint/tool'
import { useReadings } from '~/composables/useReadings'
import { useToolCard } from '~/composables/useToolCard'
import { useDevices } from '~/stores/devices'
import { useRecords } from '~/stores/records'

/** One tool's card: its figures in the order in which they are taken, with the drawing that says where. */
const props = defineProps<{
  tool: Tool
  /** where typing begins when the card comes up */
  start?: 'name' | 'figures'
}>()
const emit = defineEmits<{ copy: []; remove: []; next: []; several: []; room: [] }>()

const records = useRecords()
const readings = useReadings()
const devices = useDevices()
const lit = ref<string | null>(null)
const { kind, remarks, patch, measure, measured, sureness, allSure, become } = useToolCard(
  () => records.toolsById.get(props.tool.id) ?? props.tool, // as it is now: what a page shows follows a moment later
)
const figures = computed(() => kind.value.fields.filter((f) => !f.balance))
const balances = computed(() => kind.value.fields.filter((f) => f.balance))
const hold = computed(() => kind.value.fields.find((f) => f.key === lit.value))
const centre = computed(() => centreOfGravity(props.tool))
const distinct = (of: (t: Tool) => string) => [...new Set(records.tools.map(of).filter(Boolean))]

const focusOn = (id: string) => document.getElementById(id)?.focus()
const fieldId = (key: string) => `measure-${key}`
onMounted(() => {
  if (props.start === 'figures') focusOn(fieldId(kind.value.fields[0]!.key))
  if (props.start !== 'name') return
  focusOn('tool-name')
  ;(document.activeElement as HTMLInputElement).select()
})
const SURE_LABEL: Record<Sureness, string> = { caliper: 'caliper', rule: 'rule', eye: 'by eye' }
const setCount = (text: string) => {
  const n = Number(text)
  if (Number.isInteger(n) && n >= 1 && n <= 999) patch('Count', { count: n })
}
</script>

<template>
  <div class="card">
    <div class="top">
      <div class="name">
        <label class="over" for="tool-name">Name</label>
        <NameField
          :model-value="tool.name"
          label="Name"
          input-id="tool-name"
          @next="focusOn('tool-kind')"
          @update:model-value="patch('Name', { name: $event })"
        />
      </div>
      <div class="group">
        <label class="over" for="tool-group">Laid with</label>
        <input
          id="tool-group"
          class="field"
          list="tool-groups"
          maxlength="120"
          :value="tool.group"
          placeholder="group"
          @input="patch('Group', { group: ($event.target as HTMLInputElement).value.slice(0, 120) })"
        />
        <datalist id="tool-groups"><option v-for="g in distinct((t) => t.group)" :key="g" :value="g" /></datalist>
      </div>
      <slot />
    </div>
    <div class="row">
      <div class="wide">
        <label class="over" for="tool-kind">Kind of tool</label>
        <select
          id="tool-kind"
          class="field"
          :value="tool.kind"
          @change="become(($event.target as HTMLSelectElement).value)"
          @keydown.enter.prevent="focusOn(fieldId(kind.fields[0]!.key))"
        >
          <option v-for="k in allKinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select>
      </div>
      <div class="count">
        <label class="over" for="tool-count">How many</label>
        <input
          id="tool-count"
          class="field"
          type="number"
          min="1"
          max="999"
          :value="tool.count"
          @input="setCount(($event.target as HTMLInputElement).value)"
        />
      </div>
      <div class="is">
        <span class="over-like">It is</span>
        <ChoiceRow
          label="It is"
          :values="PRESENCES.map((p) => ({ value: p, label: p }))"
          :model-value="tool.presence"
          @update:model-value="patch('Presence', { presence: $event })"
        />
      </div>
    </div>

    <CardDrawing :tool="tool" :lit="lit" @pick="focusOn(fieldId($event))" />
    <p class="hold" aria-live="polite">
      <template v-if="hold"
        ><strong>{{ hold.label }}.</strong> {{ hold.hold }}
        <span v-if="hold.optional" class="quiet">{{ hold.optional }}</span></template
      >
      <span v-else class="quiet">Take the figures in their order. Enter goes on to the next one.</span>
    </p>

    <div class="row">
      <div class="wide">
        <span class="over-like">Measured with</span>
        <ChoiceRow
          label="Measured with"
          :values="SURENESS.map((s) => ({ value: s, label: SURE_LABEL[s] }))"
          :model-value="tool.sure"
          @update:model-value="allSure"
        />
      </div>
      <div>
        <span class="over-like">Readings of each</span>
        <ChoiceRow
          label="Readings of each figure"
          :values="[
            { value: 1, label: 'one' },
            { value: 3, label: 'three' },
          ]"
          :model-value="readings.each.value"
          @update:model-value="readings.set($event as 1 | 3)"
        />
      </div>
      <div class="devices">
        <button
          class="btn"
          :aria-pressed="devices.open"
          title="Caliper, scale, angle gauge ( d )"
          @click="devices.show(!devices.open)"
        >
          Devices
        </button>
      </div>
    </div>
    <CardFigures
      :tool="tool"
      :fields="figures"
      :first="1"
      :lit="lit"
      :remarks="remarks"
      :readings="readings.each.value"
      @lit="lit = $event"
      @measure="measure"
      @measured="measured"
      @sure="sureness"
      @end="focusOn('tool-mass')"
    />

    <CardProfile
      v-if="kind.profile"
      :tool="tool"
      :kind="kind"
      :remarks="remarks"
      @change="patch('Handle profile', { profile: $event })"
    />
    <CardOutline
      v-if="kind.outline"
      :tool="tool"
      :kind="kind"
      :remarks="remarks"
      @change="patch('Outline', { outline: $event }, true)"
    />

    <div class="row">
      <div v-for="option in kind.options" :key="option.key" class="wide">
        <span class="over-like">{{ option.label }}</span>
        <ChoiceRow
          :label="option.label"
          :values="option.values"
          :model-value="tool.options[option.key] ?? option.values[0]!.value"
          @update:model-value="patch(option.label, { options: { ...tool.options, [option.key]: $event } })"
        />
      </div>
    </div>

    <CardWeights
      :tool="tool"
      :battery="kind.battery"
      @bare="patch('Weight', { mass: $event })"
      @full="patch('Weight with battery', { massWithBattery: $event })"
      @focus="lit = null"
      @end="focusOn(balances.length ? fieldId(balances[0]!.key) : 'tool-next')"
    />
    <p v-for="r in remarks.filter((x) => x.field === 'mass')" :key="r.message" class="told" :class="r.level">
      {{ r.message }}
    </p>
    <template v-if="balances.length">
      <CardBalanceHelp />
      <CardFigures
        :tool="tool"
        :fields="balances"
        :first="figures.length + 1"
        :lit="lit"
        :remarks="remarks"
        :readings="readings.each.value"
        @lit="lit = $event"
        @measure="measure"
        @measured="measured"
        @sure="sureness"
        @end="focusOn('tool-next')"
      />
      <p v-if="centre && centre.measured.length === 0" class="quiet small">
        Until then its balance is reckoned from the shape; the cross in the drawing says where.
      </p>
    </template>

    <CardAbout :tool="tool" @change="patch" />

    <div class="foot">
      <button id="tool-next" class="btn main" @click="emit('next')">Next tool</button>
      <button class="btn" @click="emit('copy')">Copy</button>
      <button class="btn" @click="emit('several')">More like it …</button>
      <button class="btn" title="Keeps a place for one more about this size" @click="emit('room')">
        Leave room for one more
      </button>
      <span class="spring" />
      <button class="btn" @click="emit('remove')">Delete</button>
    </div>
  </div>
</template>

<style scoped>
.card {
  padding: 14px 20px 24px;
  display: grid;
  gap: 10px;
}
.top {
  display: flex;
  gap: 10px;
  align-items: end;
}
.name {
  flex: 1.6;
}
.group {
  flex: 1;
}
.hold {
  min-height: 2.7em;
  margin: 0;
  line-height: 1.35;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
.row > div {
  flex: 1 1 150px;
}
.row > .wide {
  flex: 1.6 1 220px;
}
.row > .count {
  flex: 0 0 66px;
}
.row > .is {
  flex: 1.3 1 225px;
}
.row > .devices {
  flex: 0 0 auto;
  align-self: end;
}
.over-like {
  font-size: 0.86rem;
  color: var(--pencil);
}
.foot {
  display: flex;
  gap: 8px;
  margin-top: 6px;
  flex-wrap: wrap;
}
.spring {
  flex: 1;
}
p {
  margin: 0;
}
@media (max-width: 600px) {
  .card {
    padding: 12px 14px 28px;
  }
  .field,
  .btn {
    min-height: 44px;
  }
}
</style>
