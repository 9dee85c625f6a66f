import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, type Type, computed, effect, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { ConfirmationService, type MenuItem } from 'primeng/api';
import { Button, ButtonDirective } from 'primeng/button';
import { IconField } from 'primeng/iconfield';
import { InputIcon } from 'primeng/inputicon';
import { InputText } from 'primeng/inputtext';
import { Menu } from 'primeng/menu';
import { TableModule } from 'primeng/table';
import { Tag } from 'primeng/tag';
import { type OwnCar, type StageName, copyJob, hasWords, newJob, ownCarJob, wordsOf } from '@esmero/core';
import type { Job, JobBrief } from '@esmero/model';
import { dayText, dueText, passphraseText, runoffName, jobsText, momentText } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { today } from '../../state/today';
import { JobReads } from '../../state/job-reads';
import { rescuedIds } from '../../state/rescue';
import { collectionActions, collectionFeature } from '../../state/collection';
import { CollectionDesk } from '../../state/collection-desk';
import { NOW } from '../../state/clock';
import { PassphraseComponent } from '../../ui/passphrase.component';
import { openedWith } from '../../state/opened-with';
import { TransferDesk } from '../../state/transfer-desk';
import { download } from '../../ui/download';
import { ChoiceComponent } from '../../ui/choice.component';
import { CarPictureComponent } from '../../ui/net/car-picture.component';
import { TransferBusyComponent } from '../../ui/transfer-busy.component';
import { FetchingComponent } from '../../ui/fetching.component';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { JobPlanComponent } from './job-plan.component';
import { OwnCarComponent } from './own-car.component';

/** What a column is sorted by: "vehicle.name" of a job. */
const textAt = (job: JobBrief, field: string): string =>
  String(field.split('.').reduce<unknown>((part, key) => (part as Record<string, unknown>)[key], job));

/** How ids of the demo begin. */
const DEMO = 'demo-';
/** More rows than this are drawn only where one looks. */
const MANY = 150;
/** From so many jobs of one’s own on, after so many days, somebody is told that there is no backup (judged). */
const OWN_JOBS = 3;
const REMIND_DAYS = 14;
const DAY_MS = 86_400_000;
const ROWS_AT_ONCE = 6;
/** Of a row, where they are drawn so, px. */
const ROW_PX = 70;

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
  imports: [
    FetchingComponent,
    Button,
    ButtonDirective,
    CarPictureComponent,
    ChoiceComponent,
    IconField,
    JobPlanComponent,
    InTurnDirective,
    InputIcon,
    InputText,
    Menu,
    NgComponentOutlet,
    OwnCarComponent,
    PassphraseComponent,
    TransferBusyComponent,
    RouterLink,
    TableModule,
    Tag,
  ],
  templateUrl: './jobs.page.html',
  styleUrl: './jobs.page.css',
})
export class JobsPage {
  protected readonly wording = jobsText;
  private readonly state = inject(State);
  private readonly reads = inject(JobReads);
  private readonly router = inject(Router);
  private readonly confirmation = inject(ConfirmationService);
  protected readonly transfer = inject(TransferDesk);
  private readonly now = inject(NOW);
  private readonly collection = inject(CollectionDesk);
  private readonly entries = this.state.selectSignal(collectionFeature.selectLibrary);

  protected readonly ready = this.state.selectSignal(collectionFeature.selectReady);
  protected readonly unreadable = this.state.selectSignal(collectionFeature.selectUnreadable);
  private readonly all = this.state.selectSignal(collectionFeature.selectJobs);
  protected readonly archived = signal(false);
  protected readonly busy = this.transfer.busy;

  protected readonly words = signal('');
  protected readonly states = [
    { value: 'all', label: 'All' },
    { value: 'to-do', label: 'To do' },
    { value: 'over', label: 'Over' },
  ] as const;
  protected readonly shownState = signal<'all' | 'to-do' | 'over'>('all');
  private readonly found = computed(() => {
    const words = wordsOf(this.words());
    return this.all()
      .filter(
        ({ job, archived }) =>
          archived === this.archived() &&
          hasWords(job, words) &&
          (this.shownState() === 'all' || (overAt(job) !== null) === (this.shownState() === 'over')),
      )
      .map(({ job }) => job)
      .sort(inOrder);
  });
  /** In their own order, or in that of the column that was pressed. */
  private readonly column = signal<{ readonly field: string; readonly order: number } | null>(null);
  protected readonly jobs = computed(() => {
    const column = this.column();
    return column
      ? [...this.found()].sort((p, q) => column.order * textAt(p, column.field).localeCompare(textAt(q, column.field)))
      : [...this.found()];
  });
  protected readonly many = computed(() => this.jobs().length > MANY);
  protected readonly rowHeight = ROW_PX;
  /** Rows come up a few a task: a row has a car, a plan and a menu, and forty at once hold the page up. */
  private readonly drawn = signal(ROWS_AT_ONCE);
  protected readonly rows = computed(() => (this.many() ? this.jobs() : this.jobs().slice(0, this.drawn())));
  protected picked: JobBrief[] = [];
  protected readonly lastArchived = signal<readonly string[]>([]);
  /** Vehicles by their id, to draw them; a job keeps only the name of its car in the list. */
  protected readonly cars = computed(
    () =>
      new Map(
        this.entries().flatMap((entry) => (entry.kind === 'vehicle' ? [[entry.item.id, entry.item] as const] : [])),
      ),
  );
  protected readonly revisions = computed(() => new Map(this.all().map(({ id, revision }) => [id, revision])));
  protected readonly items = signal<MenuItem[]>([]);
  protected readonly dayText = dayText;
  /** A row stays, with its menu and the focus in it, when all is fetched anew. */
  protected readonly byId = (_index: number, { id }: JobBrief): string => id;
  protected readonly archivedCount = computed(() => this.all().filter(({ archived }) => archived).length);
  /** Jobs with something that no page has saved yet. */
  protected readonly rescued = computed(() => {
    const ids = rescuedIds();
    return ids.map((id) => ({ id, name: this.all().find((one) => one.id === id)?.job.name ?? 'a new job' }));
  });
  /** Fetched when there is something to choose: few imports are made. */
  protected readonly dialog = signal<Type<unknown> | null>(null);
  protected readonly runoffOf = ({ site }: JobBrief): string => runoffName[site.runoff];

  constructor() {
    effect((onCleanup) => {
      if (this.drawn() >= this.jobs().length) return;
      const timer = setTimeout(() => this.drawn.update((count) => count + ROWS_AT_ONCE));
      onCleanup(() => clearTimeout(timer));
    });
    openedWith((file) => void this.transfer.open(file));
    effect(() => {
      if (this.transfer.review())
        void import('./import-review.component').then((m) => this.dialog.set(m.ImportReviewComponent));
    });
  }

  protected readonly wrong = signal(false);

  protected async unseal(passphrase: string): Promise<void> {
    this.wrong.set(false);
    this.wrong.set(!(await this.transfer.unseal(passphrase)));
  }

  /** All is in this browser only: after a while somebody has to be told. The demo alone is no loss. */
  protected readonly reminder = computed(() => {
    const at = this.transfer.backedUpAt();
    const own = this.all().filter(
      ({ job, changedAt }) => !job.id.startsWith(DEMO) && (at == null || changedAt > at),
    ).length;
    if (at === undefined || own < OWN_JOBS) return '';
    const days = at === null ? null : Math.floor((this.now() - at) / DAY_MS);
    return days === null ? passphraseText.never : days >= REMIND_DAYS ? passphraseText.old(days) : '';
  });

  protected sort({ field, order }: { readonly field: string; readonly order: number }): void {
    const now = this.column();
    if (now?.field !== field || now.order !== order) this.column.set({ field, order });
  }

  protected stateOf(job: JobBrief): {
    readonly text: string;
    readonly severity: 'success' | 'warn' | 'secondary' | 'danger';
  } {
    if (job.refused) return { text: 'Declined', severity: 'danger' };
    if (!job.run) return { text: 'Planned', severity: 'secondary' };
    return job.run.endedAt === null ? { text: 'In the run', severity: 'warn' } : { text: 'Done', severity: 'success' };
  }

  /** When it has to be done, as far as that is near. */
  protected due(job: JobBrief): string {
    return overAt(job) === null ? dueText(job.date, today()) : '';
  }

  protected ask(job: JobBrief, event: Event, menu: Menu): void {
    const archived = this.archived();
    this.items.set([
      { label: 'Copy', icon: 'pi pi-copy', command: () => void this.copy(job.id) },
      { label: 'Export', icon: 'pi pi-upload', command: () => void this.exportJob(job.id) },
      {
        label: archived ? 'Bring back' : 'Archive',
        icon: 'pi pi-box',
        command: () => this.archive([job.id], !archived),
      },
      ...(archived ? [{ label: 'Delete', icon: 'pi pi-trash', command: () => this.remove(job.id, job.name) }] : []),
    ]);
    menu.toggle(event);
  }

  protected retry(): void {
    this.state.dispatch(collectionActions.load());
  }

  /** Nothing but the demo is here, and nobody has said that they want to be left alone. */
  protected readonly closed = signal(false);
  protected readonly newHere = computed(
    () =>
      this.ready() &&
      !this.closed() &&
      !this.archived() &&
      this.all().length > 0 &&
      this.all().every(({ job }) => job.id.startsWith(DEMO)),
  );

  protected own(answers: OwnCar): void {
    this.add(ownCarJob(freshId('job'), today(), this.collection.library(), answers), 'method');
  }

  protected lookRound(): void {
    void this.router.navigate(['/job', this.all()[0]!.job.id, 'method']);
  }

  protected begin(): void {
    this.add(newJob(freshId('job'), today(), this.collection.library()));
  }

  protected async copy(id: string): Promise<void> {
    const job = (await this.reads.whole(id))?.job;
    if (job) this.add(copyJob(job, freshId('job'), today()));
  }

  private add(job: Job, stage: StageName = 'site'): void {
    this.state.dispatch(collectionActions.addJob({ job }));
    void this.router.navigate(['/job', job.id, stage]);
  }

  protected archivePicked(): void {
    this.archive(
      this.picked.map(({ id }) => id),
      !this.archived(),
    );
    this.picked = [];
  }

  protected archive(ids: readonly string[], archived: boolean): void {
    this.state.dispatch(collectionActions.archiveJobs({ ids, archived }));
    this.lastArchived.set(archived ? ids : []);
  }

  protected unarchive(): void {
    this.archive(this.lastArchived(), false);
  }

  protected remove(id: string, name: string): void {
    this.confirmation.confirm({
      header: 'Delete this job?',
      message: jobsText.forGood(name),
      acceptLabel: 'Delete',
      rejectLabel: 'Keep',
      accept: () => this.state.dispatch(collectionActions.deleteJobs({ ids: [id] })),
    });
  }

  protected async exportJob(id: string): Promise<void> {
    const [stored, { writeJob }] = await Promise.all([this.reads.whole(id), import('@esmero/exchange')]);
    if (stored) download(`${id}.esmero-job.json`, writeJob(stored.job, stored));
  }

  protected bringIn(input: HTMLInputElement): void {
    const file = input.files?.[0];
    if (file) void this.transfer.open(file);
    input.value = '';
  }

  protected when(at: number): string {
    return momentText(at);
  }
}
