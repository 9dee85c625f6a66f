import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, untracked } from '@angular/core';
import { Button } from 'primeng/button';
import {
  type MixingTask,
  type PouringOrder,
  mixingCards,
  mixingTask,
  mixingTry,
  nextCard,
  pouringOrders,
  practiceVessel,
  strengthError,
} from '@esmero/core';
import type { Try } from '@esmero/model';
import { type Units, pourName, practiceText, vesselKindName } from '@esmero/messages';
import { NOW } from '../../state/clock';
import { ChoiceComponent } from '../../ui/choice.component';
import { NumberComponent } from '../../ui/number.component';
import { VesselDrawingComponent } from '../../ui/vessel/vessel-drawing.component';
import { RANDOM } from './random';
import { VerdictComponent } from './verdict.component';

const MOST_ML = { min: 0, max: 20_000 } as const;

/** A label, a cap, a vessel: how much product, and what goes in first. */
@Component({
  selector: 'esm-mixing-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ChoiceComponent, NumberComponent, VerdictComponent, VesselDrawingComponent],
  template: `
    <p class="asked num">{{ wording.asked(task(), units()) }}</p>
    <p class="num">{{ wording.cap(task(), units()) }} {{ wording.twist[task().twist] }}</p>
    <div class="row">
      <label class="field" for="poured"
        >Product<esm-number
          inputId="poured"
          [as]="units().edit.volume"
          [bounds]="most"
          [digits]="1"
          [value]="poured()"
          (typed)="poured.set($event)"
      /></label>
      <label class="field" for="caps"
        >or in caps<esm-number
          inputId="caps"
          unit="caps"
          [bounds]="most"
          [digits]="1"
          [value]="caps()"
          (typed)="inCaps($event)"
      /></label>
    </div>
    <esm-choice
      label="What goes in first"
      [options]="orders"
      [value]="first()"
      (chosen)="done() === null && first.set($event)"
    />
    @if (done(); as done) {
      <esm-verdict [right]="done.isRight">{{ says() }}</esm-verdict>
      <esm-vessel-drawing [vessel]="vessel()" content="As it should be" [fill]="fill()" [units]="units()" />
      <p-button label="Next mix" icon="pi pi-arrow-right" (onClick)="next()" />
    } @else {
      <p-button
        label="Pour it"
        icon="pi pi-check"
        [disabled]="poured() === null || first() === null"
        (onClick)="tell()"
      />
    }
  `,
  styleUrl: './drill.css',
})
export class MixingDrillComponent {
  readonly tries = input.required<readonly Try[]>();
  readonly units = input.required<Units>();
  readonly tried = output<Try>();

  protected readonly wording = practiceText;
  private readonly now = inject(NOW);
  private readonly random = inject(RANDOM);
  protected readonly most = MOST_ML;
  protected readonly orders = pouringOrders.map((value) => ({ value, label: pourName[value] }));

  protected readonly poured = signal<number | null>(null);
  protected readonly first = signal<PouringOrder | null>(null);
  protected readonly done = signal<Try | null>(null);
  private readonly picked = signal<MixingTask | null>(null);
  protected readonly task = computed((): MixingTask => this.picked() ?? untracked(() => this.pick()));
  protected readonly caps = computed(() => {
    const poured = this.poured();
    return poured === null ? null : Number((poured / this.task().capMl).toFixed(2));
  });
  protected readonly vessel = computed(() => {
    const vessel = practiceVessel(this.task().volumeMl);
    return { ...vessel, name: vesselKindName[vessel.kind] };
  });
  /** Water on what is in it already, then product. */
  protected readonly fill = computed(() => {
    const { volumeMl, productMl } = this.task();
    return { totalMl: volumeMl, waterMl: volumeMl - productMl, dose: { measured: { deliveredMl: productMl } } };
  });
  private begunAt = this.now();
  protected readonly says = computed(() => {
    const done = this.done();
    if (!done) return '';
    const order = this.first() === 'product' ? ` ${practiceText.waterFirst}` : '';
    return `${practiceText.mixOff(strengthError(done))} ${practiceText.mixTruth(this.task(), this.units())} ${practiceText.took((done.at - this.begunAt) / 1000)}${order}`;
  });

  private pick(): MixingTask {
    return mixingTask(nextCard(mixingCards, this.tries(), this.now()), this.random);
  }

  protected inCaps(count: number | null): void {
    this.poured.set(count === null ? null : count * this.task().capMl);
  }

  protected tell(): void {
    const [poured, first, task] = [this.poured(), this.first(), this.task()];
    if (poured === null || first === null) return;
    const done = mixingTry(task, poured, first, this.now());
    this.done.set(done);
    this.tried.emit(done);
  }

  protected next(): void {
    this.done.set(null);
    this.poured.set(null);
    this.first.set(null);
    this.begunAt = this.now();
    this.picked.set(this.pick());
  }
}
