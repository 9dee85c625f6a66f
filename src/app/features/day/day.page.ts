import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { type CdkDragDrop, CdkDrag, CdkDragHandle, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { DomSanitizer } from '@angular/platform-browser';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import type { MenuItem } from 'primeng/api';
import { Button, ButtonDirective } from 'primeng/button';
import { Menu } from 'primeng/menu';
import {
  type DayAnswer,
  type DayAsked,
  type DayChange,
  type LegBrief,
  START,
  rowOfRestock,
  rowOfStop,
  stockKinds,
  travelTable,
} from '@esmero/core';
import type { Day, Job, KnownWay } from '@esmero/model';
import {
  capital,
  clockText,
  dayPlanText,
  dayText,
  dueText,
  faultSentence,
  fixed,
  hourText,
  mendText,
  methodName,
  restockName,
  roleName,
  shortageText,
  spanText,
  unitsOf,
  vanStockText,
} from '@esmero/messages';
import type { NamedPlace } from '@esmero/exchange';
import { dayAfter, instantAt } from '@esmero/units';
import { NOW } from '../../state/clock';
import { CollectionDesk } from '../../state/collection-desk';
import { DayDesk, type Rain } from '../../state/day-desk';
import { today } from '../../state/today';
import { VanStock } from '../../state/van-stock';
import { DayFieldComponent } from '../../ui/day-field.component';
import { download } from '../../ui/download';
import { FetchingComponent } from '../../ui/fetching.component';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { MethodMarkComponent } from '../../ui/method-mark.component';
import { ProgressComponent } from '../../ui/progress.component';
import { StudyBarComponent } from '../../ui/study-bar.component';
import { DayHoursComponent } from './day-hours.component';
import { DayMapComponent } from './day-map.component';
import { DayPictureComponent } from './day-picture.component';
import { type DayWayRow, DayWaysComponent } from './day-ways.component';
import { type PackingGroup, PackingComponent } from './packing.component';
import { StopWindowComponent } from './stop-window.component';

/** A stop or the break as a row. */
interface Row {
  readonly key: string;
  /** null is the break. */
  readonly id: string | null;
  readonly number: string;
  readonly begin: string;
  readonly end: string;
  readonly name: string;
  readonly place: string;
  readonly method: LegBrief['method'];
  readonly notes: readonly { readonly text: string; readonly bad: boolean }[];
}

/** What was asked, and the answer to it: numbers of stops are those of that day. */
interface Shown {
  readonly day: Day;
  readonly answer: DayAnswer;
}

const WATER = stockKinds.indexOf('water');
const DRAIN = stockKinds.indexOf('drain');
/** A client who is late is late by so much, h. */
const LATE_H = 0.5;
/** Waiting that is worth a word, min. */
const WORTH_MIN = 5;
/** A gap to the best order that is worth one. */
const WORTH_SHARE = 0.005;

/** Of files for other programs. */
const mediaTypes = { ics: 'text/calendar', gpx: 'application/gpx+xml', geojson: 'application/geo+json' } as const;

/** A day of stops: its picture, its order, what is short first, and what to pack. */
@Component({
  selector: 'esm-day-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ButtonDirective,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    DayFieldComponent,
    DayHoursComponent,
    DayMapComponent,
    DayPictureComponent,
    DayWaysComponent,
    FetchingComponent,
    InTurnDirective,
    Menu,
    MethodMarkComponent,
    PackingComponent,
    ProgressComponent,
    RouterLink,
    StopWindowComponent,
    StudyBarComponent,
  ],
  providers: [DayDesk],
  templateUrl: './day.page.html',
  styleUrls: ['../../ui/plan-page.css', './day.page.css'],
})
export class DayPage {
  protected readonly wording = dayPlanText;
  protected readonly desk = inject(DayDesk);
  private readonly vanStock = inject(VanStock);
  private readonly collection = inject(CollectionDesk);
  private readonly router = inject(Router);
  private readonly now = inject(NOW);
  private readonly sanitizer = inject(DomSanitizer);

  protected readonly today = today;
  protected readonly u = computed(() => unitsOf(this.vanStock.units()));
  protected readonly dialog = signal<'hours' | 'ways' | null>(null);
  protected readonly window = signal<{
    readonly id: string;
    readonly name: string;
    readonly fromHour: number;
    readonly untilHour: number;
  } | null>(null);
  protected readonly stopItems = signal<MenuItem[]>([]);

  protected readonly title = computed(() => {
    const due = dueText(this.desk.date(), today());
    return due === 'today' || due === 'tomorrow' ? capital(due) : dayText(this.desk.date());
  });

  /** The last answer stays in sight while the next is worked out. */
  protected readonly shown = linkedSignal<
    { readonly asked: DayAsked | null; readonly answer: DayAnswer | null },
    Shown | null
  >({
    source: () => ({ asked: this.desk.asked(), answer: this.desk.plan.answer() }),
    computation: ({ asked, answer }, before) => {
      if (asked && answer) return { day: asked.day, answer };
      const old = before?.value ?? null;
      return old && old.day.date === this.desk.date() ? old : null;
    },
  });

  protected readonly figures = computed(() => {
    const shown = this.shown();
    if (!shown) return [];
    const {
      day,
      answer: { plan },
    } = shown;
    const [u, endMin] = [this.u(), day.endHour * 60];
    const visits = plan.legs.filter(({ stop }) => stop !== null);
    const onSite = visits.reduce((sum, leg) => sum + leg.endMin - leg.beginMin, 0);
    const taken = (i: number): number => plan.legs.reduce((sum, { takes }) => sum + takes[i]!, 0);
    const towels = stockKinds.reduce((sum, kind, i) => (kind in roleName ? sum + taken(i) : sum), 0);
    const over = plan.endMin - endMin;
    return [
      {
        name: `Back at ${day.end.name}`,
        value: clockText(plan.endMin),
        note: over > 0.5 ? this.wording.past(over) : '',
        bad: over > 0.5,
      },
      { name: 'Stops', value: String(visits.length), note: '', bad: false },
      { name: 'At the cars', value: spanText(onSite), note: '', bad: false },
      ...(plan.lateMin >= 1 ? [{ name: 'Late in all', value: spanText(plan.lateMin), note: '', bad: true }] : []),
      { name: 'Water', value: u.water(taken(WATER)), note: '', bad: false },
      { name: 'Towels', value: fixed(towels), note: '', bad: false },
    ];
  });

  protected readonly over = computed(() =>
    [...this.desk.done()].map(([id, atMin]) => ({
      id,
      name: this.desk.brief(id)?.name ?? id,
      at: this.wording.doneAt(atMin),
    })),
  );

  protected readonly rows = computed((): readonly Row[] => {
    const shown = this.shown();
    if (!shown) return [];
    let number = 0;
    const sure = this.desk.chances.answer();
    return shown.answer.plan.legs.map((leg, i) =>
      this.row(leg, shown.day, leg.stop === null ? '' : String(++number), sure?.legs[i]?.slackMin ?? null),
    );
  });

  private row(leg: LegBrief, day: Day, number: string, slackMin: number | null): Row {
    const { stop, taken, beginMin, endMin, arriveMin, lateMin, restock, carried, method, panelC } = leg;
    const [begin, end] = [clockText(beginMin), clockText(endMin)];
    if (stop === null) {
      const name = taken === null ? this.wording.break : day.taken[taken]!.name;
      return {
        key: taken === null ? 'break' : `taken-${taken}`,
        id: null,
        number: '',
        begin,
        end,
        name,
        place: '',
        method: null,
        notes: lateMin >= 1 ? [{ text: this.wording.late(lateMin), bad: true }] : [],
      };
    }
    const { job, fromHour, untilHour } = day.stops[stop]!;
    const u = this.u();
    const by = restock === null ? null : day.restocking[restock]!;
    const notes = [
      ...(by
        ? [{ text: this.wording.by(by.name, by.gives.map((one) => restockName[one]).join(', ')), bad: false }]
        : []),
      ...(fromHour > day.startHour || untilHour < day.endHour
        ? [{ text: this.wording.between(hourText(fromHour), hourText(untilHour)), bad: false }]
        : []),
      ...(lateMin >= 1 ? [{ text: this.wording.late(lateMin), bad: true }] : []),
      ...(beginMin - arriveMin >= WORTH_MIN ? [{ text: this.wording.waits(beginMin - arriveMin), bad: false }] : []),
      ...(slackMin === null ? [] : [{ text: this.wording.slack(slackMin), bad: slackMin < 1 }]),
      ...carried.map(({ productName, ml }) => ({
        text: this.wording.carried(`${u.volume(ml)} of ${productName}`),
        bad: false,
      })),
    ];
    const what = [
      method && methodName[method],
      spanText(endMin - beginMin),
      panelC !== null && `roof ${u.temperature(panelC)}`,
    ]
      .filter(Boolean)
      .join(' · ');
    return {
      key: job.id,
      id: job.id,
      number,
      begin,
      end,
      name: job.name,
      place: `${job.site.name} · ${what}`,
      method,
      notes,
    };
  }

  /** What is left of a day whose hours are past. */
  protected readonly leftOver = computed(() => {
    const nowMin = this.desk.nowMin();
    if (nowMin === null || nowMin < this.desk.setUp().endHour * 60) return [];
    return (this.desk.stops() ?? []).filter(({ id }) => !this.desk.done().has(id)).map(({ id }) => id);
  });

  protected leaveForTomorrow(): void {
    const date = dayAfter(this.desk.date(), 1);
    void this.desk.moveJobs(
      this.wording.moved(this.wording.jobs(this.leftOver().length), dayText(date)),
      this.leftOver(),
      date,
    );
  }

  /** Where to go now; only on the day itself. */
  protected readonly next = computed(() => {
    const shown = this.shown();
    const leg = shown?.answer.plan.legs.find(({ stop }) => stop !== null);
    if (!shown || !leg || !this.desk.isToday()) return null;
    const { job } = shown.day.stops[leg.stop!]!;
    const { latitudeDeg, longitudeDeg } = job.site;
    const way = this.wayTo(shown.day, leg);
    return {
      id: job.id,
      name: job.name,
      place: `${job.site.name}${job.client ? ` · ${job.client}` : ''}`,
      leave: this.wording.leaveBy(leg.beginMin - way),
      begin: this.wording.begin(leg.beginMin),
      takes: this.wording.takes(leg.endMin - leg.beginMin),
      // The phone’s own map opens it. Figures only: there is nothing in it that could be harmful.
      geo: this.sanitizer.bypassSecurityTrustUrl(`geo:${latitudeDeg},${longitudeDeg}?q=${latitudeDeg},${longitudeDeg}`),
    };
  });

  /** Minutes of the way to the first stop from where the van is. */
  private wayTo(day: Day, { stop }: LegBrief): number {
    const last = [...this.desk.done().keys()].at(-1);
    const from = last === undefined ? -1 : day.stops.findIndex(({ job }) => job.id === last);
    return travelTable(day)[from < 0 ? START : rowOfStop(from)]![rowOfStop(stop!)]!;
  }

  protected readonly shortage = computed(() => {
    const shown = this.shown();
    const short = shown?.answer.plan.shortage;
    return short ? shortageText(short, shown.day, this.u()) : null;
  });
  protected readonly cannot = computed(() => {
    const shown = this.shown();
    return shown ? shown.answer.plan.cannot.map((i) => this.wording.cannot(shown.day.stops[i]!.job.name)) : [];
  });
  protected readonly mends = computed(() => {
    const [shown, mends] = [this.shown(), this.desk.mends.answer()];
    return shown && mends
      ? mends.map((one) => ({ change: one.change, text: mendText(one, shown.day, this.u()) }))
      : null;
  });
  protected readonly ownOrder = computed(() => {
    const answer = this.shown()?.answer;
    if (!answer) return null;
    return answer.bestCost === null ? null : this.wording.ownOrder(answer.plan.cost - answer.bestCost);
  });

  /** Where so many stops were only put in order nearly. */
  protected readonly gap = computed(() => {
    const within = this.shown()?.answer.plan.within ?? 0;
    return within > WORTH_SHARE ? this.wording.mayBeLess(within) : null;
  });

  protected readonly chances = computed(() => {
    const [shown, sure] = [this.shown(), this.desk.chances.answer()];
    if (!shown || !sure) return null;
    const legs = shown.answer.plan.legs.flatMap(({ stop }, i) =>
      stop === null || !sure.legs[i]
        ? []
        : [{ name: shown.day.stops[stop]!.job.name, slackMin: sure.legs[i].slackMin }],
    );
    const tight = legs.reduce((p, q) => (q.slackMin < p.slackMin ? q : p), legs[0]!);
    return {
      inTime: this.wording.inTime(sure, shown.day.endHour),
      end: this.wording.endCarry(sure),
      slack: this.wording.tightest(tight.name, tight.slackMin),
      hint: this.wording.carry(sure.confidence),
      groups: this.groups(sure, shown.day),
    };
  });

  private groups(
    { litres, towels, products, vessels }: NonNullable<ReturnType<DayDesk['chances']['answer']>>,
    day: Day,
  ): readonly PackingGroup[] {
    const [u, stock] = [this.u(), this.vanStock.stock()];
    const short = (has: number, needs: number, text: string): string | null => (has < needs - 1e-6 ? text : null);
    const key = (name: string): string => name.toLowerCase().replace(/[^\w]+/g, '-');
    const groups: readonly PackingGroup[] = [
      {
        name: 'Tank',
        items: [
          {
            key: 'water',
            text: `${u.water(litres.carry)} of water (${u.water(litres.median)})`,
            short: short(day.van.waterL, litres.carry, this.wording.refill(u.water(day.van.waterL))),
          },
        ],
      },
      {
        name: 'Towel box',
        items: towels.map(({ role, carry, median }) => ({
          key: `towel-${role}`,
          text: `${vanStockText(role, carry, u)} (${fixed(median)})`,
          short: short(stock.towels[role], carry, this.wording.clean(stock.towels[role])),
        })),
      },
      {
        name: 'Shelf',
        items: products.map(({ name, carry, median }) => ({
          key: `product-${key(name)}`,
          text: `${name}: ${u.volume(carry)} (${u.volume(median)})`,
          short: null,
        })),
      },
      { name: 'Rack', items: vessels.map((name) => ({ key: `vessel-${key(name)}`, text: name, short: null })) },
    ];
    return groups.filter(({ items }) => items.length > 0);
  }

  /** The ways that the plan takes. */
  protected readonly ways = computed((): readonly DayWayRow[] => {
    const shown = this.shown();
    if (!shown) return [];
    const {
      day,
      answer: { plan },
    } = shown;
    const table = travelTable(day);
    const home = { key: 'home', name: day.start.name, row: START };
    const places = [
      home,
      ...plan.legs.flatMap(({ stop, restock }) => {
        if (stop === null) return [];
        const by =
          restock === null
            ? []
            : [
                {
                  key: day.restocking[restock]!.name,
                  name: day.restocking[restock]!.name,
                  row: rowOfRestock(day, restock),
                },
              ];
        return [...by, { key: day.stops[stop]!.job.id, name: day.stops[stop]!.job.name, row: rowOfStop(stop) }];
      }),
      home,
    ];
    const known = this.desk.setUp().ways;
    return places.slice(1).map((to, i) => {
      const from = places[i]!;
      return {
        from: from.key,
        to: to.key,
        text: `${from.name} → ${to.name}`,
        minutes: Math.round(table[from.row]![to.row]!),
        isTyped: known.some((way) => isWay(way, from.key, to.key)),
      };
    });
  });

  protected readonly items = computed((): MenuItem[] => [
    { label: 'Driving times', icon: 'pi pi-map', command: () => this.dialog.set('ways') },
    { label: 'Save as a file', icon: 'pi pi-upload', command: () => void this.save() },
    {
      label: 'To a calendar (iCalendar)',
      icon: 'pi pi-calendar',
      disabled: !this.shown(),
      command: () => void this.hand('ics'),
    },
    {
      label: 'To navigation (GPX)',
      icon: 'pi pi-compass',
      disabled: !this.shown(),
      command: () => void this.hand('gpx'),
    },
    {
      label: 'To a map (GeoJSON)',
      icon: 'pi pi-globe',
      disabled: !this.shown(),
      command: () => void this.hand('geojson'),
    },
    { label: 'Print the day', icon: 'pi pi-print', command: () => window.print() },
  ]);

  constructor() {
    const { date } = inject(ActivatedRoute).snapshot.queryParams as { readonly date?: string };
    if (date && /^\d{4}-\d{2}-\d{2}$/.test(date)) this.desk.date.set(date);
  }

  protected readonly forecast = (): Promise<Rain | null> => this.desk.askRain(this.wording.rain);

  protected load(): void {
    this.collection.load();
  }

  protected show(date: string | null): void {
    if (!date) return;
    this.desk.date.set(date);
    void this.router.navigate([], { queryParams: date === today() ? {} : { date } });
  }

  protected go(days: number): void {
    this.show(dayAfter(this.desk.date(), days));
  }

  protected finish(id: string): void {
    const name = this.desk.brief(id)?.name ?? id;
    const shown = this.shown();
    const leg = shown?.answer.plan.legs.find(({ stop }) => stop !== null && shown.day.stops[stop]!.job.id === id);
    this.desk.finish(
      this.wording.done(name),
      id,
      leg ? { waterL: leg.takes[WATER]!, dirtyL: leg.takes[DRAIN]! } : null,
    );
  }

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    if (previousIndex === currentIndex) return;
    const ids = this.rows().map(({ id }) => id);
    moveItemInArray(ids, previousIndex, currentIndex);
    this.desk.change(this.wording.order, { order: ids.filter((id) => id !== null) });
  }

  /** The stops in their order, for other programs. */
  private async hand(as: 'ics' | 'gpx' | 'geojson'): Promise<void> {
    const shown = this.shown();
    if (!shown) return;
    const { day, answer } = shown;
    const stops = answer.plan.legs.flatMap(({ stop, beginMin, endMin }) => {
      if (stop === null) return [];
      const { job } = day.stops[stop]!;
      const at = (min: number): number => Math.round(instantAt(day.date, min / 60, job.site.utcOffsetH));
      return [{ job, beginAt: at(beginMin), endAt: at(endMin) }];
    });
    const { routeGeoJson, routeGpx, writeCalendar } = await import('@esmero/exchange');
    const route = stops.map(({ job, beginAt }) => ({
      ...{ name: job.name, note: job.site.name, beginAt },
      latitudeDeg: job.site.latitudeDeg,
      longitudeDeg: job.site.longitudeDeg,
    }));
    const calendar = stops.map(({ job, beginAt, endAt }) => ({
      jobId: job.id,
      name: job.name,
      note: [job.client, job.note].filter(Boolean).join('\n'),
      place: job.site,
      beginAt,
      endAt,
      changedAt: this.now(),
    }));
    const text = {
      ics: () => writeCalendar(calendar, [], this.now()),
      gpx: () => routeGpx(day.name, route),
      geojson: () => routeGeoJson(day.name, route),
    }[as]();
    download(`esmero-${day.date}.${as}`, text, mediaTypes[as]);
  }

  private shift(id: string, by: number): void {
    const order = this.rows().flatMap((row) => row.id ?? []);
    const at = order.indexOf(id);
    moveItemInArray(order, at, at + by);
    this.desk.change(this.wording.order, { order });
  }

  protected ask(id: string, event: Event, menu: Menu): void {
    const order = this.rows().flatMap((row) => row.id ?? []);
    const at = order.indexOf(id);
    const shown = this.shown()!;
    const stop = shown.day.stops.find(({ job }) => job.id === id)!;
    const leg = shown.answer.plan.legs.find((one) => one.stop !== null && shown.day.stops[one.stop]!.job.id === id)!;
    const tomorrow = dayAfter(this.desk.date(), 1);
    this.stopItems.set([
      ...(this.desk.isToday() ? [{ label: 'Done', icon: 'pi pi-check', command: () => this.finish(id) }] : []),
      { label: 'Sooner', icon: 'pi pi-arrow-up', disabled: at === 0, command: () => this.shift(id, -1) },
      { label: 'Later', icon: 'pi pi-arrow-down', disabled: at === order.length - 1, command: () => this.shift(id, 1) },
      {
        label: 'When it may begin',
        icon: 'pi pi-clock',
        command: () => this.window.set({ id, name: stop.job.name, fromHour: stop.fromHour, untilHour: stop.untilHour }),
      },
      { label: 'The client is late', icon: 'pi pi-hourglass', command: () => this.late(stop.job, leg) },
      { label: `To ${dayText(tomorrow)}`, icon: 'pi pi-calendar-plus', command: () => this.move(stop.job, tomorrow) },
    ]);
    menu.toggle(event);
  }

  private late({ id }: Job, { beginMin }: LegBrief): void {
    const fromHour = Math.min(24, Math.ceil((beginMin / 60 + LATE_H) * 4) / 4);
    this.setWindow(id, {
      fromHour,
      untilHour: Math.max(fromHour, this.shown()!.day.stops.find(({ job }) => job.id === id)!.untilHour),
    });
  }

  protected setWindow(id: string, hours: { readonly fromHour: number; readonly untilHour: number }): void {
    const { windows } = this.desk.setUp();
    this.desk.change(this.wording.window(this.desk.brief(id)?.name ?? id), {
      windows: [...windows.filter(({ jobId }) => jobId !== id), { jobId: id, ...hours }],
    });
    this.window.update((open) => open && { ...open, ...hours });
  }

  private move({ id, name }: Job, date: string): void {
    void this.desk.moveJobs(this.wording.moved(name, dayText(date)), [id], date);
  }

  protected mend(change: DayChange): void {
    const day = this.shown()!.day;
    const setUp = this.desk.setUp();
    switch (change.code) {
      case 'leave':
        return this.move(day.stops[change.stop]!.job, dayAfter(this.desk.date(), 1));
      case 'restock':
        return this.desk.change(this.wording.change(change, ''), {
          restocking: [...setUp.restocking, { ...day.start, minutes: change.minutes, gives: [change.gives] }],
        });
      case 'carry-more':
        return this.desk.change(this.wording.change(change, ''), {
          more: [...setUp.more, { kind: change.kind, amount: change.amount }],
        });
    }
  }

  protected typeWay({
    from,
    to,
    minutes,
  }: {
    readonly from: string;
    readonly to: string;
    readonly minutes: number | null;
  }): void {
    const others = this.desk.setUp().ways.filter((way) => !isWay(way, from, to));
    this.desk.change(this.wording.way, { ways: minutes === null ? others : [...others, { from, to, minutes }] });
  }

  protected readonly broughtText = signal('');
  protected readonly broughtFaults = signal<readonly string[]>([]);

  /** Home, the stops and the places to restock, in the rows of the travel table but for its second, which is home once more. */
  private places({ start, stops, restocking }: Day): readonly NamedPlace[] {
    return [
      { name: start.name, key: 'home' },
      ...stops.map(({ job }) => ({ name: job.name, key: job.id })),
      ...restocking.map(({ name }) => ({ name, key: name })),
    ];
  }

  protected async bringWays(text: string): Promise<void> {
    const day = this.desk.day();
    if (!day) return;
    const { readWays } = await import('@esmero/exchange');
    const { ways, faults } = readWays(text, this.places(day));
    this.broughtText.set(this.wording.brought(ways.length, faults.length));
    this.broughtFaults.set(faults.map(faultSentence));
    if (ways.length === 0) return;
    const others = this.desk.setUp().ways.filter((known) => !ways.some(({ from, to }) => isWay(known, from, to)));
    this.desk.change(this.wording.way, { ways: [...others, ...ways] });
  }

  protected async saveWays(): Promise<void> {
    const day = this.desk.day();
    if (!day) return;
    const { writeWays } = await import('@esmero/exchange');
    const table = travelTable(day);
    const row = (at: number): number => (at === 0 ? 0 : at + 1);
    download(
      `${day.date}.ways.csv`,
      writeWays(this.places(day), (from, to) => table[row(from)]![row(to)]!),
      'text/csv',
    );
  }

  protected closeWays(): void {
    this.dialog.set(null);
    this.broughtText.set('');
    this.broughtFaults.set([]);
  }

  private async save(): Promise<void> {
    const day = this.desk.day();
    if (!day) return;
    const { writeDay } = await import('@esmero/exchange');
    download(`${day.date}.esmero-day.json`, writeDay(day));
  }
}

/** Either way round. */
const isWay = (way: KnownWay, p: string, q: string): boolean =>
  (way.from === p && way.to === q) || (way.from === q && way.to === p);
