import { describe, expect, it } from 'vitest';
import { show } from '../../testing/show';
import { type Held, ORIENTATION, type Orientation } from './orientation';
import { PhoneSensorsComponent } from './phone-sensors.component';

/** A phone whose attitude the test tells. */
function phone(isThere = true) {
  let tell: (held: Held) => void = () => undefined;
  let stopped = false;
  const orientation: Orientation = async (hear) => {
    tell = hear;
    return isThere ? () => (stopped = true) : null;
  };
  return {
    orientation,
    hold: (alphaDeg: number, betaDeg: number, gammaDeg: number, knowsNorth = true) =>
      tell({ alphaDeg, betaDeg, gammaDeg, knowsNorth }),
    isStopped: () => stopped,
  };
}

async function dialog(isThere = true) {
  const device = phone(isThere);
  const all = await show(PhoneSensorsComponent, [{ provide: ORIENTATION, useValue: device.orientation }]);
  const press = async (text: string): Promise<void> => {
    const button = [...document.querySelectorAll<HTMLButtonElement>('.p-dialog button')].find(
      (one) => one.textContent.trim() === text,
    )!;
    button.click();
    await all.settle();
  };
  return { ...all, press, device, says: () => document.querySelector('.p-dialog')!.textContent };
}

describe('the phone as an instrument', () => {
  it('tells slope and heading, which are taken over in one step that can be undone', async () => {
    const { press, device, says, settle, job, fixture } = await dialog();
    await press('Use the sensors');
    device.hold(270, 3, 0);
    await settle();
    expect(says()).toContain('Faces east (90°), the ground falls 5.2 %');
    await press('Take these over');
    expect(job.job()!.site).toMatchObject({ headingDeg: 90, slope: 0.052 });
    job.undo();
    expect(job.job()!.site.headingDeg).not.toBe(90);
    fixture.destroy();
    expect(device.isStopped()).toBe(true);
  });

  it('turns a sweep along the skyline into hours of shade', async () => {
    const { press, device, says, settle, job, fixture } = await dialog();
    await press('Use the sensors');
    device.hold(0, 90, 0);
    await settle();
    await press('Begin the sweep');
    // A wall 60° high from north-east to south.
    for (let azimuth = 40; azimuth <= 180; azimuth += 4) device.hold(360 - azimuth, 150, 0);
    await settle();
    await press('Stop the sweep');
    expect(says()).toContain('In the shade');
    await press('Take these hours over');
    const { shadeHours } = job.job()!.site;
    expect(shadeHours.length).toBeGreaterThan(2);
    expect(Math.max(...shadeHours)).toBeLessThan(15);
    fixture.destroy();
  });

  it('says so where there is no compass, or no sensor at all', async () => {
    const { press, device, says, settle, fixture } = await dialog();
    await press('Use the sensors');
    device.hold(0, 0, 0, false);
    await settle();
    expect(says()).toContain('There is no compass');
    expect(says()).toContain('Level ground');
    fixture.destroy();
    document.body.innerHTML = '';
  });

  it('leaves it to the hand where nothing is told', async () => {
    const { press, says, fixture } = await dialog(false);
    await press('Use the sensors');
    expect(says()).toContain('Set slope, heading and shade by hand');
    fixture.destroy();
  });
});
