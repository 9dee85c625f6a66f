import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ConfirmationService, type MenuItem } from 'primeng/api';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Menu } from 'primeng/menu';
import { Select } from 'primeng/select';
import { type LotBrief, fullVan, lotOf, lotPace, usualLot } from '@esmero/core';
import {
  type Lot,
  type LotClassSetUp,
  type LotSetUp,
  soilKinds,
  soilLevels,
  towelRoles,
  vehicleMethods,
} from '@esmero/model';
import {
  clockText,
  fixed,
  levelName,
  lotPlanText,
  lotShortageText,
  methodName,
  money,
  soilName,
  unitsOf,
  vanStockText,
} from '@esmero/messages';
import { freshId } from '@esmero/records';
import { NOW } from '../../state/clock';
import { CollectionDesk } from '../../state/collection-desk';
import { Entries } from '../../state/entries';
import { questionOf } from '../../state/study';
import { today } from '../../state/today';
import { VanStock } from '../../state/van-stock';
import { ChoiceComponent, type ChoiceOption } from '../../ui/choice.component';
import { DayFieldComponent } from '../../ui/day-field.component';
import { download } from '../../ui/download';
import { FetchingComponent } from '../../ui/fetching.component';
import { HourFieldComponent } from '../../ui/hour-field.component';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { NumberComponent } from '../../ui/number.component';
import { ProgressComponent } from '../../ui/progress.component';

/** One bay with its car. */
interface Bay {
  readonly number: number;
  readonly of: number;
  readonly done: boolean;
  readonly next: boolean;
  readonly short: boolean;
  readonly fresh: boolean;
  readonly says: string;
}

interface Shown {
  readonly lot: Lot;
  readonly plan: LotBrief;
}

const crews: readonly ChoiceOption<1 | 2 | 3 | 4>[] = [1, 2, 3, 4].map((value) => ({
  value: value as 1 | 2 | 3 | 4,
  label: String(value),
}));
const HOUR_MS = 3_600_000;

/** Many like cars: how long, how much, what is short first; ticked off bay by bay. */
@Component({
  selector: 'esm-lot-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ChoiceComponent,
    DayFieldComponent,
    FetchingComponent,
    FormsModule,
    HourFieldComponent,
    InTurnDirective,
    InputText,
    Menu,
    NumberComponent,
    ProgressComponent,
    Select,
  ],
  templateUrl: './lot.page.html',
  styleUrls: ['../../ui/plan-page.css', './lot.page.css'],
})
export class LotPage {
  protected readonly wording = lotPlanText;
  protected readonly collection = inject(CollectionDesk);
  private readonly entries = inject(Entries);
  private readonly vanStock = inject(VanStock);
  private readonly confirmation = inject(ConfirmationService);
  private readonly now = inject(NOW);

  protected readonly crews = crews;
  protected readonly soils = soilKinds.map((value) => ({ value, label: soilName[value] }));
  protected readonly levels = soilLevels
    .filter((level) => level > 0)
    .map((value) => ({ value, label: levelName[value] }));
  protected readonly methods = [
    { value: 'auto', label: 'As it suits' },
    ...vehicleMethods.filter((method) => method !== 'decline').map((value) => ({ value, label: methodName[value] })),
  ];
  private readonly u = computed(() => unitsOf(this.vanStock.units()));

  protected readonly lots = computed(() => [...this.entries.items('lot')].sort((p, q) => p.date.localeCompare(q.date)));
  protected readonly picked = signal<string | null>(null);
  protected readonly setUp = computed(
    (): LotSetUp | null => this.lots().find(({ id }) => id === this.picked()) ?? this.lots()[0] ?? null,
  );
  protected readonly vehicles = computed(() => this.entries.items('vehicle'));
  protected readonly sites = computed(() => this.entries.items('site'));
  protected readonly habits = computed(() => this.entries.items('habits'));
  protected readonly count = computed(() => this.setUp()?.classes.reduce((sum, { count }) => sum + count, 0) ?? 0);
  protected readonly people = computed(() =>
    crews
      .slice(0, this.setUp()?.people ?? 1)
      .map(({ value }) => ({ value: value - 1, label: this.wording.person(value) })),
  );
  protected readonly person = signal(0);

  protected readonly asked = computed(
    (): Lot | null => {
      const setUp = this.setUp();
      if (!setUp || !this.collection.ready()) return null;
      const lot = lotOf(
        setUp,
        this.collection.library(),
        fullVan(this.vanStock.van(), this.vanStock.stock()),
        this.vanStock.products(),
      );
      return lot.classes.length > 0 ? lot : null;
      // A car that is ticked off does not change the plan.
    },
    { equal: (p, q) => JSON.stringify(p) === JSON.stringify(q) },
  );
  protected readonly plan = questionOf('lot', this.asked, true);
  private readonly shown = linkedSignal<{ readonly lot: Lot | null; readonly plan: LotBrief | null }, Shown | null>({
    source: () => ({ lot: this.asked(), plan: this.plan.answer() }),
    computation: ({ lot, plan }, before) => {
      if (lot && plan) return { lot, plan };
      const old = before?.value ?? null;
      return old && old.lot.id === this.setUp()?.id ? old : null;
    },
  });

  private readonly paceNow = computed(() => {
    const [shown, setUp] = [this.shown(), this.setUp()];
    return shown && setUp ? lotPace(shown.plan, setUp.people, setUp.done, setUp.begunAt) : null;
  });
  protected readonly pace = computed(() => {
    const pace = this.paceNow();
    return pace ? this.wording.pace(pace) : '';
  });

  protected readonly figures = computed(() => {
    const [shown, pace, setUp] = [this.shown(), this.paceNow(), this.setUp()];
    if (!shown || !pace || !setUp) return [];
    const { plan, lot } = shown;
    const u = this.u();
    const from = this.doneFrom(setUp, plan, pace.left);
    const towels = towelRoles
      .filter((role) => plan.towels[role] > 0)
      .map((role) => vanStockText(role, plan.towels[role], u))
      .join(', ');
    const currency = lot.classes[0]!.job.currency;
    return [
      {
        name: 'Done by',
        value: clockText(from + pace.leftMin.median),
        note: this.wording.finish(from + pace.leftMin.low, from + pace.leftMin.high),
      },
      { name: 'A car', value: `${fixed(pace.minutesACar, 1)} min`, note: '' },
      { name: 'Cars an hour', value: fixed((60 * setUp.people) / Math.max(1e-9, pace.minutesACar), 1), note: '' },
      { name: 'Water', value: u.water(plan.litres), note: '' },
      {
        name: 'Towels to bring',
        value: fixed(towelRoles.reduce((sum, role) => sum + plan.towels[role], 0)),
        note: plan.loads > 0 ? `${towels}, ${this.wording.loads(plan.loads)}` : towels,
      },
      ...(plan.costMinor === null
        ? []
        : [
            {
              name: 'Product',
              value: money(plan.costMinor, currency),
              note: `${money(plan.costMinor / Math.max(1, plan.cars.length), currency)} a car`,
            },
          ]),
    ];
  });

  /** The minute from which what is left is reckoned: setting up and packing are in it. */
  private doneFrom(setUp: LotSetUp, plan: LotBrief, left: number): number {
    const open = plan.cars.reduce((sum, car) => sum + car.endMin - car.beginMin, 0) / setUp.people;
    const besides = Math.max(0, plan.endMin - setUp.startHour * 60 - open);
    const last = Math.max(setUp.begunAt ?? 0, ...setUp.done.map(({ at }) => at));
    if (setUp.begunAt === null || left === plan.cars.length) return setUp.startHour * 60 + besides;
    return (
      ((last % (24 * HOUR_MS)) / HOUR_MS) * 60 -
      new Date(last).getTimezoneOffset() +
      (besides * left) / plan.cars.length
    );
  }

  protected readonly shortages = computed(() => {
    const shown = this.shown();
    return shown ? shown.plan.shortages.map((one) => lotShortageText(one, shown.lot, this.u())) : [];
  });
  /** Towels are short first, and none are washed on the way. */
  protected readonly couldWash = computed(
    () => this.shown()?.plan.shortages[0]?.stock.kind === 'towels' && this.setUp()?.laundry === null,
  );
  protected readonly usualLaundry = { minutes: 90, load: 12 } as const;
  protected readonly cannot = computed(() => {
    const shown = this.shown();
    return shown ? shown.plan.cannot.map((of) => this.wording.notNow(shown.lot.classes[of]!.name)) : [];
  });

  protected readonly bays = computed((): readonly Bay[] => {
    const [shown, setUp] = [this.shown(), this.setUp()];
    if (!shown || !setUp) return [];
    const done = new Set(setUp.done.map(({ car }) => car));
    const short = new Set(shown.plan.shortages.map(({ car }) => car));
    const next = shown.plan.cars.flatMap((_car, i) => (done.has(i) ? [] : [i])).slice(0, setUp.people);
    return shown.plan.cars.map(({ of, freshWater }, number) => ({
      ...{
        number,
        of,
        done: done.has(number),
        next: next.includes(number),
        short: short.has(number),
        fresh: freshWater,
      },
      says: `${this.wording.car(number + 1, shown.lot.classes[of]!.name)}${done.has(number) ? ', done' : ''}`,
    }));
  });
  protected readonly next = computed(() => {
    const [shown, bay] = [this.shown(), this.bays().find(({ done }) => !done)];
    if (!shown || !bay) return null;
    const { beginMin, endMin } = shown.plan.cars[bay.number]!;
    return {
      number: bay.number,
      name: this.wording.car(bay.number + 1, shown.lot.classes[bay.of]!.name),
      minutes: this.wording.planned(endMin - beginMin),
    };
  });

  private readonly undos = signal<readonly { readonly says: string; readonly before: LotSetUp }[]>([]);
  protected readonly lastChange = computed(() => this.undos().at(-1)?.says ?? null);
  protected readonly items: MenuItem[] = [
    { label: 'Begin anew', icon: 'pi pi-refresh', command: () => this.change('Ticks', { begunAt: null, done: [] }) },
    { label: 'Save as a file', icon: 'pi pi-upload', command: () => void this.save() },
    { label: 'Print', icon: 'pi pi-print', command: () => window.print() },
    { label: 'Archive this lot', icon: 'pi pi-box', command: () => this.archive() },
  ];

  protected change(says: string, change: Partial<LotSetUp>): void {
    const before = this.setUp();
    if (!before) return;
    this.undos.update((all) => [...all, { says, before }]);
    this.entries.put('lot', { ...before, ...change });
  }

  protected undo(): void {
    const last = this.undos().at(-1);
    this.undos.update((all) => all.slice(0, -1));
    if (last) this.entries.put('lot', last.before);
  }

  protected edit(at: number, change: Partial<LotClassSetUp>): void {
    const classes = this.setUp()!.classes.map((one, i) => (i === at ? { ...one, ...change } : one));
    // Two of one name could not be told apart.
    if (
      change.name !== undefined &&
      (!change.name.trim() || new Set(classes.map(({ name }) => name)).size < classes.length)
    )
      return;
    this.change('Cars', { classes });
  }

  protected another(): void {
    const { classes } = this.setUp()!;
    const last = classes.at(-1)!;
    const name = ['more cars', ...Array.from({ length: 20 }, (_, i) => `more cars ${i + 2}`)].find(
      (one) => !classes.some((known) => known.name === one),
    )!;
    this.change('Cars', { classes: [...classes, { ...last, name, count: 10 }] });
  }

  protected without(at: number): void {
    this.change('Cars', { classes: this.setUp()!.classes.filter((_one, i) => i !== at) });
  }

  /** The first press begins; after that a press is a car more, or one less. */
  protected tick(car: number): void {
    const { begunAt, done } = this.setUp()!;
    if (begunAt === null) return this.change('The beginning', { begunAt: this.now() });
    const without = done.filter((one) => one.car !== car);
    const isDone = without.length < done.length;
    this.change(this.wording.car(car + 1, isDone ? 'not done' : 'done'), {
      done: isDone
        ? without
        : [...done, { car, person: Math.min(this.person(), this.setUp()!.people - 1), at: this.now() }],
    });
  }

  protected add(): void {
    const lot = usualLot(freshId('lot'), today(), this.collection.library());
    this.entries.put('lot', lot);
    this.picked.set(lot.id);
  }

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  private archive(): void {
    const lot = this.setUp();
    if (!lot) return;
    this.confirmation.confirm({
      header: 'Archive this lot?',
      message: this.wording.forGood(lot.name),
      acceptLabel: 'Archive',
      rejectLabel: 'Keep',
      accept: () => this.entries.archive('lot', lot),
    });
  }

  private async save(): Promise<void> {
    const lot = this.asked();
    if (!lot) return;
    const { writeLot } = await import('@esmero/exchange');
    download(`${lot.id}.esmero-lot.json`, writeLot(lot));
  }
}
