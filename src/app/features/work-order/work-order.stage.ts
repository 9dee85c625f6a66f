import { ChangeDetectionStrategy, Component, DOCUMENT, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { MenuItem } from 'primeng/api';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Menu } from 'primeng/menu';
import { type Plan, type RunRow, afterwards, changePass, detailsOf, passChangesOf, runRows } from '@esmero/core';
import { type PassChange, views } from '@esmero/model';
import {
  askedFor,
  type Units,
  afterSentences,
  cautionSentence,
  clock,
  dayText,
  figureValue,
  jobTitle,
  methodName,
  mixSentences,
  mixTitle,
  orderText,
  passChangeText,
  verdictSentence,
} from '@esmero/messages';
import type { WorkOrderPaper } from '@esmero/papers';
import { JobDesk } from '../../state/job-desk';
import { orderLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { viewOf } from '../../ui/net/view-layout';
import { type LapSection, lapSections } from './lap-sections';
import { OrdersComponent } from './orders.component';
import { PassCardComponent } from './pass-card.component';
import { knownBefore, countOut, marksBefore, slotText, totalsText, workOrderPaper } from './work-order-paper';
import { PrintListComponent } from './print-list.component';
import { ByHandComponent } from './by-hand.component';
import { PdfComponent } from '../../ui/pdf.component';
import { RunChartComponent } from '../../ui/run-chart/run-chart.component';

/** The wash pass by pass: cards on the clock on screen, a list on paper. */
@Component({
  selector: 'esm-work-order-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ByHandComponent,
    Dialog,
    Menu,
    OrdersComponent,
    PassCardComponent,
    PdfComponent,
    PrintListComponent,
    RunChartComponent,
  ],
  templateUrl: './work-order.stage.html',
  styleUrl: './work-order.stage.css',
})
export class WorkOrderStage {
  protected readonly wording = orderText;
  protected readonly desk = inject(JobDesk);
  private readonly router = inject(Router);
  private readonly document = inject(DOCUMENT);

  protected readonly rows = computed(() => {
    const plan = this.desk.plan();
    return plan && plan.method !== 'decline' ? runRows(plan) : [];
  });
  protected readonly sections = computed(() => lapSections(this.rows()));
  protected readonly jobTitle = jobTitle;
  protected readonly clock = clock;
  protected readonly ordersOpen = signal(false);
  /** Each side of the car once, for the pictures of all passes. */
  protected readonly views = computed(() => {
    const vehicle = this.desk.job()?.vehicle;
    const details = vehicle ? detailsOf(vehicle) : [];
    return views.map((view) => viewOf(view, this.desk.zones(), details));
  });
  protected readonly facts = computed(() => {
    const plan = this.desk.plan();
    if (!plan || plan.method === 'decline') return '';
    const { passes, walkedM } = plan.timeline;
    return `${passes.length} passes · ${this.desk.units().walk(walkedM)} on foot · ${figureValue(plan.totals.minutes, this.desk.units())}`;
  });
  protected readonly method = computed(() => methodName[this.desk.plan()?.method ?? 'decline']);
  protected readonly verdicts = computed(() =>
    (this.desk.plan()?.verdicts ?? []).map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  protected readonly known = this.ofPlan(knownBefore);
  protected readonly asked = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    return job && plan ? askedFor(job, plan, this.desk.units()) : [];
  });
  protected readonly marks = computed(() => {
    const job = this.desk.job();
    return job ? marksBefore(job) : [];
  });
  protected readonly cautions = computed(() => (this.desk.plan()?.cautions ?? []).map((one) => cautionSentence[one]));
  protected readonly totals = this.ofPlan(totalsText);
  protected readonly slot = this.ofPlan(slotText);
  protected readonly mixes = computed(() =>
    (this.desk.plan()?.mix.mixes ?? []).map((mix) => ({
      name: mixTitle(mix),
      vessel: mix.vessel.name,
      sentences: mixSentences(mix, this.desk.units()),
    })),
  );
  protected readonly count = this.ofPlan(countOut);
  protected readonly dayText = dayText;
  protected readonly paper = (): WorkOrderPaper =>
    workOrderPaper(this.desk.job()!, this.desk.plan()!, this.desk.units());
  protected readonly after = computed(() => {
    const [job, plan, u] = [this.desk.job(), this.desk.plan(), this.desk.units()];
    return job && plan && plan.method !== 'decline' ? afterSentences(afterwards(job, plan), u) : [];
  });

  /** In mid-run the rest is planned from what is done; passes are left as they are. */
  protected readonly canChange = computed(() => this.desk.job()?.run === null);
  /** What may be done with the pass that is asked about. */
  protected readonly items = signal<MenuItem[]>([]);

  constructor() {
    inject(NetBoard).use({
      shape: 'page',
      caption: 'The car, unfolded, with the order of work',
      looks: computed(() =>
        orderLooks(
          this.desk.zonePlans().values(),
          this.rows().flatMap(({ act, number, parts }) =>
            act === 'wipe' ? parts.map(({ zoneId }) => [zoneId, number!] as const) : [],
          ),
        ),
      ),
      paints: false,
      press: () => undefined,
    });
  }

  protected ask(row: RunRow, event: Event, menu: Menu): void {
    this.items.set(this.itemsFor(row));
    menu.toggle(event);
  }

  /** What is said of the plan; null while there is none. */
  private ofPlan<T>(say: (plan: Plan, u: Units) => T) {
    return computed(() => {
      const plan = this.desk.plan();
      return plan ? say(plan, this.desk.units()) : null;
    });
  }

  private itemsFor(row: RunRow): MenuItem[] {
    const plan = this.desk.plan();
    if (!plan || row.number === null) return [];
    const { earlier, later, joinBefore, joinNext, splits } = passChangesOf(plan, row.number);
    const item = (label: string, icon: string, change: PassChange | null): MenuItem[] =>
      change
        ? [{ label, icon, command: () => this.desk.edit(passChangeText(change), (job) => changePass(job, change)) }]
        : [];
    return [
      ...item('Do it before the one above', 'pi pi-arrow-up', earlier),
      ...item('Do it after the one below', 'pi pi-arrow-down', later),
      ...item('Join it with the one above', 'pi pi-link', joinBefore),
      ...item('Join it with the one below', 'pi pi-link', joinNext),
      ...splits.flatMap((change) => item(passChangeText(change), 'pi pi-minus', change)),
    ];
  }

  protected lapFacts({ passes, handS }: LapSection): string {
    const time = clock(handS);
    return passes === 0 ? time : `${passes === 1 ? 'one pass' : `${passes} passes`} · ${time}`;
  }

  protected toTheRun(): void {
    void this.router.navigate(['/job', this.desk.job()!.id, 'run']);
  }

  protected print(): void {
    this.document.defaultView?.print();
  }
}
