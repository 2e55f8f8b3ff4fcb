<script setup lang="ts">
import { mdiBatteryAlertVariantOutline, mdiBatteryHigh, mdiClose, mdiLinkVariantOff } from '@mdi/js'
import { computed } from 'vue'
import { useReadingTarget } from '~/composables/useReading'
import { useDevices, type DeviceState } from '~/stores/devices'

/**
 * The measuring devices on the bench: their displays and buttons. Pressing one leaves the focus in the field that the
 * reading is for.
 */
const devices = useDevices()
const target = useReadingTarget()
const all = computed(() => [...devices.states.values()])
const suits = (d: DeviceState) => target.value?.quantity === d.quantity
const LOW = 15
</script>

<template>
  <section v-if="devices.open" class="devices no-print" aria-label="Measuring devices">
    <header>
      <h2>On the bench</h2>
      <span class="quiet small">{{ target ? `for “${target.label}”` : 'click a field first' }}</span>
      <button class="btn bare tiny" aria-label="Put the devices away" @click="devices.show(false)">
        <v-icon :icon="mdiClose" size="18" />
      </button>
    </header>
    <p v-if="devices.cut" class="told wrong" role="alert">Nothing is heard from the devices. Trying again …</p>
    <div v-for="d in all" :key="d.device" class="device" :class="{ suits: suits(d), gone: !d.connected }">
      <div class="line">
        <strong>{{ d.name }}</strong>
        <span v-if="!d.connected" class="told wrong"><v-icon :icon="mdiLinkVariantOff" size="16" /> out of reach</span>
        <span v-else class="small" :class="d.battery < LOW ? 'told doubt' : 'quiet'">
          <v-icon :icon="d.battery < LOW ? mdiBatteryAlertVariantOutline : mdiBatteryHigh" size="16" />{{ d.battery }} %
        </span>
      </div>
      <output class="display" :aria-label="`${d.name} shows`"
        >{{ d.connected ? d.display || '–' : '' }}<small v-if="d.relative">from nought</small></output
      >
      <div class="buttons">
        <button class="btn tiny main" @mousedown.prevent @click="devices.take(d.device)">Take a reading</button>
        <button v-if="d.unit !== '°'" class="btn tiny" @mousedown.prevent @click="devices.press(d.device, 'unit')">
          {{ d.unit }}
        </button>
        <button class="btn tiny" :aria-pressed="d.relative" @mousedown.prevent @click="devices.press(d.device, 'zero')">
          Nought
        </button>
        <button v-if="d.battery < LOW" class="btn tiny" @mousedown.prevent @click="devices.press(d.device, 'battery')">
          Change battery
        </button>
        <button
          class="btn tiny bare"
          @mousedown.prevent
          @click="devices.press(d.device, d.connected ? 'carry away' : 'bring back')"
        >
          {{ d.connected ? 'Carry away' : 'Bring back' }}
        </button>
      </div>
    </div>
    <p class="says small" aria-live="polite">{{ devices.says || 'A reading fills the field in focus.' }}</p>
  </section>
</template>

<style scoped>
.devices {
  position: fixed;
  left: 16px;
  bottom: 16px;
  z-index: 20;
  width: 306px;
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  padding: 10px 12px;
  display: grid;
  gap: 8px;
}
header,
.line {
  display: flex;
  align-items: center;
  gap: 8px;
}
header > :nth-child(2),
.line > :first-child {
  flex: 1;
}
.device {
  border-top: 1px solid var(--rule);
  padding-top: 6px;
  display: grid;
  gap: 4px;
}
.display {
  font: 600 1.15rem var(--face);
  font-feature-settings: 'tnum';
  background: var(--faint);
  border: 1px solid var(--rule);
  padding: 2px 8px;
  min-height: 32px;
  text-align: right;
}
.suits .display {
  border-color: var(--chalk);
}
.gone .display {
  opacity: 0.5;
}
.display small {
  font-weight: 400;
  margin-left: 8px;
  color: var(--pencil);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.says {
  margin: 0;
  min-height: 2.4em;
}
@media (max-width: 600px) {
  .devices {
    left: 0;
    right: 0;
    bottom: 0;
    width: auto;
    max-height: 60vh;
    overflow-y: auto;
  }
}
</style>
