import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { Button, ButtonDirective } from 'primeng/button';
import { type Deal, type DecisionAsked, type PlannedPass, dealTry, deals, detailsOf, zonesOf } from '@esmero/core';
import { type LibraryEntry, type Try, views } from '@esmero/model';
import {
  type Units,
  bodyName,
  capital,
  colourName,
  dealName,
  practiceText,
  roughly,
  soilName,
  zoneName,
} from '@esmero/messages';
import { NOW } from '../../state/clock';
import { questionOf } from '../../state/study';
import { today } from '../../state/today';
import { PassPictureComponent } from '../../ui/net/pass-picture.component';
import { viewOf } from '../../ui/net/view-layout';
import { TowelSidesComponent } from '../../ui/towel/towel-sides.component';
import { ProgressComponent } from '../../ui/progress.component';
import { RANDOM } from './random';
import { VerdictComponent } from './verdict.component';

/** The sides of a car's towels, dealt panel by panel and laid beside the ledger. */
@Component({
  selector: 'esm-dealing-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective, PassPictureComponent, ProgressComponent, TowelSidesComponent, VerdictComponent],
  template: `
    @if (task(); as task) {
      <p class="soft num">{{ wording.sampled(car()) }} · {{ at() + 1 }} / {{ tasks().length }}</p>
      <esm-pass-picture class="car" [views]="views()" [pass]="pass()" fill="plain" />
      <p class="asked num">{{ next() }}</p>
      <div class="hand">
        @if (task.inHand; as hand) {
          <esm-towel-sides [fold]="hand.fold" [now]="[hand.side]" [fullness]="hand.fullness" />
        }
        <p class="num">{{ wording.hand(task.inHand) }}</p>
      </div>
      @if (done(); as done) {
        <esm-verdict [right]="done.isRight">{{ wording.dealTruth(task.deal, task.towel, task.side) }}</esm-verdict>
        <p-button label="Next panel" icon="pi pi-arrow-right" (onClick)="go()" />
      } @else {
        <div class="large three" role="group" aria-label="What do you do">
          @for (one of deals; track one.value) {
            <button pButton type="button" severity="secondary" outlined (click)="tell(one.value)">
              {{ one.label }}
            </button>
          }
        </div>
      }
    } @else if (study.answer()) {
      <p class="note">{{ tasks().length > 0 ? wording.allDealt : wording.noCar }}</p>
      <p-button label="Next car" icon="pi pi-arrow-right" (onClick)="nextCar()" />
    } @else if (study.failure(); as why) {
      <p class="note stop" role="alert">{{ why }}</p>
    } @else {
      <esm-progress [percent]="100 * (study.share() ?? 0)" label="The next car" />
    }
  `,
  styleUrl: './drill.css',
})
export class DealingDrillComponent {
  readonly library = input.required<readonly LibraryEntry[]>();
  readonly units = input.required<Units>();
  readonly tried = output<Try>();

  protected readonly wording = practiceText;
  private readonly now = inject(NOW);
  private readonly random = inject(RANDOM);
  protected readonly deals = deals.map((value) => ({ value, label: dealName[value] }));
  private readonly seed = signal(1 + Math.floor(1e6 * this.random()));
  private readonly asked = computed(
    (): Omit<DecisionAsked, 'card'> => ({ library: this.library(), date: today(), seed: this.seed() }),
    { equal: (p, q) => p.seed === q.seed },
  );
  protected readonly study = questionOf('dealing', this.asked, true);
  protected readonly tasks = computed(() => this.study.answer()?.tasks ?? []);
  protected readonly car = computed(() => {
    const vehicle = this.study.answer()?.job.vehicle;
    return vehicle ? `${capital(bodyName[vehicle.body])}, ${colourName[vehicle.colour].toLowerCase()}` : '';
  });
  protected readonly at = signal(0);
  protected readonly task = computed(() => this.tasks()[this.at()] ?? null);
  /** Each side of the car once, and the panel that comes next. */
  protected readonly views = computed(() => {
    const vehicle = this.study.answer()?.job.vehicle;
    if (!vehicle) return [];
    const [zones, details] = [zonesOf(vehicle), detailsOf(vehicle)];
    return views.map((view) => viewOf(view, zones, details));
  });
  protected readonly pass = computed((): Pick<PlannedPass, 'parts' | 'place'> => {
    const zoneId = this.task()?.zoneId;
    return { place: 'left', parts: zoneId ? [{ zoneId, section: 1, of: 1, share: 1 }] : [] };
  });
  protected readonly done = signal<Try | null>(null);
  protected readonly next = computed(() => {
    const task = this.task();
    if (!task) return '';
    const kinds = task.soil.loads.map(({ kind }) => soilName[kind]).join(', ');
    return `${capital(zoneName(task.zoneId))}: ${kinds}, ${this.units().load(roughly(task.soil.totalGm2))}, ${this.units().area(task.areaM2)}`;
  });

  protected tell(deal: Deal): void {
    const task = this.task();
    if (!task) return;
    const done = dealTry(task, deal, this.now());
    this.done.set(done);
    this.tried.emit(done);
  }

  protected nextCar(): void {
    this.at.set(0);
    this.seed.update((seed) => seed + 1);
  }

  protected go(): void {
    this.done.set(null);
    this.at.update((at) => at + 1);
  }
}
