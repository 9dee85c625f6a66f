import { ChangeDetectionStrategy, Component, computed, output, signal } from '@angular/core';
import { ButtonDirective, Button } from 'primeng/button';
import { type OwnCar, type Standing, newItem, defaultDimensions, standings } from '@esmero/core';
import { type Body, type Colour, type Vehicle, bodies, colours } from '@esmero/model';
import { bodyName, colourName } from '@esmero/messages';
import { CarPictureComponent } from '../../ui/net/car-picture.component';

const standingName: Readonly<Record<Standing, { readonly name: string; readonly hint: string }>> = {
  street: { name: 'On the street', hint: 'nothing may run off' },
  drive: { name: 'On a drive', hint: 'water may run off' },
  deck: { name: 'Under a roof', hint: 'shade, nothing may run off' },
  garage: { name: 'In a garage', hint: 'indoors, nothing may run off' },
};

const ages: readonly { readonly days: number; readonly name: string }[] = [
  { days: 3, name: 'A few days ago' },
  { days: 7, name: 'A week ago' },
  { days: 14, name: 'Two weeks ago' },
  { days: 30, name: 'A month ago' },
  { days: 90, name: 'Longer ago' },
];

const vehicleOf = (body: Body, colour: Colour): Vehicle => ({
  ...newItem.vehicle('own'),
  body,
  colour,
  dimensions: defaultDimensions(body),
});

/** Four presses to a first plan: which car, which colour, where it stands, how long since it was washed. */
@Component({
  selector: 'esm-own-car',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective, CarPictureComponent],
  template: `
    <div class="head">
      <h2 aria-live="polite">{{ question() }}</h2>
      <span class="soft num">{{ step() + 1 }} of 4</span>
      @if (step() > 0) {
        <p-button
          label="Back"
          icon="pi pi-arrow-left"
          size="small"
          severity="secondary"
          [text]="true"
          (onClick)="step.set(step() - 1)"
        />
      }
    </div>
    <div class="answers">
      @switch (step()) {
        @case (0) {
          @for (one of cars; track one.body) {
            <button pButton type="button" severity="secondary" outlined (click)="body.set(one.body); step.set(1)">
              <esm-car-picture [vehicle]="one.vehicle" />{{ one.name }}
            </button>
          }
        }
        @case (1) {
          @for (one of paints(); track one.colour) {
            <button pButton type="button" severity="secondary" outlined (click)="colour.set(one.colour); step.set(2)">
              <esm-car-picture [vehicle]="one.vehicle" />{{ one.name }}
            </button>
          }
        }
        @case (2) {
          @for (one of places; track one.standing) {
            <button
              pButton
              type="button"
              severity="secondary"
              outlined
              (click)="standing.set(one.standing); step.set(3)"
            >
              {{ one.name }}<small>{{ one.hint }}</small>
            </button>
          }
        }
        @case (3) {
          @for (one of ages; track one.days) {
            <button pButton type="button" severity="secondary" outlined (click)="answer(one.days)">
              {{ one.name }}
            </button>
          }
        }
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    .head {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.3rem 1rem;
      min-height: 2.8rem;
    }
    h2 {
      margin: 0;
    }
    .answers {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(6.2rem, 100%), 1fr));
      gap: 0.5rem;
    }
    .answers button {
      flex-direction: column;
      gap: 0.3rem;
      min-height: 5.2rem;
    }
    esm-car-picture {
      width: 100%;
      height: 2.8rem;
    }
    small {
      font-weight: 400;
      color: var(--ink-soft);
    }
  `,
})
export class OwnCarComponent {
  readonly answered = output<OwnCar>();

  protected readonly step = signal(0);
  protected readonly body = signal<Body>('sedan');
  protected readonly colour = signal<Colour>('mid');
  protected readonly standing = signal<Standing>('street');
  protected readonly question = computed(
    () =>
      ['Which car is it?', 'How dark is its paint?', 'Where does it stand?', 'When was it last washed?'][this.step()]!,
  );

  protected readonly cars = bodies.map((body) => ({ body, name: bodyName[body], vehicle: vehicleOf(body, 'mid') }));
  protected readonly paints = computed(() =>
    colours.map((colour) => ({ colour, name: colourName[colour], vehicle: vehicleOf(this.body(), colour) })),
  );
  protected readonly places = standings.map((standing) => ({ standing, ...standingName[standing] }));
  protected readonly ages = ages;

  protected answer(days: number): void {
    this.answered.emit({ body: this.body(), colour: this.colour(), standing: this.standing(), days });
  }
}
