/** `#rrggbb` in small letters. */
export type Colour = `#${string}`;

export const isColour = (text: string): text is Colour => /^#[0-9a-f]{6}$/.test(text);

/** Relative luminance of a colour, 0 for black to 1 for white (WCAG 2.2). */
function luminance(colour: Colour): number {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => {
    const part = parseInt(colour.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

/** How far two colours stand apart, 1 (the same) to 21 (black on white); text wants 4.5, large text 3 (WCAG 2.2, 1.4.3). */
export function contrast(one: Colour, other: Colour): number {
  const [dark = 0, light = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (light + 0.05) / (dark + 0.05);
}
