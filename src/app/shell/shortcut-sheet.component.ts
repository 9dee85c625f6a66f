import { ChangeDetectionStrategy, Component, model } from '@angular/core';
import { Dialog } from 'primeng/dialog';
import { KeyListComponent } from '../ui/key-list.component';
import { ReturnsFocusDirective } from '../ui/returns-focus.directive';

/** Every key that means something, over what one is at. */
@Component({
  selector: 'esm-shortcut-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Dialog, KeyListComponent, ReturnsFocusDirective],
  template: `
    <p-dialog
      header="Keyboard"
      [visible]="open()"
      (visibleChange)="open.set($event)"
      [modal]="true"
      closeAriaLabel="Close the shortcuts"
      [dismissableMask]="true"
      [draggable]="false"
      [style]="{ width: 'min(32rem, 94vw)' }"
    >
      <esm-key-list />
    </p-dialog>
  `,
})
export class ShortcutSheetComponent {
  readonly open = model(false);
}
