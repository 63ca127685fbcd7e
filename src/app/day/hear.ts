import { readHeard } from '../../store/heard.ts';

const TONE = { hz: 660, seconds: 0.35, loud: 0.25 } as const;

let audio: AudioContext | undefined;

/** Two short tones. Only after something was pressed: before, browsers keep silent. */
function sound(): void {
  audio ??= new AudioContext();
  for (const [i, factor] of [1, 1.5].entries()) {
    const start = audio.currentTime + i * TONE.seconds;
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.frequency.value = TONE.hz * factor;
    volume.gain.setValueAtTime(TONE.loud, start);
    volume.gain.exponentialRampToValueAtTime(0.001, start + TONE.seconds);
    tone.connect(volume).connect(audio.destination);
    tone.start(start);
    tone.stop(start + TONE.seconds);
  }
}

/** A voice that speaks on this machine alone; undefined where there is none. */
const voiceHere = (): SpeechSynthesisVoice | undefined =>
  'speechSynthesis' in globalThis
    ? speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith('en'))
    : undefined;

/** Whether something could be spoken without asking another machine for it. */
export const canSpeak = (): boolean => voiceHere() !== undefined;

/** What is new on the screen, spoken, where that is wanted. */
export function speak(words: string): void {
  const voice = readHeard() === 'speech' ? voiceHere() : undefined;
  if (!voice) return;
  const said = new SpeechSynthesisUtterance(words);
  said.voice = voice;
  speechSynthesis.cancel();
  speechSynthesis.speak(said);
}

/** Something wants to be looked at now: it stands on the screen, and is heard where that is wanted. */
export function alarm(words: string): void {
  if (readHeard() === 'silent') return;
  try {
    sound();
  } catch {
    // no sound on this machine: it is seen all the same
  }
  speak(words);
}
