/** Says an alarm aloud: with a voice that lives on this device, else with a tone; never over the network. */

const languageOf = (voice: SpeechSynthesisVoice): string => voice.lang.slice(0, 2).toLowerCase();

/** A voice of this device that speaks English; undefined when the browser has only network voices, or none. */
function localVoice(): SpeechSynthesisVoice | undefined {
  if (!('speechSynthesis' in window)) return undefined;
  const local = window.speechSynthesis.getVoices().filter((v) => v.localService);
  return local.find((v) => v.lang === navigator.language && languageOf(v) === 'en') ?? local.find((v) => languageOf(v) === 'en');
}

let audio: AudioContext | undefined;

/** Must be called from a tap: browsers give sound to pages that were touched. */
export function readySound(): void {
  try {
    audio ??= new AudioContext();
    void audio.resume();
  } catch {
    // no sound device: the screen shows it
  }
}

/** Two rising notes, heard over a fan. */
function tone(): void {
  if (!audio) return;
  const notes: readonly (readonly [hz: number, from: number])[] = [
    [660, 0],
    [880, 0.28],
  ];
  for (const [hz, from] of notes) {
    const osc = audio.createOscillator();
    const gain = audio.createGain();
    const at = audio.currentTime + from;
    osc.frequency.value = hz;
    gain.gain.setValueAtTime(0.0001, at);
    gain.gain.exponentialRampToValueAtTime(0.4, at + 0.03);
    gain.gain.exponentialRampToValueAtTime(0.0001, at + 0.24);
    osc.connect(gain).connect(audio.destination);
    osc.start(at);
    osc.stop(at + 0.25);
  }
}

/** Rings once. @returns how, for the screen */
export function ring(words: string): 'voice' | 'tone' {
  const voice = localVoice();
  if (!voice) {
    tone();
    return 'tone';
  }
  const said = new SpeechSynthesisUtterance(words);
  said.voice = voice;
  said.lang = voice.lang;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(said);
  return 'voice';
}

export const hush = (): void => {
  if ('speechSynthesis' in window) window.speechSynthesis.cancel();
};
