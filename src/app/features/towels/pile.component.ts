import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { DragDropModule } from 'primeng/dragdrop';
import { Select } from 'primeng/select';
import { type StepKind, type UsedTowel, handMovesIn, towelFillAt, mayBecome, setAside } from '@esmero/core';
import { type CleanlinessClass, type TowelBatch, type TowelRole, type ZoneId, bounds, towelRoles } from '@esmero/model';
import {
  className,
  clock,
  mittSentence,
  passZones,
  ranges,
  roleName,
  sidesSentence,
  stepText,
  towelName,
  towelsText,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { NumberComponent } from '../../ui/number.component';
import { PlayBarComponent } from '../../ui/play-bar.component';
import { TowelSquareComponent } from '../../ui/towel/towel-square.component';

const classes: readonly CleanlinessClass[] = [0, 1, 2, 3, 4, 5];

/** Steps that fill towels. */
const filling: readonly StepKind[] = ['wipe', 'finish', 'dry', 'glass', 'protect'];

/** Every towel that is opened with its sides, as full as they are at any moment of the run. */
@Component({
  selector: 'esm-pile',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ButtonDirective,
    DragDropModule,
    FormsModule,
    NumberComponent,
    PlayBarComponent,
    Select,
    TowelSquareComponent,
  ],
  templateUrl: './pile.component.html',
  styleUrl: './pile.component.css',
})
export class PileComponent {
  protected readonly wording = towelsText;
  readonly counted = output<{ readonly batch: TowelBatch; readonly clean: number }>();

  private readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);

  protected readonly bounds = bounds;
  protected readonly classes = classes;
  protected readonly className = className;
  protected readonly roleName = roleName;
  protected readonly towelName = towelName;
  protected readonly mitt = mittSentence;

  protected readonly towels = computed(() => this.desk.plan()?.towels ?? []);
  protected readonly mitts = computed(() => this.desk.plan()?.mitts ?? []);
  protected readonly zone = computed(() => this.view.hovered() ?? this.view.current());

  private readonly said = signal('');
  protected readonly says = computed(() => {
    const zone = this.zone();
    if (this.said()) return this.said();
    return zone ? sidesSentence(this.towels(), zone) : towelsText.pointAt;
  });

  private readonly steps = computed(() =>
    (this.desk.plan()?.timeline.steps ?? [])
      .filter(({ kind }) => filling.includes(kind))
      .sort((p, q) => p.endS - q.endS),
  );
  protected readonly last = computed(() => this.steps().length);
  /** Steps that are over; the whole run until somebody goes back in it. */
  protected readonly at = linkedSignal(() => this.last());
  protected readonly moment = computed(() => {
    const step = this.steps()[this.at() - 1];
    if (!step) return 'Before the first wipe';
    return this.at() === this.last()
      ? `At the end, ${clock(step.endS)}`
      : `${clock(step.endS)}: ${stepText(step).toLowerCase()} is done`;
  });
  /** Each wiped pass with the step at which it is over. */
  protected readonly passes = computed(() => {
    const steps = this.steps();
    return (this.desk.plan()?.timeline.passes ?? []).flatMap((pass) => {
      const at = steps.map((step) => step.pass).lastIndexOf(pass.number) + 1;
      return at > 0 ? [{ number: pass.number, title: passZones(pass), at }] : [];
    });
  });
  protected readonly passNow = computed(() => this.steps()[this.at() - 1]?.pass ?? null);
  /** The towels of the pass that is looked at, with their sides. */
  protected readonly inHand = computed(() => {
    const [plan, pass] = [this.desk.plan(), this.passNow()];
    if (!plan || pass === null || this.at() === this.last()) return '';
    const held = handMovesIn(plan, pass).map(
      ({ towel, role, sides }) =>
        `towel ${towel}, ${roleName[role]}, ${sides.length > 1 ? 'sides' : 'side'} ${ranges(sides)}`,
    );
    return held.length > 0 ? towelsText.inHand(held.join('; ')) : '';
  });
  private readonly fill = computed(() => {
    const plan = this.desk.plan();
    return plan ? towelFillAt(plan) : () => [];
  });
  protected readonly now = computed(() =>
    this.at() === this.last() ? this.towels() : this.fill()(this.steps()[this.at() - 1]?.endS ?? 0),
  );

  /** The batches of each role with their clean towels; a towel may be dropped on any. */
  protected readonly piles = computed(() =>
    towelRoles.map((role) => ({
      role,
      batches: (this.desk.job()?.towels ?? []).filter((batch) => batch.role === role),
    })),
  );
  protected readonly dragged = signal<UsedTowel | null>(null);
  /** What a towel may be used as: what it is, and what it may become. */
  protected rolesFor({ role }: UsedTowel): readonly { readonly value: TowelRole; readonly label: string }[] {
    return towelRoles
      .filter((to) => to === role || mayBecome(role, to))
      .map((value) => ({ value, label: roleName[value] }));
  }

  protected light(zones: readonly ZoneId[]): void {
    this.view.light(zones);
    if (zones.length === 0) this.said.set('');
  }

  protected tell(text: string): void {
    this.said.set(text);
  }

  protected drop(role: TowelRole): void {
    const towel = this.dragged();
    this.dragged.set(null);
    if (towel) this.use(towel, role);
  }

  protected use({ batchId, role: from }: UsedTowel, role: TowelRole): void {
    if (!mayBecome(from, role)) {
      if (from !== role) this.said.set(towelsText.wheelStays);
      return;
    }
    this.desk.edit(`One of the ${roleName[from]} goes to the ${roleName[role]}`, (job) => setAside(job, batchId, role));
  }
}
