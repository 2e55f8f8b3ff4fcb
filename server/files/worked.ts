import { design, type Design } from '#core/choose/design'
import { filesOf } from '#core/exchange/file-names'
import {
  filesOfWall,
  makeFile,
  makeWallFile,
  type FileChoice,
  type FileMeans,
  type MadeFile,
} from '#core/exchange/files'
import type { Tool } from '#core/footprint/tool'
import type { Holder } from '#core/model/holder'
import type { Shop } from '#core/shop/shop'
import { wallDesign } from '#core/wall/backing/wall-model'
import type { Wall } from '#core/wall/wall'
import { database } from '../database/connection'
import { notFound } from '../http/problem'
import type { RecordKind } from '../records/record'
import { list, read } from '../records/store'
import { planInput } from './plan-input'

/** A stored wall with what it is covered with and the holders of its shop. @throws Problem 404 */
async function wallWorked(id: string): Promise<{ wall: Wall; designs: Map<string, Design>; own: Design }> {
  const knex = database()
  const record = await read(knex, 'walls', id)
  if (record.deleted) throw notFound('This wall')
  const wall = record as unknown as Wall
  const shop = (await read(knex, 'shops', record.shop!)) as unknown as Shop
  const tools = new Map(((await list(knex, 'tools', record.shop)) as unknown as Tool[]).map((t) => [t.id, t]))
  const holders = (await list(knex, 'holders', record.shop)) as unknown as Holder[]
  const designs = new Map(holders.map((holder) => [holder.id, design({ shop, tools, holder })]))
  return { wall, designs, own: wallDesign(wall, shop) }
}

/** Names of the files that a holder or a wall can be taken along as. @throws Problem 404 */
export async function filesHere(kind: RecordKind, id: string): Promise<string[]> {
  if (kind === 'holders') {
    const { model } = design(await planInput(id))
    return model ? filesOf(model) : []
  }
  if (kind !== 'walls') throw notFound('What was asked for')
  const { own } = await wallWorked(id)
  return filesOfWall(own)
}

/** Makes one file of a holder or a wall. @throws Problem 404, NoSuchFile */
export async function fileHere(
  kind: RecordKind,
  id: string,
  name: string,
  choice: FileChoice,
  means: () => Promise<FileMeans>,
): Promise<MadeFile> {
  // prettier-ignore
  if (kind === 'holders') return makeFile(name, design(await planInput(id)), choice, await means())
  if (kind !== 'walls') throw notFound('What was asked for')
  return makeWallFile(name, await wallWorked(id), choice, await means())
}
