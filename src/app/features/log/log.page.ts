import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, resource, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { IconField } from 'primeng/iconfield';
import { InputIcon } from 'primeng/inputicon';
import { InputText } from 'primeng/inputtext';
import { TableModule } from 'primeng/table';
import {
  type Learned,
  type LogEntry,
  type LogQuery,
  type RunState,
  everything,
  historyOf,
  learn,
  logOf,
  ratiosOf,
  runStates,
  searchLog,
  waterOfYear,
} from '@esmero/core';
import { type Job, type VehicleMethod, isTick } from '@esmero/model';
import { monthName } from '@esmero/units';
import {
  againstText,
  clock,
  dayText,
  learnedSentence,
  lessonName,
  methodName,
  percent,
  runStateName,
  soilName,
  turnText,
  statementText,
  unitsOf,
  waterText,
  logText,
  yearNotes,
  yearRows,
} from '@esmero/messages';
import type { StatementPaper } from '@esmero/papers';
import { BusinessDesk } from '../../state/business-desk';
import { NOW } from '../../state/clock';
import { JobReads } from '../../state/job-reads';
import { dayHere } from '../../state/today';
import { settingsFeature } from '../../state/settings';
import { collectionActions, collectionFeature } from '../../state/collection';
import { PdfComponent } from '../../ui/pdf.component';
import { download } from '../../ui/download';
import { FetchingComponent } from '../../ui/fetching.component';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { AccountComponent } from './account.component';
import { type Dot, DotsChartComponent } from './dots-chart.component';
import { MonthComponent } from './month.component';

/** From so many on only the rows in sight are drawn. */
const MANY = 150;
const ROW_PX = 72;
/** So many runs are still told apart in a chart. */
const DOTS = 200;

/** A run in the table, with what it is sorted by. */
interface LogRow {
  readonly entry: LogEntry;
  readonly id: string;
  readonly at: number;
  readonly day: string;
  readonly name: string;
  readonly car: string;
  readonly client: string;
  readonly method: string;
  readonly tookMin: number | null;
  readonly plannedMin: number | null;
}

const methods: readonly VehicleMethod[] = ['waterless', 'rinseless', 'shampoo', 'hybrid'];

/** All runs that are over: found, laid beside their plans, and what they teach together. */
@Component({
  selector: 'esm-log-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AccountComponent,
    FetchingComponent,
    Button,
    ButtonDirective,
    Dialog,
    DotsChartComponent,
    IconField,
    InTurnDirective,
    InputIcon,
    InputText,
    MonthComponent,
    RouterLink,
    TableModule,
    PdfComponent,
  ],
  templateUrl: './log.page.html',
  styleUrls: ['../../ui/table-page.css', './log.page.css'],
})
export class LogPage {
  protected readonly wording = logText;
  private readonly state = inject(State);
  private readonly reads = inject(JobReads);

  protected readonly monthOpen = signal(false);
  protected readonly dayText = dayText;
  protected readonly ready = this.state.selectSignal(collectionFeature.selectReady);
  protected readonly unreadable = this.state.selectSignal(collectionFeature.selectUnreadable);
  private readonly stored = this.state.selectSignal(collectionFeature.selectJobs);
  private readonly now = inject(NOW);
  private readonly business = inject(BusinessDesk).business;
  private readonly system = this.state.selectSignal(settingsFeature.selectUnits);
  private readonly u = computed(() => unitsOf(this.system()));
  private readonly log = computed(() => logOf(this.stored().map(({ job }) => job)));

  protected readonly states = runStates;
  protected readonly stateName = runStateName;
  protected readonly methods = methods;
  protected readonly methodName = methodName;
  protected readonly query = signal<LogQuery>(everything);
  protected readonly count = computed(() => this.log().length);
  private readonly found = computed(() => searchLog(this.log(), this.query()));
  protected readonly foundCount = computed(() => this.found().length);
  protected readonly many = computed(() => this.foundCount() > MANY);
  protected readonly rowHeight = ROW_PX;
  /** What is sorted by; the words of a row are made when it is in sight. */
  protected readonly rows = computed((): LogRow[] =>
    this.found().map((entry) => ({
      entry,
      id: entry.job.id,
      at: entry.at,
      day: entry.day,
      name: entry.job.name,
      car: entry.job.vehicle.name,
      client: entry.job.client,
      method: entry.used?.method ? methodName[entry.used.method] : '',
      tookMin: entry.minutes,
      plannedMin: entry.used?.plannedMin ?? null,
    })),
  );
  /** The run of which all is shown. */
  protected readonly opened = signal<LogEntry | null>(null);
  /** Days with runs, whatever day is asked for. */
  protected readonly days = computed(() => {
    const days = new Map<string, number>();
    for (const { day } of searchLog(this.log(), { ...this.query(), day: null }))
      days.set(day, (days.get(day) ?? 0) + 1);
    return days;
  });

  private readonly vehicle = computed(() => this.query().vehicle);
  /** Jobs of the car that is asked for, whole; fetched when it is. */
  private readonly ofCar = resource({
    params: () => ({
      ids: searchLog(this.log(), { ...everything, vehicle: this.vehicle() }).map(({ job }) => job.id),
      vehicle: this.vehicle(),
    }),
    loader: async ({ params: { ids, vehicle } }): Promise<readonly Job[]> => {
      return vehicle === null ? [] : this.reads.all(ids);
    },
    defaultValue: [],
  });
  protected readonly visits = computed(() => (this.vehicle() === null ? [] : historyOf(this.ofCar.value())));
  protected readonly car = computed(() => this.visits().at(-1)?.entry.job.vehicle.name ?? '');
  protected readonly visitRows = computed(() =>
    [...this.visits()].reverse().map(({ entry, loadGm2, kinds, method, marks, newMarks }) => ({
      id: entry.job.id,
      day: entry.day,
      soil:
        loadGm2 === null
          ? 'not looked at'
          : `${this.u().load(loadGm2)}: ${kinds.map((kind) => soilName[kind].toLowerCase()).join(', ')}`,
      method: method ? methodName[method] : entry.state === 'refused' ? runStateName.refused : '',
      took: entry.minutes === null ? '' : clock(entry.minutes * 60),
      marks: `${marks}${newMarks > 0 ? `, ${newMarks} new` : ''}`,
    })),
  );
  protected readonly soilDots = computed((): readonly Dot[] =>
    this.visits().flatMap(({ entry, loadGm2 }) =>
      loadGm2 === null ? [] : [{ at: entry.at, value: loadGm2, says: `${entry.day}: ${this.u().load(loadGm2)}` }],
    ),
  );
  protected readonly loadText = (value: number): string => this.u().load(value);

  private readonly learned = computed(() => learn(this.log().map(({ job }) => job)));
  protected readonly lessons = computed(() =>
    this.learned().map(({ lesson }) => ({ lesson, name: lessonName(lesson) })),
  );
  protected readonly lines = computed(() => this.learned().map(learnedSentence));
  protected readonly lesson = linkedSignal<readonly Learned[], Learned['lesson'] | null>({
    source: this.learned,
    computation: (learned, before) =>
      before?.value ?? learned.find(({ lesson }) => lesson === 'minutes')?.lesson ?? learned[0]?.lesson ?? null,
  });
  /** Of the last runs that tell of it. */
  protected readonly ratios = computed((): readonly Dot[] => {
    const dots: Dot[] = [];
    for (const { job, run, day, at } of this.log()) {
      const ratio = run && ratiosOf(run).find(([lesson]) => lesson === this.lesson());
      if (ratio) dots.unshift({ at, value: ratio[1], says: `${day}, ${job.name}: ${percent(ratio[1])} of planned` });
      if (dots.length === DOTS) break;
    }
    return dots;
  });
  protected readonly expected = computed(() => {
    const one = this.learned().find(({ lesson }) => lesson === this.lesson());
    return one ? { low: one.low, middle: one.factor, high: one.high } : null;
  });
  protected readonly ratioText = (value: number): string => percent(value);

  /** The year of the last run: what was used and what ran off in it. */
  protected readonly year = computed(() => Number((this.log()[0]?.day ?? dayHere(this.now())).slice(0, 4)));
  protected readonly yearPaper = (): StatementPaper => {
    const months = waterOfYear(
      this.stored().map(({ job }) => job),
      this.year(),
    );
    return {
      kind: 'statement',
      title: statementText.yearTitle(this.year()),
      about: [this.business().name, ...this.business().address.split('\n')].join(' · '),
      sections: [{ title: statementText.yearHow, lines: yearNotes(months) }],
      table: { head: statementText.yearHead, ...yearRows(months, monthName, this.u()) },
      foot: this.business().name,
    };
  };

  /** All of it, whatever is searched for. */
  protected async save(): Promise<void> {
    const { logCsv } = await import('@esmero/exchange');
    download('esmero-log.csv', logCsv(this.stored().map(({ job }) => job)), 'text/csv');
  }

  protected retry(): void {
    this.state.dispatch(collectionActions.load());
  }

  protected ask(part: Partial<LogQuery>): void {
    this.query.update((query) => ({ ...query, ...part }));
  }

  /** Asked for again, it is let go. */
  protected toggleState(state: RunState): void {
    this.ask({ state: this.query().state === state ? null : state });
  }

  protected toggleMethod(method: VehicleMethod): void {
    this.ask({ method: this.query().method === method ? null : method });
  }

  protected readonly timeText = (min: number | null): string => (min === null ? '' : clock(min * 60));

  protected against({ run, job }: LogEntry): string {
    return run ? againstText(run) : `${runStateName.refused}: ${job.refused?.why ?? ''}`;
  }

  /** A day or a month as people write it. */
  protected spanText(span: string): string {
    return span.length > 7 ? dayText(span) : monthName(span);
  }

  /** All that is known of a run. */
  protected linesOf(entry: LogEntry): readonly string[] {
    const { job, run, used, minutes } = entry;
    const later = (run?.punch ?? []).filter(({ done }) => !done);
    return [
      `${dayText(entry.day)}, ${job.vehicle.name}`,
      minutes === null
        ? ''
        : `Took ${this.timeText(minutes)}${used ? `, planned ${this.timeText(used.plannedMin)}` : ''}`,
      this.against(entry),
      waterText(used, this.u()),
      job.consent ? logText.againstAdvice(job.consent.by) : '',
      ...(run?.events ?? []).flatMap((event) => (isTick(event) ? [] : [turnText(event, this.u())])),
      ...(run?.counts ?? []).slice(1).map(({ because }) => `Counted again: ${because}`),
      ...later.map(({ text }) => `For later: ${text}`),
    ].filter(Boolean);
  }
}
