import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import type { ChildLadder } from '@leiter/contract';
import { useMutation } from '@tanstack/react-query';
import { api } from '../../shared/api';
import { palette } from '../../shared/palette';

/** The certificates of the grades that a child has, the newest first, to be printed, and the badge of the newest for who may show it. */
export function Certificates({ childId, earned }: { readonly childId: string; readonly earned: ChildLadder['earned'] }) {
  const open = useMutation({
    mutationFn: (gradeId: string) => api<{ readonly id: string }>('GET', `children/${childId}/badges/${gradeId}`),
    onSuccess: ({ id }) => {
      window.location.assign(`/verify/${id}`);
    },
  });
  const newest = earned.at(-1);
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
      {newest && (
        <Box>
          <Link
            component="button"
            sx={{ fontSize: 14 }}
            onClick={() => {
              open.mutate(newest.grade.id);
            }}
          >
            <Trans>Badge of {newest.grade.name}</Trans>
          </Link>
          {open.error && <Box sx={{ color: palette.caution }}>{open.error.message}</Box>}
        </Box>
      )}
    </Box>
  );
}
