import { createHash } from 'node:crypto';
import { createWriteStream, statSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { Transform, Writable, type Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import { open, type Entry, type ZipFile } from 'yauzl';
import { backupNames, backupVersion, BadFile, manifestSchema, type Manifest, type Tell } from './format.ts';

const nothingChanged = 'Nothing was changed here.';

const openZip = (file: string): Promise<ZipFile> =>
  new Promise((resolve, reject) => {
    open(file, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, zip) => (error ? reject(error) : resolve(zip)));
  });

/** The three entries that a backup has, by name; whatever else is in the file is never touched. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const wanted = new Set<string>(Object.values(backupNames));
  const found = new Map<string, Entry>();
  await new Promise<void>((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      if (wanted.has(entry.fileName)) found.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('end', resolve);
    zip.on('error', reject);
    zip.readEntry();
  });
  return found;
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream)));
  });

async function manifestOf(zip: ZipFile, entry: Entry): Promise<Manifest> {
  if (entry.uncompressedSize > 100_000)
    throw new BadFile(`This is not a backup of Tambo. ${nothingChanged}`, 'a small manifest', `${entry.uncompressedSize} bytes`);
  const parts: Buffer[] = [];
  for await (const part of await streamOf(zip, entry)) parts.push(part as Buffer);
  let value: unknown;
  try {
    value = JSON.parse(Buffer.concat(parts).toString('utf8'));
  } catch {
    throw new BadFile(
      `The backup's manifest cannot be read: the file is damaged. ${nothingChanged} Choose another copy.`,
      'JSON',
      'something else',
    );
  }
  // said before the rest is looked at: a newer version may have other fields
  const version = (value as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > backupVersion)
    throw new BadFile(
      `This backup was made by a newer Tambo. ${nothingChanged} Bring this Tambo up to date, then choose the file again.`,
      `version ${backupVersion} or older`,
      `version ${version}`,
    );
  const parsed = manifestSchema.safeParse(value);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    throw new BadFile(
      `This is not a backup of Tambo, or it was changed. ${nothingChanged}`,
      `${issue?.path.join('.') ?? 'manifest'}: ${issue?.message ?? ''}`,
      'another value',
    );
  }
  return parsed.data;
}

class Nowhere extends Writable {
  override _write(_chunk: unknown, _encoding: unknown, done: () => void): void {
    done();
  }
}

/** Unpacks an entry while its size and digest are held against what was written. */
async function checked(
  zip: ZipFile,
  entry: Entry,
  facts: Manifest['files'][typeof backupNames.database],
  what: string,
  out: Writable,
  digest: boolean,
): Promise<void> {
  const hash = createHash('sha256');
  let bytes = 0;
  const check = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (digest) hash.update(chunk);
      // no more is unpacked than was said: a small file cannot fill the disk
      if (bytes > facts.bytes)
        done(new BadFile(`This backup is damaged: its ${what} is longer than it says. ${nothingChanged}`, `${facts.bytes} bytes`, 'more'));
      else done(null, chunk);
    },
  });
  try {
    await pipeline(await streamOf(zip, entry), createGunzip(), check, out);
  } catch (error) {
    if (error instanceof BadFile) throw error;
    throw new BadFile(`This backup is cut off or damaged. ${nothingChanged} Choose another copy.`, `a whole ${what}`, 'a part of one');
  }
  if (bytes !== facts.bytes)
    throw new BadFile(
      `This backup is damaged: its ${what} is shorter than it says. ${nothingChanged}`,
      `${facts.bytes} bytes`,
      `${bytes} bytes`,
    );
  if (digest && hash.digest('hex') !== facts.sha256)
    throw new BadFile(
      `This backup was changed or damaged after it was made. ${nothingChanged} Choose another copy.`,
      `sha256 ${facts.sha256.slice(0, 12)}...`,
      'another one',
    );
}

/**
 * Takes the database out of a backup and checks it against the manifest: size and digest must be what was written.
 * @param databaseOut where the database goes; nowhere when it is only to be held against the manifest
 * @param exportToo the open export is held against it as well
 * @param digest false: size and the checksum inside the gzip are enough, for a file that was written a moment ago
 * @throws BadFile when it is no backup, cut off, damaged, newer, or unpacks to more than it says
 */
export async function unpack(
  file: string,
  databaseOut: string | undefined,
  migrationsKnown: number,
  tell: Tell,
  { exportToo = false, digest = true } = {},
): Promise<Manifest> {
  if (statSync(file).size === 0) throw new BadFile(`This file is empty. ${nothingChanged}`, 'a backup', 'nothing');
  let zip: ZipFile;
  try {
    zip = await openZip(file);
  } catch (error) {
    throw new BadFile(
      `This file is cut off, or no backup of Tambo. ${nothingChanged} Choose another copy.`,
      'a whole zip file',
      error instanceof Error ? error.message.slice(0, 120) : 'something else',
    );
  }
  try {
    const entries = await entriesOf(zip).catch(() => {
      throw new BadFile(`This file is damaged. ${nothingChanged} Choose another copy.`, 'a list of what is inside', 'a broken one');
    });
    const [manifestEntry, databaseEntry] = [entries.get(backupNames.manifest), entries.get(backupNames.database)];
    if (!manifestEntry || !databaseEntry)
      throw new BadFile(
        `This is not a backup of Tambo. ${nothingChanged}`,
        Object.values(backupNames).join(', '),
        [...entries.keys()].join(', ') || 'none of them',
      );
    const manifest = await manifestOf(zip, manifestEntry);
    if (manifest.migrations > migrationsKnown)
      throw new BadFile(
        `This backup was made by a newer Tambo. ${nothingChanged} Bring this Tambo up to date, then choose the file again.`,
        `a database of at most ${migrationsKnown} steps`,
        `${manifest.migrations} steps`,
      );
    tell({ share: 0.1, says: 'Unpacking' });
    const exportEntry = entries.get(backupNames.export);
    const database = databaseOut === undefined ? new Nowhere() : createWriteStream(databaseOut);
    // side by side: each is unpacked by a thread of its own
    await Promise.all([
      checked(zip, databaseEntry, manifest.files[backupNames.database], 'database', database, digest),
      ...(exportToo && exportEntry ? [checked(zip, exportEntry, manifest.files[backupNames.export], 'export', new Nowhere(), digest)] : []),
    ]);
    return manifest;
  } finally {
    zip.close();
  }
}
