import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ConfirmationService, MessageService } from 'primeng/api';
import { Button } from 'primeng/button';
import { bytesText } from '@esmero/messages';
import { SpaceDesk } from '../../state/space';
import { TransferDesk } from '../../state/transfer-desk';

/** Room on this device: how much is used, whether the browser keeps it, what may go. */
@Component({
  selector: 'esm-space',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    <section aria-labelledby="kept-here">
      <h2 id="kept-here">Kept on this device</h2>
      @if (desk.space(); as space) {
        <p>{{ used() }} used. {{ lasting() }}</p>
      } @else {
        <p>This browser does not say how much room there is. Save a backup now and then.</p>
      }
      @if (desk.orphans().length > 0) {
        <p>
          {{ desk.orphans().length === 1 ? 'One picture is' : desk.orphans().length + ' pictures are' }} no longer on any job. They go by themselves after
          30 days.
        </p>
        <p-button label="Delete unused pictures" icon="pi pi-trash" size="small" severity="secondary" (onClick)="sweepNow()" />
      }
      <p>
        <p-button label="Save as plain JSON, without pictures" icon="pi pi-file-export" size="small" severity="secondary" (onClick)="json()" />
      </p>
    </section>
  `,
  styles: `
    section {
      border: 1px solid var(--line);
      border-radius: 10px;
      padding: 0.75rem 1rem;
    }
    p:last-child {
      margin: 0;
    }
  `,
})
export class SpaceComponent {
  protected readonly desk = inject(SpaceDesk);
  private readonly transfer = inject(TransferDesk);
  private readonly confirmation = inject(ConfirmationService);
  private readonly messages = inject(MessageService);

  protected readonly used = computed(() => {
    const space = this.desk.space();
    return space ? `${bytesText(space.usedBytes)} of ${bytesText(space.quotaBytes)}` : '';
  });
  protected readonly lasting = computed(() =>
    this.desk.space()?.lasting
      ? 'The browser has promised not to clear it by itself.'
      : 'The browser may clear it when the device runs short of room: save a backup now and then, or install Esmero.',
  );

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
      message: `${count === 1 ? 'One picture' : `${count} pictures`} that no job shows. There is no way back but a backup.`,
      acceptLabel: 'Delete',
      rejectLabel: 'Keep',
      accept: async () => {
        const gone = await this.desk.deleteOrphans();
        this.messages.add({ severity: 'success', summary: 'Deleted', detail: gone === 1 ? 'One picture.' : `${gone} pictures.`, life: 6000 });
      },
    });
  }
}
