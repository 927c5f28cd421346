import { inflateSync } from 'node:zlib'

/** What a reader's search finds in a PDF, page after page; the letters by what each font says that they stand for. */
export function pdfText(pdf: Buffer): string {
  const objects = objectsOf(pdf.toString('latin1'))
  const fonts = new Map<string, ReadonlyMap<string, string>>()
  for (const { body } of objects.values())
    for (const [, name, font] of body.matchAll(/\/(F\d+) (\d+) 0 R/g)) {
      const map = /\/ToUnicode (\d+) 0 R/.exec(objects.get(font!)?.body ?? '')?.[1]
      if (map) fonts.set(name!, lettersOf(objects.get(map)!.stream))
    }
  return [...objects.values()]
    .filter(({ stream }) => / Tf\b/.test(stream))
    .map(({ stream }) => pageText(stream, fonts))
    .join('\n')
}

/** Fonts of a PDF, each with whether its letters travel in it. */
export function pdfFonts(pdf: Buffer): { name: string; isEmbedded: boolean }[] {
  const objects = [...objectsOf(pdf.toString('latin1')).values()]
  return objects.flatMap(({ body }) => {
    const name = /\/Type \/FontDescriptor[\s\S]*?\/FontName \/(\S+)/.exec(body)?.[1]
    return name ? [{ name, isEmbedded: /\/FontFile[23]? \d+ 0 R/.test(body) }] : []
  })
}

export const pdfPages = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0

interface PdfObject {
  body: string
  stream: string
}

function objectsOf(text: string): Map<string, PdfObject> {
  const objects = new Map<string, PdfObject>()
  for (const [, number, body] of text.matchAll(/(\d+) 0 obj\r?\n([\s\S]*?)\r?\nendobj/g)) {
    const packed = /stream\r?\n([\s\S]*?)\r?\nendstream/.exec(body!)?.[1]
    objects.set(number!, { body: body!, stream: packed === undefined ? '' : unpacked(packed) })
  }
  return objects
}

function unpacked(packed: string): string {
  try {
    return inflateSync(Buffer.from(packed, 'latin1')).toString('latin1')
  } catch {
    return packed
  }
}

/** Ranges of a font's own codes with what they stand for. */
function lettersOf(map: string): ReadonlyMap<string, string> {
  const letters = new Map<string, string>()
  for (const [, from, , list] of map.matchAll(/<([0-9a-f]{4})> <([0-9a-f]{4})> \[([^\]]*)\]/gi))
    [...list!.matchAll(/<([0-9a-f ]*)>/gi)].forEach(([, hex], i) => {
      const code = (parseInt(from!, 16) + i).toString(16).padStart(4, '0')
      letters.set(code, Buffer.from(hex!.replaceAll(' ', ''), 'hex').swap16().toString('utf16le'))
    })
  return letters
}

function pageText(stream: string, fonts: ReadonlyMap<string, ReadonlyMap<string, string>>): string {
  let letters: ReadonlyMap<string, string> = new Map()
  let text = ''
  for (const [, font, hex, end] of stream.matchAll(/\/(F\d+) [\d.]+ Tf|<([0-9a-f]+)> Tj|(\bET\b)/g)) {
    if (font) letters = fonts.get(font) ?? letters
    else if (end) text += '\n'
    else text += (hex!.match(/.{4}/g) ?? []).map((code) => letters.get(code) ?? '').join('')
  }
  return text
}
