import { toolsCsv, toolsJson } from '#core/exchange/tools/write-list'
import type { Tool } from '#core/footprint/tool'
import type { LengthUnit } from '#core/units/length'
import { database } from '../../../database/connection'
import { idIn, kindIn } from '../../../http/params'
import { invalid, notFound } from '../../../http/problem'
import { route } from '../../../http/route'
import { withoutOurs } from '../../../records/projects'
import { list, read } from '../../../records/store'

/** The tools of a shop as a list: `/api/shops/ID/tools?as=csv&unit=mm`, or `as=json`. */
export default route(async (event) => {
  if (kindIn(event) !== 'shops') throw notFound('What was asked for')
  const shop = await read(database(), 'shops', idIn(event))
  const { as = 'csv', unit = (shop as unknown as { unit: LengthUnit }).unit } = getQuery(event)
  if (as !== 'csv' && as !== 'json') throw invalid([{ field: 'as', message: 'a list is written as csv or as json.' }])
  if (unit !== 'mm' && unit !== 'in') throw invalid([{ field: 'unit', message: 'lengths are written in mm or in.' }])
  const tools = (await list(database(), 'tools', idIn(event))).map(withoutOurs) as unknown as Tool[]
  setResponseHeader(event, 'content-disposition', `attachment; filename="tools-${unit}.${as}"`)
  setResponseHeader(event, 'content-type', as === 'csv' ? 'text/csv; charset=utf-8' : 'application/json')
  return as === 'csv' ? toolsCsv(tools, unit) : toolsJson(tools)
})
