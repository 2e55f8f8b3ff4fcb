<script setup lang="ts">
import { mdiPrinter } from '@mdi/js'
import { computed } from 'vue'
import { boardMarks, EDGES, type Mark } from '#core/bench/marks'
import { openingRows } from '#core/model/model'
import { partsOf } from '#core/bench/parts'
import { formatExact } from '#core/units/format-length'
import { worstOf } from '#core/checks/verdict'
import { useFormat } from '~/composables/useFormat'
import { useHolder } from '~/composables/useHolder'

const route = useRoute()
const id = computed(() => String(route.params.id))
const { holder, worked } = useHolder(id)
const { format, length, bit } = useFormat()
useHead({ title: () => `Bench: ${holder.value?.name ?? ''} · Fingerling` })

const model = computed(() => worked.value?.model ?? null)
/** A board that stands higher than this wants more of the page for the drawing, mm. */
const HIGH = 150
const tall = computed(() => model.value?.boards.some((b) => b.placement.lies !== 'flat' && b.width > HIGH) ?? false)
const parts = computed(() => (model.value ? partsOf(model.value, worked.value!.input.shop) : []))
const boards = computed(() =>
  (model.value?.boards ?? [])
    .filter((b) => b.openings.length > 0)
    .map((board) => ({ rail: board, rows: openingRows(board), ...boardMarks(model.value!, board, format.value) })),
)
const troubles = computed(() => worked.value?.verdicts.filter((v) => v.level !== 'pass') ?? [])
const level = computed(() => (worked.value ? worstOf(worked.value.verdicts) : 'pass'))
/** What is done at a mark: the bit that bores there, or how the slot is made without one. */
function boredAt(mark: Mark): string {
  if (mark.bit !== null) return `${bit(mark.bit)}${mark.depth === null ? '' : `, ${length(mark.depth, 'down')} deep`}`
  if (mark.kind !== 'centre') return ''
  const opening = model.value!.boards.flatMap((b) => b.openings).find((o) => o.seat === mark.seat)
  return opening?.bores.length ? 'middle of both bores' : 'saw to the line'
}
const toolOf = (seat: string | null) => model.value?.seats.find((s) => s.id === seat)?.name ?? ''

const print = () => window.print()
const today = new Date().toISOString().slice(0, 10)
</script>

<template>
  <div class="page">
    <nav class="no-print bar">
      <NuxtLink :to="`/holders/${id}`" class="btn">Back to the drawing</NuxtLink>
      <span class="spring" />
      <template v-if="model">
        <button class="btn main" @click="print"><v-icon :icon="mdiPrinter" size="18" /> Print</button>
      </template>
    </nav>
    <BenchTakeAlong v-if="holder && model" :holder="holder.id" :model="model" />
    <NotHere v-if="!holder || !worked" :id="id" :kinds="['holders']" />
    <article v-else class="sheet" data-test="bench-sheet">
      <header>
        <h1>{{ holder.name }}</h1>
        <p class="quiet">
          {{ today }} · lengths in {{ format.unit === 'mm' ? 'millimetres' : 'inches' }} · all marks run from the datum
          end
        </p>
      </header>
      <div v-if="troubles.length" class="troubles" :class="level">
        <p v-for="v in troubles" :key="v.id"><VerdictMark :level="v.level" worded /> {{ v.says }}</p>
        <p v-if="level === 'stop'">
          <strong>Don’t build it so.</strong> Go back to the drawing; each stop has its remedy there.
        </p>
      </div>
      <template v-if="model">
        <div class="drawing" :class="{ tall }"><HolderDrawing :worked="worked" :lit="null" :seat="null" still /></div>

        <section>
          <h2>Parts</h2>
          <table class="plain" data-test="parts">
            <thead>
              <tr>
                <th>Part</th>
                <th class="num">Count</th>
                <th class="num">Length</th>
                <th class="num">Width</th>
                <th class="num">Thickness</th>
                <th class="wide">From</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="p in parts" :key="p.board">
                <td>
                  {{ p.name }}<small class="narrow quiet">{{ p.stock }}</small>
                </td>
                <td class="num">{{ p.count }}</td>
                <td class="num"><LengthText :text="length(p.length)" /></td>
                <td class="num"><LengthText :text="length(p.width)" /></td>
                <td class="num"><LengthText :text="formatExact(p.thickness, format)" /></td>
                <td class="wide">{{ p.stock }}, {{ p.material }}, grain along the length</td>
              </tr>
            </tbody>
          </table>
        </section>

        <section v-for="m in boards" :key="m.rail.id">
          <h2>Marks on the {{ m.rail.name.toLowerCase() }}</h2>
          <p class="small">
            Hook the rule on the datum end and don’t move it. Draw
            {{ m.rows.length > 1 ? 'the lines of centres' : 'the line of centres' }}
            <template v-for="(row, i) in m.rows" :key="i"
              >{{ i === 0 ? '' : i === m.rows.length - 1 ? ' and ' : ', '
              }}<strong><LengthText :text="length(row[0]!.centre.y)" /></strong
            ></template>
            from the {{ m.acrossFrom }}.
            <template v-if="m.rail.openings.some((o) => o.opensTo !== null && o.cut === 'bored')"
              >Saw lines run from the hole’s tangents to the {{ EDGES[m.rail.placement.lies].to
              }}{{ m.rail.openings.some((o) => o.slope) ? ', at their slope' : ', square to it' }}.</template
            >
          </p>
          <table class="plain marks" data-test="marks">
            <thead>
              <tr>
                <th class="num">From datum</th>
                <th>Mark</th>
                <th class="wide">Tool</th>
                <th v-if="m.rows.length > 1" class="num">From {{ m.acrossFrom }}</th>
                <th>Bit</th>
                <th>Waste</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(mark, n) in m.marks" :key="n" :class="mark.kind">
                <td class="num"><LengthText :text="length(mark.printed)" /></td>
                <td>
                  {{ mark.label
                  }}<small v-if="mark.kind === 'centre'" class="narrow quiet">{{ toolOf(mark.seat) }}</small>
                </td>
                <td class="wide">{{ mark.kind === 'centre' ? toolOf(mark.seat) : '' }}</td>
                <td v-if="m.rows.length > 1" class="num">
                  <LengthText v-if="mark.across !== null" :text="length(mark.across)" />
                </td>
                <td><LengthText :text="boredAt(mark)" /></td>
                <td>{{ mark.waste === 'left' ? '✕ left' : mark.waste === 'right' ? '✕ right' : '' }}</td>
              </tr>
            </tbody>
          </table>
          <p class="small">
            Centre to centre, end to end:
            <template v-for="(link, i) in m.chain" :key="i"
              ><LengthText :text="length(link.printed)" />{{ i < m.chain.length - 1 ? ' + ' : ' = ' }}</template
            ><strong><LengthText :text="length(m.marks.at(-1)!.printed)" /></strong>
          </p>
        </section>

        <BenchNotes :model="model" />
      </template>
    </article>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin: 0 auto 14px;
  max-width: 760px;
}
.spring {
  flex: 1;
}
.sheet {
  max-width: 760px;
  margin: 0 auto;
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 26px 32px 34px;
}
.sheet h1 {
  overflow-wrap: anywhere;
}
header p {
  margin: 2px 0 0;
}
section {
  margin-top: 18px;
}
.drawing {
  height: 400px;
  margin-top: 10px;
}
.drawing.tall {
  height: 600px;
}
.troubles {
  border: 2px solid var(--watch);
  padding: 6px 14px;
  margin-top: 10px;
}
.troubles.stop {
  border-color: var(--stop);
}
.troubles p {
  margin: 4px 0;
}
.marks .centre td,
.marks .datum td,
.marks .end td {
  font-weight: 650;
}
.marks .saw td {
  color: var(--pencil);
}
.marks td:first-child {
  padding-right: 18px;
}
@media print {
  .drawing {
    height: 4.2in;
  }
  .drawing.tall {
    height: 6in;
  }
  .marks {
    font-size: 12pt;
  }
  .marks td:first-child {
    font-size: 14pt;
  }
}
.narrow {
  display: none;
  font-weight: 400;
}
@media screen and (max-width: 600px) {
  .wide {
    display: none;
  }
  .narrow {
    display: block;
  }
  .drawing {
    height: 300px;
  }
  .drawing.tall {
    height: 440px;
  }
  .btn {
    min-height: 44px;
  }
  .sheet td {
    height: 40px;
  }
  .sheet {
    padding: 14px 12px;
    overflow-x: auto;
  }
}
</style>
