import { createInterface } from 'node:readline';
import { passphraseSchema } from '#core/contract';
import type { Home } from './home.ts';
import { hashOf, suggested, weakness } from './passphrase.ts';

/** Lines that are typed, not shown at a terminal while they are. */
function secretLines(): { next: (says: string) => Promise<string>; close: () => void } {
  const { stdin, stdout } = process;
  const lines = createInterface({ input: stdin, ...(stdin.isTTY && { terminal: true }) });
  const typed = lines[Symbol.asyncIterator]();
  return {
    next: async (says) => {
      stdout.write(says);
      const { value } = (await typed.next()) as { value?: string };
      stdout.write('\n');
      return (value ?? '').trim();
    },
    close: () => lines.close(),
  };
}

const maxAsked = 3;

/** Asks for a passphrase at the terminal when there is none, or when another one is wanted; the computer itself is then asked for none. */
export async function askAtTerminal(home: Home, say: (text: string) => void): Promise<void> {
  const { file } = home.door;
  const anew = process.env.TAMBO_NEW_PASSPHRASE === '1';
  if (file.now.passphrase && !anew) return;
  const lines = secretLines();
  try {
    for (let asked = 0; asked < maxAsked; asked += 1) {
      say(`Phones come in with a passphrase of 12 letters or more, such as: ${suggested()}`);
      const typed = await lines.next('Passphrase: ');
      const short = !passphraseSchema.safeParse(typed).success;
      const weak = short ? 'It needs 12 letters or more.' : await weakness(typed, [file.now.name, 'tambo', 'kitchen']);
      if (weak === undefined) return await take(home, typed, anew);
      say(weak);
    }
  } finally {
    lines.close();
  }
}

async function take(home: Home, passphrase: string, anew: boolean): Promise<void> {
  home.door.file.set({ passphrase: await hashOf(passphrase), ...(anew && { askHere: false }) });
  if (!anew) return;
  home.door.endAll();
  home.door.note('The passphrase is another one; every device is asked again');
}
