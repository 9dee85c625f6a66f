import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button } from 'primeng/button';
import { freshId } from '@esmero/records';
import { deskActions } from '../state/desk';
import type { Job } from '@esmero/model';
import { fieldsText, frameText, timeOfDay } from '@esmero/messages';
import { JobDesk } from '../state/job-desk';
import { faultText } from '../state/collection.effects';

/** Says when the job on the desk is not safely kept, and what can be done about it. */
@Component({
  selector: 'esm-saving-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    @if (conflict(); as theirs) {
      <div class="note stop bar" role="alert" data-bar="conflict">
        <p>
          {{ wording.changedTwice(theirs.what, time(theirs.changedAt)) }}
          @if (theirs.both; as both) {
            {{ wording.bothAre(both.mine, both.theirs) }}
          }
          {{ wording.whichIsRight }}
        </p>
        <p-button label="Keep mine" size="small" (onClick)="keepMine()" />
        <p-button label="Take the other" size="small" severity="secondary" (onClick)="takeTheirs()" />
        <p-button label="Keep both" size="small" severity="secondary" (onClick)="keepBoth()" />
      </div>
    } @else if (fault(); as text) {
      <div class="note stop bar" role="alert" data-bar="fault">
        <p>{{ text }} {{ wording.stillHere }}</p>
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
  protected readonly wording = frameText;
  private readonly desk = inject(JobDesk);
  private readonly state = inject(State);
  private readonly router = inject(Router);

  protected readonly conflict = computed(() => {
    const saving = this.desk.saving();
    if (saving.kind !== 'conflict') return null;
    const what = fieldsText(saving.fields);
    return {
      changedAt: saving.theirs.changedAt,
      what: `${what[0]!.toUpperCase()}${what.slice(1)} ${saving.fields.length === 1 ? 'was' : 'were'}`,
      both: this.bothOf(saving.fields, saving.theirs.job),
    };
  });
  protected readonly fault = computed(() => {
    const saving = this.desk.saving();
    return saving.kind === 'full' || saving.kind === 'failed' || saving.kind === 'newer' ? faultText(saving) : null;
  });

  /** What each has, where it is one thing that can be read in a line. */
  private bothOf(
    [field, ...others]: readonly string[],
    theirs: Job,
  ): { readonly mine: string; readonly theirs: string } | null {
    const value = (job: Job | null): unknown =>
      field?.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown> | null | undefined)?.[key], job);
    const [mine, other] = [value(this.desk.job()), value(theirs)];
    const isLine = (one: unknown): one is string | number => typeof one === 'string' || typeof one === 'number';
    return others.length === 0 && isLine(mine) && isLine(other)
      ? { mine: String(mine) || 'empty', theirs: String(other) || 'empty' }
      : null;
  }

  protected time(changedAt: number): string {
    return timeOfDay(changedAt);
  }

  protected keepMine(): void {
    this.state.dispatch(deskActions.keepMine());
  }

  protected takeTheirs(): void {
    this.state.dispatch(deskActions.takeTheirs());
  }

  protected keepBoth(): void {
    const instead = this.desk.job()?.id;
    if (!instead) return;
    const id = freshId('job');
    this.state.dispatch(deskActions.keepBoth({ id, instead }));
    void this.router.navigate(['/job', id, 'site']);
  }

  protected retry(): void {
    this.state.dispatch(deskActions.retrySave());
  }
}
