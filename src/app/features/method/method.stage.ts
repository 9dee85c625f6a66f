import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { Drawer } from 'primeng/drawer';
import {
  type AssumptionGroup,
  type AssumptionKey,
  type Caution,
  type Verdict,
  assumptionGroups,
  setChoices,
} from '@esmero/core';
import { type Approach, habitAnswers } from '@esmero/model';
import { approachName, verdictSentence, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { AssumptionTableComponent } from '../../ui/assumption-table.component';
import { CautionsComponent } from '../../ui/cautions.component';
import { closeButton } from '../../ui/close-button';
import { ChoiceComponent } from '../../ui/choice.component';
import { treatmentLegend, treatmentLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { AnswerComponent } from './answer.component';
import { MethodColumnsComponent } from './columns.component';
import { FrontComponent } from './front.component';
import { HabitsComponent } from './habits.component';
import { HelpComponent } from './help.component';
import { LearnedComponent } from './learned.component';
import { OwnEyeComponent } from './own-eye.component';
import { MatteredComponent } from './mattered.component';
import { PanelOptionsComponent } from './panel-options.component';
import { RefusalComponent } from './refusal.component';
import { WhatIfComponent } from './what-if.component';

type Topic = 'changes' | 'trade-offs' | 'approach' | 'habits' | 'figures';

/** What opens beside the answer and closes again. */
const more: readonly { readonly topic: Topic; readonly name: string; readonly icon: string }[] = [
  { topic: 'changes', name: 'What would change the answer?', icon: 'pi pi-directions' },
  { topic: 'trade-offs', name: 'Trade-offs', icon: 'pi pi-chart-scatter' },
  { topic: 'approach', name: 'Where your approach matters', icon: 'pi pi-question-circle' },
  { topic: 'habits', name: 'Habits and the client’s wishes', icon: 'pi pi-sliders-h' },
  { topic: 'figures', name: 'All figures behind the plan', icon: 'pi pi-table' },
];

/** Every figure of the model, by what it belongs to. */
const figures = (Object.keys(assumptionGroups) as AssumptionGroup[]).map((group) => ({
  group,
  keys: Object.keys(assumptionGroups[group]) as AssumptionKey[],
}));

/** The rest is in the answer's own line, or in the columns. */
const toldElsewhere: ReadonlySet<Verdict['code']> = new Set([
  'chosen',
  'asked-for',
  'runner-up',
  'method-blocked',
  'zones-blocked',
  'over-budget',
  'missing',
]);

/** The answer, the methods side by side, and what each panel gets. */
@Component({
  selector: 'esm-method-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AnswerComponent,
    AssumptionTableComponent,
    ButtonDirective,
    CautionsComponent,
    ChoiceComponent,
    Drawer,
    FrontComponent,
    HabitsComponent,
    HelpComponent,
    LearnedComponent,
    OwnEyeComponent,
    MatteredComponent,
    MethodColumnsComponent,
    PanelOptionsComponent,
    RefusalComponent,
    WhatIfComponent,
  ],
  templateUrl: './method.stage.html',
  styleUrl: './method.stage.css',
})
export class MethodStage {
  protected readonly wording = methodText;
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);

  protected readonly approaches = habitAnswers.approach.map((value) => ({ value, label: approachName[value] }));
  protected readonly approach = computed(
    () => this.desk.job()?.wishes.approach ?? this.desk.job()?.choices.approach ?? null,
  );
  protected readonly figures = figures;
  protected readonly more = more;
  protected readonly topic = signal<Topic | null>(null);
  protected readonly topicName = computed(() => more.find(({ topic }) => topic === this.topic())?.name ?? '');
  protected readonly close = closeButton;

  /** What else is to be known of this plan. */
  protected readonly notes = computed(() =>
    (this.desk.plan()?.verdicts ?? [])
      .filter(({ code }) => !toldElsewhere.has(code))
      .map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  protected readonly panel = computed(() => {
    const id = this.view.current();
    return id && this.desk.zonePlans().has(id) ? id : null;
  });

  /** Cautions whose hazard is met here. */
  protected readonly here: readonly Caution[] = ['steam', 'electricity', 'hot-panels', 'brakes'];

  constructor() {
    inject(NetBoard).use({
      shape: 'car',
      caption: 'The car, unfolded, with what is done to each panel',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      legend: computed(() => treatmentLegend(this.desk.zonePlans().values(), this.desk.units())),
      paints: false,
      press: () => undefined,
    });
  }

  /** What is chosen here and now goes over what was wished before. */
  protected accept(approach: Approach): void {
    this.desk.edit(`${approachName[approach]} approach`, (job) => {
      const { approach: _wish, ...wishes } = job.wishes;
      return setChoices({ ...job, wishes }, { approach });
    });
  }
}
