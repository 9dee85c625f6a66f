import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { ConfirmationService } from 'primeng/api';
import { Button } from 'primeng/button';
import { Drawer } from 'primeng/drawer';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { newItem } from '@esmero/core';
import type { Client, ClientCar, ClientPlace, Leg, Vehicle } from '@esmero/model';
import { clientsText, unitsOf } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { ClientsDesk } from '../../state/clients-desk';
import { checked } from '../../state/checked';
import { Entries } from '../../state/entries';
import { settingsFeature } from '../../state/settings';
import { closeButton } from '../../ui/close-button';
import { FetchingComponent } from '../../ui/fetching.component';
import type { AnyItem } from '../../ui/item-form/fields';
import { ItemFormComponent } from '../../ui/item-form/item-form.component';
import { ClientCarComponent } from './client-car.component';

const week: Leg = { days: 7, surroundings: 'town', shelter: 'street', km: 150, road: 'dry' };

/** One client: where to find them, their cars, what is agreed, when each is due, and what it would be over a year. */
@Component({
  selector: 'esm-client-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ClientCarComponent,
    Drawer,
    FetchingComponent,
    FormsModule,
    InputText,
    ItemFormComponent,
    RouterLink,
    Select,
  ],
  providers: [ClientsDesk],
  templateUrl: './client.page.html',
  styleUrl: './client.page.css',
})
export class ClientPage {
  readonly id = input.required<string>();

  protected readonly wording = clientsText;
  protected readonly close = closeButton;
  protected readonly rules = checked;
  protected readonly desk = inject(ClientsDesk);
  private readonly entries = inject(Entries);
  private readonly router = inject(Router);
  private readonly confirmation = inject(ConfirmationService);
  private readonly system = inject(State).selectSignal(settingsFeature.selectUnits);
  protected readonly units = computed(() => unitsOf(this.system()));

  protected readonly client = computed(() => this.desk.client(this.id()));
  protected readonly cars = computed(() => this.desk.known().filter(({ client }) => client.id === this.id()));
  protected readonly sites = computed(() => this.entries.items('site'));
  protected readonly spare = computed(() => {
    const taken = new Set(this.client()?.cars.map(({ vehicleId }) => vehicleId));
    return this.entries.items('vehicle').filter(({ id }) => !taken.has(id));
  });
  protected readonly pace = computed(() => {
    const client = this.client();
    const lesson = client && this.desk.soilPace(client);
    return lesson ? clientsText.soilPace(lesson.factor, lesson.jobs) : '';
  });
  /** What is open in the drawer: the contact, or one of the cars. */
  protected readonly open = signal<'contact' | Vehicle | null>(null);
  protected readonly vehicle = computed(() => {
    const open = this.open();
    return open && open !== 'contact' ? (this.entries.items('vehicle').find(({ id }) => id === open.id) ?? open) : null;
  });
  private readonly undos = signal<readonly Client[]>([]);
  protected readonly canUndo = computed(() => this.undos().length > 0);

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => (this.desk.of.set(id), this.undos.set([])));
    });
  }

  protected change(change: Partial<Client>): void {
    const before = this.client();
    if (!before) return;
    this.undos.update((all) => [...all, before]);
    this.desk.put({ ...before, ...change });
  }

  protected undo(): void {
    const last = this.undos().at(-1);
    this.undos.update((all) => all.slice(0, -1));
    if (last) this.desk.put(last);
  }

  protected edited(item: AnyItem): void {
    const open = this.open();
    if (open === 'contact') this.change(item as Client);
    else if (open) this.entries.put('vehicle', item as Vehicle);
  }

  protected editPlace(at: number, change: Partial<ClientPlace>): void {
    this.change({ places: this.client()!.places.map((place, i) => (i === at ? { ...place, ...change } : place)) });
  }

  protected dropPlace(at: number): void {
    this.change({ places: this.client()!.places.filter((_place, i) => i !== at) });
  }

  protected addPlace(): void {
    this.change({ places: [...this.client()!.places, { address: '', siteId: null }] });
  }

  protected editCar(vehicleId: string, change: Partial<ClientCar>): void {
    this.change({
      cars: this.client()!.cars.map((car) => (car.vehicleId === vehicleId ? { ...car, ...change } : car)),
    });
  }

  protected dropCar(vehicleId: string): void {
    this.change({ cars: this.client()!.cars.filter((car) => car.vehicleId !== vehicleId) });
  }

  protected addCar(vehicleId: string): void {
    const client = this.client()!;
    this.change({
      cars: [
        ...client.cars,
        {
          vehicleId,
          siteId: client.places[0]?.siteId ?? null,
          packageId: null,
          habitsId: null,
          everyDays: null,
          usual: week,
        },
      ],
    });
  }

  /** A car that is not in the library yet. */
  protected newCar(): void {
    const vehicle = { ...newItem.vehicle(freshId('vehicle')), name: `${this.client()!.name}, car` };
    this.entries.put('vehicle', vehicle);
    this.addCar(vehicle.id);
    this.open.set(vehicle);
  }

  protected editVehicle(vehicleId: string): void {
    this.open.set(this.entries.items('vehicle').find(({ id }) => id === vehicleId) ?? null);
  }

  protected readonly seriesMade = signal<readonly string[] | null>(null);

  protected async series(client: Client, car: ClientCar, dates: readonly string[]): Promise<void> {
    const jobs = await this.desk.visits(client, car, dates);
    this.seriesMade.set(jobs.map(({ id }) => id));
  }

  protected undoSeries(): void {
    this.desk.drop(this.seriesMade() ?? []);
    this.seriesMade.set(null);
  }

  protected archive(client: Client): void {
    this.confirmation.confirm({
      header: 'Archive this client?',
      message: clientsText.archiveClient(client.name),
      acceptLabel: 'Archive',
      rejectLabel: 'Keep',
      accept: () => {
        this.desk.archive(client);
        void this.router.navigate(['/clients']);
      },
    });
  }

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }
}
