import { createRequire } from 'node:module';
import type PDFKit from 'pdfkit';

/** Paper in the hand of the application: one column of type, its own fonts, what does not fit goes on to the next page. */

const require = createRequire(import.meta.url);
const font = (name: string): string => require.resolve(`@fontsource/barlow-semi-condensed/files/${name}.woff`);
/** The fonts of paper, by what they are called on it. */
export const files = {
  plain: font('barlow-semi-condensed-latin-400-normal'),
  strong: font('barlow-semi-condensed-latin-600-normal'),
  // Letters of other Latin alphabets lie in files of their own.
  plainWide: font('barlow-semi-condensed-latin-ext-400-normal'),
  strongWide: font('barlow-semi-condensed-latin-ext-600-normal'),
} as const;
type Face = 'plain' | 'strong';

export const ink = { black: '#1D2325', grey: '#5B6466', line: '#C9C6BB', teal: '#0E5A5E' } as const;

const margin = 56;
const bottom = 70;

/** Signs of the first file; the others are taken from the second. */
const common =
  /[\u0020-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2013\u2014\u2018-\u201a\u201c-\u201e\u2022\u2026\u20ac\u2122]+/u;
/** Words by the file that has their letters. */
export const runs = (text: string): { wide: boolean; text: string }[] =>
  text
    .split(new RegExp(`(${common.source})`, 'u'))
    .filter((part) => part !== '')
    .map((part) => ({ wide: !common.test(part), text: part }));

interface Words {
  face?: Face;
  /** points */
  size?: number;
  colour?: string;
}

export class Sheet {
  private readonly doc: PDFKit.PDFDocument;
  private readonly done: Promise<Uint8Array>;
  private y = margin;

  private constructor(doc: PDFKit.PDFDocument) {
    this.doc = doc;
    const chunks: Buffer[] = [];
    this.done = new Promise((resolve, reject) => {
      doc.on('data', (chunk: Buffer) => chunks.push(chunk));
      doc.on('end', () => resolve(Buffer.concat(chunks)));
      doc.on('error', reject);
    });
  }

  /** A4, upright. The library is read when the first sheet is made: the server starts without it. */
  static async begin(title: string): Promise<Sheet> {
    const { default: Document } = await import('pdfkit');
    const doc = new Document({ size: 'A4', margin, info: { Title: title }, bufferPages: true });
    for (const [name, file] of Object.entries(files)) doc.registerFont(name, file);
    return new Sheet(doc);
  }

  get width(): number {
    return this.doc.page.width - 2 * margin;
  }

  private face(face: Face, wide: boolean, size: number): void {
    this.doc.font(wide ? `${face}Wide` : face).fontSize(size);
  }

  private widthOf(text: string, face: Face, size: number): number {
    return runs(text).reduce((sum, run) => {
      this.face(face, run.wide, size);
      return sum + this.doc.widthOfString(run.text);
    }, 0);
  }

  /** Words in lines that fit. */
  private linesOf(text: string, face: Face, size: number, width: number): string[] {
    const lines: string[] = [];
    for (const paragraph of text.split('\n')) {
      let line = '';
      for (const word of paragraph.split(/\s+/)) {
        const longer = line === '' ? word : `${line} ${word}`;
        if (line !== '' && this.widthOf(longer, face, size) > width) {
          lines.push(line);
          line = word;
        } else line = longer;
      }
      lines.push(line);
    }
    return lines;
  }

  private put(text: string, x: number, face: Face, size: number, colour: string): void {
    let at = x;
    for (const run of runs(text)) {
      this.face(face, run.wide, size);
      this.doc.fillColor(colour).text(run.text, at, this.y, { lineBreak: false });
      at += this.doc.widthOfString(run.text);
    }
  }

  private room(high: number): void {
    if (this.y + high <= this.doc.page.height - bottom) return;
    this.doc.addPage();
    this.y = margin;
  }

  /** A paragraph over the whole width. */
  say(
    text: string,
    { face = 'plain', size = 10, colour = ink.black, after = 4 }: Words & { after?: number } = {},
  ): this {
    for (const line of this.linesOf(text, face, size, this.width)) {
      this.room(size * 1.35);
      this.put(line, margin, face, size, colour);
      this.y += size * 1.35;
    }
    this.y += after;
    return this;
  }

  /** What it is called to the left, figures to the right. */
  row(
    left: string,
    right: string,
    { face = 'plain', size = 10, colour = ink.black, note = '' }: Words & { note?: string } = {},
  ): this {
    const lines = this.linesOf(left, face, size, this.width - 110);
    const beside = this.widthOf(lines.at(-1)!, face, size) + 8;
    const fits = beside + this.widthOf(note, 'plain', size - 2) <= this.width - 110;
    const small = note === '' || fits ? [] : this.linesOf(note, 'plain', size - 2, this.width - 110);
    this.room(lines.length * size * 1.35 + small.length * size + 3);
    lines.forEach((line, i) => {
      this.put(line, margin, face, size, colour);
      if (i === 0) this.put(right, margin + this.width - this.widthOf(right, face, size), face, size, colour);
      if (fits && i === lines.length - 1) {
        this.y += 1.6;
        this.put(note, margin + beside, 'plain', size - 2, ink.grey);
        this.y -= 1.6;
      }
      this.y += size * 1.35;
    });
    for (const line of small) {
      this.put(line, margin, 'plain', size - 2, ink.grey);
      this.y += (size - 2) * 1.35;
    }
    this.y += 2;
    return this;
  }

  rule(): this {
    this.room(8);
    this.doc
      .moveTo(margin, this.y + 2)
      .lineTo(margin + this.width, this.y + 2)
      .lineWidth(0.7)
      .strokeColor(ink.line)
      .stroke();
    this.y += 8;
    return this;
  }

  /** Lines drawn by hand: points of 0 to 1000 across and 0 to 300 down, on a field so wide. */
  drawn(strokes: readonly (readonly (readonly [number, number])[])[], wide = 220): this {
    const scale = wide / 1000;
    this.room(300 * scale + 6);
    for (const stroke of strokes) {
      stroke.forEach(([x, y], i) => {
        const [px, py] = [margin + x * scale, this.y + y * scale];
        if (i === 0) this.doc.moveTo(px, py);
        else this.doc.lineTo(px, py);
      });
      this.doc.lineWidth(1.2).strokeColor(ink.black).stroke();
    }
    this.y += 300 * scale + 6;
    return this;
  }

  gap(points: number): this {
    this.y += points;
    return this;
  }

  /** The whole, with the number of each page and a line of the shop at its foot. */
  async end(foot: string): Promise<Uint8Array> {
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = 0; i < count; i += 1) {
      this.doc.switchToPage(start + i);
      // Below the margin nothing goes on to a next page.
      this.doc.page.margins.bottom = 0;
      this.y = this.doc.page.height - 44;
      this.put(foot, margin, 'plain', 8, ink.grey);
      const page = `${i + 1} of ${count}`;
      this.put(page, margin + this.width - this.widthOf(page, 'plain', 8), 'plain', 8, ink.grey);
    }
    this.doc.end();
    return this.done;
  }
}
