<script setup lang="ts">
import { nextTick, reactive } from 'vue'
import type { FieldDeclaration } from '#core/footprint/kind'
import type { Remark } from '#core/footprint/measuring'
import { SURENESS, surenessOf, type Sureness, type Tool } from '#core/footprint/tool'
import { useFormat } from '~/composables/useFormat'

/** Figures of a card in their order. Enter, or a reading of a device, goes on to the next one. */
const props = defineProps<{
  tool: Tool
  fields: readonly FieldDeclaration[]
  /** number of the first of them on the drawing */
  first: number
  lit: string | null
  remarks: readonly Remark[]
  /** readings taken of each figure */
  readings: number
}>()
const emit = defineEmits<{
  lit: [key: string]
  measure: [key: string, label: string, value: number | null]
  measured: [key: string, label: string, readings: number[]]
  sure: [key: string, sure: Sureness]
  /** behind the last of them */
  end: []
}>()

const { bare } = useFormat()
const SURE_LABEL: Record<Sureness, string> = { caliper: 'caliper', rule: 'rule', eye: 'by eye' }
const taken = reactive(new Map<string, number[]>())
const fieldId = (key: string) => `measure-${key}`
const input = (key: string) => document.getElementById(fieldId(key)) as HTMLInputElement | null

function goOn(index: number) {
  const next = props.fields[index + 1]
  void nextTick(() => {
    if (!next) return emit('end')
    input(next.key)?.focus()
    input(next.key)?.select()
  })
}
/** A figure was typed and ended by Enter, or came from a caliper, which is then how sure it is. */
function read({ key, label }: FieldDeclaration, index: number, reading?: number) {
  if (reading !== undefined && surenessOf(props.tool, key) !== 'caliper') emit('sure', key, 'caliper')
  const value = reading ?? props.tool.measures[key]
  if (props.readings === 1 || value === undefined) return goOn(index)
  const all = [...(taken.get(key) ?? []), value]
  if (all.length < props.readings) {
    taken.set(key, all)
    void nextTick(() => input(key)?.select())
    return
  }
  taken.delete(key)
  emit('measured', key, label, all)
  goOn(index)
}
</script>

<template>
  <ol class="fields" :start="first">
    <li v-for="(field, i) in fields" :key="field.key" :class="{ lit: lit === field.key }">
      <span class="no">{{ first + i }}</span>
      <label :for="fieldId(field.key)">{{ field.label }}</label>
      <LengthField
        :model-value="tool.measures[field.key] ?? null"
        :label="field.label"
        :input-id="fieldId(field.key)"
        :placeholder="field.optional ? 'may stay empty' : 'to measure'"
        :min="field.noughtAllowed ? 0 : undefined"
        :of="{ tool: tool.id, kind: tool.kind, field: field.key }"
        optional
        @update:model-value="emit('measure', field.key, field.label, $event)"
        @focus="emit('lit', field.key)"
        @next="read(field, i)"
        @reading="read(field, i, $event)"
      />
      <select
        class="field sure"
        :aria-label="`How sure: ${field.label}`"
        :value="surenessOf(tool, field.key)"
        @change="emit('sure', field.key, ($event.target as HTMLSelectElement).value as Sureness)"
      >
        <option v-for="s in SURENESS" :key="s" :value="s">{{ SURE_LABEL[s] }}</option>
      </select>
      <p v-if="taken.has(field.key)" class="told quiet" role="status">
        {{ taken.get(field.key)!.length }} of {{ readings }}:
        {{
          taken
            .get(field.key)!
            .map((v) => bare(v))
            .join(', ')
        }}
      </p>
      <p v-else-if="tool.spread[field.key] !== undefined" class="told quiet">
        the middle of several readings, {{ bare(tool.spread[field.key]!, 'up') }} apart at most
      </p>
      <p v-for="r in remarks.filter((x) => x.field === field.key)" :key="r.message" class="told" :class="r.level">
        {{ r.message }}
      </p>
    </li>
  </ol>
</template>

<style scoped>
.fields {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
li {
  display: grid;
  grid-template-columns: 22px 150px minmax(0, 1fr) 92px;
  gap: 2px 8px;
  align-items: start;
}
label,
.no {
  padding-top: 5px;
  line-height: 1.2;
}
.no {
  font-weight: 700;
  color: var(--pencil);
}
.lit .no,
.lit label {
  color: var(--chalk);
}
.told {
  grid-column: 3 / -1;
}
.sure {
  font-size: 0.88rem;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: 18px 104px minmax(0, 1fr) 84px;
  }
  .field {
    min-height: 44px;
  }
  label,
  .no {
    padding-top: 11px;
  }
}
</style>
