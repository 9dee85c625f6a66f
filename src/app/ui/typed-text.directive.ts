import { DestroyRef, Directive, DOCUMENT, ElementRef, effect, inject, input, output } from '@angular/core';

/** Kept so long after a letter, while more are typed. */
const KEEP_AFTER_MS = 300;
/** After a pause of this length a new step for undo begins. */
const PAUSE_MS = 1200;

/** A text as far as it has been typed. */
export interface Typed {
  readonly text: string;
  /** The same for what is taken back in one step: a word, or what was typed without a pause. */
  readonly stroke: string;
}

let fields = 0;

/**
 * A text field that is kept while it is typed: every few letters, when it is left, and when the page goes away.
 * What comes from elsewhere meanwhile does not take the letters out from under the hands.
 */
@Directive({
  selector: '[esmTyped]',
  host: {
    '(input)': 'type()',
    '(blur)': 'leave()',
  },
})
export class TypedTextDirective {
  readonly esmTyped = input.required<string>();
  readonly typed = output<Typed>();

  private readonly element = inject<ElementRef<HTMLInputElement | HTMLTextAreaElement>>(ElementRef).nativeElement;
  private readonly document = inject(DOCUMENT);
  private readonly field = ++fields;
  private words = 0;
  private lastLetter = 0;
  private given: string | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    effect(() => {
      const text = this.esmTyped();
      // What was given out comes back tidied: a blank that was just typed stays until the field is left.
      const isOwn = text === this.given?.trim() && this.document.activeElement === this.element;
      if (this.timer === undefined && !isOwn && this.element.value !== text) this.element.value = text;
    });
    // Before whoever saves what is on the page when it goes away.
    const window = this.document.defaultView!;
    const hidden = (): void => this.hidden();
    const keep = (): void => this.keep();
    window.addEventListener('beforeunload', keep, true);
    window.addEventListener('pagehide', keep, true);
    window.addEventListener('visibilitychange', hidden, true);
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      window.removeEventListener('beforeunload', keep, true);
      window.removeEventListener('pagehide', keep, true);
      window.removeEventListener('visibilitychange', hidden, true);
    });
  }

  protected type(): void {
    const now = performance.now();
    const { value, selectionStart } = this.element;
    const beginsWord = /\s$/.test(value.slice(0, Math.max(0, (selectionStart ?? value.length) - 1)));
    if (beginsWord || now - this.lastLetter > PAUSE_MS) {
      // What was typed so far is a step of its own.
      if (this.timer !== undefined && beginsWord) this.emit(value.slice(0, -1));
      this.words++;
    }
    this.lastLetter = now;
    this.timer ??= setTimeout(() => this.keep(), KEEP_AFTER_MS);
  }

  protected leave(): void {
    this.keep();
    if (this.element.value !== this.esmTyped() && this.element.value.trim() === this.esmTyped())
      this.element.value = this.esmTyped();
  }

  private keep(): void {
    if (this.timer === undefined) return;
    this.emit(this.element.value);
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  private hidden(): void {
    if (this.document.visibilityState === 'hidden') this.keep();
  }

  private emit(text: string): void {
    this.given = text;
    if (text !== this.esmTyped()) this.typed.emit({ text, stroke: `typed-${this.field}-${this.words}` });
  }
}
