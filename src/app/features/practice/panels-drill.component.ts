import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Button } from 'primeng/button';
import {
  type PanelCard,
  type PanelScene,
  defaultAssumptions,
  levelOfLoad,
  nextCard,
  panelCards,
  panelOf,
  panelTry,
  renderPanel,
} from '@esmero/core';
import { type SoilKind, type SoilLevel, type Try, soilKinds, soilLevels } from '@esmero/model';
import { type Units, capital, levelBrief, levelName, practiceText, roughly, soilName } from '@esmero/messages';
import { NOW } from '../../state/clock';
import { ChoiceComponent } from '../../ui/choice.component';
import { RANDOM } from './random';
import { VerdictComponent } from './verdict.component';

interface Asked {
  readonly card: PanelCard;
  readonly scene: PanelScene;
}

/** A rendered panel to be judged: level and kind, then what it was. */
@Component({
  selector: 'esm-panels-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ChoiceComponent, VerdictComponent],
  template: `
    <div class="beside">
      <figure>
        <canvas #picture role="img" [attr.aria-label]="seen()"></canvas>
        <figcaption class="soft num">{{ seen() }}</figcaption>
      </figure>
      <div class="answers">
        <esm-choice
          class="kinds"
          label="Kind"
          [options]="kinds"
          [value]="kind()"
          (chosen)="done() === null && kind.set($event)"
        />
        <esm-choice
          class="levels"
          label="Level"
          [options]="levels"
          [value]="level()"
          (chosen)="done() === null && level.set($event)"
        />
        @if (done(); as done) {
          <esm-verdict [right]="done.isRight">{{ says() }}</esm-verdict>
          <p-button label="Next panel" icon="pi pi-arrow-right" (onClick)="next()" />
        } @else {
          <p-button
            label="That is it"
            icon="pi pi-check"
            [disabled]="kind() === null || level() === null"
            (onClick)="tell()"
          />
        }
      </div>
    </div>
  `,
  styleUrl: './drill.css',
})
export class PanelsDrillComponent {
  readonly tries = input.required<readonly Try[]>();
  readonly units = input.required<Units>();
  readonly tried = output<Try>();

  private readonly now = inject(NOW);
  private readonly random = inject(RANDOM);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('picture');
  protected readonly kinds = soilKinds.map((value) => ({ value, label: capital(soilName[value]) }));
  protected readonly levels = soilLevels
    .filter((level) => level > 0)
    .map((value) => ({ value, label: levelName[value], brief: levelBrief[value], level: value }));

  protected readonly kind = signal<SoilKind | null>(null);
  protected readonly level = signal<SoilLevel | null>(null);
  protected readonly done = signal<Try | null>(null);
  private readonly picked = signal<Asked | null>(null);
  protected readonly asked = computed((): Asked => this.picked() ?? untracked(() => this.pick()));
  protected readonly seen = computed(() => {
    const { light, angle, colour } = this.asked().scene;
    return practiceText.panelSeen(light, angle, capital(colour));
  });
  protected readonly says = computed(() => {
    const [{ scene }, done] = [this.asked(), this.done()];
    const truth = practiceText.panelTruth(
      scene.kind,
      levelOfLoad(scene.loadGm2, defaultAssumptions),
      this.units().load(roughly(scene.loadGm2)),
    );
    return done ? `${truth} ${practiceText.panelOff(done.answer / done.truth)}` : truth;
  });

  constructor() {
    effect(() => {
      const { scene } = this.asked();
      const canvas = this.canvas().nativeElement;
      const context = canvas.getContext('2d');
      if (!context) return;
      const { rgba, width, height } = renderPanel(scene, defaultAssumptions);
      // A canvas that is given its size is blank.
      [canvas.width, canvas.height] = [width, height];
      context.putImageData(new ImageData(new Uint8ClampedArray(rgba), width, height), 0, 0);
    });
  }

  private pick(): Asked {
    const card = nextCard(panelCards, this.tries(), this.now());
    return { card, scene: panelOf(card, this.random, defaultAssumptions) };
  }

  protected tell(): void {
    const [kind, level, { card, scene }] = [this.kind(), this.level(), this.asked()];
    if (kind === null || level === null) return;
    const done = panelTry(card, scene, { kind, level }, this.now(), defaultAssumptions);
    this.done.set(done);
    this.tried.emit(done);
  }

  protected next(): void {
    this.done.set(null);
    this.kind.set(null);
    this.level.set(null);
    this.picked.set(this.pick());
  }
}
