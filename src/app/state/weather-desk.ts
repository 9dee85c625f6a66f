import { Injectable, inject, signal } from '@angular/core';
import { withWeather } from '@esmero/core';
import { JobDesk } from './job-desk';
import { type Forecasted, WEATHER } from './weather';

/** Why there is no weather. */
type Missing = Extract<Forecasted, { readonly ok: false }>['why'];

/** The weather of the job on the desk, asked for and taken back. */
@Injectable()
export class WeatherDesk {
  private readonly service = inject(WEATHER);
  private readonly desk = inject(JobDesk);
  private readonly _asking = signal(false);
  private readonly _missing = signal<Missing | null>(null);

  readonly asking = this._asking.asReadonly();
  /** Why the last answer was none. */
  readonly missing = this._missing.asReadonly();

  async fetch(): Promise<void> {
    const job = this.desk.job();
    if (!job) return;
    this._asking.set(true);
    const found = await this.service(job);
    this._asking.set(false);
    this._missing.set(found.ok ? null : found.why);
    // Another job may have come onto the desk meanwhile.
    if (found.ok && this.desk.job()?.id === job.id)
      this.desk.edit(`Weather: ${found.weather.source}`, (now) => withWeather(now, found.weather));
  }

  /** Back to what is typed. */
  byHand(): void {
    this.desk.edit('Weather by hand', (job) => withWeather(job, null));
  }
}
