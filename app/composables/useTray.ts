import { ref } from 'vue'
import type { Tool } from '#core/footprint/tool'
import { counted } from '~/composables/counted'
import { blankTool } from '~/composables/tools'
import { useNotice } from '~/composables/useNotice'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** A name with something behind it, which may be asked for once more: the end is not written twice. */
const named = (name: string, end: string) => `${name.replace(/ \((copy|to come)\)$/, '').slice(0, 108)} (${end})`

/** What is done to tools in the tray. @param show brings a tool's card up, and says where typing begins */
export function useTray(show: (id: string | null, from?: 'name' | 'figures') => void) {
  const records = useRecords()
  const history = useHistory()
  const notice = useNotice()
  /** the tools that are chosen, by id */
  const chosen = ref(new Set<string>())

  function choose(ids: readonly string[], on: boolean): void {
    const next = new Set(chosen.value)
    for (const id of ids) {
      if (on) next.add(id)
      else next.delete(id)
    }
    chosen.value = next
  }

  function put(label: string, tools: readonly Tool[], from: 'name' | 'figures'): void {
    history.act(
      label,
      tools.map((data) => ({ kind: 'tools', id: data.id, shop: records.shopId!, data })),
    )
    show(tools[0]!.id, from)
  }

  const add = (group: string) =>
    put('New tool', [{ ...blankTool(group), name: `New tool ${records.tools.length + 1}` }], 'name')

  const copy = (tool: Tool) =>
    put('Copy of a tool', [{ ...tool, id: crypto.randomUUID(), name: named(tool.name, 'copy'), seen: null }], 'name')

  /** Keeps a place for one more tool, about the size of this one: it is a guess until it is there. */
  const leaveRoom = (tool: Tool) =>
    put(
      'Room for one more',
      [
        {
          ...tool,
          id: crypto.randomUUID(),
          name: named(tool.name, 'to come'),
          count: 1,
          sure: 'eye',
          sureOf: {},
          spread: {},
          presence: 'to come',
          seen: null,
        },
      ],
      'name',
    )

  function makeSeveral(tools: readonly Tool[]): void {
    put(counted(tools.length, 'tool'), tools, 'figures')
    notice.say(`${tools.length} are in the tray.`, true)
  }

  function remove(ids: readonly string[]): void {
    const name = records.toolsById.get(ids[0] ?? '')?.name ?? ''
    history.act(
      ids.length === 1 ? 'Delete a tool' : 'Delete tools',
      ids.map((id) => ({ kind: 'tools', id, shop: records.shopId!, data: null })),
    )
    choose(ids, false)
    notice.say(ids.length === 1 ? `“${name}” is out of the tray.` : `${ids.length} tools are out of the tray.`, true)
  }

  return { chosen, choose, add, copy, leaveRoom, makeSeveral, remove }
}
