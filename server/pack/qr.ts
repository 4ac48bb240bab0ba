import QRCode from 'qrcode';
import type { QrModules } from '#core/pack';

/** The modules of a QR code, row by row. */
export function qrModules(text: string): QrModules {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  return { size: modules.size, dark: Array.from(modules.data, (bit) => bit === 1) };
}
