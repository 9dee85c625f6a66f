import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { detailsOf, zonesOf } from '@esmero/core';
import type { Vehicle, ZoneId } from '@esmero/model';
import { viewOf } from './view-layout';
import type { Looks } from './zone-look';

const known = new WeakMap<Vehicle, ReturnType<typeof draw>>();

function draw(vehicle: Vehicle) {
  const zones = zonesOf(vehicle);
  const side = viewOf('left', zones, detailsOf(vehicle));
  const surfaces = new Map(zones.map(({ id, surface }) => [id, surface]));
  return { side, panels: side.zones.map(({ id, path }) => ({ id, path, surface: surfaces.get(id) })) };
}

/** A list shows the same car many times: it is drawn once. */
function drawnOf(vehicle: Vehicle): ReturnType<typeof draw> {
  const drawn = known.get(vehicle) ?? draw(vehicle);
  known.set(vehicle, drawn);
  return drawn;
}

/** A car from its left in its colour, small: to be recognised in a list; perhaps with what lies on it. */
@Component({
  selector: 'esm-car-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="side().viewBox" [attr.data-colour]="vehicle().colour" aria-hidden="true">
      @for (detail of side().under; track $index) {
        <path class="detail" [attr.data-kind]="detail.kind" [attr.d]="detail.path" />
      }
      @for (panel of panels(); track panel.id) {
        <path class="panel" [attr.data-surface]="panel.surface" [style.fill]="soilOf(panel.id)" [attr.d]="panel.path" />
      }
      @for (detail of side().over; track $index) {
        <path class="detail" [attr.data-kind]="detail.kind" [attr.d]="detail.path" />
      }
    </svg>
  `,
  styleUrls: ['./details.css', './pass-picture.component.css', './car-picture.component.css'],
})
export class CarPictureComponent {
  readonly vehicle = input.required<Vehicle>();
  /** Where it shows what lies on its panels. */
  readonly looks = input<Looks>(new Map());

  private readonly drawn = computed(() => drawnOf(this.vehicle()));
  protected readonly side = computed(() => this.drawn().side);
  protected readonly panels = computed(() => this.drawn().panels);

  protected soilOf(id: ZoneId): string | null {
    const fill = this.looks().get(id)?.fill;
    return fill?.startsWith('soil-') ? `var(--${fill})` : null;
  }
}
