<script setup lang="ts">
import { mdiRedo, mdiThemeLightDark, mdiUndo } from '@mdi/js'
import { computed, ref } from 'vue'
import { lacks } from '~/composables/tools'
import { useKeys, type Key } from '~/composables/useKeys'
import { useTheming } from '~/composables/useTheming'
import { useDevices } from '~/stores/devices'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

const records = useRecords()
const history = useHistory()
const theming = useTheming()
const devices = useDevices()
const keysShown = ref(false)
const router = useRouter()

const route = useRoute()
/** On the pages of a section its tab is marked, also on such as are no children of its list. */
const mark = (section: string) =>
  route.path === section
    ? ({ class: 'here', ariaCurrent: 'page' } as const)
    : route.path.startsWith(`${section}/`)
      ? ({ class: 'here', ariaCurrent: 'true' } as const)
      : {}

const toMeasure = computed(() => records.tools.filter((t) => lacks(t).length > 0).length)

const keys: Key[] = [
  { on: 'ctrl+z', says: 'Undo', act: history.undo },
  { on: 'ctrl+shift+z', says: 'Redo', act: history.redo },
  { on: 'ctrl+y', says: 'Redo', act: history.redo },
  { on: '1', says: 'Go to Today', act: () => void router.push('/') },
  { on: '2', says: 'Go to Tools', act: () => void router.push('/tools') },
  { on: '3', says: 'Go to Holders', act: () => void router.push('/holders') },
  { on: '4', says: 'Go to Wall', act: () => void router.push('/wall') },
  { on: '5', says: 'Go to Cutting', act: () => void router.push('/cutting') },
  { on: '6', says: 'Go to Bench', act: () => void router.push('/bench') },
  { on: 'd', says: 'Measuring devices', act: () => devices.show(!devices.open) },
  { on: 'u', says: 'Inches or millimetres', act: () => switchUnit() },
  { on: '?', says: 'This list', act: () => (keysShown.value = !keysShown.value) },
]
useKeys(() => keys)

const elsewhere = [
  { on: 'Enter', says: 'On a measuring card: to the next figure' },
  { on: 'alt+↑ / alt+↓', says: 'On a holder: move a tool along the board' },
  { on: 'Delete', says: 'On a holder: take a tool out' },
  { on: 'n', says: 'In the tray: measure a new tool' },
  { on: 'm', says: 'In the tray: several at once' },
  { on: '/', says: 'In the tray: search' },
  { on: '← →', says: 'In the tray: from tool to tool' },
  { on: 'h / m / s / b', says: 'Taking stock: here, missing, pass by, back' },
  { on: '← → / x', says: 'At the bench: from card to card, done' },
  { on: '+ / − / 0', says: 'On a drawing: closer, farther, all of it' },
]

function switchUnit() {
  const { shop, shopId } = records
  if (!shop || !shopId) return
  history.change('Unit', 'shops', shopId, { ...shop, unit: shop.unit === 'mm' ? 'in' : 'mm' })
}
</script>

<template>
  <header class="head no-print">
    <NuxtLink to="/" class="mark" aria-label="Fingerling: today">
      <img src="/icon.svg" alt="" width="24" height="24" />
      <span class="word">Fingerling</span>
    </NuxtLink>
    <nav v-if="records.shop" aria-label="Work">
      <NuxtLink to="/tools" v-bind="mark('/tools')"
        >Tools
        <small v-if="toMeasure" :title="`${toMeasure} still to measure`">{{ toMeasure }} to measure</small></NuxtLink
      >
      <NuxtLink to="/holders" v-bind="mark('/holders')"
        >Holders <small v-if="records.holders.length">{{ records.holders.length }}</small></NuxtLink
      >
      <NuxtLink to="/wall" v-bind="mark('/wall')">Wall</NuxtLink>
      <NuxtLink to="/cutting" v-bind="mark('/cutting')">Cutting</NuxtLink>
      <NuxtLink to="/bench" v-bind="mark('/bench')">Bench</NuxtLink>
    </nav>
    <span class="spring" />
    <SaveState v-if="records.shop" />
    <template v-if="records.shop">
      <button
        class="btn bare icon"
        :disabled="!history.undoable"
        :title="history.undoable ? `Undo: ${history.undoable}` : 'Nothing to undo'"
        aria-label="Undo"
        @click="history.undo"
      >
        <v-icon :icon="mdiUndo" size="20" />
      </button>
      <button
        class="btn bare icon redo"
        :disabled="!history.redoable"
        :title="history.redoable ? `Redo: ${history.redoable}` : 'Nothing to redo'"
        aria-label="Redo"
        @click="history.redo"
      >
        <v-icon :icon="mdiRedo" size="20" />
      </button>
      <button
        class="btn bare unit"
        :title="`Lengths in ${records.shop.unit}; switch with u`"
        aria-label="Inches or millimetres"
        @click="switchUnit"
      >
        <span :class="{ on: records.shop.unit === 'mm' }">mm</span
        ><span :class="{ on: records.shop.unit === 'in' }">in</span>
      </button>
      <NuxtLink to="/shop" class="shop-name" title="The shop: bits, boards, fits, limits">{{
        records.shop.name
      }}</NuxtLink>
    </template>
    <button class="btn bare icon" aria-label="Paper or dim" title="Paper or dim" @click="theming.toggle">
      <v-icon :icon="mdiThemeLightDark" size="20" />
    </button>
    <button class="btn bare icon wide-only" aria-label="Keys" title="Keys (?)" @click="keysShown = true">?</button>

    <v-dialog v-model="keysShown" max-width="460">
      <div class="keys">
        <h2>Keys</h2>
        <dl>
          <template v-for="key in [...keys, ...elsewhere]" :key="key.on + key.says">
            <dt>
              <kbd>{{ key.on }}</kbd>
            </dt>
            <dd>{{ key.says }}</dd>
          </template>
        </dl>
        <button class="btn" @click="keysShown = false">Close</button>
      </div>
    </v-dialog>
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 6px;
  height: 48px;
  padding: 0 20px;
  border-bottom: 1.5px solid var(--ink);
  background: var(--paper);
  position: sticky;
  top: 0;
  z-index: 20;
}
.mark {
  display: flex;
  align-items: center;
  gap: 8px;
  color: var(--ink);
  text-decoration: none;
  font: 600 1.15rem var(--head);
  margin-right: 14px;
}
nav {
  display: flex;
  height: 100%;
}
nav a {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 12px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 3px solid transparent;
  border-top: 3px solid transparent;
  white-space: nowrap;
}
nav a.here {
  border-bottom-color: var(--chalk);
}
nav small {
  color: var(--pencil);
}
.spring {
  flex: 1;
}
.icon {
  width: 36px;
  padding: 0;
  justify-content: center;
}
.unit span {
  color: var(--pencil);
}
.unit span.on {
  color: var(--ink);
  font-weight: 650;
  text-decoration: underline;
  text-underline-offset: 4px;
  text-decoration-thickness: 2px;
}
.shop-name {
  color: var(--ink);
  font-family: var(--head);
  font-style: italic;
  padding: 0 8px;
  white-space: nowrap;
  text-decoration: none;
  border-bottom: 1px dotted var(--pencil);
  max-width: 180px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.keys {
  background: var(--sheet);
  padding: 20px 24px;
  border: 1px solid var(--ink);
}
.keys dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 16px;
  margin: 14px 0;
}
kbd {
  font: inherit;
  border: 1px solid var(--rule);
  border-bottom-width: 2px;
  border-radius: 3px;
  padding: 0 6px;
  white-space: nowrap;
}
dd {
  margin: 0;
}
@media (max-width: 720px) {
  .head {
    padding: 0 8px;
    gap: 0;
  }
  .word,
  .wide-only,
  nav small {
    display: none;
  }
  .mark {
    margin-right: 2px;
  }
  nav a {
    padding: 0 8px;
  }
  .icon {
    width: 32px;
  }
  .shop-name {
    max-width: 70px;
  }
}
@media (max-width: 480px) {
  nav {
    overflow-x: auto;
    scrollbar-width: none;
    min-width: 0;
  }
  nav a {
    padding: 0 4px;
  }
  .unit,
  .redo {
    display: none;
  }
  .shop-name {
    max-width: 48px;
    padding: 0 2px;
  }
}
</style>
