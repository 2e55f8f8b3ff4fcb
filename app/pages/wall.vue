<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { design } from '#core/choose/design'
import { LONGEST_NAME } from '#core/exchange/project/checked'
import { wallDesign } from '#core/wall/backing/wall-model'
import { besideOf } from '#core/wall/beside'
import { at, wallPiece } from '#core/wall/extent'
import { inspectWall } from '#core/wall/inspect-wall'
import { placedOn, postsHit } from '#core/wall/may-hang'
import { heightsFor, rowAt, rowsOn } from '#core/wall/strips'
import { hangsBy, postName } from '#core/wall/holding'
import { newWall, type Hung, type Wall } from '#core/wall/wall'
import { changesIn } from '~/composables/changesIn'
import { counted } from '~/composables/counted'
import { useArranging } from '~/composables/useArranging'
import { useFormat } from '~/composables/useFormat'
import { useKeys } from '~/composables/useKeys'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Where everything hangs. */
useHead({ title: 'Wall · Fingerling' })
const records = useRecords()
const history = useHistory()
const { length, format } = useFormat()
const { proposal, working, failed, run, stop, leave } = useArranging()

const wall = computed<Wall | null>(() => records.walls[0] ?? null)
const chosen = ref<string | null>(null)
const designs = computed(() => new Map(records.holders.map((holder) => [holder.id, design({ shop: records.shop!, tools: records.toolsById, holder })]))) // prettier-ignore
const pieces = computed(() => [...designs.value.values()].flatMap((d) => wallPiece(d) ?? []))
/** What the wall is covered with before any holder. */
const own = computed(() => (wall.value ? wallDesign(wall.value, records.shop!) : null))
/** Places that something of a size still has. */
const rooms = ref<{ x: number; z: number; width: number; height: number }[]>([])
/** The wall while a holder is being dragged, before it is saved. */
const dragged = shallowRef<Hung[] | null>(null)
const shown = computed<Wall | null>(() => wall.value && (dragged.value ? { ...wall.value, hung: dragged.value } : wall.value)) // prettier-ignore
const verdicts = computed(() => (shown.value ? inspectWall(shown.value, pieces.value, records.shop!) : []))
const homeless = computed(() => pieces.value.filter((p) => !wall.value?.hung.some((h) => h.holder === p.holder)))
const noHome = computed(() => {
  const held = new Set(records.holders.flatMap((h) => h.seats.map((s) => s.tool)))
  return records.tools.filter((t) => !held.has(t.id)).length
})

function make() {
  const made = newWall(crypto.randomUUID(), records.shop!.unit)
  history.change('A wall', 'walls', made.id, made, true)
}
function change(label: string, more: Partial<Wall>, alone = false) {
  if (wall.value) history.change(label, 'walls', wall.value.id, { ...wall.value, ...more }, alone)
}
const withPlace = (holder: string, more: Partial<Hung>): Hung[] =>
  wall.value!.hung.map((h) => (h.holder === holder ? { ...h, ...more } : h))
function move(holder: string, x: number, z: number, done: boolean) {
  dragged.value = done ? null : withPlace(holder, { x, z })
  const now = wall.value!.hung.find((h) => h.holder === holder)
  if (done && now && (now.x !== x || now.z !== z)) change('Move a holder', { hung: withPlace(holder, { x, z }) }, true)
}
/** Hangs a holder in the middle of the best reach; it is dragged from there. */
function hang(holder: string) {
  const piece = pieces.value.find((p) => p.holder === holder)!
  const { userHeight, bestFrom } = records.shop!.settings
  const x = Math.round((wall.value!.width - piece.boards.x1) / 20) * 10
  const middle = Math.round((bestFrom * userHeight) / 10) * 10
  const heights = heightsFor(rowsOn(wall.value!, records.shop!), piece, records.shop!)
  const z = heights.reduce(
    (best, h) => (Math.abs(h - middle) < Math.abs(best - middle) ? h : best),
    heights[0] ?? middle,
  )
  change('Hang a holder', { hung: [...wall.value!.hung, { holder, x, z, fixed: false }] }, true)
  chosen.value = holder
}
/** Another like the chosen one, hung in the nearest free place beside it. */
function copy() {
  const of = records.get('holders', chosen.value!)!
  const piece = pieces.value.find((p) => p.holder === chosen.value)!
  const id = crypto.randomUUID()
  const place = besideOf(wall.value!, pieces.value, records.shop!, piece, hungNow.value!)
  const holder = { ...of.data!, id, name: `${of.data!.name}, another`.slice(0, LONGEST_NAME) }
  history.act('Another like it', [
    { kind: 'holders', id, shop: of.shop, data: holder },
    { kind: 'walls', id: wall.value!.id, shop: of.shop, data: { ...wall.value!, hung: [...wall.value!.hung, { holder: id, ...place, fixed: false }] } }, // prettier-ignore
  ])
  chosen.value = id
}
function takeDown() {
  change('Take a holder down', { hung: wall.value!.hung.filter((h) => h.holder !== chosen.value) }, true)
  chosen.value = null
}
function nudge(dx: number, dz: number) {
  const now = wall.value?.hung.find((h) => h.holder === chosen.value)
  if (now) change('Nudge a holder', { hung: withPlace(now.holder, { x: now.x + dx, z: now.z + dz }) })
}
const hungNow = computed(() => wall.value?.hung.find((h) => h.holder === chosen.value) ?? null)
const arrange = () => run(wall.value!, pieces.value, records.shop!)
function take() {
  if (proposal.value) change('Arrange the wall', { hung: proposal.value.hung }, true)
  leave()
}
watch(wall, () => (dragged.value = null))
useKeys(() => [
  { on: 'ArrowLeft', says: 'Nudge to the left', act: () => nudge(-10, 0) },
  { on: 'ArrowRight', says: 'Nudge to the right', act: () => nudge(10, 0) },
  { on: 'ArrowUp', says: 'Nudge up', act: () => nudge(0, 10) },
  { on: 'ArrowDown', says: 'Nudge down', act: () => nudge(0, -10) },
  { on: 'Delete', says: 'Take it down', act: () => hungNow.value && takeDown() },
])
/** Where to hold the rule: each holder by its upper edge and its left end. */
const sheet = computed(() =>
  shown.value
    ? placedOn(shown.value, pieces.value)
        .map(({ hung, piece }) => {
          const box = at(piece.boards, hung.x, hung.z)
          return { id: piece.holder, name: piece.name, left: box.x0, right: box.x1, top: box.z1, studs: postsHit(shown.value!, piece, hung.x), row: rowAt(rowsOn(shown.value!, records.shop!), piece, hung.z, records.shop!) } // prettier-ignore
        })
        .sort((a, b) => a.left - b.left)
    : [],
)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <template v-if="!wall">
      <h1>Wall</h1>
      <p>
        Measure the wall: how wide, how high, where its studs are, and what must not be covered. Then hang your holders.
      </p>
      <button class="btn main" @click="make">Measure a wall</button>
    </template>
    <div v-else class="layout">
      <section class="middle">
        <div class="bar no-print">
          <h1>Wall</h1>
          <span class="spring" />
          <template v-if="working || proposal">
            <span role="status" class="quiet">
              {{ working ? 'looking for a better one …' : proposal?.proven ? 'The best there is' : 'The proposal'
              }}{{ changesIn(proposal, wall.hung.length) }}
            </span>
            <button v-if="working" class="btn" @click="stop">That will do</button>
            <button class="btn main" :disabled="!proposal" @click="take">Take it</button>
            <button class="btn" @click="leave">Leave it</button>
          </template>
          <button v-else class="btn main" :disabled="pieces.length === 0" @click="arrange">Arrange for me</button>
          <button class="btn" @click="print">Print</button>
        </div>
        <div class="drawing">
          <WallDrawing
            :wall="shown!"
            :pieces="pieces"
            :designs="designs"
            :verdicts="verdicts"
            :chosen="chosen"
            :proposal="proposal?.hung ?? null"
            :backing="own!.model"
            :rooms="rooms"
            @choose="chosen = $event"
            @move="move"
          />
        </div>
        <p v-if="failed" role="alert" class="told wrong">{{ failed }}</p>
        <ul v-if="proposal" class="reasons small" aria-label="Why there">
          <li v-for="h in proposal.hung.filter((x) => proposal!.reasons[x.holder])" :key="h.holder">
            <b>{{ pieces.find((p) => p.holder === h.holder)?.name }}</b> {{ proposal.reasons[h.holder] }}
          </li>
          <li v-for="l in proposal.left" :key="l.holder"><VerdictMark level="watch" /> {{ l.says }}</li>
        </ul>
        <ul v-if="verdicts.length" class="verdicts" aria-label="What is wrong on the wall" data-test="wall-verdicts">
          <li v-for="v in verdicts" :key="v.id" v-memo="[v.level, v.says]">
            <VerdictMark :level="v.level" worded /> {{ v.says }}
          </li>
        </ul>
        <table v-if="sheet.length" class="plain" data-test="locating">
          <caption class="quiet small">
            Where each hangs: its left end from the left corner, its upper edge from the floor
          </caption>
          <thead>
            <tr>
              <th>Holder</th>
              <th class="num">Left end</th>
              <th class="num">Right end</th>
              <th class="num">Upper edge</th>
              <th>{{ hangsBy(wall) === 'strips' ? 'Strip, from below' : `In ${postName(wall)}s at` }}</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="s in sheet"
              :key="s.id"
              v-memo="[s.name, s.left, s.right, s.top, s.row, s.studs.join(), wall.holds, format]"
            >
              <td>{{ s.name }}</td>
              <td class="num"><LengthText :text="length(s.left)" /></td>
              <td class="num"><LengthText :text="length(s.right)" /></td>
              <td class="num"><LengthText :text="length(s.top)" /></td>
              <td>
                {{ hangsBy(wall) === 'strips' ? (s.row ?? '–') : s.studs.map((x) => length(x)).join(', ') || '–' }}
              </td>
            </tr>
          </tbody>
        </table>
        <WallBacking class="no-print" :wall="wall" :own="own!" :designs="designs" />
      </section>
      <aside class="no-print">
        <WallChosen
          v-if="hungNow"
          :hung="hungNow"
          @place="(label, more) => change(label, { hung: withPlace(hungNow!.holder, more) })"
          @copy="copy"
          @down="takeDown"
        />
        <section>
          <h2>To hang</h2>
          <p v-if="homeless.length === 0" class="quiet">Everything that can be built hangs.</p>
          <ul class="to-hang">
            <li v-for="p in homeless" :key="p.holder">
              <button class="btn" @click="hang(p.holder)">{{ p.name }}</button>
            </li>
          </ul>
          <p v-if="noHome > 0" class="quiet small">
            <NuxtLink to="/tools">{{ counted(noHome, 'tool') }}</NuxtLink> {{ noHome === 1 ? 'has' : 'have' }} no holder
            yet.
          </p>
        </section>
        <WallRoom :wall="wall" :pieces="pieces" @rooms="rooms = $event" />
        <WallThings :wall="wall" @change="change" />
      </aside>
    </div>
  </div>
</template>

<style scoped>
.layout {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  gap: 24px;
}
.bar {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.spring {
  flex: 1;
}
.drawing {
  height: min(62vh, 640px);
  margin: 8px 0;
}
.verdicts,
.reasons,
.to-hang {
  list-style: none;
  padding: 0;
  margin: 6px 0;
  display: grid;
  gap: 4px;
}
.verdicts li {
  display: flex;
  gap: 6px;
  align-items: baseline;
}
caption {
  text-align: left;
  padding: 8px 0 2px;
}
/* what is typed beside the drawing never scrolls it away */
aside {
  position: sticky;
  top: 8px;
  align-self: start;
  max-height: calc(100vh - 64px);
  overflow-y: auto;
  padding-right: 6px;
}
aside section + section {
  margin-top: 18px;
}
aside p {
  display: flex;
  gap: 14px;
}
@media (max-width: 860px) {
  .layout {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    position: static;
    max-height: none;
  }
  .drawing {
    height: min(62vh, 72vw);
  }
}
@media print {
  .layout {
    display: block;
  }
}
</style>
