import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { Actions, ofType } from '@ngrx/effects';
import { Store as State } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { type Collection, type Job, type JobBrief, hasWords, newJob, wordsOf } from '@esmero/core';
import type { Read } from '@esmero/exchange';
import { bodyName, runoffName, unreadableText } from '@esmero/messages';
import { photosOf } from '../../state/pictures';
import { STORE } from '../../state/ports';
import { shelfActions, shelfFeature } from '../../state/shelf';
import { download } from '../../ui/download';

const today = (): string => {
  const now = new Date();
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
};

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

const newId = (): string => `job-${crypto.randomUUID()}`;

/** All jobs: open, begin, copy, put away, bring in and take out. */
@Component({
  selector: 'esm-jobs-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, InputText, RouterLink],
  templateUrl: './jobs.page.html',
  styleUrl: './jobs.page.css',
})
export class JobsPage {
  private readonly state = inject(State);
  private readonly store = inject(STORE);
  private readonly router = inject(Router);
  private readonly messages = inject(MessageService);

  protected readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  private readonly all = this.state.selectSignal(shelfFeature.selectJobs);
  private readonly library = this.state.selectSignal(shelfFeature.selectLibrary);
  private readonly movements = this.state.selectSignal(shelfFeature.selectMovements);
  protected readonly archived = signal(false);
  protected readonly refusal = signal<{ readonly file: string; readonly headline: string; readonly details: readonly string[] } | null>(null);

  protected readonly exporting = signal(false);
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
  protected readonly putAway = computed(() => this.all().filter(({ archived }) => archived).length);
  protected readonly bodyName = bodyName;
  protected readonly runoffName = runoffName;

  constructor() {
    // Only once it is kept.
    inject(Actions)
      .pipe(ofType(shelfActions.merged), takeUntilDestroyed())
      .subscribe(({ what }) => {
        if (what) this.messages.add({ severity: 'success', summary: 'Imported', detail: what, life: 6000 });
      });
  }

  protected more(): void {
    this.shown.update((shown) => shown + PAGE);
  }

  protected begin(): void {
    this.add(newJob(newId(), today(), this.library()));
  }

  protected async copy(id: string): Promise<void> {
    const job = await this.whole(id);
    if (job) this.add({ ...job, id: newId(), name: `${job.name} (copy)`.slice(0, 160), date: today(), run: null, refused: null, signed: null, pictures: [] });
  }

  private add(job: Job): void {
    this.state.dispatch(shelfActions.addJob({ job }));
    void this.router.navigate(['/job', job.id, 'site']);
  }

  protected archive(id: string, archived: boolean): void {
    this.state.dispatch(shelfActions.archiveJob({ id, archived }));
  }

  protected async exportJob(id: string): Promise<void> {
    const [job, { writeJob }] = await Promise.all([this.whole(id), import('@esmero/exchange')]);
    if (job) download(`${id}.esmero-job.json`, writeJob(job));
  }

  private async whole(id: string): Promise<Job | undefined> {
    return (await (await this.store).job(id))?.job;
  }

  protected async exportAll(): Promise<void> {
    this.exporting.set(true);
    await this.takeOut().finally(() => this.exporting.set(false));
  }

  private async takeOut(): Promise<void> {
    const [store, { writeCollection }] = await Promise.all([this.store, import('@esmero/exchange')]);
    const jobs = (await store.jobs()).map(({ job }) => job);
    const { photos, left } = await photosOf(jobs, store);
    download(`esmero-${today()}.json`, writeCollection({ library: this.library(), jobs, movements: this.movements(), photos }));
    if (left > 0)
      this.messages.add({
        severity: 'warn',
        summary: 'Without the oldest pictures',
        detail: `${left} pictures of older jobs did not fit into the file. They are still here.`,
        sticky: true,
      });
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
    this.state.dispatch(shelfActions.merge({ collection: read.value, what: `${file.name}: ${counted(read.value)}.` }));
  }
}

const counted = ({ jobs, library, photos }: Collection): string =>
  [
    ...(jobs.length ? [jobs.length === 1 ? 'one job' : `${jobs.length} jobs`] : []),
    ...(library.length ? [`${library.length} library items`] : []),
    ...(photos.length ? [photos.length === 1 ? 'one picture' : `${photos.length} pictures`] : []),
  ].join(' and ') || 'nothing in it';

/** A job or a whole collection: the file says which. */
async function readFile(text: string): Promise<Read<Collection>> {
  const { readCollection, readJob } = await import('@esmero/exchange');
  const collection = readCollection(text);
  if (collection.ok || collection.why.code !== 'other-format') return collection;
  const job = readJob(text);
  return job.ok ? { ok: true, value: { library: [], jobs: [job.value], movements: [], photos: [] } } : job;
}
