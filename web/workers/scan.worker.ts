import * as Comlink from 'comlink';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import wasm from 'zxing-wasm/reader/zxing_reader.wasm?url';

// the reader's own part comes with the app, from nowhere else
prepareZXingModule({ overrides: { locateFile: () => wasm } });

const scanner = {
  /** What the first code in a picture says; undefined when none is found. */
  async read(picture: ImageData | Blob): Promise<string | undefined> {
    const [code] = await readBarcodes(picture, { formats: ['QRCode'], tryHarder: true, maxNumberOfSymbols: 1 });
    return code?.isValid ? code.text : undefined;
  },
};

export type ScanWorker = typeof scanner;
Comlink.expose(scanner);
