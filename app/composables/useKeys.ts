import { onBeforeUnmount, onMounted } from 'vue'

/** What a key does, and how it is told in the list of keys. */
export interface Key {
  /** as `KeyboardEvent.key`, with `ctrl+`, `shift+` or `alt+` before it; ctrl stands for the command key too */
  on: string
  says: string
  act: () => void
  /** also while a figure is being typed */
  whileTyping?: boolean
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

function nameOf(event: KeyboardEvent): string {
  const parts = [event.ctrlKey || event.metaKey ? 'ctrl' : '', event.altKey ? 'alt' : '']
  if (event.shiftKey && event.key.length > 1) parts.push('shift')
  else if (event.shiftKey && event.ctrlKey) parts.push('shift')
  return [...parts.filter(Boolean), event.key.length === 1 ? event.key.toLowerCase() : event.key].join('+')
}

/** A question in front of the page has the keys to itself. */
const isAsked = () => document.querySelector('.v-overlay--active[role="dialog"]') !== null

/** Listens for keys while the component is there. */
export function useKeys(keys: () => Key[]) {
  const listen = (event: KeyboardEvent) => {
    const key = keys().find((k) => k.on === nameOf(event))
    if (!key || isAsked() || (isTyping(event.target) && !key.whileTyping)) return
    event.preventDefault()
    key.act()
  }
  onMounted(() => window.addEventListener('keydown', listen))
  onBeforeUnmount(() => window.removeEventListener('keydown', listen))
}
