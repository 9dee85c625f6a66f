import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  inject,
  input,
  output,
  resource,
  signal,
} from '@angular/core';
import { Button } from 'primeng/button';
import type { FrameReader } from '@esmero/exchange';
import { crewText } from '@esmero/messages';
import { ProgressComponent } from '../../ui/progress.component';
import { codeOf } from '../../ui/qr-code';
import { CAMERA, type Camera } from './camera';

/** Finds a code in a picture. */
type Decode = (data: Uint8ClampedArray, width: number, height: number) => { readonly data: string } | null;

/** Each code is shown so long, and looked for so often, ms. */
const SHOWN_MS = 350;
const LOOK_MS = 120;

/** A text from phone to phone without a network: shown as codes one after the other, and read off them by the camera. */
@Component({
  selector: 'esm-codes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ProgressComponent],
  template: `
    <div class="row">
      <p-button
        label="Show it as codes"
        icon="pi pi-qrcode"
        severity="secondary"
        [outlined]="true"
        [disabled]="isEmpty()"
        (onClick)="show()"
      />
      <p-button
        [label]="isReading() ? 'Stop reading' : 'Read codes'"
        icon="pi pi-camera"
        severity="secondary"
        [outlined]="true"
        (onClick)="isReading() ? stop() : read()"
      />
    </div>
    @if (code.value(); as picture) {
      <svg
        [attr.viewBox]="'-2 -2 ' + (picture.size + 4) + ' ' + (picture.size + 4)"
        role="img"
        [attr.aria-label]="wording.showing(number() + 1, frames().length)"
        data-codes
      >
        <path [attr.d]="picture.path" />
      </svg>
      <p class="soft num">{{ wording.showing(number() + 1, frames().length) }}</p>
    }
    @if (isReading()) {
      <p class="num" role="status">{{ wording.reading(found().read, found().count) }}</p>
      <esm-progress [percent]="found().count > 0 ? (100 * found().read) / found().count : 0" label="Codes read" />
    }
    @if (problem(); as why) {
      <p class="note stop" role="alert">{{ why }}</p>
    }
  `,
  styles: `
    svg {
      display: block;
      width: min(20rem, 74vw);
      margin: 0.6rem auto 0;
      background: #fff;
    }
    path {
      fill: #000;
    }
  `,
})
export class CodesComponent {
  /** Gives what is to be shown; null where there is nothing yet. */
  readonly text = input.required<() => Promise<string | null>>();
  readonly isEmpty = input(false);
  /** What was read off another phone. */
  readonly told = output<string>();

  protected readonly wording = crewText;
  private readonly openCamera = inject(CAMERA);
  protected readonly frames = signal<readonly string[]>([]);
  protected readonly number = signal(0);
  private readonly frame = computed(() => this.frames()[this.number()] ?? '');
  protected readonly code = resource({
    params: () => this.frame(),
    loader: async ({ params }) => (params === '' ? null : codeOf(params)),
    defaultValue: null,
  });
  protected readonly found = signal({ read: 0, count: 0 });
  protected readonly isReading = signal(false);
  protected readonly problem = signal<string | null>(null);
  private camera: Camera | null = null;
  private timer: ReturnType<typeof setInterval> | undefined;
  private looking: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => (this.stop(), clearInterval(this.timer)));
  }

  protected async show(): Promise<void> {
    const text = await this.text()();
    if (text === null) return;
    const { framesOf } = await import('@esmero/exchange');
    this.frames.set(await framesOf(text));
    this.number.set(0);
    clearInterval(this.timer);
    this.timer = setInterval(() => this.number.update((now) => (now + 1) % this.frames().length), SHOWN_MS);
  }

  protected async read(): Promise<void> {
    this.problem.set(null);
    this.found.set({ read: 0, count: 0 });
    const [{ FrameReader: Reader }, { default: decode }] = await Promise.all([
      import('@esmero/exchange'),
      import('jsqr'),
    ]);
    try {
      this.camera = await this.openCamera();
    } catch {
      return this.problem.set(crewText.noCamera);
    }
    this.isReading.set(true);
    this.look(new Reader(), decode);
  }

  private look(reader: FrameReader, decode: Decode): void {
    this.looking = setTimeout(() => {
      const picture = this.camera?.grab();
      const seen = picture ? decode(picture.data, picture.width, picture.height)?.data : null;
      void this.take(seen ?? '', reader).then((isDone) => {
        if (!isDone && this.isReading()) this.look(reader, decode);
      });
    }, LOOK_MS);
  }

  private async take(seen: string, reader: FrameReader): Promise<boolean> {
    const text = seen === '' ? null : await reader.add(seen);
    this.found.set({ ...reader.progress });
    if (text === null) return false;
    this.stop();
    this.told.emit(text);
    return true;
  }

  protected stop(): void {
    clearTimeout(this.looking);
    this.camera?.stop();
    this.camera = null;
    this.isReading.set(false);
  }
}
