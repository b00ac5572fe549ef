import { palette } from './palette';

/** The place of a movement's figure: a floor to stand on. Decoration only. */
export function FigurePlace({ size, tone = 'day' }: { readonly size: number; readonly tone?: 'day' | 'night' }) {
  return (
    <svg width={size} height={size} viewBox="0 0 40 40" aria-hidden="true" style={{ flexShrink: 0, display: 'block' }}>
      <line x1="3" x2="37" y1="36" y2="36" stroke={tone === 'day' ? palette.line : '#3A4A4F'} strokeWidth="1.6" strokeLinecap="round" />
    </svg>
  );
}
