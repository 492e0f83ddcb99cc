import QRCode from 'qrcode';
import { labelPlaces } from '@bay/core/parts';
import type { LabelPaper } from '@bay/core/parts';
import { files, ink, runs } from './sheet.ts';

export interface PrintedLabel {
  code: string;
  title: string;
  detail: string;
  address: string;
}

/** Points in a millimetre. */
const mm = 72 / 25.4;
/** Paper left free at the edge of a label, mm. */
const edge = 1.8;

/** Labels in the millimetres of their paper, from the first that is free; each with its code as squares. */
export async function printLabels(
  paper: LabelPaper,
  labels: readonly PrintedLabel[],
  first: number,
  title: string,
): Promise<Uint8Array> {
  const { default: Document } = await import('pdfkit');
  const size: [number, number] = [paper.page.width * mm, paper.page.height * mm];
  const doc = new Document({ size, margin: 0, autoFirstPage: false, info: { Title: title } });
  for (const [name, file] of Object.entries(files)) doc.registerFont(name, file);
  const chunks: Buffer[] = [];
  const done = new Promise<Uint8Array>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  let page = -1;
  labelPlaces(paper, labels.length, first).forEach((at, i) => {
    while (page < at.page) {
      doc.addPage({ size, margin: 0 });
      page += 1;
    }
    const { code, title: name, detail, address } = labels[i]!;
    const [left, top] = [(at.left + edge) * mm, (at.top + edge) * mm];
    const height = (paper.label.height - 2 * edge) * mm;
    const { size: side, data } = QRCode.create(address, { errorCorrectionLevel: 'M' }).modules;
    const square = height / side;
    doc.fillColor('#000000');
    for (let y = 0; y < side; y += 1)
      for (let x = 0; x < side; x += 1) {
        if (!data[y * side + x]) continue;
        // Squares of a row that touch are one stroke: a tenth of the file, and no hair lines between them.
        const from = x;
        while (x + 1 < side && data[y * side + x + 1]) x += 1;
        doc.rect(left + from * square, top + y * square, (x - from + 1) * square, square);
      }
    doc.fill();
    const words = left + height + edge * mm;
    const width = (at.left + paper.label.width - edge) * mm - words;
    const line = (text: string, face: 'plain' | 'strong', points: number, y: number, lines: number): void => {
      const all = runs(text);
      all.forEach((run, n) => {
        const last = n === all.length - 1;
        const set = { width, height: points * 1.2 * lines, ellipsis: true, continued: !last };
        doc.font(run.wide ? `${face}Wide` : face).fontSize(points);
        if (n === 0) doc.text(run.text, words, y, set);
        else doc.text(run.text, set);
      });
    };
    const big = Math.min(15, height / 4);
    const small = Math.min(8.5, height / 8);
    doc.fillColor(ink.black);
    line(code, 'strong', big, top, 1);
    line(name, 'plain', small, top + big * 1.25, 2);
    doc.fillColor(ink.grey);
    line(detail, 'plain', small * 0.9, top + big * 1.25 + small * 2.5, 2);
  });
  if (page < 0) doc.addPage({ size, margin: 0 });
  doc.end();
  return done;
}
