import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button, ButtonDirective } from 'primeng/button';
import { Drawer } from 'primeng/drawer';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { Textarea } from 'primeng/textarea';
import { type Caution, careFor, onDate, sellAs, toggleAround, toggleScope } from '@esmero/core';
import {
  type Care,
  type Job,
  type LibraryKind,
  type Package,
  type RunoffRule,
  type ScopePart,
  type Site,
  type ToMind,
  type Vehicle,
  bounds,
  scopeParts,
  surroundingsToMind,
} from '@esmero/model';
import {
  bodyName,
  capital,
  colourName,
  finishName,
  money,
  protectionText,
  runoffName,
  scopeName,
  siteText,
  toMindName,
  toMindText,
} from '@esmero/messages';
import { checked } from '../../state/checked';
import { toDay, withPlaceClock } from '../../state/place-clock';
import { Entries } from '../../state/entries';
import { JobDesk } from '../../state/job-desk';
import type { AnyItem } from '../../ui/item-form/fields';
import { ItemFormComponent } from '../../ui/item-form/item-form.component';
import { soilLooks } from '../../ui/net/looks';
import { closeButton } from '../../ui/close-button';
import { ChoiceComponent } from '../../ui/choice.component';
import { DayFieldComponent } from '../../ui/day-field.component';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { NumberComponent } from '../../ui/number.component';
import { CautionsComponent } from '../../ui/cautions.component';
import { type Typed, TypedTextDirective } from '../../ui/typed-text.directive';
import { NetBoard } from '../../ui/net/net-board';
import { CareComponent } from '../../ui/care.component';
import { CarPictureComponent } from '../../ui/net/car-picture.component';
import { DayComponent } from './day.component';
import { PhoneSensorsComponent } from './phone-sensors.component';

type Part = 'vehicle' | 'site';
type Yes = 'tap' | 'power' | 'shade' | 'indoors' | 'bay' | 'steps';

const there: readonly { readonly key: Yes; readonly name: string; readonly icon: string }[] = [
  { key: 'tap', name: 'Tap', icon: 'pi pi-wave-pulse' },
  { key: 'power', name: 'Mains power', icon: 'pi pi-bolt' },
  { key: 'shade', name: 'Shade', icon: 'pi pi-cloud' },
  { key: 'indoors', name: 'Roof over it', icon: 'pi pi-home' },
  { key: 'bay', name: 'Wash bay', icon: 'pi pi-warehouse' },
  { key: 'steps', name: 'Steps for the roof', icon: 'pi pi-chart-bar' },
];

/** What each answer does to the plan. */
const runoffs: readonly { readonly value: RunoffRule; readonly label: string; readonly hint: string }[] = [
  { value: 'forbidden', label: runoffName.forbidden, hint: 'No rinsing: all of it stays in towels and buckets' },
  { value: 'captured', label: runoffName.captured, hint: 'Rinse as far as the mat holds it' },
  { value: 'allowed', label: runoffName.allowed, hint: 'Rinse where it helps' },
];
const people = [
  { value: 1, label: 'One person' },
  { value: 2, label: 'Two people' },
] as const;

/** Which car, which site, and what the site allows. */
@Component({
  selector: 'esm-site-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ButtonDirective,
    CareComponent,
    CarPictureComponent,
    CautionsComponent,
    InTurnDirective,
    PhoneSensorsComponent,
    ChoiceComponent,
    DayComponent,
    DayFieldComponent,
    Drawer,
    FormsModule,
    InputText,
    ItemFormComponent,
    NumberComponent,
    Select,
    Textarea,
    TypedTextDirective,
  ],
  templateUrl: './site.stage.html',
  styleUrl: './site.stage.css',
})
export class SiteStage {
  protected readonly wording = siteText;
  protected readonly desk = inject(JobDesk);
  private readonly entries = inject(Entries);
  protected readonly clients = computed(() => this.entries.items('client'));
  protected readonly rules = checked;

  protected readonly vehicles = computed(() => this.inStock('vehicle', this.desk.job()!.vehicle));
  protected readonly sites = computed(() => this.inStock('site', this.desk.job()!.site));

  /** What is sold under a name, with its price. */
  protected readonly packages = computed(() =>
    this.desk
      .library()
      .flatMap((entry): Package[] => (entry.kind === 'package' && !entry.archived ? [entry.item] : []))
      .sort((p, q) => q.scope.length - p.scope.length)
      .map((item) => ({
        item,
        price: item.priceMinor === null ? '' : money(item.priceMinor, this.desk.job()!.currency),
      })),
  );
  protected readonly parts = scopeParts.map((part) => ({ part, name: capital(scopeName[part]) }));

  protected readonly bounds = bounds;
  protected readonly there = there;
  protected readonly runoffs = runoffs;
  protected readonly people = people;
  protected readonly open = signal<Part | null>(null);
  protected readonly measures = signal(false);
  protected readonly close = closeButton;

  protected readonly carFacts = computed(() => {
    const { body, colour, finish, dimensions } = this.desk.job()!.vehicle;
    const { show, unit } = this.desk.units().edit.length;
    return `${bodyName[body]}, ${colourName[colour].toLowerCase()}, ${finishName[finish].toLowerCase()}, ${show(dimensions.lengthM).toFixed(unit === 'm' ? 2 : 0)} ${unit} long`;
  });

  protected readonly toMind = surroundingsToMind.map((value) => ({ value, name: toMindName[value] }));
  protected readonly minded = computed(() => this.desk.job()!.around.map((one) => toMindText[one]));

  /** What earlier visits have put on it. */
  protected readonly onCar = computed(() => this.desk.job()!.vehicle.protection.map(protectionText));

  /** Cautions whose hazard is met here. */
  protected readonly here: readonly Caution[] = ['freezing-ground', 'ladder', 'runoff', 'lifting'];

  constructor() {
    inject(NetBoard).use({
      shape: 'page',
      caption: 'The car, unfolded, with the soil that was seen',
      looks: computed(() => soilLooks(this.desk.zones(), this.desk.job())),
      paints: false,
      press: () => undefined,
    });
  }

  /** What the library offers, and what the job has, if that is not in it any more. */
  private inStock<T extends Vehicle | Site>(kind: LibraryKind, own: T): readonly T[] {
    const offered = this.desk
      .library()
      .filter((entry) => entry.kind === kind && !entry.archived)
      .map(({ item }) => item as T);
    return offered.some(({ id }) => id === own.id) ? offered : [own, ...offered];
  }

  protected take(part: Part, id: string): void {
    const list: readonly (Vehicle | Site)[] = part === 'vehicle' ? this.vehicles() : this.sites();
    const item = list.find((one) => one.id === id);
    if (!item) return;
    this.desk.edit(`${part === 'vehicle' ? 'Vehicle' : 'Site'}: ${item.name}`, (job) => ({ ...job, [part]: item }));
  }

  protected async change(part: Part, draft: AnyItem): Promise<void> {
    const before = this.desk.job();
    if (!before) return;
    const item = part === 'site' ? await withPlaceClock(draft as Site, before.site, before.date) : draft;
    this.desk.edit(part === 'vehicle' ? 'Vehicle changed' : 'Site changed', (job) => ({ ...job, [part]: item }));
  }

  protected set(part: Partial<Site>, what: string): void {
    this.desk.edit(`${what} changed`, (job) => ({ ...job, site: { ...job.site, ...part } }));
  }

  protected toggle(key: Yes, name: string): void {
    const now = !this.desk.job()!.site[key];
    this.desk.edit(`${name}: ${now ? 'yes' : 'no'}`, (job) => ({ ...job, site: { ...job.site, [key]: now } }));
  }

  protected wash(part: ScopePart, name: string): void {
    this.desk.edit(`${name}: ${this.desk.job()!.scope.includes(part) ? 'not asked for' : 'asked for'}`, (job) =>
      toggleScope(job, part),
    );
  }

  protected mind(one: ToMind, name: string): void {
    this.desk.edit(`${name}: ${this.desk.job()!.around.includes(one) ? 'no' : 'yes'}`, (job) => toggleAround(job, one));
  }

  protected care(care: Care): void {
    this.desk.edit('What is put on the clean car', (job) => careFor(job, care));
  }

  protected sell(item: Package): void {
    this.desk.edit(`Sold as: ${item.name}`, (job) => sellAs(job, item));
  }

  protected write(key: 'name' | 'client' | 'note', { text, stroke }: Typed): void {
    const value = text.trim();
    if (key === 'name' && value === '') return;
    // A name that is typed is that of a client one has, or of nobody in particular.
    const whose = key === 'client' ? { clientId: this.clients().find(({ name }) => name === value)?.id ?? null } : {};
    this.desk.edit(
      `${key[0]!.toUpperCase()}${key.slice(1)} written`,
      (job: Job) => ({ ...job, [key]: value, ...whose }),
      stroke,
    );
  }

  protected pickClient(id: string): void {
    const client = this.clients().find((one) => one.id === id);
    if (client) this.desk.edit('Client picked', (job) => ({ ...job, client: client.name, clientId: id }));
  }

  protected async pickDay(date: string | null): Promise<void> {
    const before = this.desk.job();
    if (!date || !before) return;
    const { utcOffsetH } = (await toDay(before, date)).site;
    this.desk.edit('Day changed', (job: Job) => onDate(job, date, utcOffsetH));
  }
}
