import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import QRCode from 'qrcode';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { note, p95, timed } from './figures.ts';

/** A code read from a picture of 640 px, as the page's worker reads it. */
export async function readCodes(): Promise<void> {
  const wasm = readFileSync(createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm'));
  prepareZXingModule({ overrides: { wasmBinary: wasm.buffer.slice(wasm.byteOffset, wasm.byteOffset + wasm.byteLength) as ArrayBuffer } });
  const times: number[] = [];
  for (let n = 0; n < 24; n += 1) {
    const picture = await QRCode.toBuffer(`https://kitchen.example/p/222${n}`, { width: 640 });
    times.push(
      await timed(async () => {
        const [code] = await readBarcodes(new Uint8Array(picture), { formats: ['QRCode'], tryHarder: true, maxNumberOfSymbols: 1 });
        if (!code?.isValid) throw new Error('a code was not read');
      }),
    );
  }
  note(`A code read from a picture of 640 px, p95 of ${times.length}`, p95(times), 300, 'ms', 1);
}
