import { shallowRef } from 'vue'

interface Notice {
  text: string
  undo: boolean
}

const said = shallowRef<Notice | null>(null)

/** Says something quietly at the foot of the page, with an Undo beside it where wanted. */
export const useNotice = () => ({
  said,
  say: (text: string, undo = false) => {
    said.value = { text, undo }
  },
})
