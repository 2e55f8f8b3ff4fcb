<script setup lang="ts">
import { computed, ref } from 'vue'
import { hardwareOf } from '#core/bench/hardware'
import type { Design } from '#core/choose/design'
import { USUAL_PAPER } from '#core/exchange/pdf/page'
import { formOf } from '#core/forms/all-forms'
import { WALL_FILES, type WallFile } from '#core/exchange/wall/wall-files'
import { wallLoads, type StripLoad } from '#core/wall/loads/loads'
import { HOLDS, PULL } from '#core/wall/loads/strip-pull'
import { hangsBy } from '#core/wall/holding'
import type { Board } from '#core/model/model'
import type { Wall } from '#core/wall/wall'
import { download, fileName } from '~/composables/download'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** What goes up on a wall before the holders, what its strips and studs carry, and what it can be taken along as. */
const props = defineProps<{ wall: Wall; own: Design; designs: ReadonlyMap<string, Design> }>()
const records = useRecords()
const history = useHistory()
const { force, format, length, mass } = useFormat()

const boards = computed(() => props.own.model?.boards ?? [])
const screws = computed(() => (props.own.model ? hardwareOf([props.own.model], records.shop!).filter((h) => h.kind === 'screw') : [])) // prettier-ignore
const ONE: Partial<Record<Board['role'], [one: string, more: string]>> = { panel: ['sheet', 'sheets'], strip: ['strip', 'strips'], lip: ['moulding', 'mouldings'], rail: ['ledger', 'ledgers'], end: ['upright', 'uprights'] } // prettier-ignore
/** Boards that are for the same and measure the same, counted. */
const sizes = computed(() => {
  const found = new Map<string, { count: number; size: string; one: string; more: string }>()
  for (const b of [...boards.value].sort((p, q) => p.role.localeCompare(q.role) || q.length - p.length)) {
    const [one, more] = (props.wall.holds === 'framed' && b.role === 'panel' ? ['panel', 'panels'] : ONE[b.role]) ?? ['board', 'boards'] // prettier-ignore
    const size = `${length(b.length)} × ${length(b.width)}`
    const key = `${one} ${size}`
    found.set(key, { count: (found.get(key)?.count ?? 0) + 1, size, one: one!, more: more! })
  }
  return [...found].map(([key, s]) => ({ key, ...s }))
})
const loads = computed(() => wallLoads(props.wall, props.designs, records.shop!))
/** The figure of a strip whose working is open. */
const open = ref<{ strip: string; figure: string } | null>(null)
const show = (strip: string, figure: string) => {
  open.value = open.value?.strip === strip && open.value.figure === figure ? null : { strip, figure }
}
const figureOf = (s: StripLoad) => s.working.find((f) => f.id === open.value?.figure)
function choose(id: string, key: string, value: number) {
  const holder = records.get('holders', id)?.data
  if (holder) history.change(key, 'holders', id, { ...holder, choices: { ...holder.choices, [key]: value } })
}
const choicesOf = (id: string) => formOf(records.get('holders', id)?.data?.form ?? '')?.choices ?? []
const loaded = computed(() => loads.value.studs.filter((s) => s.mass > 0))

const SAYS: Record<WallFile, string> = { 'locating.pdf': 'Locating sheet, PDF', 'wall.svg': 'SVG', 'wall.dxf': 'DXF', 'positions.csv': 'Positions, CSV' } // prettier-ignore
const failed = ref('')
async function take(file: string) {
  failed.value = ''
  try {
    const query = new URLSearchParams({ paper: USUAL_PAPER[format.value.unit] })
    const answer = await fetch(`/api/walls/${encodeURIComponent(props.wall.id)}/files/${file}?${query}`)
    if (!answer.ok) throw new Error(((await answer.json()) as { detail?: string }).detail)
    download(`${fileName(props.wall.name)}-${file}`, answer.headers.get('content-type') ?? '', await answer.blob())
  } catch (error) {
    failed.value = (error as Error).message || 'The file can’t be made just now: the server was not reached.'
  }
}
</script>

<template>
  <section data-test="backing">
    <h2>What goes up first</h2>
    <p v-if="wall.holds === 'studs'" class="quiet">Nothing: holders are screwed straight to the studs.</p>
    <ul v-else class="plain-list">
      <li v-for="s in sizes" :key="s.key">
        {{ s.count }} {{ s.count === 1 ? s.one : s.more }}
        <LengthText :text="s.size" />
      </li>
      <li v-for="h in screws" :key="h.name">{{ h.count }} × {{ h.name }}</li>
      <li v-if="hangsBy(wall) === 'strips' && boards.length">spacer <LengthText :text="length(wall.strips.gap)" /></li>
    </ul>
    <ul class="plain-list">
      <li v-for="v in own.verdicts" :key="v.id"><VerdictMark :level="v.level" worded /> {{ v.says }}</li>
    </ul>
    <p v-if="boards.length" class="links">
      <NuxtLink :to="`/bench/${wall.id}`">To the bench</NuxtLink>
      <NuxtLink to="/cutting">Cutting</NuxtLink>
      <button class="link" @click="take('dossier.pdf')">Build dossier, PDF</button>
    </p>
    <template v-if="loads.strips.length || loaded.length">
      <h3>What carries it</h3>
      <ul class="plain-list">
        <li v-for="s in loads.strips" :key="s.id">
          <VerdictMark :level="s.level" /> {{ s.name }}: {{ mass(s.mass) }},
          <template v-if="s.working.length > 0"
            ><button class="link" :aria-expanded="open?.strip === s.id" @click="show(s.id, PULL)">
              {{ force(s.pull) }}
            </button>
            on its most pulled screw<template v-if="s.holds !== null">
              of <button class="link" @click="show(s.id, HOLDS)">{{ force(s.holds) }}</button></template
            ><template v-else>: what that holds is its maker’s to say</template></template
          ><template v-else>no screw of it is in a stud there</template>
          <HolderWorkingCard
            v-if="open?.strip === s.id && figureOf(s)"
            class="working"
            :worked="{ working: s.working }"
            :figure="figureOf(s)!"
            :choices="choicesOf(s.by)"
            @pick="show(s.id, $event)"
            @choose="(key, value) => choose(s.by, key, value)"
          />
        </li>
        <li v-for="s in loaded" :key="s.at" class="quiet">
          stud at <LengthText :text="length(s.at)" />: {{ mass(s.mass) }}
        </li>
      </ul>
    </template>
    <h3>Take along</h3>
    <p class="links">
      <button v-for="f in WALL_FILES" :key="f" class="btn tiny" @click="take(f)">{{ SAYS[f] }}</button>
    </p>
    <p v-if="failed" role="alert" class="told wrong">{{ failed }}</p>
  </section>
</template>

<style scoped>
section {
  margin-top: 18px;
}
.plain-list {
  list-style: none;
  padding: 0;
  margin: 4px 0;
  display: grid;
  gap: 3px;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
}

.working {
  margin: 6px 0 10px;
  max-width: 46ch;
}
h3 {
  margin: 12px 0 2px;
}
</style>
