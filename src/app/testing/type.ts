/** Types into a field and leaves it: a number is told once its field is left. */
export function type(field: HTMLInputElement, text: string, event = 'change'): void {
  field.value = text;
  Object.defineProperty(field, 'valueAsNumber', { configurable: true, value: text === '' ? NaN : Number(text) });
  field.dispatchEvent(new Event(event));
  field.dispatchEvent(new Event('blur'));
}
