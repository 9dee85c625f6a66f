import type { Provider, Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Job } from '@esmero/model';
import { JobDesk } from '../state/job-desk';
import { NetBoard } from '../ui/net/net-board';
import { ZoneInView } from '../ui/net/zone-in-view';
import { deskWith } from './desk';
import { pressable } from './pressable';

/** A part of the application on a desk with the first demo job, perhaps changed; buttons are pressed by their text. */
export async function show<T>(
  part: Type<T>,
  providers: readonly Provider[] = [],
  change?: (job: Job) => Job,
  inputs: Readonly<Record<string, unknown>> = {},
) {
  const desk = await deskWith(undefined, providers);
  const job = TestBed.inject(JobDesk);
  if (change) {
    await desk.settle();
    job.edit('made ready', change);
    await desk.settle();
  }
  const fixture = TestBed.createComponent(part);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  const element = fixture.nativeElement as HTMLElement;
  const settle = async (): Promise<void> => {
    fixture.detectChanges();
    await desk.settle();
    fixture.detectChanges();
  };
  const press = async (text: string): Promise<void> => {
    const button = pressable(element, text);
    if (!button) throw new Error(`No button ${text}`);
    button.click();
    await settle();
  };
  await settle();
  return {
    ...desk,
    settle,
    fixture,
    element,
    press,
    job,
    view: TestBed.inject(ZoneInView),
    board: TestBed.inject(NetBoard),
  };
}
