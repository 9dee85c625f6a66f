import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Button } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { IconField } from 'primeng/iconfield';
import { InputIcon } from 'primeng/inputicon';
import { InputText } from 'primeng/inputtext';
import { TableModule } from 'primeng/table';
import { Tag } from 'primeng/tag';
import type { MenuItem } from 'primeng/api';
import { type DueState, isInTime, visitDay } from '@esmero/core';
import type { Client } from '@esmero/model';
import { clientsText, dayText, dueDatesText, dueStateName } from '@esmero/messages';
import { ClientsDesk, type KnownCar } from '../../state/clients-desk';
import { today } from '../../state/today';
import { ChoiceComponent, type ChoiceOption } from '../../ui/choice.component';
import { FetchingComponent } from '../../ui/fetching.component';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { download } from '../../ui/download';
import { ProgressComponent } from '../../ui/progress.component';
import { dueSeverity } from './due-severity';

/** One car in the list, or a client who has none yet. */
interface Row {
  readonly key: string;
  readonly client: Client;
  readonly name: string;
  readonly car: string;
  readonly known: KnownCar | null;
  readonly state: DueState;
  readonly stateText: string;
  readonly severity: (typeof dueSeverity)[DueState];
  readonly due: string;
  readonly dueOn: string;
  readonly last: string;
  readonly ahead: string | null;
  /** In time for it. */
  readonly isBooked: boolean;
}

const LAST = '9999';

/** Who is due, and when: a line a car, the most pressing one first. */
@Component({
  selector: 'esm-clients-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ChoiceComponent,
    FetchingComponent,
    IconField,
    InTurnDirective,
    InputIcon,
    InputText,
    Menu,
    ProgressComponent,
    RouterLink,
    TableModule,
    Tag,
  ],
  providers: [ClientsDesk],
  templateUrl: './clients.page.html',
  styleUrls: ['../../ui/table-page.css', './clients.page.css'],
})
export class ClientsPage {
  protected readonly wording = clientsText;
  protected readonly desk = inject(ClientsDesk);
  private readonly router = inject(Router);

  protected readonly words = signal('');
  protected readonly only = signal<'all' | 'due'>('all');
  protected readonly filters: readonly ChoiceOption<'all' | 'due'>[] = [
    { value: 'all', label: 'All' },
    { value: 'due', label: 'Due this week' },
  ];

  private readonly all = computed((): readonly Row[] => {
    const rows = this.desk.known().map((known) => this.carRow(known));
    const withCar = new Set(rows.map(({ client }) => client.id));
    const without = this.desk
      .clients()
      .filter(({ id }) => !withCar.has(id))
      .map((client) => this.bareRow(client));
    return [...rows, ...without].sort((p, q) => p.dueOn.localeCompare(q.dueOn) || p.name.localeCompare(q.name));
  });
  protected readonly rows = computed(() => {
    const wanted = this.words().toLowerCase().split(/\s+/).filter(Boolean);
    const isWanted = ({ client, car }: Row): boolean => {
      const text = [
        client.name,
        client.phone,
        client.email,
        client.note,
        ...client.places.map(({ address }) => address),
        car,
      ]
        .join(' ')
        .toLowerCase();
      return wanted.every((word) => text.includes(word));
    };
    return this.all().filter((row) => isWanted(row) && (this.only() === 'all' || isPressing(row)));
  });
  protected readonly dueCount = computed(() => this.all().filter(isPressing).length);

  protected readonly items: MenuItem[] = [
    { label: 'Bring in from a file', icon: 'pi pi-download', routerLink: '/import' },
    { label: 'Save as a table (CSV)', icon: 'pi pi-table', command: () => void this.save() },
    { label: 'Quotes and invoices (CSV)', icon: 'pi pi-receipt', command: () => void this.saveBills() },
    { label: 'Visits and due dates (iCalendar)', icon: 'pi pi-calendar', command: () => void this.saveCalendar() },
  ];

  private async save(): Promise<void> {
    const { clientsCsv } = await import('@esmero/exchange');
    download('esmero-clients.csv', clientsCsv(this.desk.clients(), this.desk.vehicles()), 'text/csv');
  }

  private async saveBills(): Promise<void> {
    const { billsCsv } = await import('@esmero/exchange');
    download('esmero-bills.csv', billsCsv(this.desk.jobs()), 'text/csv');
  }

  /** Visits that are ahead, at their hour, and the days on which each car is due. */
  private async saveCalendar(): Promise<void> {
    const { writeCalendar } = await import('@esmero/exchange');
    const [stops, dues] = await this.desk.calendar((name) => clientsText.washDue(name));
    download('esmero.ics', writeCalendar(stops, dues, this.desk.time()), 'text/calendar');
  }

  protected add(): void {
    void this.router.navigate(['/clients', this.desk.add().id]);
  }

  protected plan({ client, known }: Row): void {
    if (known) void this.desk.visit(client, known.visits.car, visitDay(known.due, today()));
  }

  private carRow(known: KnownCar): Row {
    const { key, client, vehicle, due, state, lastDay, visits } = known;
    const [next] = visits.ahead;
    return {
      ...{
        key,
        client,
        known,
        state,
        name: client.name,
        car: vehicle?.name ?? 'A car that is gone',
        severity: dueSeverity[state],
        stateText: dueStateName[state],
      },
      due: due ? dueDatesText(due) : '',
      dueOn: due?.on ?? LAST,
      last: lastDay ? dayText(lastDay) : 'never',
      ahead: next ? clientsText.booked(dayText(next.date)) : null,
      isBooked: next !== undefined && (due === null || isInTime(due, next.date)),
    };
  }

  private bareRow(client: Client): Row {
    return {
      key: client.id,
      client,
      name: client.name,
      car: '',
      known: null,
      state: 'open',
      stateText: dueStateName.open,
      severity: 'secondary',
      due: '',
      dueOn: LAST,
      last: '',
      ahead: null,
      isBooked: false,
    };
  }
}

/** Wants a visit this week, and has none in time. */
const isPressing = ({ state, isBooked }: Row): boolean => !isBooked && (state === 'overdue' || state === 'this-week');
