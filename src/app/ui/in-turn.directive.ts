import { DestroyRef, Directive, TemplateRef, ViewContainerRef, inject } from '@angular/core';

type Draw = () => void;
const waiting: Draw[] = [];

/** One a task, so that the browser can answer in between; one that fails holds up none of the others. */
function drawNext(): void {
  const draw = waiting.shift();
  if (waiting.length > 0) setTimeout(drawNext);
  draw?.();
}

function inTurn(draw: Draw): void {
  if (waiting.push(draw) === 1) setTimeout(drawNext);
}

/**
 * Draws a part of a page in a task of its own, after what stands before it: a page of many fields
 * and tables comes up part by part, and holds nobody up.
 */
@Directive({ selector: '[esmInTurn]' })
export class InTurnDirective {
  constructor() {
    const [template, container] = [inject(TemplateRef), inject(ViewContainerRef)];
    let isGone = false;
    inject(DestroyRef).onDestroy(() => (isGone = true));
    inTurn(() => {
      if (!isGone) container.createEmbeddedView(template).detectChanges();
    });
  }
}
