import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  type Alternative,
  type AssumptionGroup,
  type AssumptionKey,
  type BlockedZone,
  type Choices,
  type Job,
  type Option,
  type TreatmentId,
  type VehicleMethod,
  type WhatIf,
  type ZoneId,
  assumptionGroups,
  fixTreatment,
  glassSchools,
  schools,
  setChoices,
  wheelSchools,
  withChange,
} from '@esmero/core';
import type { WhatIfAnswer } from '@esmero/worker';
import {
  changeText,
  figureValue,
  gateSentence,
  indexText,
  methodName,
  minutes,
  schoolName,
  shortageSentence,
  treatmentName,
  verdictSentence,
  whatIfSentence,
  zoneList,
  zoneName,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { PLANNING } from '../../state/ports';
import { AssumptionTableComponent } from '../../ui/assumption-table.component';
import { markOf, treatmentLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { RadioGroupDirective } from '../../ui/radio-group.directive';
import { ZoneInView } from '../../ui/net/zone-in-view';

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
  readonly gates: readonly string[];
}

const wheelName = { auto: 'As it suits', first: 'First', last: 'Last' } as const;
const glassName = { first: 'Right after the roof', last: 'Last, with a cleaner of its own' } as const;

/** Every figure of the model, by what it belongs to. */
const figures = (Object.keys(assumptionGroups) as AssumptionGroup[]).map((group) => ({
  group,
  keys: Object.keys(assumptionGroups[group]) as AssumptionKey[],
}));

/** The methods side by side, what decided between them, and what each zone gets. */
@Component({
  selector: 'esm-method-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AssumptionTableComponent, RadioGroupDirective],
  templateUrl: './method.stage.html',
  styleUrl: './method.stage.css',
})
export class MethodStage {
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);

  protected readonly schools = schools;
  protected readonly schoolName = schoolName;
  protected readonly wheelSchools = wheelSchools;
  protected readonly wheelName = wheelName;
  protected readonly glassSchools = glassSchools;
  protected readonly glassName = glassName;
  protected readonly figures = figures;
  protected readonly figuresOpen = signal(false);

  private readonly planning = inject(PLANNING);
  /** What was found for the job as it is; another job asks anew. */
  private readonly found = linkedSignal<Job | null, WhatIfAnswer | 'working' | null>({
    source: this.desk.job,
    computation: () => null,
  });
  protected readonly working = computed(() => this.found() === 'working');
  protected readonly asked = computed(() => this.found() !== null && !this.working());
  protected readonly failure = computed(() => {
    const found = this.found();
    return found !== null && found !== 'working' && found.kind === 'failed' ? found.message : null;
  });
  protected readonly changes = computed(() => {
    const found = this.found();
    if (found === null || found === 'working' || found.kind !== 'what-if') return [];
    return found.answers.map((answer) => ({ answer, says: whatIfSentence(answer, this.desk.units()) }));
  });

  protected readonly verdicts = computed(() =>
    (this.desk.plan()?.verdicts ?? []).map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  protected readonly columns = computed(() => (this.desk.plan()?.alternatives ?? []).map((one) => this.column(one)));
  protected readonly zone = computed(() => {
    const id = this.view.current();
    const plan = id ? this.desk.zonePlans().get(id) : undefined;
    if (!id || !plan) return null;
    const fixed = this.desk.job()?.choices.fixed[id];
    return {
      id,
      name: zoneName(id),
      fixed,
      left: plan.treatment === 'leave',
      rows: plan.options.map((option) => this.optionRow(option, plan.treatment, fixed)),
    };
  });

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

  private optionRow(option: Option, treatment: TreatmentId, fixed: TreatmentId | undefined): OptionRow {
    const u = this.desk.units();
    return {
      treatment: option.treatment,
      name: treatmentName(option.treatment),
      mark: markOf(option.treatment),
      chosen: option.treatment === treatment,
      fixed: option.treatment === fixed,
      index: indexText(option.marring.index),
      minutes: minutes(option.usage.minutes),
      gates: option.gates.map((gate) => gateSentence(gate, u)),
    };
  }

  protected async askWhatIf(): Promise<void> {
    const job = this.desk.job();
    if (!job) return;
    this.found.set('working');
    const found = await this.planning.whatIf(job);
    if (this.desk.job() === job) this.found.set(found);
  }

  protected take({ change }: WhatIf): void {
    this.desk.edit(changeText(change, this.desk.units()), (job) => withChange(job, change));
  }

  protected choose(cause: string, choices: Partial<Choices>): void {
    this.desk.edit(cause, (job) => setChoices(job, choices));
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
