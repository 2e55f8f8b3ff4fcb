import { ref } from 'vue'

const KEPT = 'fingerling:readings'

const each = ref<1 | 3>(import.meta.client && localStorage.getItem(KEPT) === '3' ? 3 : 1)

/** How many readings are taken of each figure; of three the middle one is kept, with how far they lie apart. */
export const useReadings = () => ({
  each,
  set: (count: 1 | 3) => {
    each.value = count
    localStorage.setItem(KEPT, String(count))
  },
})
