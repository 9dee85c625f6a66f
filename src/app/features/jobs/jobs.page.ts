import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, type Type, computed, effect, inject, linkedSignal, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { ConfirmationService } from 'primeng/api';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { ProgressBar } from 'primeng/progressbar';
import { hasWords, newJob, wordsOf } from '@esmero/core';
import type { Job, JobBrief } from '@esmero/model';
import { bodyName, runoffName } from '@esmero/messages';
import { freshId } from '@esmero/records';
import type { StoredJob } from '@esmero/store';
import { today } from '../../state/today';
import { STORE } from '../../state/ports';
import { rescuedIds } from '../../state/rescue';
import { shelfActions, shelfFeature } from '../../state/shelf';
import { ShelfDesk } from '../../state/shelf-desk';
import { TransferDesk } from '../../state/transfer-desk';
import { download } from '../../ui/download';
import { SpaceComponent } from './space.component';

/** More than this is shown when it is asked for. */
const PAGE = 100;

/** null while it is still to be done. */
const overAt = ({ run, refused }: JobBrief): number | null => (run ? run.endedAt : (refused?.at ?? null));

/** What is still to be done comes first, what is over after it, the last one first. */
function inOrder(p: JobBrief, q: JobBrief): number {
  const [a, b] = [overAt(p), overAt(q)];
  if (a !== null && b !== null) return b - a;
  return Number(a !== null) - Number(b !== null) || p.date.localeCompare(q.date);
}

/** All jobs: open, begin, copy, archive, bring in and take out. */
@Component({
  selector: 'esm-jobs-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, InputText, NgComponentOutlet, ProgressBar, RouterLink, SpaceComponent],
  templateUrl: './jobs.page.html',
  styleUrl: './jobs.page.css',
})
export class JobsPage {
  private readonly state = inject(State);
  private readonly store = inject(STORE);
  private readonly router = inject(Router);
  private readonly confirmation = inject(ConfirmationService);
  protected readonly transfer = inject(TransferDesk);
  private readonly library = inject(ShelfDesk).library;

  protected readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  protected readonly unreadable = this.state.selectSignal(shelfFeature.selectUnreadable);
  private readonly all = this.state.selectSignal(shelfFeature.selectJobs);
  protected readonly archived = signal(false);
  protected readonly busy = this.transfer.busy;
  protected readonly percent = computed(() => Math.round((this.busy()?.share ?? 0) * 100));

  protected readonly words = signal('');
  private readonly found = computed(() => {
    const words = wordsOf(this.words());
    return this.all()
      .filter(({ job, archived }) => archived === this.archived() && hasWords(job, words))
      .map(({ job }) => job)
      .sort(inOrder);
  });
  protected readonly foundCount = computed(() => this.found().length);
  protected readonly shown = linkedSignal({ source: computed(() => [this.words(), this.archived()]), computation: () => PAGE });
  protected readonly jobs = computed(() => this.found().slice(0, this.shown()));
  protected readonly archivedCount = computed(() => this.all().filter(({ archived }) => archived).length);
  /** Jobs with something that no page has saved yet. */
  protected readonly rescued = computed(() => {
    const ids = rescuedIds();
    return ids.map((id) => ({ id, name: this.all().find((one) => one.id === id)?.job.name ?? 'a new job' }));
  });
  /** Fetched when there is something to choose: few imports are made. */
  protected readonly dialog = signal<Type<unknown> | null>(null);
  protected readonly bodyName = bodyName;
  protected readonly runoffName = runoffName;

  constructor() {
    effect(() => {
      if (this.transfer.review()) void import('./import-review.component').then((m) => this.dialog.set(m.ImportReviewComponent));
    });
  }

  protected more(): void {
    this.shown.update((shown) => shown + PAGE);
  }

  protected retry(): void {
    this.state.dispatch(shelfActions.load());
  }

  protected begin(): void {
    this.add(newJob(freshId('job'), today(), this.library()));
  }

  protected async copy(id: string): Promise<void> {
    const job = (await this.whole(id))?.job;
    if (job) this.add({ ...job, id: freshId('job'), name: `${job.name} (copy)`.slice(0, 160), date: today(), run: null, refused: null, signed: null, pictures: [] });
  }

  private add(job: Job): void {
    this.state.dispatch(shelfActions.addJob({ job }));
    void this.router.navigate(['/job', job.id, 'site']);
  }

  protected archive(id: string, archived: boolean): void {
    this.state.dispatch(shelfActions.archiveJobs({ ids: [id], archived }));
  }

  protected remove(id: string, name: string): void {
    this.confirmation.confirm({
      header: 'Delete this job?',
      message: `“${name}” goes for good, with its run and its pictures. There is no way back but a backup.`,
      acceptLabel: 'Delete',
      rejectLabel: 'Keep',
      accept: () => this.state.dispatch(shelfActions.deleteJobs({ ids: [id] })),
    });
  }

  protected async exportJob(id: string): Promise<void> {
    const [stored, { writeJob }] = await Promise.all([this.whole(id), import('@esmero/exchange')]);
    if (stored) download(`${id}.esmero-job.json`, writeJob(stored.job, stored));
  }

  private async whole(id: string): Promise<StoredJob | undefined> {
    return (await this.store).job(id);
  }

  protected backUp(): void {
    void this.transfer.backup(`esmero-${today()}.zip`);
  }

  protected bringIn(input: HTMLInputElement): void {
    const file = input.files?.[0];
    if (file) void this.transfer.open(file);
    input.value = '';
  }

  protected when(at: number): string {
    return new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
  }
}
