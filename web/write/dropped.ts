/** Whether a file may hold recipes, by its name. @example isRecipeFile({ name: 'soup.html' }) // true */
export const isRecipeFile = ({ name }: Pick<File, 'name'>): boolean =>
  /\.(?:html?|json|jsonld|md|markdown|txt|csv)$/i.test(name) && !/^\./.test(name);

/** Deeper folders than anybody keeps are not gone into. */
const mostDeep = 6;
/** Files of one drop. */
const mostFiles = 2000;

const entriesOf = (folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> => {
  const reader = folder.createReader();
  const all: FileSystemEntry[] = [];
  // a reader gives a hundred at a time
  const more = (): Promise<FileSystemEntry[]> =>
    new Promise((resolve) =>
      reader.readEntries(
        (some) => {
          all.push(...some);
          if (some.length === 0 || all.length >= mostFiles) resolve(all);
          else void more().then(resolve);
        },
        () => resolve(all),
      ),
    );
  return more();
};

/** Files of what was dropped, folders gone through; how many of them cannot hold a recipe. */
export async function filesOf(dropped: DataTransfer): Promise<{ files: File[]; skipped: number }> {
  const entries = [...dropped.items].flatMap((i) => i.webkitGetAsEntry() ?? []);
  const plain = [...dropped.files];
  if (!entries.some((e) => e.isDirectory)) return { files: plain, skipped: 0 };
  const files: File[] = [];
  let skipped = 0;
  const visit = async (entry: FileSystemEntry, depth: number): Promise<void> => {
    if (files.length >= mostFiles || depth > mostDeep) return;
    if (entry.isFile) {
      if (!isRecipeFile(entry)) skipped += 1;
      else
        await new Promise<void>((resolve) =>
          (entry as FileSystemFileEntry).file(
            (f) => (files.push(f), resolve()),
            () => resolve(),
          ),
        );
    } else for (const inner of await entriesOf(entry as FileSystemDirectoryEntry)) await visit(inner, depth + 1);
  };
  for (const entry of entries) await visit(entry, 0);
  return { files, skipped };
}
