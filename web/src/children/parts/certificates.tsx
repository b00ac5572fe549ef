import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import type { ChildLadder } from '@leiter/contract';

/** The certificates of the grades that a child has, the newest first, to be printed. */
export function Certificates({ childId, earned }: { readonly childId: string; readonly earned: ChildLadder['earned'] }) {
  if (earned.length === 0) return null;
  return (
    <Box sx={{ textAlign: 'center', fontSize: 14, mt: 1 }}>
      <Trans>Certificate of</Trans>{' '}
      {earned.toReversed().map(({ grade }, index) => (
        <span key={grade.id}>
          {index > 0 && ', '}
          <Link
            href={`/api/children/${childId}/certificates/${grade.id}`}
            target="_blank"
            rel="noopener"
            aria-label={t`Certificate of ${grade.name}`}
          >
            {grade.name}
          </Link>
        </span>
      ))}
    </Box>
  );
}
