import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, resource, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import { IconField } from 'primeng/iconfield';
import { InputIcon } from 'primeng/inputicon';
import { InputText } from 'primeng/inputtext';
import { type Learned, type LogEntry, type LogQuery, type RunState, everything, historyOf, learn, logOf, ratiosOf, runStates, searchLog } from '@esmero/core';
import { type Job, type VehicleMethod, isTick } from '@esmero/model';
import { againstText, clock, dayText, learnedSentence, lessonName, methodName, percent, runStateName, soilName, turnText, unitsOf, waterText, logText } from '@esmero/messages';
import { STORE } from '../../state/ports';
import { settingsFeature } from '../../state/settings';
import { shelfFeature } from '../../state/shelf';
import { mediaSignal } from '../../ui/media';
import { type Dot, DotsChartComponent } from './dots-chart.component';
import { MonthComponent } from './month.component';

/** More than this is shown when it is asked for. */
const PAGE = 100;
/** So many runs are still told apart in a chart. */
const DOTS = 200;

const methods: readonly VehicleMethod[] = ['waterless', 'rinseless', 'hybrid'];

/** All runs that are over: found, laid beside their plans, and what they teach together. */
@Component({
  selector: 'esm-log-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective, DotsChartComponent, IconField, InputIcon, InputText, MonthComponent, RouterLink],
  templateUrl: './log.page.html',
  styleUrls: ['../../ui/table-page.css', './log.page.css'],
})
export class LogPage {
  protected readonly wording = logText;
  private readonly state = inject(State);
  private readonly store = inject(STORE);

  /** On a narrow screen the month is asked for. */
  protected readonly monthOpen = signal(false);
  protected readonly narrow = mediaSignal('(max-width: 47.99rem)');
  protected readonly dayText = dayText;
  protected readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  private readonly stored = this.state.selectSignal(shelfFeature.selectJobs);
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
  protected readonly shown = linkedSignal({ source: this.query, computation: () => PAGE });
  protected readonly rows = computed(() => this.found().slice(0, this.shown()).map((entry) => this.rowOf(entry)));
  /** Days with runs, whatever day is asked for. */
  protected readonly days = computed(() => {
    const days = new Map<string, number>();
    for (const { day } of searchLog(this.log(), { ...this.query(), day: null })) days.set(day, (days.get(day) ?? 0) + 1);
    return days;
  });

  private readonly vehicle = computed(() => this.query().vehicle);
  /** Jobs of the car that is asked for, whole; fetched when it is. */
  private readonly ofCar = resource({
    params: () => ({ ids: searchLog(this.log(), { ...everything, vehicle: this.vehicle() }).map(({ job }) => job.id), vehicle: this.vehicle() }),
    loader: async ({ params: { ids, vehicle } }): Promise<readonly Job[]> => {
      if (vehicle === null) return [];
      const store = await this.store;
      const found = await Promise.all(ids.map((id) => store.job(id)));
      return found.flatMap((stored) => (stored ? [stored.job] : []));
    },
    defaultValue: [],
  });
  protected readonly visits = computed(() => (this.vehicle() === null ? [] : historyOf(this.ofCar.value())));
  protected readonly car = computed(() => this.visits().at(-1)?.entry.job.vehicle.name ?? '');
  protected readonly visitRows = computed(() =>
    [...this.visits()].reverse().map(({ entry, loadGm2, kinds, method, marks, newMarks }) => ({
      id: entry.job.id,
      day: entry.day,
      soil: loadGm2 === null ? 'not looked at' : `${this.u().load(loadGm2)}: ${kinds.map((kind) => soilName[kind].toLowerCase()).join(', ')}`,
      method: method ? methodName[method] : entry.state === 'refused' ? runStateName.refused : '',
      took: entry.minutes === null ? '' : clock(entry.minutes * 60),
      marks: `${marks}${newMarks > 0 ? `, ${newMarks} new` : ''}`,
    })),
  );
  protected readonly soilDots = computed((): readonly Dot[] =>
    this.visits().flatMap(({ entry, loadGm2 }) => (loadGm2 === null ? [] : [{ at: entry.at, value: loadGm2, says: `${entry.day}: ${this.u().load(loadGm2)}` }])),
  );
  protected readonly loadText = (value: number): string => this.u().load(value);

  private readonly learned = computed(() => learn(this.log().map(({ job }) => job)));
  protected readonly lessons = computed(() => this.learned().map(({ lesson }) => ({ lesson, name: lessonName(lesson) })));
  protected readonly lines = computed(() => this.learned().map(learnedSentence));
  protected readonly lesson = linkedSignal<readonly Learned[], Learned['lesson'] | null>({
    source: this.learned,
    computation: (learned, before) => before?.value ?? learned.find(({ lesson }) => lesson === 'minutes')?.lesson ?? learned[0]?.lesson ?? null,
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

  protected more(): void {
    this.shown.update((shown) => shown + PAGE);
  }

  private rowOf({ job, run, used, day, minutes }: LogEntry) {
    return {
      job,
      day,
      took: minutes === null ? '' : clock(minutes * 60),
      planned: used ? clock(used.plannedMin * 60) : '',
      against: run ? againstText(run) : `${runStateName.refused}: ${job.refused?.why ?? ''}`,
      water: waterText(used, this.u()),
      consent: job.consent ? `Against advice, on the word of ${job.consent.by}` : '',
      method: used?.method ? methodName[used.method] : '',
      events: (run?.events ?? []).flatMap((event) => (isTick(event) ? [] : [turnText(event, this.u())])),
      corrections: (run?.counts ?? []).slice(1).map(({ because }) => because),
      later: (run?.punch ?? []).filter(({ done }) => !done).length,
    };
  }
}
