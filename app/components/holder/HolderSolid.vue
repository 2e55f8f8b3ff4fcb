<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, toRef, watch } from 'vue'
import type { Design } from '#core/choose/design'
import type { SolidStage } from '~/composables/solidStage'
import { useFormat } from '~/composables/useFormat'
import { useKeys } from '~/composables/useKeys'
import { useSolid } from '~/composables/useSolid'

/** The holder as a solid on its piece of wall, with the tools in it, together or taken apart. */
const props = defineProps<{ worked: Design }>()
const { length, mass } = useFormat()
const { scene, ways, failed } = useSolid(toRef(props, 'worked'))

const canvas = ref<HTMLCanvasElement | null>(null)
const frame = ref<HTMLElement | null>(null)
const stage = shallowRef<SolidStage | null>(null)
const noView = ref('')
const apart = ref(0)
const withTools = ref(true)

let watcher: ResizeObserver | undefined
onMounted(async () => {
  const { SolidStage } = await import('~/composables/solidStage')
  if (!canvas.value || !frame.value) return
  const style = getComputedStyle(frame.value)
  const colour = (name: string) => style.getPropertyValue(name).trim()
  try {
    stage.value = new SolidStage(canvas.value, {
      wood: colour('--wood'),
      edge: colour('--wood-line'),
      tool: colour('--housing'),
      wall: colour('--bright'),
      sheet: style.backgroundColor,
    })
  } catch {
    noView.value = 'This browser shows no solids. The drawing has every figure.'
    return
  }
  watcher = new ResizeObserver(([entry]) => {
    const { width, height } = entry!.contentRect
    if (width > 0 && height > 0) stage.value?.resize(width, height)
  })
  watcher.observe(frame.value)
  refresh()
})
onBeforeUnmount(() => {
  watcher?.disconnect()
  stage.value?.dispose()
})

function refresh() {
  if (!stage.value || !scene.value) return
  stage.value.show(scene.value.parts)
  stage.value.arrange(apart.value, withTools.value)
}
watch(scene, refresh)
watch([apart, withTools], () => stage.value?.arrange(apart.value, withTools.value))

const STEP = Math.PI / 24
useKeys(() => [
  { on: 'ArrowLeft', says: 'Turn the solid left', act: () => stage.value?.turn(STEP, 0) },
  { on: 'ArrowRight', says: 'Turn the solid right', act: () => stage.value?.turn(-STEP, 0) },
  { on: 'ArrowUp', says: 'See it from further above', act: () => stage.value?.turn(0, STEP) },
  { on: 'ArrowDown', says: 'See it from further below', act: () => stage.value?.turn(0, -STEP) },
  { on: '+', says: 'Closer', act: () => stage.value?.approach(0.85) },
  { on: '-', says: 'Farther', act: () => stage.value?.approach(1.18) },
  { on: '0', says: 'From the front again', act: () => stage.value?.home() },
  { on: 'x', says: 'Take it apart, put it together', act: () => (apart.value = apart.value > 0 ? 0 : 1) },
])

const weight = computed(() => {
  const { alone, loaded, unweighed } = scene.value ?? { alone: null, loaded: null, unweighed: 0 }
  if (!alone || !loaded) return ''
  const out = `its middle ${length(loaded.at.y)} out from the wall`
  const some = unweighed > 0 ? `, ${unweighed} not weighed` : ''
  return `${mass(alone.mass)} alone, ${mass(loaded.mass)} with its tools${some}; ${out}`
})
const touching = computed(() => scene.value?.collisions.slice(0, 3) ?? [])
/** How the tools come out, in one line; those that don't each by themselves. */
const stuck = computed(() => ways.value.filter((w) => !w.way && w.before.length === 0))
const comesOut = computed(() => {
  const free = ways.value.filter((w) => w.way)
  const drawn = free.filter((w) => w.way!.back !== undefined).length
  const up = free.filter((w) => w.way!.then === 'up').length - drawn
  const aside = free.filter((w) => w.way!.then === 'sideways').length
  const lifted = free.filter((w) => w.way!.then === 'forward' && w.way!.lift > 0)
  const most = Math.max(0, ...lifted.map((w) => w.way!.lift))
  const after = ways.value.length - free.length - stuck.value.length
  const counts = [
    { n: free.length - up - drawn - lifted.length - aside, how: 'straight forward' },
    { n: lifted.length, how: `lifted up to ${length(most)}, then forward` },
    { n: up, how: 'drawn up' },
    { n: drawn, how: 'drawn up the deck, then lifted' },
    { n: aside, how: 'back, then sideways' },
    { n: after, how: 'after the one before it' },
  ].filter((c) => c.n > 0)
  return counts.length === 0
    ? ''
    : `Out they come: ${counts.map((c) => (ways.value.length === c.n ? c.how : `${c.n} ${c.how}`)).join(', ')}`
})
const more = computed(() => (scene.value?.collisions.length ?? 0) - touching.value.length)
</script>

<template>
  <div ref="frame" class="frame">
    <canvas
      ref="canvas"
      data-test="solid"
      :aria-label="`${worked.input.holder.name} as a solid. ${weight}`"
      role="img"
    />
    <p v-if="failed || noView" class="nothing" role="alert">{{ failed || noView }}</p>
    <div class="told">
      <p v-if="weight" data-test="weight">{{ weight }}</p>
      <p v-for="c in touching" :key="c.a.id + c.b.id" class="touch" data-test="collision">
        <VerdictMark level="watch" /> {{ c.a.name }} and {{ c.b.name }} take up the same room
      </p>
      <p v-if="more > 0" class="quiet small">and {{ more }} more</p>
      <p v-for="w in stuck.slice(0, 3)" :key="w.seat" class="touch" data-test="stuck">
        <VerdictMark level="watch" /> {{ w.name }} can’t be taken out: {{ w.blockedBy.join(' and ') }} in the way
      </p>
      <p v-if="comesOut" class="quiet small" data-test="ways-out">{{ comesOut }}</p>
    </div>
    <div class="controls">
      <label class="apart">
        <span>Apart</span>
        <input v-model.number="apart" type="range" min="0" max="1" step="0.02" aria-label="How far apart" />
      </label>
      <label><input v-model="withTools" type="checkbox" /> tools</label>
      <button class="btn tiny" aria-label="Closer" @click="stage?.approach(0.8)">+</button>
      <button class="btn tiny" aria-label="Farther" @click="stage?.approach(1.25)">−</button>
      <button class="btn tiny" @click="stage?.home()">Front</button>
    </div>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  height: 100%;
  min-height: 0;
  overflow: hidden;
  background: var(--sheet);
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  touch-action: none;
}
.told {
  position: absolute;
  left: 16px;
  top: 10px;
  max-width: 65%;
  font-size: 14px;
}
.told p {
  margin: 0 0 2px;
}
.touch {
  display: flex;
  gap: 6px;
  align-items: center;
}
.controls {
  position: absolute;
  right: 8px;
  bottom: 8px;
  display: flex;
  gap: 8px;
  align-items: center;
}
.apart {
  display: flex;
  gap: 6px;
  align-items: center;
}
.nothing {
  position: absolute;
  inset: 40% 10% auto;
  text-align: center;
}
</style>
