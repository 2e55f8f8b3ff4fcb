<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { allKinds, kindOf } from '#core/footprint/kinds'
import { namesFor, readLengths, readSeveral, SIZES_LIKE } from '#core/footprint/several'
import { plainTool, type Tool } from '#core/footprint/tool'
import { useFormat } from '~/composables/useFormat'

/** Makes a group of like tools at once, which differ in one figure and share the rest. */
const props = defineProps<{ from: Tool | null }>()
const emit = defineEmits<{ close: []; make: [tools: Tool[]] }>()

const { format, length } = useFormat()
const phrase = ref('')
const noun = ref(props.from?.name.replace(/[\s\d/"½¼¾.,]+(mm|in)?\s*$/u, '') ?? '')
const kindId = ref(props.from?.kind ?? 'handled-blade')
const field = ref('')
const list = ref('')
const told = ref<string[]>([])

watch(phrase, (text) => {
  if (text.trim() === '') {
    told.value = []
    return
  }
  const read = readSeveral(text, format.value.unit, props.from ? kindOf(props.from.kind)! : null)
  told.value = read.problems
  if (read.noun) noun.value = read.noun
  if (read.kind) kindId.value = read.kind.id
  if (read.field) field.value = read.field
  if (read.values.length > 0) list.value = read.list
})
const kind = computed(() => kindOf(kindId.value)!)
watch(kind, (k) => {
  if (!k.fields.some((f) => f.key === field.value)) field.value = ''
})
const read = computed(() => readLengths(list.value, format.value.unit))
const names = computed(() => namesFor(noun.value.trim(), read.value.values, format.value))
const shared = computed(() => {
  const measures = props.from?.kind === kindId.value ? props.from.measures : {}
  return kind.value.fields.filter((f) => f.key !== field.value && measures[f.key] !== undefined)
})
const ready = computed(
  () =>
    field.value !== '' && read.value.values.length > 0 && list.value.trim() !== '' && read.value.problems.length === 0,
)

/** What would be made, drawn before it is. */
const made = computed<Tool[]>(() => {
  if (!ready.value) return []
  const like = props.from?.kind === kindId.value ? props.from : null
  const group =
    like?.group || (noun.value ? `${noun.value[0]!.toUpperCase()}${noun.value.slice(1)}s`.slice(0, 120) : '')
  return read.value.values.map((value, i) => ({
    ...(like ?? plainTool('', kindId.value, '')),
    id: `new-${i}`,
    name: names.value[i]!,
    group,
    count: 1,
    measures: { ...like?.measures, [field.value]: value },
    spread: {},
    seen: null,
  }))
})
const make = () =>
  ready.value &&
  emit(
    'make',
    made.value.map((t) => ({ ...t, id: crypto.randomUUID() })),
  )
</script>

<template>
  <v-dialog :model-value="true" max-width="560" @update:model-value="emit('close')">
    <form class="several" @submit.prevent="make">
      <h2>Several at once</h2>
      <label class="over" for="several-phrase">Say it in one line, or fill in below</label>
      <input
        id="several-phrase"
        v-model="phrase"
        class="field"
        autofocus
        autocomplete="off"
        :placeholder="`six chisels, widths ${SIZES_LIKE[format.unit]}`"
      />
      <p v-for="t in told" :key="t" class="told doubt" role="status">{{ t }}</p>
      <div class="row">
        <div>
          <label class="over" for="several-noun">Each is a</label>
          <input id="several-noun" v-model="noun" class="field" maxlength="80" autocomplete="off" />
        </div>
        <div>
          <label class="over" for="several-kind">Kind of tool</label>
          <select id="several-kind" v-model="kindId" class="field">
            <option v-for="k in allKinds" :key="k.id" :value="k.id">{{ k.name }}</option>
          </select>
        </div>
      </div>
      <div class="row">
        <div>
          <label class="over" for="several-field">They differ in</label>
          <select id="several-field" v-model="field" class="field">
            <option value="" disabled>choose a figure</option>
            <option v-for="f in kind.fields" :key="f.key" :value="f.key">{{ f.label }}</option>
          </select>
        </div>
        <div>
          <label class="over" for="several-list">Its sizes</label>
          <input
            id="several-list"
            v-model="list"
            class="field"
            autocomplete="off"
            :placeholder="SIZES_LIKE[format.unit]"
          />
        </div>
      </div>
      <template v-if="list.trim()"
        ><p v-for="t in read.problems" :key="t" class="told wrong" role="alert">{{ t }}</p></template
      >
      <ToolSamples v-if="made.length" :tools="made.slice(0, 12)" :height="110" />
      <p v-if="made.length > 12" class="quiet small">and {{ made.length - 12 }} more</p>
      <p v-if="shared.length" class="quiet small">
        All of them share:
        {{ shared.map((f) => `${f.label.toLowerCase()} ${length(from!.measures[f.key]!)}`).join(', ') }}.
      </p>
      <div class="foot">
        <button class="btn main" :disabled="!ready">
          Make {{ read.values.length && list.trim() ? read.values.length : 'them' }}
        </button>
        <button type="button" class="btn" @click="emit('close')">Leave it</button>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.several {
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  padding: 18px 22px;
  display: grid;
  gap: 8px;
}
.row {
  display: flex;
  gap: 10px;
}
.row > div {
  flex: 1;
  min-width: 0;
}
.foot {
  display: flex;
  gap: 8px;
  margin-top: 6px;
}
p {
  margin: 0;
}
</style>
