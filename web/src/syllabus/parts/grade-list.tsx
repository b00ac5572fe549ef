import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { LadderVersion } from '@leiter/core';
import { palette } from '../../shared/palette';
import { SortableList } from '../../shared/sortable-list';
import { movedTo, withGrade, withNewGrade } from '../editing/ladder-draft';

interface Props {
  readonly draft: LadderVersion;
  readonly chosen: string;
  readonly onChoose: (slug: string) => void;
  readonly onChange: (ladder: LadderVersion) => void;
}

/** The grades of a ladder that is being changed, the highest on top: chosen, put in order, added, put back. */
export function GradeList({ draft, chosen, onChoose, onChange }: Props) {
  const away = draft.grades.filter(({ isPutAway }) => isPutAway);
  const inUse = draft.grades.filter(({ isPutAway }) => !isPutAway).toReversed();
  const grade = inUse.find(({ slug }) => slug === chosen);
  return (
    <>
      <SortableList
        label={t`Grades, highest first`}
        ids={inUse.map(({ slug }) => slug)}
        nameOf={(slug) => inUse.find((one) => one.slug === slug)?.name ?? slug}
        onMove={(from, to) => {
          const [one, other] = [inUse[from], inUse[to]];
          if (one && other) onChange({ grades: movedTo(draft.grades, draft.grades.indexOf(one), draft.grades.indexOf(other)) });
        }}
      >
        {(slug) => {
          const one = inUse.find((other) => other.slug === slug);
          return (
            <Box
              component="button"
              type="button"
              aria-current={slug === chosen ? 'true' : undefined}
              onClick={() => {
                onChoose(slug);
              }}
              sx={{
                display: 'flex',
                justifyContent: 'space-between',
                gap: 1,
                width: '100%',
                border: 0,
                background: slug === chosen ? '#E4EEEF' : 'none',
                font: 'inherit',
                fontWeight: slug === chosen ? 700 : 400,
                color: palette.ink,
                textAlign: 'left',
                cursor: 'pointer',
                py: 1,
                px: 1,
              }}
            >
              <span>{one?.name}</span>
              <span style={{ color: palette.soft, fontWeight: 400 }}>{one?.requirements.filter(({ isPutAway }) => !isPutAway).length}</span>
            </Box>
          );
        }}
      </SortableList>
      <Button
        variant="outlined"
        fullWidth
        sx={{ mt: 1.5 }}
        onClick={() => {
          const added = withNewGrade(draft, grade?.slug ?? null);
          onChange(added.ladder);
          onChoose(added.slug);
        }}
      >
        <Trans>Add a grade above {grade?.name ?? t`all`}</Trans>
      </Button>
      {away.length > 0 && (
        <Box component="ul" aria-label={t`Grades put away`} sx={{ listStyle: 'none', p: 0, mt: 2 }}>
          {away.map(({ slug, name }) => (
            <Box component="li" key={slug} sx={{ display: 'flex', alignItems: 'center', gap: 1, color: palette.soft, py: 0.5 }}>
              <Box sx={{ flex: 1 }}>
                <Trans>{name} – put away</Trans>
              </Box>
              <Button
                size="small"
                variant="outlined"
                onClick={() => {
                  onChange(withGrade(draft, slug, (one) => ({ ...one, isPutAway: false })));
                  onChoose(slug);
                }}
              >
                <Trans>Put back</Trans>
              </Button>
            </Box>
          ))}
        </Box>
      )}
    </>
  );
}
