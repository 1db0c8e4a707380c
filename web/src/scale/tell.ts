import type { ToldBy } from './scaleChoice.ts';

/** Two tones up: it is kept. One low: look here. Two high and two lower: a time is over. Hz and seconds. */
const TONES = { kept: [660, 880], look: [220], ring: [880, 660, 880, 660] } as const;
const TONE_S = 0.09;
const LOUDNESS = 0.15;

let audio: AudioContext | null = null;

/** Sounds or speaks what happened, for eyes that are on the wool. Where a browser can do neither it stays silent. */
export function tell(what: keyof typeof TONES, words: string, by: ToldBy): void {
  if (by === 'silent') return;
  if (by === 'spoken' && 'speechSynthesis' in window) {
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
    return;
  }
  try {
    audio ??= new AudioContext();
    const { currentTime, destination } = audio;
    for (const [at, pitch] of TONES[what].entries()) {
      const [tone, volume] = [audio.createOscillator(), audio.createGain()];
      tone.frequency.value = pitch;
      volume.gain.value = LOUDNESS;
      tone.connect(volume).connect(destination);
      tone.start(currentTime + at * TONE_S);
      tone.stop(currentTime + (at + 1) * TONE_S);
    }
  } catch {
    // No loudspeaker.
  }
}
