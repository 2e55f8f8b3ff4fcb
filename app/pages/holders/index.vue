<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { worstOf } from '#core/checks/verdict'
import { design } from '#core/choose/design'
import { counted } from '~/composables/counted'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useNewHolder } from '~/composables/useNewHolder'
import { useNotice } from '~/composables/useNotice'
import { useRecords } from '~/stores/records'

useHead({ title: 'Holders · Fingerling' })
const records = useRecords()
const history = useHistory()
const notice = useNotice()
const { length } = useFormat()
const { ask } = useNewHolder()

const all = computed(() =>
  records.holders.map((holder) => {
    const worked = design(records.inputOf(holder))
    const level = worstOf(worked.verdicts)
    return {
      holder,
      worked,
      level,
      rail: worked.model?.boards[0],
      says: level === 'pass' ? '' : worked.verdicts.find((v) => v.level === level)!.says,
    }
  }),
)
function remove(id: string, name: string) {
  history.change('Delete a holder', 'holders', id, null)
  notice.say(`“${name}” is gone; its tools are still in the tray.`, true)
}
</script>

<template>
  <div class="page">
    <div class="bar">
      <h1>Holders</h1>
      <span class="spring" />
      <NuxtLink v-if="all.length > 1" to="/holders/compare" class="btn">Compare two</NuxtLink>
      <button class="btn main" @click="ask([])"><v-icon :icon="mdiPlus" size="18" /> New holder</button>
    </div>
    <ul>
      <li v-for="h in all" :key="h.holder.id">
        <NuxtLink :to="`/holders/${h.holder.id}`" class="picture" :aria-label="h.holder.name">
          <HolderThumbnail :worked="h.worked" />
        </NuxtLink>
        <div>
          <h2>
            <NuxtLink :to="`/holders/${h.holder.id}`">{{ h.holder.name }}</NuxtLink>
          </h2>
          <p class="state">
            <VerdictMark :level="h.level" worded />
            <span class="quiet"
              >{{ counted(h.holder.seats.length, 'tool')
              }}<template v-if="h.rail"
                >, {{ h.rail.name.toLowerCase() }} {{ length(h.rail.length) }} × {{ length(h.rail.width) }}</template
              ></span
            >
          </p>
          <p v-if="h.says" class="small">{{ h.says }}</p>
          <p class="links">
            <NuxtLink :to="`/bench/${h.holder.id}`">To the bench</NuxtLink>
            <NuxtLink :to="`/holders/${h.holder.id}/bench`">Bench sheet</NuxtLink>
            <button class="link" @click="remove(h.holder.id, h.holder.name)">Delete</button>
          </p>
        </div>
      </li>
    </ul>
    <p v-if="all.length === 0" class="quiet">
      No holder yet. Choose tools in the tray and make a rail for them, or begin with an empty one.
    </p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 12px;
}
.spring {
  flex: 1;
}
ul {
  list-style: none;
  padding: 0;
  margin: 14px 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: 18px;
}
@media (max-width: 480px) {
  ul {
    grid-template-columns: 1fr;
  }
}
li {
  border: 1px solid var(--rule);
  background: var(--sheet);
  display: grid;
  grid-template-rows: 190px auto;
}
li > div {
  padding: 10px 14px 14px;
}
.picture {
  border-bottom: 1px solid var(--rule);
  display: block;
  min-height: 0;
}
h2 a {
  color: var(--ink);
  text-decoration: none;
}
p {
  margin: 4px 0 0;
  overflow-wrap: anywhere;
}
h2 {
  overflow-wrap: anywhere;
}
.state {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.links {
  display: flex;
  gap: 16px;
  margin-top: 8px;
  align-items: baseline;
}
.links a {
  color: var(--chalk);
}
</style>
