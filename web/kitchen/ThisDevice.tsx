import type { Household } from '#core/contract';
import { useCommands } from '../sync/commands.ts';
import { ThemeChoice } from '../frame/ThemeChoice.tsx';

/** How Tambo looks, sounds and listens on the device in hand. */
export function ThisDevice({ household }: { household: Household }) {
  const { write } = useCommands();
  const setKeys = (singleKeys: boolean): void =>
    void write(
      [{ table: 'household', id: household.id, data: { ...household, singleKeys }, was: household }],
      singleKeys ? 'Single letters are keys' : 'Single letters are switched off',
    );
  return (
    <div className="grid" style={{ gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', alignItems: 'start' }}>
      <section className="card" aria-label="Light or dark">
        <h2>Light or dark</h2>
        <ThemeChoice />
        <p className="sub" style={{ marginTop: 10, fontSize: 15 }}>
          Kept on this device only. Labels and lists are always printed dark on white.
        </p>
      </section>
      <section className="card" aria-label="Keys">
        <h2>Keys</h2>
        <div className="chips" role="group" aria-label="Single letters as keys">
          <button type="button" className="chip" aria-pressed={household.singleKeys} onClick={() => setKeys(true)}>
            Single letters work
          </button>
          <button type="button" className="chip" aria-pressed={!household.singleKeys} onClick={() => setKeys(false)}>
            Off
          </button>
        </div>
        <p className="sub" style={{ marginTop: 10, fontSize: 15 }}>
          Press <kbd>?</kbd> anywhere for the list. Switch them off if you speak to your device, or if a key does something by mistake.
        </p>
      </section>
    </div>
  );
}
