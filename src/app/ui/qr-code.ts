/** The dark squares of a QR code as one path, a unit each. */
export async function codeOf(text: string): Promise<{ readonly path: string; readonly size: number }> {
  const { default: qrcode } = await import('qrcode');
  const { modules } = qrcode.create(text, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const dark = Array.from({ length: size * size }, (_, i) => i).filter((i) => modules.data[i]);
  return { size, path: dark.map((i) => `M${i % size} ${Math.floor(i / size)}h1v1h-1z`).join('') };
}
