import { DOCUMENT, DestroyRef, inject } from '@angular/core';

/** Reads aloud what is next, where the device has a voice; a new sentence cuts an old one short. */
export function speaker(): (text: string) => void {
  const view = inject(DOCUMENT).defaultView;
  const voice = view?.speechSynthesis;
  inject(DestroyRef).onDestroy(() => voice?.cancel());
  return (text) => {
    if (!voice || !view) return;
    voice.cancel();
    const words = new view.SpeechSynthesisUtterance(text);
    words.lang = view.document.documentElement.lang || 'en';
    voice.speak(words);
  };
}
