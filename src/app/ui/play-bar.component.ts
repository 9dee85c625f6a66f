import { ChangeDetectionStrategy, Component, computed, effect, input, model, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Slider } from 'primeng/slider';

/** Places shown in a second. */
const SPEEDS = [1, 3, 10] as const;

/** Goes through places one after the other: by step, by hand along a rail, or played at a speed. */
@Component({
  selector: 'esm-play-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, FormsModule, Slider],
  template: `
    <div class="row" role="group" [attr.aria-label]="label()">
      <p-button
        icon="pi pi-step-backward"
        ariaLabel="One back"
        severity="secondary"
        [outlined]="true"
        (onClick)="step(-1)"
        [disabled]="at() <= 0"
      />
      @if (!still) {
        <p-button
          [icon]="playing() ? 'pi pi-pause' : 'pi pi-play'"
          [ariaLabel]="playing() ? 'Pause' : 'Play'"
          severity="secondary"
          [outlined]="true"
          (onClick)="play()"
        />
      }
      <p-button
        icon="pi pi-step-forward"
        ariaLabel="One on"
        severity="secondary"
        [outlined]="true"
        (onClick)="step(1)"
        [disabled]="at() >= last()"
      />
      @if (!still) {
        <p-button [label]="speed() + ' a second'" severity="secondary" [text]="true" (onClick)="faster()" />
      }
      <p-slider [min]="0" [max]="last()" [ngModel]="at()" (ngModelChange)="go($event)" [ariaLabel]="what()" />
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    p-slider {
      flex: 1 1 10rem;
      margin: 0.9rem 0.6rem;
    }
  `,
})
export class PlayBarComponent {
  readonly label = input.required<string>();
  /** What a place on the rail is. */
  readonly what = input.required<string>();
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
