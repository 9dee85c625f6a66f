import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { Button, ButtonDirective } from 'primeng/button';
import { type Deal, type Plan, dealTry, dealingOf, deals } from '@esmero/core';
import type { Try } from '@esmero/model';
import { type Units, capital, dealName, levelName, practiceText, soilName, zoneName } from '@esmero/messages';
import { NOW } from '../../state/clock';

/** The sides of a car's towels, dealt panel by panel and laid beside the ledger. */
@Component({
  selector: 'esm-dealing-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective],
  template: `
    @if (task(); as task) {
      <p class="soft num">{{ wording.sampled(car()) }} · {{ at() + 1 }} / {{ tasks().length }}</p>
      <p class="asked num">{{ next() }}</p>
      <p class="num">{{ wording.hand(task.fullness, hand().towel, hand().side, hand().fold) }}</p>
      @if (done(); as done) {
        <p class="verdict num" role="status" [class.right]="done.isRight"><i [class]="done.isRight ? 'pi pi-check' : 'pi pi-times'" aria-hidden="true"></i>{{ wording.dealTruth(task.deal, task.towel, task.side) }}</p>
        <p-button label="Next panel" icon="pi pi-arrow-right" (onClick)="go()" />
      } @else {
        <div class="row" role="group" aria-label="What do you do">
          @for (one of deals; track one.value) {
            <button pButton type="button" severity="secondary" outlined (click)="tell(one.value)">{{ one.label }}</button>
          }
        </div>
      }
    } @else {
      <p class="note">{{ tasks().length > 0 ? wording.allDealt : wording.noCar }}</p>
    }
  `,
  styleUrl: './drill.css',
})
export class DealingDrillComponent {
  readonly plan = input.required<Plan | null>();
  readonly car = input.required<string>();
  readonly units = input.required<Units>();
  readonly tried = output<Try>();

  protected readonly wording = practiceText;
  private readonly now = inject(NOW);
  protected readonly deals = deals.map((value) => ({ value, label: dealName[value] }));
  protected readonly tasks = computed(() => {
    const plan = this.plan();
    return plan ? dealingOf(plan) : [];
  });
  protected readonly at = signal(0);
  protected readonly task = computed(() => this.tasks()[this.at()] ?? null);
  /** What is in the hand before. */
  protected readonly hand = computed(() => this.tasks()[this.at() - 1] ?? { towel: 0, side: 0, fold: 0 });
  protected readonly done = signal<Try | null>(null);
  protected readonly next = computed(() => {
    const task = this.task();
    const found = this.plan()?.zones.find(({ zone }) => zone.id === task?.zoneId);
    if (!found) return '';
    const heaviest = [...found.soil.loads].sort((p, q) => q.loadGm2 - p.loadGm2)[0];
    const what = heaviest ? `${soilName[heaviest.kind]}, ${this.units().load(Number(found.soil.totalGm2.toPrecision(2)))}` : levelName[0];
    return `${capital(zoneName(found.zone.id))}: ${what}, ${this.units().area(found.zone.areaM2)}`;
  });

  protected tell(deal: Deal): void {
    const task = this.task();
    if (!task) return;
    const done = dealTry(task, deal, this.now());
    this.done.set(done);
    this.tried.emit(done);
  }

  protected go(): void {
    this.done.set(null);
    this.at.update((at) => at + 1);
  }
}
