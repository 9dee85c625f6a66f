import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Button } from 'primeng/button';
import { Select } from 'primeng/select';
import { Tag } from 'primeng/tag';
import { doneOn, visitDay } from '@esmero/core';
import { type ClientCar, type Job, invoiceIn, quoteIn, usedIn } from '@esmero/model';
import {
  type Units,
  clientsText,
  dayText,
  dueDatesText,
  dueStateName,
  markText,
  methodName,
  minutes,
  money,
  protectionText,
} from '@esmero/messages';
import { dayAfter } from '@esmero/units';
import type { KnownCar } from '../../state/clients-desk';
import { Entries } from '../../state/entries';
import { today } from '../../state/today';
import { DayFieldComponent } from '../../ui/day-field.component';
import { LegFieldsComponent } from '../../ui/leg-fields.component';
import { CarPictureComponent } from '../../ui/net/car-picture.component';
import { NumberComponent } from '../../ui/number.component';
import { dueSeverity } from './due-severity';
import { SeasonComponent } from './season.component';

const VISITS = 6;
/** So many visits are planned at once where they come again and again. */
const SERIES = 4;

/** One car of a client: when it is due, what is agreed, its visits, and a year of it. */
@Component({
  selector: 'esm-client-car',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    CarPictureComponent,
    DayFieldComponent,
    FormsModule,
    LegFieldsComponent,
    NumberComponent,
    RouterLink,
    SeasonComponent,
    Select,
    Tag,
  ],
  template: `
    @let car = known().visits.car;
    <section class="card" [attr.aria-label]="name()">
      <div class="row head">
        @if (vehicle(); as whole) {
          <esm-car-picture [vehicle]="whole" />
        }
        <h2>{{ name() }}</h2>
        <p-button
          icon="pi pi-pencil"
          [ariaLabel]="'Edit ' + name()"
          severity="secondary"
          [text]="true"
          [disabled]="!vehicle()"
          (onClick)="edit.emit()"
        />
        <p-button
          icon="pi pi-trash"
          [ariaLabel]="'Without ' + name()"
          severity="secondary"
          [text]="true"
          (onClick)="dropped.emit()"
        />
      </div>
      <div class="row due num">
        @if (known().due; as due) {
          <p-tag [value]="stateName[known().state]" [severity]="severity()" />
          <strong>{{ dueText() }}</strong>
        } @else if (share() !== null) {
          <span class="soft">{{ wording.asking }}</span>
        }
        <span class="soft">{{ known().lastDay ? wording.lastOn(dayText(known().lastDay!)) : wording.never }}</span>
        @for (one of ahead(); track one.id) {
          <a [routerLink]="['/job', one.id, 'site']">{{ one.text }}</a>
        }
      </div>
      <div class="row">
        <esm-day-field
          class="day"
          [inputId]="id('date')"
          name="Day of the next visit"
          [value]="date()"
          (typed)="date.set($event ?? date())"
        />
        <p-button label="Plan this visit" icon="pi pi-calendar-plus" (onClick)="planned.emit(date())" />
        @if (car.everyDays !== null) {
          <p-button
            [label]="wording.series(SERIES)"
            icon="pi pi-refresh"
            severity="secondary"
            [outlined]="true"
            (onClick)="series.emit(dates(car.everyDays))"
          />
        }
      </div>
      <h3>Agreed</h3>
      <div class="grid">
        <label class="field" [attr.for]="id('every')"
          >Every<esm-number
            [inputId]="id('every')"
            unit="days"
            [digits]="0"
            [bounds]="{ min: 1, max: 365, whole: true }"
            placeholder="nothing agreed"
            [value]="car.everyDays"
            (typed)="changed.emit({ everyDays: $event })"
        /></label>
        <label class="field" [attr.for]="id('package')"
          >Package<p-select
            [inputId]="id('package')"
            [options]="$any(packages())"
            optionLabel="name"
            optionValue="id"
            placeholder="None"
            [showClear]="true"
            [ngModel]="car.packageId"
            (ngModelChange)="changed.emit({ packageId: $event ?? null })"
            appendTo="body"
        /></label>
        <label class="field" [attr.for]="id('site')"
          >Washed at<p-select
            [inputId]="id('site')"
            [options]="$any(sites())"
            optionLabel="name"
            optionValue="id"
            placeholder="Wherever it stands"
            [showClear]="true"
            [ngModel]="car.siteId"
            (ngModelChange)="changed.emit({ siteId: $event ?? null })"
            appendTo="body"
        /></label>
        <label class="field" [attr.for]="id('habits')"
          >Habits<p-select
            [inputId]="id('habits')"
            [options]="$any(habits())"
            optionLabel="name"
            optionValue="id"
            placeholder="As usual"
            [showClear]="true"
            [ngModel]="car.habitsId"
            (ngModelChange)="changed.emit({ habitsId: $event ?? null })"
            appendTo="body"
        /></label>
      </div>
      <h3>Used like this</h3>
      <div class="row legs" role="group" [attr.aria-label]="'How ' + name() + ' is used'">
        <esm-leg-fields [units]="units()" [leg]="car.usual" (changed)="changed.emit({ usual: $event })" />
      </div>
      @if (onCar().length > 0) {
        <h3>On the car</h3>
        <ul class="visits num" data-facts>
          @for (line of onCar(); track line) {
            <li>{{ line }}</li>
          }
        </ul>
      }
      <h3>Visits</h3>
      <ul class="visits num">
        @for (one of visits(); track one.id) {
          <li>
            <a [routerLink]="['/job', one.id, 'handover']">{{ one.day }}</a> {{ one.text }}
          </li>
        } @empty {
          <li class="soft">{{ wording.noVisits }}</li>
        }
      </ul>
      @if (last(); as job) {
        <esm-season [job]="job" [usual]="car.usual" [units]="units()" />
      }
    </section>
  `,
  styleUrl: './client-car.component.css',
})
export class ClientCarComponent {
  readonly known = input.required<KnownCar>();
  /** The last visit, whole; null where there is none. */
  readonly last = input.required<Job | null>();
  /** Of working out when it is due; null when that is not under way. */
  readonly share = input.required<number | null>();
  readonly units = input.required<Units>();
  readonly changed = output<Partial<ClientCar>>();
  readonly dropped = output();
  readonly edit = output();
  readonly planned = output<string>();
  /** Days of visits that come again and again. */
  readonly series = output<readonly string[]>();

  protected readonly wording = clientsText;
  protected readonly SERIES = SERIES;
  protected readonly stateName = dueStateName;
  protected readonly dayText = dayText;
  private readonly entries = inject(Entries);

  protected readonly packages = computed(() => this.entries.items('package'));
  protected readonly sites = computed(() => this.entries.items('site'));
  protected readonly habits = computed(() => this.entries.items('habits'));
  protected readonly vehicle = computed(
    () => this.entries.items('vehicle').find(({ id }) => id === this.known().visits.car.vehicleId) ?? null,
  );
  protected readonly name = computed(() => this.known().vehicle?.name ?? 'A car that is gone');
  protected readonly dueText = computed(() => (this.known().due ? dueDatesText(this.known().due!) : ''));
  protected readonly severity = computed(() => dueSeverity[this.known().state]);
  /** The day it is due, but not before today. */
  protected readonly date = linkedSignal(() => visitDay(this.known().due, today()));
  protected readonly ahead = computed(() =>
    this.known().visits.ahead.map(({ id, date }) => ({ id, text: clientsText.booked(dayText(date)) })),
  );
  /** What was put onto it, and the marks that were there last. */
  protected readonly onCar = computed(() => [
    ...(this.vehicle()?.protection ?? []).map(protectionText),
    ...(this.last()?.marks ?? []).map(markText),
  ]);
  protected readonly visits = computed(() =>
    this.known()
      .visits.done.slice(0, VISITS)
      .map((job) => {
        const used = job.run && usedIn(job.run);
        const bill = invoiceIn(job) ?? quoteIn(job);
        const took = job.run?.endedAt != null ? minutes((job.run.endedAt - job.run.startedAt) / 60_000) : '';
        const parts = [
          used?.method ? methodName[used.method] : '',
          took,
          bill ? money(bill.totalMinor, bill.currency) : '',
        ];
        return { id: job.id, day: dayText(doneOn(job)!), text: parts.filter(Boolean).join(', ') };
      }),
  );

  protected dates(everyDays: number): readonly string[] {
    return Array.from({ length: SERIES }, (_, i) => dayAfter(this.date(), i * everyDays));
  }

  protected id(field: string): string {
    return `${field}-${this.known().visits.car.vehicleId}`;
  }
}
