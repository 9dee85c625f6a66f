import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { Textarea } from 'primeng/textarea';
import type { Caution } from '@esmero/core';
import type { Job, LibraryKind, Site, Vehicle } from '@esmero/model';
import type { Fault } from '@esmero/exchange';
import { checked } from '../../state/checked';
import { JobDesk } from '../../state/job-desk';
import type { AnyItem } from '../../ui/item-form/fields';
import { ItemFormComponent } from '../../ui/item-form/item-form.component';
import { soilLooks } from '../../ui/net/looks';
import { CautionsComponent } from '../../ui/cautions.component';
import { type Typed, TypedTextDirective } from '../../ui/typed-text.directive';
import { NetBoard } from '../../ui/net/net-board';
import { DayComponent } from './day.component';

type Part = 'vehicle' | 'site';

/** Which car, which site, and what the site allows. */
@Component({
  selector: 'esm-site-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CautionsComponent, DayComponent, FormsModule, InputText, ItemFormComponent, Select, Textarea, TypedTextDirective],
  templateUrl: './site.stage.html',
})
export class SiteStage {
  protected readonly desk = inject(JobDesk);
  protected readonly faults = signal<Readonly<Record<Part, readonly Fault[]>>>({ vehicle: [], site: [] });

  protected readonly vehicles = computed(() => this.onShelf('vehicle', this.desk.job()!.vehicle));
  protected readonly sites = computed(() => this.onShelf('site', this.desk.job()!.site));

  /** Cautions whose hazard is met here. */
  protected readonly here: readonly Caution[] = ['freezing-ground', 'ladder', 'runoff', 'lifting'];

  constructor() {
    inject(NetBoard).use({
      caption: 'The car, unfolded, with the soil that was seen',
      looks: computed(() => soilLooks(this.desk.zones(), this.desk.job())),
      paints: false,
      press: () => undefined,
    });
  }

  /** What the shelf offers, and what the job has, if that is not on the shelf any more. */
  private onShelf<T extends Vehicle | Site>(kind: LibraryKind, own: T): readonly T[] {
    const shelf = this.desk
      .library()
      .filter((entry) => entry.kind === kind && !entry.archived)
      .map(({ item }) => item as T);
    return shelf.some(({ id }) => id === own.id) ? shelf : [own, ...shelf];
  }

  protected take(part: Part, id: string): void {
    const list: readonly (Vehicle | Site)[] = part === 'vehicle' ? this.vehicles() : this.sites();
    const item = list.find((one) => one.id === id);
    if (!item) return;
    this.faults.update((faults) => ({ ...faults, [part]: [] }));
    this.desk.edit(`${part === 'vehicle' ? 'Vehicle' : 'Site'}: ${item.name}`, (job) => ({ ...job, [part]: item }));
  }

  protected async change(part: Part, draft: AnyItem): Promise<void> {
    const faults = await checked(part, draft);
    this.faults.update((all) => ({ ...all, [part]: faults }));
    if (faults.length === 0)
      this.desk.edit(part === 'vehicle' ? 'Vehicle changed' : 'Site changed', (job) => ({ ...job, [part]: draft }));
  }

  protected write(key: 'name' | 'client' | 'note', { text, stroke }: Typed): void {
    const value = text.trim();
    if (key === 'name' && value === '') return;
    this.desk.edit(`${key[0]!.toUpperCase()}${key.slice(1)} written`, (job: Job) => ({ ...job, [key]: value }), stroke);
  }

  protected pickDay(date: string): void {
    if (date !== '') this.desk.edit('Day changed', (job: Job) => ({ ...job, date }));
  }
}
