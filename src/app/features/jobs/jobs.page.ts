import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { Button } from 'primeng/button';
import { type Collection, type Job, newJob } from '@esmero/core';
import type { Read } from '@esmero/exchange';
import type { StoredJob } from '@esmero/store';
import { bodyName, runoffName, unreadableText } from '@esmero/messages';
import { shelfActions, shelfFeature } from '../../state/shelf';
import { download } from '../../ui/download';

const today = (): string => {
  const now = new Date();
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
};

const newId = (): string => `job-${crypto.randomUUID()}`;

/** All jobs: open, begin, copy, put away, bring in and take out. */
@Component({
  selector: 'esm-jobs-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, RouterLink],
  templateUrl: './jobs.page.html',
  styleUrl: './jobs.page.css',
})
export class JobsPage {
  private readonly state = inject(State);
  private readonly router = inject(Router);
  private readonly messages = inject(MessageService);

  protected readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  private readonly all = this.state.selectSignal(shelfFeature.selectJobs);
  private readonly library = this.state.selectSignal(shelfFeature.selectLibrary);
  private readonly movements = this.state.selectSignal(shelfFeature.selectMovements);
  protected readonly archived = signal(false);
  protected readonly refusal = signal<{ readonly file: string; readonly headline: string; readonly details: readonly string[] } | null>(null);

  protected readonly jobs = computed(() =>
    this.all()
      .filter((stored) => stored.archived === this.archived())
      .map(({ job }) => job)
      .sort((p, q) => p.date.localeCompare(q.date)),
  );
  protected readonly putAway = computed(() => this.all().filter(({ archived }) => archived).length);
  protected readonly bodyName = bodyName;
  protected readonly runoffName = runoffName;

  protected begin(): void {
    this.add(newJob(newId(), today(), this.library()));
  }

  protected copy(job: Job): void {
    this.add({ ...job, id: newId(), name: `${job.name} (copy)`.slice(0, 160), date: today(), run: null, signed: null, pictures: [] });
  }

  private add(job: Job): void {
    this.state.dispatch(shelfActions.addJob({ job }));
    void this.router.navigate(['/job', job.id, 'site']);
  }

  protected archive(id: string, archived: boolean): void {
    this.state.dispatch(shelfActions.archiveJob({ id, archived }));
  }

  protected async exportJob(job: Job): Promise<void> {
    const { writeJob } = await import('@esmero/exchange');
    download(`${job.id}.esmero-job.json`, writeJob(job));
  }

  protected async exportAll(): Promise<void> {
    const { writeCollection } = await import('@esmero/exchange');
    const jobs = this.all().map(({ job }: StoredJob) => job);
    download(`esmero-${today()}.json`, writeCollection({ library: this.library(), jobs, movements: this.movements() }));
  }

  protected dismiss(): void {
    this.refusal.set(null);
  }

  /** Brings a file in whole, or says why not and changes nothing. */
  protected async bringIn(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    if (!file) return;
    const text = await file.text();
    input.value = '';
    const read = await readFile(text);
    if (!read.ok) {
      this.refusal.set({ file: file.name, ...unreadableText(read.why) });
      return;
    }
    this.refusal.set(null);
    this.state.dispatch(shelfActions.merge({ collection: read.value, what: file.name }));
    this.messages.add({
      severity: 'success',
      summary: 'Imported',
      detail: `${file.name}: ${counted(read.value)}.`,
      life: 6000,
    });
  }
}

const counted = ({ jobs, library }: Collection): string =>
  [
    ...(jobs.length ? [jobs.length === 1 ? 'one job' : `${jobs.length} jobs`] : []),
    ...(library.length ? [`${library.length} library items`] : []),
  ].join(' and ') || 'nothing in it';

/** A job or a whole collection: the file says which. */
async function readFile(text: string): Promise<Read<Collection>> {
  const { readCollection, readJob } = await import('@esmero/exchange');
  const collection = readCollection(text);
  if (collection.ok || collection.why.code !== 'other-format') return collection;
  const job = readJob(text);
  return job.ok ? { ok: true, value: { library: [], jobs: [job.value], movements: [] } } : job;
}
