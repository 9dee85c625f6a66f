/** Hands a file to the browser to keep. */
export function downloadBlob(name: string, blob: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** The same with a text. */
export const download = (name: string, text: string, type = 'application/json'): void =>
  downloadBlob(name, new Blob([text], { type }));
