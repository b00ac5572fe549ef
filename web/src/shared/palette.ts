/** The colours of interface.md. Colour means effort; nothing else competes with it. */
export const palette = {
  paper: '#FBF8F1',
  shade: '#F1EADC',
  ink: '#1D2B30',
  soft: '#4A5A5F',
  primary: '#17525C',
  line: '#DDD5C5',
  stop: '#A6192E',
  stopPaper: '#FBE9E7',
  caution: '#7A4B00',
  cautionPaper: '#FFF2D6',
  night: '#12191C',
  nightShade: '#1B262A',
  nightSoft: '#A9B7B8',
  cream: '#F3EEE1',
  white: '#FFFFFF',
  /** Of fields, buttons and what is dotted. */
  edge: '#8A8371',
  /** Behind what is chosen. */
  chosen: '#EAF2F2',
  /** Limbs on the other side, and what stands back. */
  far: '#93A3A6',
  faint: '#E4DCCA',
  wood: '#8A7A5C',
  /** What is on in a class, on dark. */
  glow: '#E6C35C',
  nightLine: '#3A4A4F',
  nightRaised: '#26343A',
  nightFar: '#7C8A8C',
  nightThing: '#A39A86',
} as const;

/** From rest to peak. */
export const effortColours = ['#8FAFBF', '#A9C5A0', '#E6C35C', '#DE8A41', '#BF4B36'] as const;

export const headingFont = '"Bricolage Grotesque Variable", "Atkinson Hyperlegible", sans-serif';
export const textFont = '"Atkinson Hyperlegible", system-ui, sans-serif';
