import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { MenuItem } from 'primeng/api';
import { ButtonDirective } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { type Hand, type Plan, type Trouble, cuesFor, handMovesIn, troubles } from '@esmero/core';
import type { TowelRole } from '@esmero/model';
import {
  clocksText,
  cueText,
  handName,
  lapName,
  oneTowel,
  passHeading,
  passZones,
  rolesFor,
  stepsFor,
  taskHeading,
  troubleHelp,
  troubleName,
} from '@esmero/messages';
import { PassPictureComponent } from '../../ui/net/pass-picture.component';
import type { DrawnView } from '../../ui/net/view-layout';
import { treatmentFill } from '../../ui/net/zone-look';
import { SwipeDirective } from '../../ui/swipe.directive';
import { HeldTowelComponent } from './held-towel.component';
import { RingComponent } from './ring.component';

/** What one pair of hands does now: the place on the car, the towel, the clock, and one large button. */
@Component({
  selector: 'esm-run-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, HeldTowelComponent, Menu, PassPictureComponent, RingComponent, SwipeDirective],
  templateUrl: './run-card.component.html',
  styleUrl: './run-card.component.css',
})
export class RunCardComponent {
  readonly hand = input.required<Hand>();
  readonly people = input.required<number>();
  readonly plan = input.required<Plan>();
  readonly views = input.required<readonly DrawnView[]>();
  readonly time = input.required<number>();
  readonly done = output();
  readonly towel = output<{ readonly kind: 'side-full' | 'towel-out'; readonly role: TowelRole }>();
  readonly trouble = output<Trouble>();
  readonly other = output();

  protected readonly who = computed(() => handName(this.hand(), this.people()));
  protected readonly now = computed(() => this.hand().now);
  protected readonly title = computed(() => {
    const now = this.now();
    return now ? taskHeading(now) : 'Done';
  });
  protected readonly number = computed(() => {
    const now = this.now();
    return now ? `Pass ${now.pass}${now.lap ? `, ${lapName[now.lap].toLowerCase()}` : ''}` : '';
  });
  /** The panels by name, where the title only sums them up. */
  protected readonly panels = computed(() => {
    const now = this.now();
    return now && passZones(now) !== passHeading(now) ? passZones(now) : '';
  });
  protected readonly steps = computed(() => {
    const now = this.now();
    return now ? stepsFor(this.plan(), now) : [];
  });
  protected readonly towels = computed(() => {
    const now = this.now();
    if (!now) return [];
    const folds = new Map(this.plan().towels.map(({ number, worker, fold }) => [`${worker}/${number}`, fold]));
    return handMovesIn(this.plan(), now.pass).map((move) => ({
      move,
      fold: folds.get(`${move.worker}/${move.towel}`) ?? 8,
    }));
  });
  protected readonly roles = computed(() => {
    const now = this.now();
    return now ? rolesFor(this.plan(), now).map((role) => ({ role, name: oneTowel[role] })) : [];
  });
  /** Which of two towels it was. */
  protected readonly outs = computed((): MenuItem[] =>
    this.roles().map(({ role, name }) => ({
      label: `The ${name}`,
      command: () => this.towel.emit({ kind: 'towel-out', role }),
    })),
  );

  protected drop(event: Event, which: Menu): void {
    const [only, second] = this.roles();
    if (only && !second) this.towel.emit({ kind: 'towel-out', role: only.role });
    else which.toggle(event);
  }

  /** What to see and feel just now, and what to do then. */
  protected readonly cues = computed(() => {
    const now = this.now();
    return now ? cuesFor(this.plan(), now).map((cue) => cueText[cue]) : [];
  });
  /** What may not go as it should while something is wiped. */
  protected readonly troubles = computed((): MenuItem[] =>
    this.now()?.act === 'wipe'
      ? troubles.map((kind) => ({
          label: `${troubleName[kind]}: ${troubleHelp[kind]}`,
          command: () => this.trouble.emit(kind),
        }))
      : [],
  );
  protected readonly clocks = computed(() => this.hand().clocks);
  protected readonly says = computed(() => {
    const clocks = this.clocks();
    return clocks ? clocksText(clocks, this.time()) : '';
  });
  protected readonly dry = computed(() => (this.clocks()?.dryAt ?? Infinity) <= this.time());
  protected readonly early = computed(() => (this.clocks()?.readyAt ?? 0) > this.time());
  protected readonly next = computed(() => {
    const next = this.hand().next;
    return next ? taskHeading(next) : 'nothing more';
  });
  protected readonly fill = computed(() => {
    const [first] = this.now()?.parts ?? [];
    const treatment = this.plan().zones.find(({ zone }) => zone.id === first?.zoneId)?.treatment;
    return this.now()?.act === 'wipe' && treatment ? treatmentFill(treatment) : 'plain';
  });
}
