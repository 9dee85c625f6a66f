import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, untracked } from '@angular/core';
import { Button, ButtonDirective } from 'primeng/button';
import {
  type Decision,
  type DecisionAsked,
  decisionCards,
  decisionTry,
  decisions,
  nextCard,
  zonesOf,
} from '@esmero/core';
import type { LibraryEntry, Try } from '@esmero/model';
import {
  type Units,
  bodyName,
  capital,
  colourName,
  decisionName,
  levelName,
  reasonText,
  runoffName,
  soilName,
} from '@esmero/messages';
import { NOW } from '../../state/clock';
import { questionOf } from '../../state/study';
import { today } from '../../state/today';
import { CarPictureComponent } from '../../ui/net/car-picture.component';
import { soilLooks } from '../../ui/net/looks';
import type { Looks } from '../../ui/net/zone-look';
import { ProgressComponent } from '../../ui/progress.component';
import { RANDOM } from './random';
import { VerdictComponent } from './verdict.component';

/** A car and a place: what would you do? The planner answers, with its reasons. */
@Component({
  selector: 'esm-decision-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective, CarPictureComponent, ProgressComponent, VerdictComponent],
  template: `
    @if (study.answer(); as one) {
      <esm-car-picture class="car" [vehicle]="one.job.vehicle" [looks]="looks()" />
      <p class="asked">{{ car() }}</p>
      <dl class="facts num">
        @for (fact of facts(); track fact.name) {
          <dt>{{ fact.name }}</dt>
          <dd>{{ fact.says }}</dd>
        }
      </dl>
      @if (done(); as done) {
        <esm-verdict [right]="done.isRight">
          <p>
            <strong>{{ names[one.decision] }}</strong>
          </p>
          @for (reason of reasons(); track reason) {
            <p>{{ reason }}</p>
          }
        </esm-verdict>
        <p-button label="Next car" icon="pi pi-arrow-right" (onClick)="next()" />
      } @else {
        <div class="large" role="group" aria-label="What do you do">
          @for (one of answers; track one.value) {
            <button pButton type="button" severity="secondary" outlined (click)="tell(one.value)">
              {{ one.label }}
            </button>
          }
        </div>
      }
    } @else if (study.failure(); as why) {
      <p class="note stop" role="alert">{{ why }}</p>
    } @else {
      <esm-progress [percent]="100 * (study.share() ?? 0)" label="The next car" />
    }
  `,
  styleUrl: './drill.css',
})
export class DecisionDrillComponent {
  readonly tries = input.required<readonly Try[]>();
  readonly library = input.required<readonly LibraryEntry[]>();
  readonly units = input.required<Units>();
  readonly tried = output<Try>();

  private readonly now = inject(NOW);
  private readonly random = inject(RANDOM);
  protected readonly names = decisionName;
  protected readonly answers = decisions.map((value) => ({ value, label: decisionName[value] }));
  protected readonly done = signal<Try | null>(null);
  private readonly round = signal(0);
  private readonly asked = computed(
    (): DecisionAsked => ({ card: this.card(), library: this.library(), date: today(), seed: this.seed() }),
    { equal: (p, q) => p.seed === q.seed },
  );
  private readonly seed = computed(() => (this.round(), 1 + Math.floor(1e9 * this.random())));
  /** Only a new round asks for another: not each try that is noted. */
  private readonly card = computed(
    () => (this.round(), untracked(() => nextCard(decisionCards, this.tries(), this.now()))),
  );
  protected readonly study = questionOf('decision', this.asked, true);

  protected readonly car = computed(() => {
    const job = this.study.answer()?.job;
    return job ? `${capital(bodyName[job.vehicle.body])}, ${colourName[job.vehicle.colour].toLowerCase()}` : '';
  });
  protected readonly looks = computed((): Looks => {
    const job = this.study.answer()?.job ?? null;
    return soilLooks(job ? zonesOf(job.vehicle) : [], job);
  });
  protected readonly facts = computed(() => {
    const one = this.study.answer();
    if (!one) return [];
    const { site } = one.job;
    const soil = ([kind, level]: typeof one.upper): string => `${soilName[kind]} ${level}, ${levelName[level]}`;
    return [
      { name: 'Above', says: soil(one.upper) },
      { name: 'Below', says: soil(one.lower) },
      { name: 'Place', says: `${this.units().temperature(site.airC)}, ${site.shade ? 'shade' : 'sun'}` },
      { name: 'Run-off', says: runoffName[site.runoff] },
      { name: 'Water', says: this.units().water(site.waterL) },
      { name: 'Rinse gear', says: one.hasSprayer ? 'in the van' : 'none' },
    ];
  });
  protected readonly reasons = computed(() =>
    (this.study.answer()?.reasons ?? []).map((reason) => reasonText(reason, this.units())),
  );

  protected tell(answer: Decision): void {
    const one = this.study.answer();
    if (!one) return;
    const done = decisionTry(one, answer, this.now());
    this.done.set(done);
    this.tried.emit(done);
  }

  protected next(): void {
    this.done.set(null);
    this.round.update((round) => round + 1);
  }
}
