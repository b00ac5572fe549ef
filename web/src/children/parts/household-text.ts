import { t } from '@lingui/core/macro';
import type { Household } from '@leiter/contract';
import { adultPlaceWords, surfaceWords } from '../../shared/household-words';

/** What a child has at home, as rows of a list. */
export function householdRows(household: Household): readonly (readonly [string, string])[] {
  const { surface, clearLengthM, clearWidthM, things, adult, partner, quietHours } = household;
  return [
    [t`Floor`, surfaceWords[surface]],
    [t`Clear space`, `${clearLengthM.toFixed(1)} × ${clearWidthM.toFixed(1)} m`],
    [t`Things`, things.join(', ') || 'none'],
    [t`Adult`, adultPlaceWords[adult]],
    [t`Partner`, partner ? t`yes` : t`no`],
    [t`Quiet`, quietHours ? `${quietHours.from}–${quietHours.to}` : t`any time`],
  ];
}
