import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { ShortcutSheetComponent } from './shortcut-sheet.component';

/** Is somebody typing there? Then a letter is a letter. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

@Component({
  selector: 'esm-shortcuts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ShortcutSheetComponent],
  template: `
    <button type="button" (click)="open.set(true)" aria-label="Keyboard shortcuts" data-tool="shortcuts">?</button>
    @defer (when open()) {
      <esm-shortcut-sheet [(open)]="open" />
    }
  `,
  styles: `
    button {
      border: 1px solid var(--rail-line);
      background: none;
      color: inherit;
      border-radius: 8px;
      width: 100%;
      min-width: 2.3rem;
      height: 2.3rem;
      cursor: pointer;
      font-weight: 700;
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
