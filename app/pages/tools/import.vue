<script setup lang="ts">
import { computed, ref } from 'vue'
import { allKinds } from '#core/footprint/kinds'
import { useImport } from '~/composables/useImport'
import { useNotice } from '~/composables/useNotice'
import { useRecords } from '~/stores/records'

useHead({ title: 'Lists of tools · Fingerling' })
const records = useRecords()
const notice = useNotice()
const list = useImport()
const { stage, wrong, parting, columns, rows, order, read, progress, result, updates, leftBehind } = list

const over = ref(false)
const named = ref('')
function take(file: File | undefined) {
  over.value = false
  if (!file) return
  named.value = file.name
  void list.open(file)
}
const again = () => list.file.value && void list.open(list.file.value, parting.value)
function cancel() {
  list.cancel()
  notice.say('Stopped. The tray is as it was.')
}
const busy = computed(() => stage.value === 'opening' || stage.value === 'reading' || stage.value === 'saving')
const says = computed(() =>
  stage.value === 'saving' ? 'Taking them in' : stage.value === 'opening' ? 'Opening the file' : 'Reading the rows',
)
const link = (query: string) => `/api/shops/${records.shopId}/tools?${query}`
const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`
</script>

<template>
  <div class="page lists">
    <p class="small"><NuxtLink to="/tools">Tools</NuxtLink></p>
    <h1>Lists in and out</h1>

    <section v-if="records.tools.length > 0 && stage === 'none'" class="out">
      <h2>Keep a list of the tray</h2>
      <p class="quiet">{{ count(records.tools.length, 'tool') }} with every figure, to all its digits.</p>
      <div class="abreast">
        <a class="btn" :href="link('as=csv&unit=mm')" download>CSV in mm and kg</a>
        <a class="btn" :href="link('as=csv&unit=in')" download>CSV in inches and lb</a>
        <a class="btn" :href="link('as=json')" download>JSON</a>
      </div>
    </section>

    <section>
      <h2>Take a list in</h2>
      <div
        v-if="stage === 'none'"
        class="drop"
        :class="{ over }"
        @dragover.prevent="over = true"
        @dragleave="over = false"
        @drop.prevent="take($event.dataTransfer?.files[0])"
      >
        <p>
          CSV with a row of headings, or JSON. Each row is a tool; a heading may carry its unit, as in
          <em>Head width (mm)</em>.
        </p>
        <label class="btn main file">
          Choose a file
          <input
            type="file"
            accept=".csv,.json,text/csv,application/json"
            class="hidden-text"
            @change="
              (take(($event.target as HTMLInputElement).files?.[0]), (($event.target as HTMLInputElement).value = ''))
            "
          />
        </label>
        <span class="quiet wide-only">or drop it here</span>
      </div>
      <p v-if="wrong" class="told wrong" role="alert">
        {{ named }}: {{ wrong }}
        <button v-if="parting" class="btn tiny" @click="again">
          Read it {{ parting === ';' ? 'with semicolons' : parting === '\t' ? 'with tabs' : 'as it is' }}
        </button>
      </p>
      <p v-if="leftBehind > 0" class="told wrong" role="alert">
        {{ count(leftBehind, 'tool') }} could not be taken out again and stand in the tray.
      </p>

      <div v-if="busy" class="progress">
        <label>{{ says }} <progress :value="progress" max="1" /></label>
        <button class="btn" @click="cancel">Stop</button>
      </div>

      <template v-if="(stage === 'read' || stage === 'reading') && read">
        <p class="sum" role="status">
          <strong>{{ named }}</strong>: {{ count(rows, 'row') }}. {{ read.good }} can be taken in<template
            v-if="updates > 0"
            >, {{ updates }} of them {{ updates === 1 ? 'is' : 'are' }} here already and will be changed</template
          ><template v-if="read.bad.length > 0">; {{ read.bad.length }} can’t.</template><template v-else>.</template>
        </p>
        <div class="abreast settle">
          <div>
            <span class="over-like">Figures without a unit are</span>
            <ChoiceRow
              label="Figures without a unit are"
              :values="[
                { value: 'mm', label: 'mm, kg' },
                { value: 'in', label: 'inches, lb' },
              ]"
              :model-value="order.unit"
              @update:model-value="list.change({ unit: $event })"
            />
          </div>
          <div>
            <label class="over" for="list-kind">Tools that don’t say their kind are</label>
            <select
              id="list-kind"
              class="field"
              :value="order.kind ?? ''"
              @change="list.change({ kind: ($event.target as HTMLSelectElement).value || null })"
            >
              <option value="">what their name tells</option>
              <option v-for="k in allKinds" :key="k.id" :value="k.id">{{ k.name }}</option>
            </select>
          </div>
        </div>
        <ImportColumns v-if="columns.length > 0" :columns="columns" @take="list.take" />
        <template v-if="read.bad.length > 0">
          <h3>{{ count(read.bad.length, 'row') }} can’t be taken in</h3>
          <ImportTroubles :bad="read.bad" />
        </template>
        <template v-if="read.first.length > 0">
          <h3>
            {{ read.good === read.first.length ? 'These come in' : `The first ${read.first.length} of ${read.good}` }},
            to one scale
          </h3>
          <ToolSamples :tools="read.first" :height="120" />
        </template>
        <div class="abreast last">
          <button class="btn main" :disabled="read.good === 0 || stage === 'reading'" @click="list.keep()">
            Take in
            {{
              read.bad.length > 0
                ? `the ${read.good} good ${read.good === 1 ? 'row' : 'rows'}`
                : count(read.good, 'tool')
            }}
          </button>
          <button class="btn" @click="list.cancel()">Leave it</button>
        </div>
      </template>

      <template v-if="stage === 'done' && result">
        <p role="status" class="sum">
          <strong>{{ count(result.added + result.changed, 'tool') }} taken in</strong
          ><template v-if="result.changed > 0">, {{ result.changed }} of them changed</template>.
          <template v-if="result.unsent > 0">
            {{ result.unsent }} were not: the server could not be reached. Take the list in again; those that are in are
            not changed.</template
          >
        </p>
        <ul v-if="result.refused.length > 0" class="told wrong">
          <li v-for="(r, i) in result.refused.slice(0, 50)" :key="i">{{ r.name }}: {{ r.message }}</li>
        </ul>
        <div class="abreast">
          <NuxtLink class="btn main" to="/tools">To the tray</NuxtLink>
          <button class="btn" @click="list.cancel()">Another list</button>
        </div>
      </template>
    </section>
  </div>
</template>

<style scoped>
.lists {
  max-width: 860px;
}
section {
  margin-top: 18px;
}
.drop {
  border: 1.5px dashed var(--pencil);
  padding: 18px 22px;
  margin-top: 8px;
}
.drop.over {
  border-color: var(--chalk);
  background: var(--faint);
}
.drop p {
  margin: 0 0 10px;
}
.file {
  margin-right: 10px;
}
.file:focus-within {
  outline: 2px solid var(--chalk);
  outline-offset: 2px;
}
.abreast {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  margin-top: 8px;
}
.last {
  position: sticky;
  bottom: 0;
  padding: 10px 0;
  background: var(--paper);
  border-top: 1px solid var(--rule);
}
.settle > div {
  flex: 1 1 240px;
}
.over-like {
  font-size: 0.86rem;
  color: var(--pencil);
  display: block;
  margin-bottom: 2px;
}
h3 {
  margin: 14px 0 6px;
}
.progress {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 12px 0;
}
progress {
  accent-color: var(--chalk);
  width: min(300px, 50vw);
}
.sum {
  margin: 8px 0;
}
@media (max-width: 600px) {
  .wide-only {
    display: none;
  }
  .btn {
    min-height: 44px;
  }
}
</style>
