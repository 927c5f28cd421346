/* What is used of two packages that bring no types. */
declare module 'pdfkit' {
  import type { Readable } from 'node:stream'
  export default class PDFDocument extends Readable {
    constructor(options: {
      size: [number, number]
      margin: number
      /** None before one is registered. */
      font: null
      autoFirstPage: boolean
      info: { Title: string; CreationDate?: Date }
    })
    registerFont(name: string, bytes: Buffer): this
    addPage(): void
    end(): void
  }
}
declare module 'svg-to-pdfkit' {
  interface Options {
    width: number
    height: number
    fontCallback: (family: string, bold: boolean, italic: boolean) => string
  }
  export default function svgToPdf(document: object, svg: string, x: number, y: number, options: Options): void
}
