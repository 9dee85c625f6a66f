import {
  ChangeDetectionStrategy,
  Component,
  DOCUMENT,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Button, ButtonDirective } from 'primeng/button';
import { type StageState, type Totals, stageStates } from '@esmero/core';
import type { View, ZoneId } from '@esmero/model';
import { capital, timeOfDay, viewName, frameText } from '@esmero/messages';
import { JobDesk } from '../state/job-desk';
import { ChoiceComponent, type ChoiceOption } from '../ui/choice.component';
import { CarNetComponent } from '../ui/net/car-net.component';
import { NetLegendComponent } from '../ui/net/net-legend.component';
import { NetBoard } from '../ui/net/net-board';
import { ZoneInView } from '../ui/net/zone-in-view';
import { mediaSignal } from '../ui/media';
import { TotalsStripComponent, totalTitles } from '../ui/totals-strip.component';
import { type Asked, WhyComponent } from '../ui/why.component';
import { ZoneCardComponent } from '../ui/zone-card.component';
import { SavingBarComponent } from './saving-bar.component';
import { isTyping } from './shortcuts.component';
import { stages } from './stages';

const stateName: Readonly<Record<StageState, string>> = { done: 'done', attention: 'needs a look', open: 'not begun' };

/** One job: the car in the middle, the stages around it, the totals below. */
@Component({
  selector: 'esm-workspace',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    RouterOutlet,
    RouterLink,
    RouterLinkActive,
    CarNetComponent,
    ChoiceComponent,
    NetLegendComponent,
    SavingBarComponent,
    TotalsStripComponent,
    WhyComponent,
    ZoneCardComponent,
    Button,
    ButtonDirective,
  ],
  templateUrl: './workspace.component.html',
  styleUrl: './workspace.component.css',
  host: { '(document:keydown)': 'shortcut($event)' },
})
export class WorkspaceComponent {
  protected readonly wording = frameText;
  readonly id = input.required<string>();

  protected readonly desk = inject(JobDesk);
  protected readonly board = inject(NetBoard);
  protected readonly view = inject(ZoneInView);
  private readonly router = inject(Router);
  private readonly document = inject(DOCUMENT);

  protected readonly stages = stages;
  protected readonly stateName = stateName;
  protected readonly states = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    return job && plan
      ? stageStates(
          job,
          plan,
          this.desk.allZones().map(({ id }) => id),
        )
      : null;
  });
  protected readonly whose = computed(() => {
    const job = this.desk.job();
    return job ? [job.client, job.vehicle.name, job.site.name].filter((part) => part !== '').join(' · ') : '';
  });
  protected readonly asked = signal<keyof Totals | null>(null);
  /** Follows the plan while it is open: a figure set otherwise shows at once what it does. */
  protected readonly question = computed((): Asked | null => {
    const key = this.asked();
    const figure = key ? this.desk.plan()?.totals[key] : null;
    const title = totalTitles.find(([known]) => known === key)?.[1];
    return figure && title ? { title, figure } : null;
  });
  private readonly narrow = mediaSignal('(max-width: 47.99rem) and (orientation: portrait)');

  protected readonly lie = computed(() =>
    this.narrow() && this.board.mode()?.paints ? ('up' as const) : ('across' as const),
  );
  /** Brought close, in the order in which somebody walks round the car; null: all of it. */
  private readonly turned = signal<View | null>(null);
  protected readonly side = computed(() => (this.board.mode()?.shape === 'car' ? this.turned() : null));
  protected readonly sides: readonly ChoiceOption<View | 'all'>[] = [
    { value: 'all', label: 'Whole' },
    ...(['left', 'front', 'right', 'rear', 'top'] as const).map((value) => ({
      value,
      label: capital(viewName[value].replace(' side', '')),
    })),
  ];
  protected readonly sideChosen = computed((): View | 'all' => this.side() ?? 'all');
  protected turnTo(side: View | 'all'): void {
    this.turned.set(side === 'all' ? null : side);
  }
  private readonly shownId = computed(() => this.view.hovered() ?? this.view.current());
  protected readonly shownZone = computed(() => {
    const id = this.shownId();
    return id ? this.desk.zone(id) : undefined;
  });
  protected readonly shownSoil = computed(() => this.desk.job()?.soil[this.shownZone()?.id ?? 'roof']);
  protected readonly shownPlan = computed(() => this.desk.zonePlans().get(this.shownZone()?.id ?? 'roof'));

  /** The run has the screen to itself; stages can be had back for a look. */
  protected readonly beside = computed(() => (this.board.mode()?.beside?.() ?? false) && !this.stagesWanted());
  protected readonly stagesWanted = signal(false);

  /** In mid-run the plan is that of the rest: somebody who looks for the whole has to know. */
  protected readonly rest = computed(() => {
    const at = this.desk.plan()?.begun.at ?? null;
    return at === null || this.beside() ? null : frameText.midRun(timeOfDay(at));
  });

  constructor() {
    effect(() => {
      this.document.body.classList.toggle('beside', this.beside());
    });
    inject(DestroyRef).onDestroy(() => this.document.body.classList.remove('beside'));
    effect(() => {
      const id = this.id();
      untracked(() => {
        if (this.desk.job()?.id === id) return this.desk.tryAgain();
        this.view.choose(null);
        this.desk.open(id);
      });
    });
  }

  /** On a narrow screen the row of stages is longer than what is seen of it. */
  protected bringIntoView(tab: HTMLElement, active: boolean): void {
    if (active) tab.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }

  protected press({ id, stroke }: { id: ZoneId; stroke: string }): void {
    this.view.choose(id);
    this.board.mode()?.press(id, stroke);
  }

  protected callOff(stroke: string): void {
    this.desk.callOff(stroke);
  }

  protected key({ id, event }: { id: ZoneId; event: KeyboardEvent }): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (this.board.mode()?.key?.(event.key, id)) event.preventDefault();
  }

  protected shortcut(event: KeyboardEvent): void {
    if (isTyping(event.target)) return;
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) this.desk.redo();
      else this.desk.undo();
    } else if (event.key === '[' || event.key === ']') {
      this.step(event.key === ']' ? 1 : -1);
    }
  }

  private step(by: 1 | -1): void {
    const now = stages.findIndex(({ path }) => this.router.url.endsWith(path));
    const next = stages[now + by];
    if (next) void this.router.navigate(['/job', this.id(), next.path]);
  }
}
