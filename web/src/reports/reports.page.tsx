import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { GroupReport, ReportResponse, StallResponse } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLibrary } from '../queries/library.queries';
import { api } from '../shared/api';
import { ExportMenu } from '../shared/export-menu';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { LoadChart } from './parts/load-chart';
import { GradesChart } from './parts/grades-chart';

const terms = [6, 14, 26, 52] as const;

/** What came of some weeks: children by grade, who was there, who does not come on and why. */
function ReportsPage() {
  const [weeks, setWeeks] = useState<number>(14);
  const report = useQuery({
    queryKey: ['report', weeks],
    queryFn: () => api<ReportResponse>('GET', `reports?weeks=${String(weeks)}`),
    // as the board, it follows what is marked
    staleTime: 30_000,
  });
  const library = useLibrary();
  const fileOf = (table: string, label: string) => ({
    label,
    href: `/api/reports/${table}?weeks=${String(weeks)}`,
    name: `${table}-${String(weeks)}-weeks.csv`,
  });
  return (
    <Page
      title={t`Reports`}
      about={t`all groups, until today`}
      actions={
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'center' }}>
          <TextField
            select
            size="small"
            value={weeks}
            onChange={(event) => {
              setWeeks(Number(event.target.value));
            }}
            slotProps={{ select: { native: true }, htmlInput: { 'aria-label': t`How far back` } }}
          >
            {terms.map((one) => (
              <option key={one} value={one}>
                {t`the last ${one} weeks`}
              </option>
            ))}
          </TextField>
          <ExportMenu
            files={[
              fileOf('grades', t`Children by grade`),
              fileOf('attendance', t`Attendance`),
              fileOf('stalls', t`Who does not come on`),
              fileOf('load', t`Load of the weeks`),
            ]}
          />
        </Box>
      }
    >
      <Panel label={t`Reports`}>
        <Loaded query={report} what={t`report`}>
          {({ days, groups }) =>
            groups.length === 0 ? (
              <Message
                title={t`No groups yet`}
                text={t`A report is of groups and their children.`}
                action={{ label: t`To the club`, href: '/club' }}
              />
            ) : (
              <>
                {groups.map((one) => (
                  <Group key={one.group.id} report={one} days={days} library={library} />
                ))}
              </>
            )
          }
        </Loaded>
      </Panel>
    </Page>
  );
}

function Group({ report, days, library }: { readonly report: GroupReport; readonly days: readonly string[]; readonly library: Library }) {
  const { group, gradeNames, counts, classesHeld, attendance, stalls, loads } = report;
  return (
    <Box component="section" aria-label={group.name} sx={{ mb: 5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        <Link to={`/groups/${group.id}`}>{group.name}</Link>
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr)' },
          gap: 4,
        }}
      >
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            <Trans>Children by grade</Trans>
          </Typography>
          <GradesChart days={days} gradeNames={gradeNames} counts={counts} />
        </Box>
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            <Trans>Attendance</Trans>
          </Typography>
          <Box sx={{ fontSize: 14, color: palette.soft, mb: 0.5 }}>{plural(classesHeld, { one: '# class', other: '# classes' })}</Box>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {attendance.map((one) => (
              <Came key={one.childId} one={one} held={classesHeld} />
            ))}
          </Box>
        </Box>
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            <Trans>Who does not come on</Trans>
          </Typography>
          <Box sx={{ fontSize: 14, color: palette.soft, mb: 0.5 }}>
            <Trans>nothing new shown in eight weeks</Trans>
          </Box>
          {stalls.length === 0 ? (
            <Trans>Nobody: everybody showed something new.</Trans>
          ) : (
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {stalls.map(({ childId, name, stall }) => (
                <Box component="li" key={childId} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, lineHeight: 1.3 }}>
                  <Link to={`/children/${childId}`}>{name}</Link>
                  <Box sx={{ fontSize: 14, color: palette.soft }}>{stallWords(stall, library)}</Box>
                </Box>
              ))}
            </Box>
          )}
          <Typography variant="h3" sx={{ mt: 2.5, mb: 0.5 }}>
            <Trans>Load of the weeks</Trans>
          </Typography>
          <LoadChart days={days} loads={loads} />
        </Box>
      </Box>
    </Box>
  );
}

/** Who came how often: a bar as long as the classes there were. */
function Came({ one, held }: { readonly one: GroupReport['attendance'][number]; readonly held: number }) {
  const came = one.there + one.late;
  const share = held === 0 ? 0 : Math.min(1, came / held);
  return (
    <Box
      component="li"
      sx={{ display: 'grid', gridTemplateColumns: '88px 1fr 76px', gap: 1, alignItems: 'center', py: 0.25, fontSize: 14 }}
    >
      <Link to={`/children/${one.childId}`}>{one.name}</Link>
      <Box aria-hidden="true" sx={{ height: 8, backgroundColor: palette.line, borderRadius: '4px', overflow: 'hidden' }}>
        <Box sx={{ width: `${String(100 * share)}%`, height: '100%', backgroundColor: palette.primary }} />
      </Box>
      <span>
        {t`${came} of ${held}`}
        {one.watched > 0 && <span style={{ color: palette.soft }}>{t` +${one.watched}`}</span>}
      </span>
    </Box>
  );
}

function stallWords(stall: StallResponse, library: Library): string {
  switch (stall.kind) {
    case 'away':
      return t`came to ${stall.came} of ${plural(stall.held, { one: '# class', other: '# classes' })}`;
    case 'unlooked':
      return t`looked at ${plural(stall.looks, { 0: 'not once', one: 'once', other: '# times' })} in ${plural(stall.came, { one: '# class', other: '# classes' })}`;
    case 'stuck':
      return t`${library.get(stall.movement)?.name ?? stall.movement}: looked at ${stall.looks} times, not shown yet`;
    case 'slow':
      return t`looked at ${plural(stall.looks, { one: 'once', other: '# times' })}, nothing shown yet`;
  }
}

export { ReportsPage as Page };
