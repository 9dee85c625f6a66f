import { DOCUMENT, DestroyRef, InjectionToken, inject } from '@angular/core';

/** Reads aloud on this device; a new sentence cuts an old one short. */
export interface Voice {
  /** False where the device has no voice of its own: one on somebody's server would hear what is done here. */
  isLocal(): boolean;
  say(text: string): void;
  stop(): void;
}

function deviceVoice(): Voice {
  const document = inject(DOCUMENT);
  const view = document.defaultView;
  const speech = view?.speechSynthesis;
  const language = (): string => document.documentElement.lang || 'en';
  const voices = (): readonly SpeechSynthesisVoice[] =>
    (speech?.getVoices() ?? []).filter(({ localService }) => localService);
  const fitting = (): SpeechSynthesisVoice | undefined =>
    voices().find(({ lang }) => lang.toLowerCase() === language().toLowerCase()) ??
    voices().find(({ lang }) => lang.startsWith(language().slice(0, 2))) ??
    voices()[0];
  return {
    isLocal: () => fitting() !== undefined,
    say(text) {
      const voice = fitting();
      if (!speech || !view || !voice) return;
      speech.cancel();
      const words = new view.SpeechSynthesisUtterance(text);
      words.voice = voice;
      words.lang = voice.lang;
      speech.speak(words);
    },
    stop: () => speech?.cancel(),
  };
}

/** The voice of the device. Tests put a stand-in here. */
export const VOICE = new InjectionToken<Voice>('voice', { factory: deviceVoice });

/** Reads aloud while its component is there. */
export function speaker(): (text: string) => void {
  const voice = inject(VOICE);
  inject(DestroyRef).onDestroy(() => voice.stop());
  return (text) => voice.say(text);
}
