import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassPageResponse } from '@leiter/contract';
import { currentObservations, groupBy, type Library, type Observation } from '@leiter/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';

/** What was marked in this class, by child. */
export function MarksGiven({ page, library }: { readonly page: ClassPageResponse; readonly library: Library }) {
  const byChild = groupBy(currentObservations(page.observations), ({ childId }) => childId);
  const marked = page.children.filter(({ id }) => byChild.has(id));
  const present = page.children.filter(({ attendance }) => attendance === 'present' || attendance === 'late');
  const without = present.filter(({ id }) => !byChild.has(id));
  return (
    <Box component="section" aria-label={t`Marks given`} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>What was seen</Trans>
      </Typography>
      {marked.length === 0 && (
        <Typography variant="body2" sx={{ color: palette.soft }}>
          <Trans>No marks yet.</Trans>{' '}
          <Link to={`/classes/${page.class.id}/marks`}>
            <Trans>Give marks</Trans>
          </Link>
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {marked.map((child) => (
          <Box component="li" key={child.id} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5, fontSize: 14.5 }}>
            <Link to={`/children/${child.id}`}>{child.name}</Link>: {seenWords(byChild.get(child.id) ?? [], library)}
          </Box>
        ))}
      </Box>
      {marked.length > 0 && without.length > 0 && (
        <Typography variant="body2" sx={{ color: palette.caution, borderTop: `1px solid ${palette.line}`, pt: 0.5 }}>
          <Trans>There and not marked: {without.map(({ name }) => name).join(', ')}</Trans>
        </Typography>
      )}
    </Box>
  );
}

/** The last mark of each movement, both sides in one where they are alike: “front kick alone, low block right clean”. */
function seenWords(marks: readonly Observation[], library: Library): string {
  const byMovement = groupBy(marks, ({ movement }) => movement);
  return [...byMovement]
    .flatMap(([slug, own]) => {
      const last = new Map(own.map(({ side, mark }) => [side, mark]));
      const name = library.get(slug)?.name.toLowerCase() ?? slug;
      const [left, right] = [last.get('left'), last.get('right')];
      if (left !== undefined && left === right) return [`${name} ${markWords[left]}`];
      return [...last].map(([side, mark]) => `${name}${side === 'none' ? '' : ` ${side}`} ${markWords[mark]}`);
    })
    .join(', ');
}
