/** A name as the slug of a file: lower case, letters and digits, joined by hyphens. */
export function slugOf(name: string): string {
  return (
    name
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'movement'
  );
}
