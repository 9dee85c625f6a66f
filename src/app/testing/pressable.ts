/** A button, or one of several answers, by its text or its name. */
export function pressable(element: HTMLElement, text: string): HTMLElement | undefined {
  const all = [...element.querySelectorAll<HTMLElement>('button, [role=button]')];
  return all.find(
    (one) => one.textContent?.trim().startsWith(text) || one.getAttribute('aria-label')?.startsWith(text),
  );
}
