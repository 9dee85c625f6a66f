import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ConfirmationService, MessageService } from 'primeng/api';
import { Button } from 'primeng/button';
import { bytesText, spaceText } from '@esmero/messages';
import { SpaceDesk } from '../../state/space';
import { TransferDesk } from '../../state/transfer-desk';

/** Room on this device: how much is used, whether the browser keeps it, what may go. */
@Component({
  selector: 'esm-space',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    <h2>Kept on this device</h2>
    @if (desk.space(); as space) {
      <p>{{ wording.used(used()) }} {{ lasting() }}</p>
    } @else {
      <p>{{ wording.unknown }}</p>
    }
    <ng-content />
    @if (desk.orphans().length > 0) {
      <p>{{ wording.orphans(desk.orphans().length) }}</p>
      <p-button
        label="Delete unused pictures"
        icon="pi pi-trash"
        severity="secondary"
        [outlined]="true"
        (onClick)="sweepNow()"
      />
    }
    <p-button
      [label]="wording.plainJson"
      icon="pi pi-file-export"
      severity="secondary"
      [text]="true"
      (onClick)="json()"
    />
  `,
  styles: `
    p {
      margin: 0;
    }
  `,
})
export class SpaceComponent {
  protected readonly wording = spaceText;
  protected readonly desk = inject(SpaceDesk);
  private readonly transfer = inject(TransferDesk);
  private readonly confirmation = inject(ConfirmationService);
  private readonly messages = inject(MessageService);

  protected readonly used = computed(() => {
    const space = this.desk.space();
    return space ? `${bytesText(space.usedBytes)} of ${bytesText(space.quotaBytes)}` : '';
  });
  protected readonly lasting = computed(() => (this.desk.space()?.lasting ? spaceText.lasting : spaceText.notLasting));

  constructor() {
    void this.desk.measure();
    void this.desk.sweep();
  }

  protected json(): void {
    void this.transfer.collection('esmero.json');
  }

  protected sweepNow(): void {
    const count = this.desk.orphans().length;
    this.confirmation.confirm({
      header: 'Delete unused pictures?',
      message: spaceText.sweep(count),
      acceptLabel: 'Delete',
      rejectLabel: 'Keep',
      accept: async () => {
        const gone = await this.desk.deleteOrphans();
        this.messages.add({
          severity: 'success',
          summary: 'Deleted',
          detail: gone === 1 ? 'One picture.' : `${gone} pictures.`,
          life: 6000,
        });
      },
    });
  }
}
