import { onBeforeUnmount, onMounted } from 'vue'

/** Keeps the screen awake while the page is there and seen, where the browser can. */
export function useAwake() {
  let lock: WakeLockSentinel | undefined
  async function hold() {
    if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    lock = await navigator.wakeLock.request('screen').catch(() => undefined)
  }
  onMounted(() => {
    void hold()
    document.addEventListener('visibilitychange', hold)
  })
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', hold)
    void lock?.release()
  })
}
