import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Library, Movement } from '@leiter/core';
import { Link } from 'react-router';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';

/** What has to be there first, and where a movement leads: a picture that is walked by its links. */
export function WayPicture({ movement, library }: { readonly movement: Movement; readonly library: Library }) {
  const first = movement.prerequisites.map(({ movement: slug, mark }) => ({ slug, note: markWords[mark] }));
  const after = movement.leadsTo.map((slug) => ({ slug, note: '' }));
  if (first.length + after.length === 0) return null;
  return (
    <Box component="section" aria-label="The way" sx={{ mb: 2.5, maxWidth: 820 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        The way
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 34px 150px 34px 1fr', alignItems: 'center' }}>
        <Steps title="First" steps={first} library={library} empty="nothing has to be there first" />
        <Arrow />
        <Box sx={{ border: `2px solid ${palette.primary}`, borderRadius: '6px', p: 1, textAlign: 'center', backgroundColor: '#FFFFFF' }}>
          <Box sx={{ display: 'flex', justifyContent: 'center' }}>
            <Figure movement={movement} size={84} behind="#FFFFFF" />
          </Box>
          <strong>{movement.name}</strong>
        </Box>
        <Arrow />
        <Steps title="Then" steps={after} library={library} empty="the end of its way" />
      </Box>
    </Box>
  );
}

function Steps({
  title,
  steps,
  library,
  empty,
}: {
  readonly title: string;
  readonly steps: readonly { readonly slug: string; readonly note: string }[];
  readonly library: Library;
  readonly empty: string;
}) {
  if (steps.length === 0) return <Box sx={{ color: palette.soft, fontSize: 14, textAlign: 'center' }}>{empty}</Box>;
  return (
    <Box component="ul" aria-label={title} sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {steps.map(({ slug, note }) => {
        const step = library.get(slug);
        return (
          <Box
            component="li"
            key={slug}
            sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.25, borderTop: `1px solid ${palette.line}` }}
          >
            <Figure movement={step} size={46} />
            <Box sx={{ minWidth: 0, fontSize: 14.5, lineHeight: 1.25 }}>
              <Link to={`/library/${slug}`}>{step?.name ?? slug}</Link>
              {note !== '' && <Box sx={{ fontSize: 12.5, color: palette.soft }}>{note}</Box>}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

function Arrow() {
  return (
    <svg viewBox="0 0 34 20" width="34" height="20" aria-hidden="true">
      <path d="M4 10H28M22 4l7 6-7 6" fill="none" stroke={palette.soft} strokeWidth="2" strokeLinecap="round" strokeLinejoin="round" />
    </svg>
  );
}
