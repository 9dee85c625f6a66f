import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button } from 'primeng/button';
import { deskActions } from '../state/desk';
import { JobDesk } from '../state/job-desk';
import { faultText } from '../state/shelf.effects';

/** Says when the job on the desk is not safely kept, and what can be done about it. */
@Component({
  selector: 'esm-saving-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    @if (conflict(); as theirs) {
      <div class="note stop bar" role="alert" data-bar="conflict">
        <p>
          This job was changed in another tab at {{ time(theirs.changedAt) }}. Yours has not been saved over it. Which one
          is right?
        </p>
        <p-button label="Keep mine" size="small" (onClick)="keepMine()" />
        <p-button label="Take the other" size="small" severity="secondary" (onClick)="takeTheirs()" />
        <p-button label="Keep both" size="small" severity="secondary" (onClick)="keepBoth()" />
      </div>
    } @else if (fault(); as text) {
      <div class="note stop bar" role="alert" data-bar="fault">
        <p>{{ text }} The job is still here, in this tab.</p>
        <p-button label="Try again" size="small" (onClick)="retry()" />
      </div>
    }
  `,
  styles: `
    .bar {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem;
      padding: 0.4rem 1rem;
    }
    p {
      margin: 0;
      flex: 1 1 20rem;
    }
  `,
})
export class SavingBarComponent {
  private readonly desk = inject(JobDesk);
  private readonly state = inject(State);
  private readonly router = inject(Router);

  protected readonly conflict = computed(() => {
    const saving = this.desk.saving();
    return saving.kind === 'conflict' ? saving.theirs : null;
  });
  protected readonly fault = computed(() => {
    const saving = this.desk.saving();
    return saving.kind === 'full' || saving.kind === 'failed' ? faultText(saving) : null;
  });

  protected time(changedAt: number): string {
    return new Date(changedAt).toLocaleTimeString();
  }

  protected keepMine(): void {
    this.state.dispatch(deskActions.keepMine());
  }

  protected takeTheirs(): void {
    this.state.dispatch(deskActions.takeTheirs());
  }

  protected keepBoth(): void {
    const id = `job-${crypto.randomUUID()}`;
    this.state.dispatch(deskActions.keepBoth({ id }));
    void this.router.navigate(['/job', id, 'site']);
  }

  protected retry(): void {
    this.state.dispatch(deskActions.retrySave());
  }
}
