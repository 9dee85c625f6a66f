import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { type Confirmation, ConfirmationService } from 'primeng/api';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { ReturnsFocusDirective } from '../ui/returns-focus.directive';

/** Asks what the confirmation service is given to ask; closing it any other way is a no. */
@Component({
  selector: 'esm-confirm',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, ReturnsFocusDirective],
  template: `
    <p-dialog
      [header]="asked()?.header ?? ''"
      [visible]="asked() !== null"
      (visibleChange)="answer(false)"
      [modal]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: 'min(32rem, 94vw)' }"
    >
      <p>{{ asked()?.message }}</p>
      <ng-template #footer>
        <p-button [label]="asked()?.rejectLabel ?? 'No'" severity="secondary" (onClick)="answer(false)" />
        <p-button [label]="asked()?.acceptLabel ?? 'Yes'" severity="danger" (onClick)="answer(true)" />
      </ng-template>
    </p-dialog>
  `,
})
export class ConfirmComponent {
  protected readonly asked = signal<Confirmation | null>(null);

  constructor() {
    inject(ConfirmationService)
      .requireConfirmation$.pipe(takeUntilDestroyed())
      .subscribe((confirmation) => this.asked.set(confirmation));
  }

  protected answer(yes: boolean): void {
    const asked = this.asked();
    this.asked.set(null);
    if (yes) asked?.accept?.();
    else asked?.reject?.();
  }
}
