import { mostReadChars } from '#core/contract';

/** Why a file is not sent to be read; it is looked at before anything of it is taken in. */
export const notReadable = (file: File): string | undefined =>
  file.size > mostReadChars
    ? `${file.name} has ${Math.ceil(file.size / 1_000_000)} MB; files of up to ${mostReadChars / 1_000_000} MB are read. Nothing was changed. Save the page without its pictures, or choose a smaller file.`
    : undefined;
