/** A number as one writes it, with a point or a comma. @returns null for what is none */
export function numberIn(text: string): number | null {
  const plain = text.trim().replace(',', '.');
  return /^-?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}
