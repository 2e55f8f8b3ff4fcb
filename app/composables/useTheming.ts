import { onMounted } from 'vue'
import { useTheme } from 'vuetify'

const CHOSEN = 'fingerling:light'

/** The light paper theme, or the dim one for a dark shop; the choice is kept in the browser. */
export function useTheming() {
  const theme = useTheme()
  const show = (name: string) => theme.change(name)
  onMounted(() => {
    const kept = localStorage.getItem(CHOSEN)
    if (kept === 'dim' || kept === 'paper') show(kept)
  })
  return {
    isDim: () => theme.global.name.value === 'dim',
    toggle: () => {
      const next = theme.global.name.value === 'dim' ? 'paper' : 'dim'
      localStorage.setItem(CHOSEN, next)
      show(next)
    },
  }
}
