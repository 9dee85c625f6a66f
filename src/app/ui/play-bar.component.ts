import { ChangeDetectionStrategy, Component, computed, effect, input, model, signal, untracked } from '@angular/core';

/** Places shown in a second. */
const SPEEDS = [1, 3, 10] as const;

/** Goes through places one after the other: by step, by hand along a rail, or played at a speed. */
@Component({
  selector: 'esm-play-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row" role="group" [attr.aria-label]="label()">
      <button type="button" class="chip" (click)="step(-1)" [disabled]="at() <= 0">One back</button>
      @if (!still) {
        <button type="button" class="chip" (click)="play()">{{ playing() ? 'Pause' : 'Play' }}</button>
      }
      <button type="button" class="chip" (click)="step(1)" [disabled]="at() >= last()">One on</button>
      @if (!still) {
        <button type="button" class="chip" (click)="faster()">{{ speed() }} a second</button>
      }
      <input type="range" min="0" [max]="last()" [value]="at()" [attr.aria-label]="what()" [attr.aria-valuetext]="says()" #place (input)="go(+place.value)" />
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    input[type='range'] {
      flex: 1 1 10rem;
      accent-color: var(--sea);
    }
  `,
})
export class PlayBarComponent {
  readonly label = input.required<string>();
  /** What a place on the rail is. */
  readonly what = input.required<string>();
  /** What is to be seen at this place. */
  readonly says = input.required<string>();
  readonly last = input.required<number>();
  readonly at = model.required<number>();

  /** Whoever asks for less motion steps by hand. */
  protected readonly still = typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
  private readonly running = signal(false);
  protected readonly playing = computed(() => this.running() && this.at() < this.last());
  protected readonly speed = signal<(typeof SPEEDS)[number]>(3);

  constructor() {
    effect((onCleanup) => {
      if (!this.playing()) return;
      const timer = setInterval(() => this.go(untracked(this.at) + 1), 1000 / this.speed());
      onCleanup(() => clearInterval(timer));
    });
  }

  protected play(): void {
    const start = !this.playing();
    if (start && this.at() >= this.last()) this.go(0);
    this.running.set(start);
  }

  protected step(by: number): void {
    this.running.set(false);
    this.go(this.at() + by);
  }

  protected faster(): void {
    this.speed.update((speed) => SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length]!);
  }

  protected go(at: number): void {
    this.at.set(Math.min(this.last(), Math.max(0, at)));
  }
}
