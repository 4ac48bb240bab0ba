import QRCode from 'qrcode';
import type { QrModules } from '#core/pack';

/** What a pack's code holds: the household's address when one is set, else a path. */
export const codeLink = (code: string, address: string): string => `${address.replace(/\/$/, '')}/p/${code}`;

export function qrModules(text: string): QrModules {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  return { size: modules.size, dark: Array.from(modules.data, (bit) => bit === 1) };
}
