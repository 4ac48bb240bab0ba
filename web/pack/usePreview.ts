import { a4Grid21, codeLink, drawLabel, type LabelContent, type LabelResult } from '#core/pack';
import { qrModules } from './qr.ts';

/** A label drawn on the page, the same way the PDF draws it. */
export const previewOf = (content: LabelContent, address: string): LabelResult =>
  drawLabel(content, { widthMm: a4Grid21.labelMm.w, heightMm: a4Grid21.labelMm.h }, qrModules(codeLink(content.code, address)));
