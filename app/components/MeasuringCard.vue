<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { kindOf } from '#core/footprint/kinds'
import { remarksOn } from '#core/footprint/measuring'
import { SURENESS, USES, surenessOf, type Sureness, type Tool } from '#core/footprint/tool'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** One tool's card: its figures in the order in which they are taken, with the drawing that says where. */
const props = defineProps<{
  tool: Tool
  /** where typing begins when the card comes up */ start?: 'name' | 'figures'
}>()
const emit = defineEmits<{ copy: []; remove: []; next: [] }>()

const history = useHistory()
const records = useRecords()
const { length } = useFormat()
const lit = ref<string | null>(null)
const kind = computed(() => kindOf(props.tool.kind)!)
const remarks = computed(() => remarksOn(props.tool, length))
const hold = computed(() => kind.value.fields.find((f) => f.key === lit.value))
const groups = computed(() => [...new Set(records.tools.map((t) => t.group).filter(Boolean))])

const patch = (label: string, more: Partial<Tool>) =>
  history.change(label, 'tools', props.tool.id, { ...props.tool, ...more })

function measure(key: string, label: string, value: number | null) {
  const { [key]: _, ...rest } = props.tool.measures
  patch(label, { measures: value === null ? rest : { ...rest, [key]: value } })
}
function sureness(key: string, sure: Sureness) {
  const { [key]: _, ...rest } = props.tool.sureOf
  patch('How sure', { sureOf: sure === props.tool.sure ? rest : { ...rest, [key]: sure } })
}
/** The whole card's way of measuring; what was said of single figures still holds where it differs. */
function allSure(sure: Sureness) {
  const sureOf = Object.fromEntries(Object.entries(props.tool.sureOf).filter(([, s]) => s !== sure))
  patch('How sure', { sure, sureOf })
}

const focusOn = (id: string) => document.getElementById(id)?.focus()
const fieldId = (key: string) => `measure-${key}`
function goOn(index: number) {
  const next = kind.value.fields[index + 1]
  void nextTick(() => focusOn(next ? fieldId(next.key) : 'tool-mass'))
}
onMounted(() => {
  if (props.start === 'figures') focusOn(fieldId(kind.value.fields[0]!.key))
  if (props.start !== 'name') return
  focusOn('tool-name')
  ;(document.activeElement as HTMLInputElement).select()
})
const SURE_LABEL: Record<Sureness, string> = { caliper: 'caliper', rule: 'rule', eye: 'by eye' }
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
          @next="focusOn(fieldId(kind.fields[0]!.key))"
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
        <datalist id="tool-groups"><option v-for="g in groups" :key="g" :value="g" /></datalist>
      </div>
      <slot />
    </div>

    <CardDrawing :tool="tool" :lit="lit" @pick="focusOn(fieldId($event))" />
    <p class="hold" aria-live="polite">
      <template v-if="hold"
        ><strong>{{ hold.label }}.</strong> {{ hold.hold }}
        <span v-if="hold.optional" class="quiet">{{ hold.optional }}</span></template
      >
      <span v-else class="quiet">Take the figures in their order. Enter goes on to the next one.</span>
    </p>

    <div class="with">
      <span class="over-like">Measured with</span>
      <ChoiceRow
        label="Measured with"
        :values="SURENESS.map((s) => ({ value: s, label: SURE_LABEL[s] }))"
        :model-value="tool.sure"
        @update:model-value="allSure"
      />
    </div>
    <ol class="fields">
      <li v-for="(field, i) in kind.fields" :key="field.key" :class="{ lit: lit === field.key }">
        <span class="no">{{ i + 1 }}</span>
        <label :for="fieldId(field.key)">{{ field.label }}</label>
        <LengthField
          :model-value="tool.measures[field.key] ?? null"
          :label="field.label"
          :input-id="fieldId(field.key)"
          :placeholder="field.optional ? 'may stay empty' : 'to measure'"
          optional
          @update:model-value="measure(field.key, field.label, $event)"
          @focus="lit = field.key"
          @next="goOn(i)"
        />
        <select
          class="field sure"
          :aria-label="`How sure: ${field.label}`"
          :value="surenessOf(tool, field.key)"
          @change="sureness(field.key, ($event.target as HTMLSelectElement).value as Sureness)"
        >
          <option v-for="s in SURENESS" :key="s" :value="s">{{ SURE_LABEL[s] }}</option>
        </select>
        <p v-for="r in remarks.filter((x) => x.field === field.key)" :key="r.message" class="told" :class="r.level">
          {{ r.message }}
        </p>
      </li>
    </ol>

    <div class="options">
      <div v-for="option in kind.options" :key="option.key">
        <span class="over-like">{{ option.label }}</span>
        <ChoiceRow
          :label="option.label"
          :values="option.values"
          :model-value="tool.options[option.key] ?? option.values[0]!.value"
          @update:model-value="patch(option.label, { options: { ...tool.options, [option.key]: $event } })"
        />
      </div>
    </div>
    <div class="options">
      <div>
        <label class="over" for="tool-mass">Weight</label>
        <MassField
          input-id="tool-mass"
          :model-value="tool.mass"
          @update:model-value="patch('Weight', { mass: $event })"
          @focus="lit = null"
          @next="focusOn('tool-next')"
        />
      </div>
      <div class="wide">
        <span class="over-like">Used</span>
        <ChoiceRow
          label="Used"
          :values="USES.map((u) => ({ value: u, label: u }))"
          :model-value="tool.use"
          @update:model-value="patch('Use', { use: $event })"
        />
      </div>
    </div>
    <label class="over" for="tool-note">Note</label>
    <textarea
      id="tool-note"
      class="field"
      rows="2"
      maxlength="2000"
      :value="tool.note"
      @input="patch('Note', { note: ($event.target as HTMLTextAreaElement).value })"
    />

    <div class="foot">
      <button id="tool-next" class="btn main" @click="emit('next')">Next tool</button>
      <button class="btn" @click="emit('copy')">Copy</button>
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
.with {
  display: flex;
  align-items: center;
  gap: 12px;
}
.with > :last-child {
  flex: 0 1 300px;
}
.options {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
.options > div {
  flex: 1 1 140px;
}
.options > .wide {
  flex: 2.4 1 260px;
}
.over-like {
  font-size: 0.86rem;
  color: var(--pencil);
}
.fields {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
.fields li {
  display: grid;
  grid-template-columns: 22px 130px minmax(0, 1fr) 92px;
  gap: 2px 8px;
  align-items: start;
}
.fields label,
.no {
  padding-top: 5px;
}
.no {
  font-weight: 700;
  color: var(--pencil);
}
.lit .no,
.lit label {
  color: var(--chalk);
}
.fields .told {
  grid-column: 3 / -1;
}
.sure {
  font-size: 0.88rem;
}
.foot {
  display: flex;
  gap: 8px;
  margin-top: 6px;
}
.spring {
  flex: 1;
}
@media (max-width: 600px) {
  .card {
    padding: 12px 14px 28px;
  }
  .fields li {
    grid-template-columns: 18px 104px minmax(0, 1fr) 84px;
  }
  .field,
  .btn {
    min-height: 44px;
  }
  .fields label,
  .no {
    padding-top: 11px;
  }
}
</style>
