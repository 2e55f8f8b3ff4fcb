import Module from 'manifold-3d'
import PDFDocument from 'pdfkit'
import type { FileMeans } from '#core/exchange/files'
import { FACES } from '#core/exchange/pdf/render'
import type { Kernel } from '#core/solid/kernel'

/** The faces that are put into PDFs, as WOFF. */
export interface Faces {
  plain: Buffer
  bold: Buffer
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
    font: faces.plain as unknown as string,
    info: { Producer: 'Fingerling', Creator: 'Fingerling' },
  })
  doc.registerFont(FACES.plain, faces.plain).registerFont(FACES.bold, faces.bold)
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
