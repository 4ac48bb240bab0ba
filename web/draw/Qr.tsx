import { Box } from '@mantine/core';
import QRCode from 'qrcode';

/** Light all round it, so that a camera finds its corners (ISO/IEC 18004). */
const quiet = 4;

/** A code that a phone's camera opens; dark on white in the dark as well, since cameras read it so. */
export function Qr({ text, size = 180, label }: { text: string; size?: number; label: string }) {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * quiet;
  const path = Array.from(modules.data, (dark, i) =>
    dark ? `M${(i % modules.size) + quiet} ${Math.floor(i / modules.size) + quiet}h1v1h-1z` : '',
  ).join('');
  return (
    <Box component="svg" role="img" aria-label={label} viewBox={`0 0 ${side} ${side}`} w={size} h={size} flex="none" bdrs={8}>
      <rect width={side} height={side} fill="#fff" />
      <path d={path} fill="#1B2230" shapeRendering="crispEdges" />
    </Box>
  );
}
