import { DOCUMENT, Directive, effect, inject, input } from '@angular/core';
import { Dialog } from 'primeng/dialog';

/** When a dialog closes, the focus goes back to where it came from. */
@Directive({ selector: 'p-dialog' })
export class ReturnsFocusDirective {
  readonly visible = input(false);

  constructor() {
    const document = inject(DOCUMENT);
    let from: Element | null = null;
    // The dialog takes the focus only once it is drawn.
    effect(() => {
      if (this.visible()) from = document.activeElement;
    });
    inject(Dialog, { self: true }).onHide.subscribe(() => {
      if (from instanceof HTMLElement) from.focus();
      from = null;
    });
  }
}
