<script setup lang="ts">
import type { Order, TimedStep } from '#core/bench/steps/order'
import type { Standing } from '#core/model/work'
import { minutesText } from '~/composables/useTimers'

/** All cards of a piece of work by their titles, with how each stands. */
defineProps<{ order: Order; at: number; standing: (step: TimedStep) => Standing }>()
defineEmits<{ go: [to: number]; again: [] }>()
const MARKS: Record<Standing, string> = { open: '', done: '✓', changed: '≠' }
const SAYS: Record<Standing, string> = { open: '', done: ', done', changed: ', done before the plan changed' }
</script>

<template>
  <ol class="list">
    <li v-for="(s, i) in order.steps" :key="s.id">
      <button :class="{ here: i === at }" @click="$emit('go', i)">
        <span class="box" :class="standing(s)" aria-hidden="true">{{ MARKS[standing(s)] }}</span>
        {{ s.title }}<span class="hidden-text">{{ SAYS[standing(s)] }}</span>
      </button>
    </li>
    <li class="foot">
      <p class="quiet small">
        About {{ minutesText(order.handsOn) }} of work; {{ minutesText(order.elapsed) }} with glue setting.
      </p>
      <button class="btn" :disabled="order.steps.every((s) => standing(s) === 'open')" @click="$emit('again')">
        Begin anew
      </button>
    </li>
  </ol>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.list button:not(.btn) {
  font: inherit;
  font-size: 17px;
  color: inherit;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
  min-height: 48px;
  display: flex;
  gap: 12px;
  align-items: center;
  cursor: pointer;
}
.list .here {
  font-weight: 650;
}
.box {
  width: 24px;
  height: 24px;
  border: 1.5px solid var(--pencil);
  display: grid;
  place-items: center;
  flex: none;
}
.box.done {
  border-color: var(--pass);
  color: var(--pass);
}
.box.changed {
  border-color: var(--watch);
  color: var(--watch);
}
.foot {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding-top: 10px;
}
</style>
