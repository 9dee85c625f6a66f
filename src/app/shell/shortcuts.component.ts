import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { ShortcutSheetComponent } from './shortcut-sheet.component';

/** Is somebody typing there? Then a letter is a letter. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** A question mark opens the sheet of keys, wherever one is. */
@Component({
  selector: 'esm-shortcuts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ShortcutSheetComponent],
  template: `
    @defer (when open()) {
      <esm-shortcut-sheet [(open)]="open" />
    }
  `,
  host: { '(document:keydown)': 'key($event)' },
})
export class ShortcutsComponent {
  protected readonly open = signal(false);

  protected key(event: KeyboardEvent): void {
    if (event.key !== '?' || event.ctrlKey || event.metaKey || isTyping(event.target)) return;
    event.preventDefault();
    this.open.update((open) => !open);
  }
}
