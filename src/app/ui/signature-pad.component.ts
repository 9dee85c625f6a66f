import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  effect,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import SignaturePad from 'signature_pad';
import type { Signature } from '@esmero/model';
import { dayAndTime } from '@esmero/messages';
import { HEIGHT, WIDTH, pathOf } from './signature-path';

/** A box to sign in with a finger, a pen or the mouse; a typed name alone will do, too. */
@Component({
  selector: 'esm-signature-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, InputText],
  template: `
    @if (signed(); as signed) {
      <figure>
        <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" [attr.aria-label]="'Signed by ' + signed.by">
          <path [attr.d]="signed.path" />
        </svg>
        <figcaption>
          {{ signed.by }}, {{ when() }}
          <button pButton type="button" class="no-print" severity="secondary" outlined (click)="changed.emit(null)">
            Sign again
          </button>
        </figcaption>
      </figure>
    } @else {
      <div class="no-print">
        <canvas class="pad" role="img" aria-label="Box to sign in" #pad></canvas>
        <form class="row" (submit)="sign(name); $event.preventDefault()">
          <label class="row">
            Name
            <input pInputText required maxlength="160" autocomplete="off" #name />
          </label>
          <button pButton type="submit" severity="secondary" outlined>Sign</button>
          <button pButton type="button" severity="secondary" outlined [disabled]="path() === ''" (click)="clear()">
            Clear
          </button>
        </form>
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    figure {
      margin: 0;
    }
    svg,
    canvas {
      width: 100%;
      max-width: 26rem;
      display: block;
    }
    .pad {
      aspect-ratio: 3;
      border: 1px solid var(--line);
      border-radius: 6px;
      background:
        linear-gradient(
          to top,
          transparent 22%,
          var(--line) 22%,
          var(--line) calc(22% + 1px),
          transparent calc(22% + 1px)
        ),
        var(--card);
      color: var(--ink);
      touch-action: none;
      cursor: crosshair;
      margin-bottom: 0.4rem;
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class SignaturePadComponent {
  readonly signed = input.required<Signature | null>();
  readonly changed = output<Pick<Signature, 'by' | 'path'> | null>();

  private readonly canvas = viewChild<ElementRef<HTMLCanvasElement>>('pad');
  protected readonly path = signal('');
  private pad: SignaturePad | null = null;

  constructor() {
    effect((onCleanup) => {
      const canvas = this.canvas()?.nativeElement;
      const context = canvas?.getContext('2d');
      // Where nothing can be drawn the name alone signs.
      if (!canvas || !context) return;
      const pad = new SignaturePad(canvas, { penColor: getComputedStyle(canvas).color });
      const told = (): void => this.path.set(pathOf(pad.toData(), canvas.clientWidth, canvas.clientHeight));
      /** As many dots as the screen has; what is drawn is drawn again. */
      const fit = (): void => {
        const ratio = Math.max(1, window.devicePixelRatio);
        [canvas.width, canvas.height] = [canvas.clientWidth * ratio, canvas.clientHeight * ratio];
        context.scale(ratio, ratio);
        pad.fromData(pad.toData());
      };
      const sizes = new ResizeObserver(fit);
      sizes.observe(canvas);
      pad.addEventListener('endStroke', told);
      this.pad = pad;
      onCleanup(() => {
        sizes.disconnect();
        pad.off();
        this.pad = null;
      });
    });
  }

  protected when(): string {
    return dayAndTime(this.signed()!.at);
  }

  protected clear(): void {
    this.pad?.clear();
    this.path.set('');
  }

  protected sign(name: HTMLInputElement): void {
    const by = name.value.trim();
    if (by) this.changed.emit({ by, path: this.path() || 'M0 0' });
  }
}
