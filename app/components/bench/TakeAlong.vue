<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { filesOf } from '#core/exchange/file-names'
import { CHECK_BAR } from '#core/exchange/pdf/check-bars'
import { labelsOf } from '#core/exchange/labels'
import { PAPERS, USUAL_PAPER, type Paper } from '#core/exchange/pdf/page'
import { WORST_PRINTER } from '#core/exchange/pdf/templates'
import type { HolderModel } from '#core/model/model'
import { download, fileName } from '~/composables/download'
import { useFormat } from '~/composables/useFormat'
import { useOutbox } from '~/stores/outbox'
import { useRecords } from '~/stores/records'

/** Everything a holder can be taken along as: templates and dossier on a paper, drawings, meshes, lists. */
const props = defineProps<{ holder: string; model: HolderModel }>()
const outbox = useOutbox()

const { format } = useFormat()
const records = useRecords()

/** The paper that was chosen; until then the one that is usual with the shop's unit. */
const chosen = ref<Paper | null>(null)
const paper = computed<Paper>({
  get: () => chosen.value ?? USUAL_PAPER[format.value.unit],
  set: (value) => (chosen.value = value),
})
const papers = Object.keys(PAPERS) as Paper[]
/** The check bar that is measured, and what it measured on paper, mm. */
const bar = computed(() => CHECK_BAR[format.value.unit])
const measured = ref<number | null>(bar.value.long)
watch(bar, ({ long }, was) => (measured.value = ((measured.value ?? was.long) * long) / was.long))
const busy = ref('')
const failed = ref('')

const SAYS: Record<string, string> = {
  'templates.pdf': 'Templates, true size',
  'test-piece.pdf': 'Test piece in card',
  'dossier.pdf': 'Build dossier',
  'labels.pdf': 'Labels',
  'labels.csv': 'Labels',
  'parts.csv': 'Parts',
  'hardware.csv': 'Hardware',
  'cutting.csv': 'Cutting',
  'plan.json': 'Plan, everything',
  'parts.3mf': 'Parts as solids',
  'holder.glb': 'Holder with tools',
}
const files = computed(() => filesOf(props.model))
const labels = computed(() => labelsOf(props.model, records.toolsById, format.value))
const main = computed(() => files.value.filter((f) => f.endsWith('.pdf')))
const whole = computed(() => files.value.filter((f) => SAYS[f] && !f.endsWith('.pdf')))
/** Files of one part each, by the part. */
const parts = computed(() =>
  [...props.model.boards, ...props.model.rods].map(({ id, name }) => ({
    name,
    files: files.value.filter((f) => f.startsWith(`${id}.`) || f === `${id}-marks.csv`),
  })),
)
const kind = (file: string) => (file.endsWith('-marks.csv') ? 'marks, CSV' : file.slice(file.lastIndexOf('.') + 1).toUpperCase()) // prettier-ignore

/** How long a change may take to be saved before a file is made, ms. */
const PATIENCE = 4000
async function saved() {
  for (let waited = 0; outbox.state !== 'saved' && waited < PATIENCE; waited += 100)
    await new Promise((resolve) => setTimeout(resolve, 100))
}
async function take(file: string) {
  busy.value = file
  failed.value = ''
  try {
    await saved()
    const query = new URLSearchParams({
      paper: paper.value,
      measured: String((100 * (measured.value ?? bar.value.long)) / bar.value.long),
    })
    const answer = await fetch(`/api/holders/${encodeURIComponent(props.holder)}/files/${file}?${query}`)
    if (!answer.ok) throw new Error(((await answer.json()) as { detail?: string }).detail)
    const name = `${fileName(props.model.name)}-${file}`
    download(name, answer.headers.get('content-type') ?? '', await answer.blob())
  } catch (error) {
    failed.value = (error as Error).message || 'The file can’t be made just now: the server was not reached.'
  } finally {
    busy.value = ''
  }
}
</script>

<template>
  <section class="take no-print" data-test="take-along">
    <h2>Take along</h2>
    <div class="row">
      <button v-for="f in main" :key="f" class="btn" :disabled="busy !== ''" @click="take(f)">
        <v-icon :icon="mdiDownload" size="18" /> {{ SAYS[f] }}, PDF
      </button>
    </div>
    <div class="row">
      <label>
        <span class="quiet small">Paper</span>
        <select v-model="paper" class="field">
          <option v-for="p in papers" :key="p">{{ p }}</option>
        </select>
      </label>
      <label>
        <span class="quiet small">{{ bar.name }} bar measures</span>
        <LengthField
          v-model="measured"
          :label="`${bar.name} bar measures`"
          input-id="check-bar"
          :max="bar.long * (1 + WORST_PRINTER)"
        />
      </label>
      <p class="quiet small hint">
        Print templates at true size, not ‘fit to page’. Measure the {{ bar.name }} bar on paper: if it differs, type it
        in and print again.
      </p>
    </div>
    <BenchLabelTape v-if="labels.length > 0" :labels="labels" />
    <details>
      <summary>Lists, drawings, solids</summary>
      <div class="row">
        <button v-for="f in whole" :key="f" class="btn tiny" :disabled="busy !== ''" @click="take(f)">
          {{ SAYS[f] }}, {{ kind(f) }}
        </button>
      </div>
      <div v-for="p in parts" :key="p.name" class="row">
        <span class="part">{{ p.name }}</span>
        <button
          v-for="f in p.files"
          :key="f"
          class="btn tiny"
          :aria-label="`${p.name}, ${kind(f)}`"
          :disabled="busy !== ''"
          @click="take(f)"
        >
          {{ kind(f) }}
        </button>
      </div>
    </details>
    <p v-if="failed" class="told wrong" role="alert">{{ failed }}</p>
  </section>
</template>

<style scoped>
.take {
  max-width: 760px;
  margin: 0 auto 14px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin: 6px 0;
}
label {
  display: grid;
  width: 150px;
}
.part {
  min-width: 110px;
  align-self: center;
}
summary {
  cursor: pointer;
  min-height: 28px;
}
p {
  margin: 4px 0 0;
}
.hint {
  flex: 1 1 260px;
}
</style>
