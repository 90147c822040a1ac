const ON = 'kotiva/sound';

/** A soft sound on checking off; off until somebody wants it. */
export const soundIsOn = (): boolean => localStorage.getItem(ON) !== null;
export const setSound = (on: boolean): void => (on ? localStorage.setItem(ON, 'yes') : localStorage.removeItem(ON));

let audio: AudioContext | null = null;

/** Two quiet notes. */
export function playTied(): void {
  if (soundIsOn()) play([523.25, 783.99], 0.07, 0.08);
}

/** Three notes, twice: a reminder is heard, whether or not checking off is. */
export function playRing(): void {
  play([659.25, 783.99, 987.77, 659.25, 783.99, 987.77], 0.18, 0.16);
}

/** Made here: nothing is fetched. Where there is no sound to be had, silence. */
function play(hertz: readonly number[], apart: number, loudness: number): void {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  for (const [nth, pitch] of hertz.entries()) {
    const at = audio.currentTime + nth * apart;
    const note = audio.createOscillator();
    const gain = audio.createGain();
    note.frequency.value = pitch;
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(loudness, at + 0.015);
    gain.gain.exponentialRampToValueAtTime(0.001, at + 0.22);
    note.connect(gain).connect(audio.destination);
    note.start(at);
    note.stop(at + 0.25);
  }
}
