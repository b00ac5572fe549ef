import type { Severity } from '@leiter/core';
import { palette } from './palette';

/** A finding at a rung: each severity has its own shape. */
export function SeverityMark({ severity }: { readonly severity: Severity }) {
  const colour = severity === 'stop' ? palette.stop : severity === 'caution' ? palette.caution : palette.soft;
  return (
    <svg width="12" height="12" viewBox="0 0 12 12" role="img" aria-label={severity} style={{ flexShrink: 0 }}>
      {severity === 'stop' && <rect x="0" y="3.5" width="12" height="5" rx="1" fill={colour} />}
      {severity === 'caution' && <path d="M6 0.5 11.5 11h-11z" fill={colour} />}
      {severity === 'hint' && <circle cx="6" cy="6" r="4" fill="none" stroke={colour} strokeWidth="1.6" />}
    </svg>
  );
}
