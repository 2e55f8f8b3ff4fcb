import { POUND } from '../units/mass'
import { SETTINGS, settingKeys, usualSettings, type SettingKey } from './settings'

/** What a shop of inches begins with instead of the usual mm: the nearest size that its rules have, in inches. */
const INCHES: Partial<Record<SettingKey, number>> = {
  fitSnug: 1 / 32,
  fitSliding: 1 / 8,
  fitEasy: 1 / 4,
  sureRule: 1 / 32,
  sureEye: 1 / 8,
  gap: 1,
  margin: 3 / 4,
  backHeight: 3.5,
  rowRise: 1.375,
  mouthFlare: 1 / 8,
  lipHeight: 3 / 4,
  dividerHeight: 1.5,
  cordSlot: 5 / 8,
  ventHole: 3 / 4,
  bearing: 1 / 4,
  bearingHeavy: 3 / 8,
  web: 1 / 2,
  frontKeep: 1 / 2,
  headClearance: 1 / 4,
  edge: 1 / 4,
  floor: 1 / 4,
  shoulderBearing: 3 / 32,
  plateThick: 1 / 8,
  loosePlus: 3 / 32,
  stripThickness: 3 / 4,
  stripWidth: 5.5,
  footHeight: 1.5,
  stripFlat: 3 / 32,
  sticksOut: 16,
  outletKeep: 2,
  userHeight: 69,
  screwSpacing: 6,
  bradSpacing: 3,
  wallScrewSpacing: 12,
  pointKeep: 3 / 32,
  wallPanel: 3 / 4,
  leastOffcut: 6,
  leastOffcutWidth: 1.5,
  longestBoard: 96,
  trimEnds: 0,
  trimEdges: 0,
  studSpacing: 16,
  wallLining: 1 / 2,
  studDepth: 2.25,
  slatRoom: 1 / 32,
  sheetEdgeSpacing: 6,
  sheetFieldSpacing: 12,
  cutOutPlay: 1 / 8,
  ledgerWidth: 2.625,
  uprightDepth: 2.625,
  growRoom: 1.25,
  cupDepth: 1 / 2,
  fingers: 3 / 4,
  fingerNotch: 1.25,
  liftFree: 12,
  discCover: 1 / 16,
  discGap: 3 / 16,
  thinSteelUnder: 1 / 8,
}

const POUNDS: Partial<Record<SettingKey, number>> = { heavyFrom: 3.5, pull: 11, highLoad: 11 }

/** What a new shop begins with, in round sizes of the unit that it works in; mm, kg and as each setting says. */
export function newShopSettings(unit: 'mm' | 'in'): Record<SettingKey, number> {
  const usual = usualSettings()
  if (unit === 'mm') return usual
  for (const key of settingKeys) {
    const own = SETTINGS[key].quantity === 'length' ? (INCHES[key] ?? NaN) * 25.4 : (POUNDS[key] ?? NaN) * POUND
    if (!Number.isNaN(own)) usual[key] = own
  }
  return usual
}
