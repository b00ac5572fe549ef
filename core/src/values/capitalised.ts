/** @returns the text with a capital first letter */
export function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
