import type { StandingName } from '@leiter/core';
import { palette } from './palette';

interface Props {
  /** 0 to 3: not yet, with help, alone, clean. */
  readonly climbed: number;
  /** Met: the rails are as heavy as the rungs. */
  readonly isMet?: boolean;
  /** Met long ago: the rails are broken lines. */
  readonly isFading?: boolean;
  readonly height?: number;
  /** `night`: on a dark ground. */
  readonly tone?: 'paper' | 'night';
}

/** How well something was shown, as a ladder of three rungs: the one sign for it on every page. */
export function Rungs({ climbed, isMet = false, isFading = false, height = 18, tone = 'paper' }: Props) {
  const isNight = tone === 'night';
  const climbedColour = isNight ? palette.glow : palette.primary;
  return (
    <svg width={(height * 14) / 18} height={height} viewBox="0 0 14 18" aria-hidden="true" style={{ flexShrink: 0, display: 'block' }}>
      <path
        d="M2 1v16M12 1v16"
        stroke={isMet ? climbedColour : isNight ? palette.nightSoft : palette.ink}
        strokeWidth={isMet ? 2.6 : 1.4}
        strokeLinecap="round"
        {...(isFading ? { strokeDasharray: '2.5 3' } : {})}
      />
      {[0, 1, 2].map((rung) => (
        <line
          key={rung}
          x1="2"
          x2="12"
          y1={14 - rung * 5}
          y2={14 - rung * 5}
          stroke={rung < climbed ? climbedColour : isNight ? palette.soft : '#CFC6B2'}
          strokeWidth={rung < climbed ? 3 : 1.4}
        />
      ))}
    </svg>
  );
}

/** Whether a standing counts as met, fresh or fading. */
export const isMetName = (standing: StandingName): boolean => standing === 'met' || standing === 'fading';
