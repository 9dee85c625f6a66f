import { DOCUMENT, inject } from '@angular/core';

const SECONDS = 0.25;
const LOUDNESS = 0.2;
/** Two notes that are told apart over a pump: high for ready, low for "about to dry". */
const HERTZ = { ready: 880, drying: 440 } as const;
const BUZZ_MS = { ready: 200, drying: [120, 80, 120] } as const;

export type Call = keyof typeof HERTZ;

/** Calls a hand that looks elsewhere: felt where the device can, heard where it was asked for. */
export function caller(): (call: Call, aloud: boolean) => void {
  const view = inject(DOCUMENT).defaultView;
  let audio: AudioContext | null = null;
  return (call, aloud) => {
    view?.navigator.vibrate?.(BUZZ_MS[call] as VibratePattern);
    if (!aloud || !view?.AudioContext) return;
    audio ??= new view.AudioContext();
    const [tone, volume] = [audio.createOscillator(), audio.createGain()];
    tone.frequency.value = HERTZ[call];
    volume.gain.value = LOUDNESS;
    tone.connect(volume).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + SECONDS);
  };
}
