<script setup lang="ts">
import { computed } from 'vue'
import { differences } from '~/composables/differences'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useOutbox } from '~/stores/outbox'
import { useRecords } from '~/stores/records'

const records = useRecords()
const outbox = useOutbox()
const history = useHistory()
const { length } = useFormat()

const conflict = computed(() => outbox.conflicts[0] ?? null)
const mine = computed(() => (conflict.value ? (records.at(conflict.value.key)?.data ?? null) : null))
const rows = computed(() =>
  conflict.value
    ? differences(mine.value, conflict.value.theirs.data, (id) => records.toolsById.get(id)?.name ?? id, length)
    : [],
)
const name = computed(() => mine.value?.name ?? conflict.value?.theirs.data?.name ?? '')

function decide(choice: 'mine' | 'theirs') {
  const { key } = conflict.value!
  outbox.decide(key, choice)
  if (choice === 'theirs') history.forget(key)
}
</script>

<template>
  <v-dialog :model-value="conflict !== null" max-width="680" persistent aria-labelledby="conflict-title">
    <div v-if="conflict" class="sheet" data-test="conflict">
      <h2 id="conflict-title">“{{ name }}” was changed in two places</h2>
      <p>It was saved in another window while it was being changed here. Nothing is lost: say which one to keep.</p>
      <p v-if="conflict.theirs.data === null">In the other window it was <strong>deleted</strong>.</p>
      <p v-else-if="mine === null">Here it was <strong>deleted</strong>.</p>
      <table v-else class="plain">
        <thead>
          <tr>
            <th>What</th>
            <th>Here</th>
            <th>In the other window</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.what">
            <td>{{ row.what }}</td>
            <td>{{ row.mine }}</td>
            <td>{{ row.theirs }}</td>
          </tr>
        </tbody>
      </table>
      <div class="choice">
        <button class="btn main" @click="decide('mine')">Keep what is here</button>
        <button class="btn" @click="decide('theirs')">Take the other window’s</button>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.sheet {
  background: var(--sheet);
  border: 2px solid var(--watch);
  padding: 20px 24px;
}
.choice {
  display: flex;
  gap: 10px;
  margin-top: 18px;
  flex-wrap: wrap;
}
</style>
