import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type Alternative, type Caution, type AssumptionGroup, type AssumptionKey, type BlockedZone, type Option, assumptionGroups, fixTreatment, setChoices, zoneTreatments } from '@esmero/core';
import { type Choices, type TreatmentId, type VehicleMethod, type ZoneId, schools } from '@esmero/model';
import {
  clock,
  figureValue,
  fixed,
  gateSentence,
  indexText,
  methodName,
  schoolName,
  shortageSentence,
  treatmentName,
  verdictSentence,
  zoneList,
  zoneName,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { AssumptionTableComponent } from '../../ui/assumption-table.component';
import { markOf, treatmentLooks } from '../../ui/net/looks';
import { CautionsComponent } from '../../ui/cautions.component';
import { NetBoard } from '../../ui/net/net-board';
import { RadioGroupDirective } from '../../ui/radio-group.directive';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { FrontComponent } from './front.component';
import { HabitsComponent } from './habits.component';
import { LearnedComponent } from './learned.component';
import { MatteredComponent } from './mattered.component';
import { RefusalComponent } from './refusal.component';
import { HelpComponent } from './help.component';
import { WhatIfComponent } from './what-if.component';

/** A method as a column beside the others. */
interface Column {
  readonly method: VehicleMethod;
  readonly name: string;
  readonly chosen: boolean;
  readonly asked: boolean;
  readonly can: boolean;
  readonly rows: readonly (readonly [label: string, value: string])[];
  readonly blocks: readonly string[];
  readonly zones: readonly ZoneId[];
}

interface OptionRow {
  readonly treatment: TreatmentId;
  readonly name: string;
  readonly mark: string;
  readonly chosen: boolean;
  readonly fixed: boolean;
  readonly index: string;
  readonly minutes: string;
  /** Over the chosen one, in the points that plans are weighed by. */
  readonly more: string;
  readonly gates: readonly string[];
}

/** Every figure of the model, by what it belongs to. */
const figures = (Object.keys(assumptionGroups) as AssumptionGroup[]).map((group) => ({
  group,
  keys: Object.keys(assumptionGroups[group]) as AssumptionKey[],
}));

/** What may be done first, the best on top; then what may not. */
const sorted = (options: readonly Option[]): readonly Option[] =>
  [...options].sort((p, q) => Number(p.gates.length > 0) - Number(q.gates.length > 0) || p.cost - q.cost);

const signed = (points: number): string => `${points < 0 ? '−' : '+'}${fixed(Math.abs(points), 2)}`;

/** The methods side by side, what decided between them, and what each zone gets. */
@Component({
  selector: 'esm-method-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AssumptionTableComponent,
    CautionsComponent,
    FrontComponent,
    HabitsComponent,
    LearnedComponent,
    MatteredComponent,
    RadioGroupDirective,
    RefusalComponent,
    HelpComponent,
    WhatIfComponent,
  ],
  templateUrl: './method.stage.html',
  styleUrl: './method.stage.css',
})
export class MethodStage {
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);

  protected readonly schools = schools;
  protected readonly schoolName = schoolName;
  protected readonly figures = figures;
  protected readonly figuresOpen = signal(false);
  protected readonly habitsOpen = signal(false);

  protected readonly verdicts = computed(() =>
    (this.desk.plan()?.verdicts ?? []).map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  protected readonly columns = computed(() => (this.desk.plan()?.alternatives ?? []).map((one) => this.column(one)));
  protected readonly zone = computed(() => {
    const id = this.view.current();
    const plan = id ? this.desk.zonePlans().get(id) : undefined;
    if (!id || !plan) return null;
    const job = this.desk.job()!;
    const byHand = job.choices.fixed[id];
    const options = zoneTreatments(job, id);
    const chosen = options.find(({ treatment }) => treatment === plan.treatment)?.cost ?? null;
    return {
      id,
      name: zoneName(id),
      fixed: byHand,
      left: plan.treatment === 'leave',
      rows: sorted(options).map((option) => this.optionRow(option, plan.treatment, byHand, chosen)),
    };
  });

  /** Cautions whose hazard is met here. */
  protected readonly here: readonly Caution[] = ['steam', 'electricity', 'hot-panels', 'brakes'];

  constructor() {
    inject(NetBoard).use({
      caption: 'The car, unfolded, with what is done to each zone',
      looks: computed(() =>
        treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {}),
      ),
      paints: false,
      press: () => undefined,
    });
  }

  private column({ method, outcome }: Alternative): Column {
    const u = this.desk.units();
    const plan = this.desk.plan();
    const base = {
      method,
      name: methodName[method],
      chosen: plan?.method === method,
      asked: this.desk.job()?.choices.method === method,
      can: false,
      rows: [],
      blocks: [],
      zones: [],
    };
    switch (outcome.kind) {
      case 'feasible': {
        const { totals, worst } = outcome;
        return {
          ...base,
          can: true,
          rows: [
            ['Time', figureValue(totals.minutes, u)],
            ['Water', figureValue(totals.litres, u)],
            ['Product', figureValue(totals.productMl, u)],
            ['Towels', figureValue(totals.towels, u)],
            ['Mean index', figureValue(totals.index, u)],
            ['Worst zone', worst ? `${indexText(worst.index)}, ${zoneName(worst.zoneId)}` : ''],
          ],
        };
      }
      case 'blocked':
        return {
          ...base,
          zones: outcome.blocked.map(({ zoneId }) => zoneId),
          blocks: [
            ...this.blockedBy(outcome.blocked),
            ...outcome.missing.map((gate) => gateSentence(gate, u)),
            ...outcome.shortages.map((shortage) => shortageSentence(shortage, u)),
          ],
        };
      case 'collapses':
        return { ...base, blocks: [`The best mix of methods here is ${methodName[outcome.into].toLowerCase()} alone.`] };
      case 'not-today':
        return { ...base, can: true, blocks: ['Nothing is touched. The car gets a full rinse wash elsewhere.'] };
    }
  }

  /** What stands in the way most often, in one sentence, with where. */
  private blockedBy(blocked: readonly BlockedZone[]): readonly string[] {
    if (blocked.length === 0) return [];
    const u = this.desk.units();
    const first = blocked[0]!.gates.at(0)?.gates[0];
    return [
      `${zoneList(blocked.map(({ zoneId }) => zoneId), 3)}: nothing of this method may touch them.`,
      ...(first ? [gateSentence(first, u)] : []),
    ];
  }

  private optionRow(option: Option, treatment: TreatmentId, byHand: TreatmentId | undefined, chosen: number | null): OptionRow {
    const u = this.desk.units();
    return {
      treatment: option.treatment,
      name: treatmentName(option.treatment),
      mark: markOf(option.treatment),
      chosen: option.treatment === treatment,
      fixed: option.treatment === byHand,
      index: indexText(option.marring.index),
      minutes: clock(option.usage.minutes * 60),
      more: chosen === null || option.treatment === treatment ? '' : signed(option.cost - chosen),
      gates: option.gates.map((gate) => gateSentence(gate, u)),
    };
  }

  protected choose(cause: string, choices: Partial<Choices>): void {
    this.desk.edit(cause, (job) => {
      // What is chosen here and now goes over what was wished before.
      const wishes = Object.fromEntries(Object.entries(job.wishes).filter(([key]) => !(key in choices)));
      return setChoices({ ...job, wishes }, choices);
    });
  }

  protected ask(method: VehicleMethod): void {
    const asked = this.desk.job()?.choices.method === method;
    this.choose(asked ? 'Method left to the plan' : `${methodName[method]} asked for`, { method: asked ? 'auto' : method });
  }

  protected fix(id: ZoneId, treatment: TreatmentId | null): void {
    const what = treatment ? treatmentName(treatment).toLowerCase() : 'left to the plan';
    this.desk.edit(`${zoneName(id)}: ${what}`, (job) => fixTreatment(job, [id], treatment));
  }

  protected light(zones: readonly ZoneId[]): void {
    this.view.light(zones);
  }
}
