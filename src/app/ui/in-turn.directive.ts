import { DestroyRef, Directive, ErrorHandler, TemplateRef, ViewContainerRef, inject } from '@angular/core';

type Draw = () => void;

/** So long is drawn before the browser may answer: a frame. */
const TASK_MS = 16;
const waiting: Draw[] = [];
let isDue = false;

/** As many as fit a task. */
function drawSome(): void {
  isDue = false;
  const end = performance.now() + TASK_MS;
  do waiting.shift()?.();
  while (waiting.length > 0 && performance.now() < end);
  if (waiting.length > 0) later();
}

function later(): void {
  if (!isDue) setTimeout(drawSome);
  isDue = true;
}

function inTurn(draw: Draw): void {
  waiting.push(draw);
  later();
}

/**
 * Draws a part of a page in a later task, after what stands before it: a page of many fields and
 * rows comes up part by part, and holds nobody up. A part that fails is told of, and left out.
 */
@Directive({ selector: '[esmInTurn]' })
export class InTurnDirective {
  constructor() {
    const [template, container, errors] = [inject(TemplateRef), inject(ViewContainerRef), inject(ErrorHandler)];
    let isGone = false;
    inject(DestroyRef).onDestroy(() => (isGone = true));
    inTurn(() => {
      if (isGone) return;
      try {
        container.createEmbeddedView(template).detectChanges();
      } catch (error) {
        container.clear();
        errors.handleError(error);
      }
    });
  }
}
