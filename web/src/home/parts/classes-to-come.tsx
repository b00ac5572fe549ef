import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { HomeClass, HomePageResponse } from '@leiter/contract';
import { daysBetween } from '@leiter/core';
import { palette } from '../../shared/palette';
import { dayText, daysAway, namesText } from '../../shared/words';
import type { Tell } from '../home.page';
import { Section } from './section';

/** The classes to come, the next one with what to lay out; an absence is told by a press. */
export function ClassesToCome({ page, tell }: { readonly page: HomePageResponse; readonly tell: Tell }) {
  const [next, ...later] = page.coming;
  return (
    <>
      {page.grading.map((one) => (
        <Section key={one.day} title={t`Grading day`}>
          <Box sx={{ backgroundColor: '#FFFFFF', border: `1px solid ${palette.line}`, borderRadius: 2, p: 1.75 }}>
            <strong>
              {dayText(one.day)}, {one.warmUpAt ?? one.startsAt}
            </strong>{' '}
            <Trans>
              for {one.gradeName}, {daysAway(daysBetween(page.today, one.day))}
            </Trans>
            <Box sx={{ color: palette.soft, mt: 0.5 }}>
              {one.warmUpAt === null ? t`When it is ${page.child.givenName}’s turn will be told.` : t`It begins with the warm-up.`}
            </Box>
          </Box>
        </Section>
      ))}
      <Section title={t`Next class`}>
        {next ? (
          <ClassCard one={next} page={page} tell={tell} isNext />
        ) : (
          <Box sx={{ color: palette.soft }}>
            <Trans>No class is on the calendar in the next weeks.</Trans>
          </Box>
        )}
        {later.length > 0 && (
          <Box sx={{ mt: 1 }}>
            {later.map((one) => (
              <ClassCard key={`${one.groupId} ${one.day}`} one={one} page={page} tell={tell} />
            ))}
          </Box>
        )}
      </Section>
    </>
  );
}

function ClassCard({
  one,
  page,
  tell,
  isNext = false,
}: {
  readonly one: HomeClass;
  readonly page: HomePageResponse;
  readonly tell: Tell;
  readonly isNext?: boolean;
}) {
  const { groupId, day } = one;
  const say = (isAway: boolean): void => {
    void tell({ method: 'PUT', path: 'home/absence', body: { groupId, day, isAway } }, (now) => ({
      ...now,
      coming: now.coming.map((other) => (other.groupId === groupId && other.day === day ? { ...other, isAway } : other)),
    }));
  };
  return (
    <Box
      sx={
        isNext
          ? { backgroundColor: '#FFFFFF', border: `1px solid ${palette.line}`, borderRadius: 2, p: 1.75 }
          : {
              borderTop: `1px solid ${palette.line}`,
              py: 1,
              display: 'flex',
              gap: 1,
              alignItems: 'center',
              justifyContent: 'space-between',
            }
      }
    >
      <Box>
        <strong>
          {dayText(day)}, {one.startsAt}
        </strong>
        <Box sx={{ color: palette.soft }}>
          {one.groupName} · {plural(one.lengthMinutes, { one: '# minute', other: '# minutes' })}
          {isNext && ` · ${daysAway(daysBetween(page.today, day))}`}
        </Box>
        {one.off !== null && <Box sx={{ color: palette.caution, fontWeight: 700 }}>{t`Does not take place: ${one.off}`}</Box>}
        {isNext && one.off === null && (
          <>
            {one.focus.length > 0 && <Box sx={{ mt: 1 }}>{t`It is about: ${namesText(one.focus)}.`}</Box>}
            {one.prepare.length > 0 ? (
              <Box component="ul" aria-label={t`To lay out`} sx={{ pl: 2.5, my: 1 }}>
                {one.prepare.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </Box>
            ) : (
              <Box sx={{ color: palette.soft, my: 1 }}>
                <Trans>What to lay out will stand here once the class is planned.</Trans>
              </Box>
            )}
          </>
        )}
      </Box>
      {one.off === null &&
        (one.isAway ? (
          <Box sx={{ flexShrink: 0 }}>
            <Box sx={{ fontWeight: 700, mb: 0.5 }}>{t`You told: ${page.child.givenName} does not come.`}</Box>
            <Button
              variant="outlined"
              onClick={() => {
                say(false);
              }}
            >
              <Trans>Comes after all</Trans>
            </Button>
          </Box>
        ) : (
          <Button
            variant="outlined"
            sx={{ flexShrink: 0 }}
            onClick={() => {
              say(true);
            }}
          >
            <Trans>Cannot come</Trans>
          </Button>
        ))}
    </Box>
  );
}
