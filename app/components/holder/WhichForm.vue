<script setup lang="ts">
import { computed, nextTick, watch } from 'vue'
import { listed } from '#core/bench/steps/words'
import type { FormOffer } from '#core/choose/which-form'
import { useChoosing } from '~/composables/useChoosing'
import { useFormat } from '~/composables/useFormat'
import { useNewHolder } from '~/composables/useNewHolder'
import { useRecords } from '~/stores/records'

/** Asks which form of holder it is to be: each planned for real for the chosen tools, the likeliest first. */
const records = useRecords()
const { length } = useFormat()
const { wanted, leave, make, makeAll } = useNewHolder()
const tools = computed(() => wanted.value ?? [])
const { offers, shares, failed, ask } = useChoosing()
if (records.shop) ask('which form', records.shop, tools.value)
const able = computed(() => (offers.value ?? []).filter((o) => tools.value.length === 0 || o.holds.length > 0))
const unable = computed(() => (offers.value ?? []).filter((o) => !able.value.includes(o)))
/** Those that would, if something were measured or other; the rest can't take such tools at all. */
const notYet = computed(() => unable.value.filter((o) => o.unmeasured.length + o.refused.length > 0))
const never = computed(() => unable.value.filter((o) => !notYet.value.includes(o)))

/** Several holders, where no one that the checks let pass takes all of them. */
const several = computed(() => (shares.value && shares.value.offers.length > 1 ? shares.value : null))
const share = (left: number) => (left > 0 ? `${tools.value.length - left} of the ${tools.value.length}` : 'All of them')
const boards = (o: FormOffer) => o.design?.model?.boards ?? []
const shareOf = (o: FormOffer) => `${names(o.holds)}; ${length(boards(o)[0]!.length)} × ${length(boards(o)[0]!.width)}`

const FIRST = 'likeliest-form'
const focusFirst = () => document.getElementById(FIRST)?.focus()
watch(offers, () => nextTick(focusFirst))

const names = (all: readonly { name: string }[]) => {
  const few = all.length > 3 ? all.slice(0, 2) : all
  return listed([...few.map((t) => t.name), ...(few === all ? [] : [`${all.length - 2} more`])])
}
const ALL = ['', 'it', 'both']
function reason(o: FormOffer): string {
  if (tools.value.length === 0) return o.form.purpose
  const board = o.design?.model?.boards[0]
  const size = board ? `; ${length(board.length)} × ${length(board.width)}` : ''
  const all = o.holds.length === tools.value.length
  return `holds ${all ? (ALL[o.holds.length] ?? `all ${o.holds.length}`) : `${o.holds.length} of ${tools.value.length}`}${size}`
}
function whyNot({ refused: [first, ...rest], unmeasured }: FormOffer): string {
  const more = rest.filter((r) => r.says !== first!.says).length
  const lacks = unmeasured.map((u) => `${u.tool.name} lacks ${u.fields.join(', ')}.`)
  return [...(first ? [first.says] : []), ...(more > 0 ? [`Nor does it hold ${more} more.`] : []), ...lacks.slice(0, 3)].join(' ') // prettier-ignore
}
const leftOut = (o: FormOffer) => [...[...o.unmeasured, ...o.refused].map((x) => x.tool), ...o.cannot]
</script>

<template>
  <v-dialog :model-value="true" max-width="640" @update:model-value="leave" @after-enter="focusFirst">
    <div class="which">
      <h2>Which holder?</h2>
      <p v-if="failed" class="told wrong" role="status">The forms could not be planned: {{ failed }}.</p>
      <p v-else-if="!offers" class="quiet" role="status">Each form is planned for them …</p>
      <div v-else class="offers">
        <section v-if="several" class="several" aria-labelledby="several-holders">
          <h3 id="several-holders">{{ share(several.left.length) }}, in {{ several.offers.length }} holders</h3>
          <p v-for="(o, i) in several.offers" :key="i" class="share">
            <VerdictMark :level="o.level" />
            <span>
              <strong>{{ o.form.name }}</strong> for <LengthText :text="shareOf(o)" />
              <span v-if="o.answers.length > 0" class="small quiet">
                with <LengthText :text="o.answers.join(', ')" />
              </span>
            </span>
          </p>
          <p v-if="several.left.length > 0" class="small quiet">
            Nothing holds {{ names(several.left) }} as things are.
          </p>
          <button class="btn" @click="makeAll(several.offers)">Make all {{ several.offers.length }}</button>
        </section>
        <h3 v-if="several">Or one holder, for those that it holds</h3>
        <ul>
          <li v-for="(o, i) in able" :key="o.form.id">
            <button :id="i === 0 ? FIRST : undefined" class="offer" @click="make(o)">
              <span v-if="o.design" class="picture"><HolderThumbnail :worked="o.design" /></span>
              <span class="text">
                <strong>{{ o.form.name }}</strong>
                <span><LengthText :text="reason(o)" /></span>
                <span v-if="o.answers.length > 0" class="small">with <LengthText :text="o.answers.join(', ')" /></span>
                <span v-if="o.design && o.level !== 'pass'" class="trouble small">
                  <VerdictMark :level="o.level" /> <LengthText :text="o.trouble" />
                </span>
                <span v-if="leftOut(o).length > 0" class="quiet small">leaves out {{ names(leftOut(o)) }}</span>
              </span>
            </button>
          </li>
        </ul>
        <template v-if="notYet.length > 0">
          <h3>Not as things are</h3>
          <p v-for="o in notYet" :key="o.form.id" class="small quiet">
            <strong>{{ o.form.name }}</strong>: <LengthText :text="whyNot(o)" />
          </p>
        </template>
        <p v-if="never.length > 0" class="small quiet">
          Not for {{ tools.length === 1 ? 'this' : 'these' }}:
          <template v-for="(o, i) in never" :key="o.form.id"
            >{{ i ? ', ' : '' }}<span :title="o.form.purpose">{{ o.form.name.toLowerCase() }}</span></template
          >.
        </p>
      </div>
      <button class="btn" @click="leave">Leave it</button>
    </div>
  </v-dialog>
</template>

<style scoped>
.which {
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  padding: 18px 22px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: start;
  max-height: calc(100dvh - 48px);
}
/* however many forms there are, the way out stays in sight */
.offers {
  min-height: 0;
  overflow-y: auto;
  width: 100%;
  display: grid;
  gap: 10px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  width: 100%;
  display: grid;
  gap: 8px;
}
.offer {
  font: inherit;
  color: inherit;
  text-align: left;
  width: 100%;
  display: flex;
  gap: 16px;
  align-items: center;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 10px 14px;
  cursor: pointer;
}
.offer:hover,
.offer:focus-visible {
  border-color: var(--chalk);
}
.picture {
  flex: 0 0 170px;
  height: 110px;
}
.text {
  display: grid;
  gap: 2px;
  overflow-wrap: anywhere;
}
.several {
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 10px 14px;
  display: grid;
  gap: 6px;
  justify-items: start;
}
.share {
  display: flex;
  gap: 8px;
  align-items: start;
}
.trouble {
  display: flex;
  gap: 6px;
  align-items: start;
}
p {
  margin: 0;
}
@media (max-width: 600px) {
  .picture {
    flex-basis: 100px;
  }
}
</style>
