import Module from 'manifold-3d'
import PDFDocument from 'pdfkit'
import type { FileMeans } from '#core/exchange/files'
import { faceName, SUBSETS } from '#core/exchange/pdf/faces'
import type { Kernel } from '#core/solid/kernel'

/** The parts of the face that are put into PDFs, as WOFF, by their names. */
export type Faces = Readonly<Record<string, Buffer>>

/** Reads every part of the face. @param read gives a file of the font's package */
export async function readFaces(read: (file: string) => Promise<Buffer>): Promise<Faces> {
  const parts = SUBSETS.flatMap((subset) => [false, true].map((bold) => ({ subset, bold })))
  const files = parts.map(({ subset, bold }) => read(`source-sans-3-${subset}-${bold ? 700 : 400}-normal.woff`))
  const found = await Promise.all(files)
  return Object.fromEntries(parts.map(({ subset, bold }, i) => [faceName(subset, bold), found[i]!]))
}

let kernel: Promise<Kernel> | undefined

/** The solid modelling kernel, loaded once. */
function solidKernel(): Promise<Kernel> {
  kernel ??= Module().then((loaded) => {
    loaded.setup()
    return loaded
  })
  return kernel
}

/** A PDF that is collected in memory. @param compress false for one whose pages can be read as text */
export function pdfDocument(faces: Faces, compress = true): ReturnType<FileMeans['pdf']> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    compress,
    font: faces[faceName('latin', false)] as unknown as string,
    info: { Producer: 'Fingerling', Creator: 'Fingerling' },
  })
  for (const [name, face] of Object.entries(faces)) doc.registerFont(name, face)
  const chunks: Buffer[] = []
  const end = new Promise<Uint8Array>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk))
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))))
    doc.on('error', reject)
  })
  return { doc, ended: () => end }
}

/** What files are made with on a server or the command line. */
export const fileMeans = (faces: Faces): FileMeans => ({
  pdf: () => pdfDocument(faces),
  kernel: solidKernel,
  day: new Date().toISOString().slice(0, 10),
})
