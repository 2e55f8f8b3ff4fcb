import { hardwareOf } from '../bench/hardware'
import { benchSteps } from '../bench/steps/steps'
import { worstOf } from '../checks/verdict'
import type { Design } from '../choose/design'
import { quickPlan } from '../cutting/quick-cuts'
import type { HolderModel } from '../model/model'
import type { Kernel } from '../solid/kernel'
import { filesOf } from './file-names'
import { solidScene } from '../solid/scene'
import { csvText } from './csv-text'
import { cuttingCsv, marksCsv, partsCsv } from './csv'
import { boardDxf } from './dxf'
import { glbFile } from './mesh/glb'
import { partMeshes } from './mesh/part-meshes'
import { stlFile } from './mesh/stl'
import { threemfFile } from './mesh/threemf'
import { labelsOf } from './labels'
import { writeDossier } from './pdf/dossier'
import { widthOf } from './pdf/faces'
import { labelPages } from './pdf/labels'
import { PAPERS, type Page, type Paper } from './pdf/page'
import { renderPages, type PdfDocument } from './pdf/render'
import { templatePages, testPiecePage, WORST_PRINTER, type TemplateChoice } from './pdf/templates'
import { planFile } from './plan-file'
import { boardSvg } from './svg'
import type { Wall } from '../wall/wall'
import { locatingPages, positionsCsv, WALL_FILES, wallDxf, wallSvg } from './wall/wall-files'

/** What a file is made with that the core does not load by itself. */
export interface FileMeans {
  /** a new PDF without a first page, its faces registered, and what it has become once it is ended */
  pdf: () => { doc: PdfDocument; ended: () => Promise<Uint8Array> }
  kernel: () => Promise<Kernel>
  /** day on which it is made, ISO 8601 */
  day: string
}

/** How files are wanted, where it matters. */
export type FileChoice = TemplateChoice

export interface MadeFile {
  name: string
  type: string
  content: Uint8Array | string
}

/** Nobody joins more pages than these to one template. */
const MOST_PAGES = 80

/** What is wrong with a wish for a file, in the shop's words. */
export class NoSuchFile extends Error {}

const TYPES: Record<string, string> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  stl: 'model/stl',
  '3mf': 'model/3mf',
  glb: 'model/gltf-binary',
  csv: 'text/csv; charset=utf-8',
  json: 'application/json',
}

/**
 * How templates are wanted, read from what came in.
 * @throws NoSuchFile in the shop's words
 */
export function fileChoice(given: { paper?: unknown; measured?: unknown }): FileChoice {
  const paper = given.paper ?? 'A4'
  if (typeof paper !== 'string' || !(paper in PAPERS)) throw new NoSuchFile(`Paper is one of ${Object.keys(PAPERS).join(', ')}.`) // prettier-ignore
  const measured = given.measured === undefined ? 100 : Number(given.measured)
  if (!(Math.abs(measured / 100 - 1) <= WORST_PRINTER)) throw new NoSuchFile('The check bar of 100 mm measures between 90 and 110 mm, that of 4 in between 3.6 and 4.4 in; else print it again at true size.') // prettier-ignore
  return { paper: paper as Paper, measured }
}

const pdfOf = async (pages: readonly Page[], { pdf }: FileMeans): Promise<Uint8Array> => {
  const { doc, ended } = pdf()
  renderPages(doc, pages)
  doc.end()
  return ended()
}

/**
 * Makes one file of a holder that is planned.
 * @param name one of `filesOf`
 * @throws NoSuchFile when there is no such file, in the shop's words
 */
export async function makeFile(name: string, design: Design, choice: FileChoice, means: FileMeans): Promise<MadeFile> {
  const { model } = design
  if (!model) throw new NoSuchFile('There is nothing to draw yet: the checks say what is missing.')
  const content = await contentOf(name, design, model, choice, means)
  if (content === null) throw new NoSuchFile(`There is no file ${name} of this holder. There are: ${filesOf(model).join(', ')}.`) // prettier-ignore
  return { name, type: TYPES[name.slice(name.lastIndexOf('.') + 1)]!, content }
}

/** Files that make no sense for sheets and strips as large as a wall. */
const UNFIT_FOR_WALLS: readonly string[] = ['templates.pdf', 'test-piece.pdf']

/** Names of the files that a wall can be taken along as. @param own what it is covered with */
export const filesOfWall = (own: Design): string[] => [...WALL_FILES, ...(own.model ? filesOf(own.model).filter((f) => !UNFIT_FOR_WALLS.includes(f)) : [])] // prettier-ignore

/**
 * Makes one file of a wall: of what hangs on it, or of its own sheets and strips.
 * @param designs of the holders on it, by their ids, @param own what it is covered with
 * @throws NoSuchFile when there is no such file, in the shop's words
 */
export async function makeWallFile(
  name: string,
  { wall, designs, own }: { wall: Wall; designs: ReadonlyMap<string, Design>; own: Design },
  choice: FileChoice,
  means: FileMeans,
): Promise<MadeFile> {
  const { shop } = own.input
  const made = (content: MadeFile['content']): MadeFile => ({ name, type: TYPES[name.slice(name.lastIndexOf('.') + 1)]!, content }) // prettier-ignore
  if (name === 'wall.svg') return made(wallSvg(wall, designs, shop))
  if (name === 'wall.dxf') return made(wallDxf(wall, designs, shop))
  if (name === 'positions.csv') return made(positionsCsv(wall, designs, shop))
  if (name === 'locating.pdf') return made(await pdfOf(locatingPages(wall, designs, shop, choice.paper), means))
  if (!own.model || UNFIT_FOR_WALLS.includes(name))
    throw new NoSuchFile(`There is no file ${name} of this wall. There are: ${WALL_FILES.join(', ')}.`)
  return makeFile(name, own, choice, means)
}

async function contentOf(
  name: string,
  design: Design,
  model: HolderModel,
  choice: FileChoice,
  means: FileMeans,
): Promise<MadeFile['content'] | null> {
  const { shop, tools, holder } = design.input
  const planned = () => quickPlan(shop, [{ id: holder.id, model }])
  if (name === 'templates.pdf') {
    const pages = templatePages(model, shop, choice)
    if (pages.length > MOST_PAGES) throw new NoSuchFile(`Templates of this would take ${pages.length} pages: take a larger paper, or mark it out by the figures of the bench sheet.`) // prettier-ignore
    return pdfOf(pages, means)
  }
  if (name === 'test-piece.pdf') {
    const page = testPiecePage(model, shop, choice)
    if (!page) throw new NoSuchFile('No opening to try in card: nothing is bored or sawn.')
    return pdfOf([page], means)
  }
  if (name === 'dossier.pdf') {
    const { doc, ended } = means.pdf()
    const { cuts, noPlace } = planned()
    const order = benchSteps({ model, shop, cuts }, holder.id)
    writeDossier(doc, { design, model, cuts, noPlace, order, paper: choice.paper, day: means.day })
    doc.end()
    return ended()
  }
  if (name === 'labels.pdf' || name === 'labels.csv') {
    const labels = labelsOf(model, tools, shop)
    if (labels.length === 0) return null
    if (name === 'labels.csv') return csvText(labels.map((l) => ({ place: l.place, name: l.name, size: l.size, 'at most wide mm': Number(l.room.toFixed(1)) }))) // prettier-ignore
    const { doc, ended } = means.pdf()
    const measure = (text: string, size: number, bold: boolean): number => widthOf(doc.fontSize(size), text, bold)
    renderPages(doc, labelPages(model.name, labels, choice.paper, measure))
    doc.end()
    return ended()
  }
  if (name === 'parts.csv') return partsCsv(model, shop)
  if (name === 'hardware.csv') return csvText(hardwareOf([model], shop).map((h) => ({ what: h.name, count: h.count, for: h.use, 'to buy': h.toBuy ? 'yes' : '' }))) // prettier-ignore
  if (name === 'cutting.csv') return cuttingCsv(planned())
  if (name === 'plan.json') return JSON.stringify(planFile(design, worstOf(design.verdicts)), null, 2)
  if (name === 'parts.3mf') return threemfFile(model.name, partMeshes(await means.kernel(), model))
  if (name === 'holder.glb') return glbFile(model.name, solidScene(await means.kernel(), model, tools, shop))

  const stem = name.slice(0, name.lastIndexOf('.'))
  const kind = name.slice(name.lastIndexOf('.') + 1)
  const board = model.boards.find((b) => b.id === stem)
  if (kind === 'svg' && board) return boardSvg(model, board, shop)
  if (kind === 'dxf' && board) return boardDxf(model, board, shop)
  if (kind === 'stl') {
    const part = partMeshes(await means.kernel(), model).find((p) => p.id === stem)
    return part ? stlFile(part) : null
  }
  const marked = model.boards.find((b) => `${b.id}-marks` === stem && b.openings.length > 0)
  return kind === 'csv' && marked ? marksCsv(model, marked.id, shop) : null
}
