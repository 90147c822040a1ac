const ON = 'kotiva/sound';

/** A soft sound on checking off; off until somebody wants it. */
export const soundIsOn = (): boolean => localStorage.getItem(ON) !== null;
export const setSound = (on: boolean): void => (on ? localStorage.setItem(ON, 'yes') : localStorage.removeItem(ON));

let audio: AudioContext | null = null;

/** Two quiet notes, made here: nothing is fetched. Where there is no sound to be had, silence. */
export function playTied(): void {
  if (!soundIsOn() || typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  const from = audio.currentTime;
  for (const [nth, hertz] of [523.25, 783.99].entries()) {
    const at = from + nth * 0.07;
    const note = audio.createOscillator();
    const gain = audio.createGain();
    note.frequency.value = hertz;
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(0.08, at + 0.015);
    gain.gain.exponentialRampToValueAtTime(0.001, at + 0.22);
    note.connect(gain).connect(audio.destination);
    note.start(at);
    note.stop(at + 0.25);
  }
}
