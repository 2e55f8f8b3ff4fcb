import { bevelPair } from '../fit/bevel'
import type { Shop } from '../shop/shop'
import { rippingSaw } from '../shop/usual-choice'
import type { WallPiece } from './extent'
import { frameOn, hangsBy } from './holding'
import type { Wall } from './wall'

/** How bevelled strips go up a wall, mm: the lowest one's lower edge over the floor, the gap between them, room at the top. */
export interface Strips {
  first: number
  gap: number
  top: number
  /** In short pieces so long, row by row staggered, so that holders are slid off at their ends; absent: whole lengths. */
  piece?: number
  /** between two such pieces */
  apart?: number
}

/** One strip on the wall, mm over the floor: its bevel is up, its sharp edge away from the wall. */
export interface Row {
  low: number
  /** its sharp edge */
  high: number
}

/**
 * Rows of strips on a wall: as many as there is room for; what is over stays at the top. The spacer block is the gap.
 * @param height of the wall, @param strip how wide a strip's wide face is; mm
 * @source floor((H − first − top + gap) / (strip + gap)); docs/rules.md
 */
export function rowsOf(height: number, strip: number, { first, gap, top }: Strips): Row[] {
  const count = Math.floor((height - first - top + gap) / (strip + gap) + 1e-9)
  return Array.from({ length: Math.max(0, count) }, (_, i) => {
    const low = first + i * (strip + gap)
    return { low, high: low + strip }
  })
}

/** Wide face of the shop's wall strips, mm; its saw's kerf as when a holder's strip is reckoned. */
export function stripWidth(shop: Pick<Shop, 'settings' | 'saws'>): number {
  const { stripWidth: pair, stripThickness, stripBevel } = shop.settings
  return bevelPair(pair, stripThickness, rippingSaw(shop, stripBevel)?.kerf ?? 0, stripBevel).long
}

/** From a framed panel's edges to its strips, mm. */
export const FRAME_EDGE = 50

/** The rows of a wall that has strips, on a framed panel those on it; none of another. */
export function rowsOn(wall: Wall, shop: Pick<Shop, 'settings' | 'saws'>): Row[] {
  if (hangsBy(wall) !== 'strips') return []
  const strip = stripWidth(shop)
  if (wall.holds !== 'framed') return rowsOf(wall.height, strip, wall.strips)
  const { z, height } = frameOn(wall)
  const rows = rowsOf(height, strip, { first: FRAME_EDGE, gap: wall.strips.gap, top: FRAME_EDGE })
  return rows.map(({ low, high }) => ({ low: low + z, high: high + z }))
}

/**
 * Heights at which a piece hangs on a row: its own strip's bevel lies in the row's, by so much below the sharp edge as the
 * bevel falls over the strip's thickness.
 */
export function heightsFor(rows: readonly Row[], piece: WallPiece, { settings }: Pick<Shop, 'settings'>): number[] {
  if (piece.hook === null) return []
  const fall = settings.stripThickness * Math.tan((settings.stripBevel * Math.PI) / 180)
  return rows.map((row) => row.high - fall - piece.hook!)
}

/** A height on a row is met within this, mm. */
const ON = 1

/** The row of strips that a piece hangs on, from 1; null where it hangs on none. */
export function rowAt(rows: readonly Row[], piece: WallPiece, z: number, shop: Pick<Shop, 'settings'>): number | null {
  const found = heightsFor(rows, piece, shop).findIndex((h) => Math.abs(h - z) <= ON)
  return found < 0 ? null : found + 1
}
