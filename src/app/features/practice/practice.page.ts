import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Store as State } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Select } from 'primeng/select';
import {
  deckStanding,
  decisionCards,
  defaultAssumptions,
  eyeCurve,
  grainOf,
  hardShareOf,
  loadOfLevel,
  mixingCards,
  panelCards,
  sessionMs,
  triesOf,
} from '@esmero/core';
import { type Drill, type PracticeSession, type Try, drills, soilKinds, soilLevels } from '@esmero/model';
import { drillLead, drillName, helperSections, practiceText, unitsOf } from '@esmero/messages';
import type { StatementPaper } from '@esmero/papers';
import { freshId } from '@esmero/records';
import { NOW } from '../../state/clock';
import { CollectionDesk } from '../../state/collection-desk';
import { EyeDesk } from '../../state/eye-desk';
import { settingsFeature } from '../../state/settings';
import { PdfComponent } from '../../ui/pdf.component';
import { ProgressComponent } from '../../ui/progress.component';
import { DealingDrillComponent } from './dealing-drill.component';
import { DecisionDrillComponent } from './decision-drill.component';
import { EyeCurveComponent } from './eye-curve.component';
import { MixingDrillComponent } from './mixing-drill.component';
import { PanelsDrillComponent } from './panels-drill.component';

const cardsOf: Readonly<Record<Drill, readonly string[]>> = {
  panels: panelCards,
  mixing: mixingCards,
  towels: [],
  decisions: decisionCards,
};
const icons: Readonly<Record<Drill, string>> = {
  panels: 'pi pi-eye',
  mixing: 'pi pi-calculator',
  towels: 'pi pi-clone',
  decisions: 'pi pi-question-circle',
};
const TICK_MS = 1000;
/** Tries that tell how it goes now. */
const LATELY = 20;

/** Ten minutes for the eye and the hands, out of the same core as the plans. */
@Component({
  selector: 'esm-practice-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    DealingDrillComponent,
    DecisionDrillComponent,
    EyeCurveComponent,
    FormsModule,
    MixingDrillComponent,
    PanelsDrillComponent,
    PdfComponent,
    ProgressComponent,
    Select,
  ],
  templateUrl: './practice.page.html',
  styleUrl: './practice.page.css',
})
export class PracticePage {
  protected readonly wording = practiceText;
  protected readonly names = drillName;
  protected readonly leads = drillLead;
  protected readonly icons = icons;
  protected readonly eye = inject(EyeDesk);
  protected readonly collection = inject(CollectionDesk);
  private readonly now = inject(NOW);
  private readonly system = inject(State).selectSignal(settingsFeature.selectUnits);
  protected readonly units = computed(() => unitsOf(this.system()));

  private readonly session = signal<PracticeSession | null>(null);
  protected readonly drill = computed(() => this.session()?.drill ?? null);
  private readonly begunAt = signal(0);
  private readonly time = signal(this.now());
  protected readonly leftS = computed(() => Math.max(0, (this.begunAt() + sessionMs - this.time()) / 1000));
  protected readonly percent = computed(() => 100 * (1 - (1000 * this.leftS()) / sessionMs));
  protected readonly score = computed(() => {
    const tries = this.session()?.tries ?? [];
    return practiceText.score(tries.filter(({ isRight }) => isRight).length, tries.length);
  });

  private readonly tried = computed(
    () =>
      Object.fromEntries(
        drills.map((drill) => [drill, triesOf(this.eye.sessions(), this.eye.person(), drill)]),
      ) as Readonly<Record<Drill, readonly Try[]>>,
  );
  protected readonly decks = computed(() =>
    drills.map((drill) => {
      const tries = this.tried()[drill];
      const { due, fresh, held } = deckStanding(cardsOf[drill], tries, this.time());
      const right = tries.slice(-LATELY).filter(({ isRight }) => isRight).length;
      return {
        drill,
        standing: [
          cardsOf[drill].length > 0 ? practiceText.standing(due, fresh, held) : '',
          tries.length > 0 ? practiceText.lately(right, Math.min(LATELY, tries.length)) : '',
        ]
          .filter((part) => part !== '')
          .join('; '),
      };
    }),
  );
  protected readonly judged = computed(() => this.tried().panels);
  protected readonly curve = computed(() => eyeCurve(this.judged()));

  constructor() {
    const timer = setInterval(() => this.time.set(this.now()), TICK_MS);
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  protected triesFor(drill: Drill): readonly Try[] {
    return this.tried()[drill];
  }

  protected begin(drill: Drill): void {
    this.begunAt.set(this.now());
    this.time.set(this.now());
    this.session.set({ id: freshId('practice'), name: this.eye.person(), drill, tries: [] });
  }

  /** Kept try by try: a reload loses none. */
  protected note(one: Try): void {
    const session = this.session();
    if (!session) return;
    const next = { ...session, tries: [...session.tries, one] };
    this.session.set(next);
    this.eye.keep(next);
  }

  protected end(): void {
    this.session.set(null);
  }

  protected readonly sheet = (): StatementPaper => {
    const a = defaultAssumptions;
    const sections = helperSections(
      {
        levels: soilLevels.map((level) => ({ level, gm2: loadOfLevel(level, a) })),
        kinds: soilKinds.map((kind) => ({ kind, hard: hardShareOf(kind, a), grainUm: grainOf(kind, a) })),
        sideAreas: [a.sideAreaLight, a.sideAreaMiddle, a.sideAreaHeavy],
        sideDirt: a.sideDirt,
      },
      this.units(),
    );
    return {
      kind: 'statement',
      title: practiceText.sheetTitle,
      about: practiceText.sheetAbout,
      sections,
      table: null,
      foot: 'Esmero',
    };
  };
}
