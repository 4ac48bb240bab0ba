import { createInterface } from 'node:readline';
import { passphraseSchema } from '#core/contract';
import type { Home } from './home.ts';
import { hashOf, suggested, weakness } from './passphrase.ts';

/** Reads one line; what is typed at a terminal is not shown. */
async function readSecret(says: string): Promise<string> {
  const { stdin, stdout } = process;
  stdout.write(says);
  const lines = createInterface({ input: stdin, ...(stdin.isTTY && { terminal: true }) });
  try {
    const { value } = (await lines[Symbol.asyncIterator]().next()) as { value?: string };
    return (value ?? '').trim();
  } finally {
    lines.close();
    stdout.write('\n');
  }
}

const maxAsked = 3;

/** Asks for a passphrase at the terminal when there is none, or when another one is wanted; the computer itself is then asked for none. */
export async function askAtTerminal(home: Home, say: (text: string) => void): Promise<void> {
  const { file } = home.door;
  const anew = process.env.TAMBO_NEW_PASSPHRASE === '1';
  for (let asked = 0; (anew || !file.now.passphrase) && asked < maxAsked; asked += 1) {
    say(`Phones come in with a passphrase of 12 letters or more, such as: ${suggested()}`);
    const typed = await readSecret('Passphrase: ');
    const short = !passphraseSchema.safeParse(typed).success;
    const weak = short ? 'It needs 12 letters or more.' : await weakness(typed, [file.now.name, 'tambo', 'kitchen']);
    if (weak !== undefined) {
      say(weak);
      continue;
    }
    file.set({ passphrase: await hashOf(typed), ...(anew && { askHere: false }) });
    if (anew) {
      home.door.endAll();
      home.door.note('The passphrase is another one; every device is asked again');
    }
    return;
  }
}
