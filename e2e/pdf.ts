import { createCanvas } from '@napi-rs/canvas';
import jsqrModule from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const mmPerPt = 25.4 / 72;
const decode = (jsqrModule as unknown as { default?: typeof jsqrModule }).default ?? jsqrModule;

export interface PdfText {
  text: string;
  /** Baseline start from the page's top left, in millimetres. */
  x: number;
  y: number;
  width: number;
  sizePt: number;
}

export interface PdfPage {
  widthMm: number;
  heightMm: number;
  texts: PdfText[];
  /** QR codes found in squares of this page rendered at 300 dpi. */
  qr(at: { x: number; y: number; size: number }): string | undefined;
}

/** Reads a PDF back: page sizes, each text with its place, and codes from a 300 dpi rendering. */
export async function readPdf(data: Uint8Array): Promise<PdfPage[]> {
  const doc = await getDocument({ data: new Uint8Array(data), useSystemFonts: false }).promise;
  const pages: PdfPage[] = [];
  for (let n = 1; n <= doc.numPages; n += 1) {
    const page = await doc.getPage(n);
    const view = page.getViewport({ scale: 1 });
    const content = await page.getTextContent();
    const scale = 300 / 72;
    const big = page.getViewport({ scale });
    const canvas = createCanvas(Math.ceil(big.width), Math.ceil(big.height));
    const context = canvas.getContext('2d');
    await page.render({ canvas: canvas as never, canvasContext: context as never, viewport: big }).promise;
    pages.push({
      widthMm: view.width * mmPerPt,
      heightMm: view.height * mmPerPt,
      texts: content.items.flatMap((item) =>
        'str' in item && item.str.trim()
          ? [
              {
                text: item.str,
                x: (item.transform[4] as number) * mmPerPt,
                y: (view.height - (item.transform[5] as number)) * mmPerPt,
                width: item.width * mmPerPt,
                sizePt: Math.hypot(item.transform[2] as number, item.transform[3] as number),
              },
            ]
          : [],
      ),
      qr({ x, y, size }) {
        const px = (mm: number): number => Math.round((mm / 25.4) * 300);
        const image = context.getImageData(px(x), px(y), px(size), px(size));
        return decode(new Uint8ClampedArray(image.data), image.width, image.height)?.data;
      },
    });
  }
  return pages;
}
