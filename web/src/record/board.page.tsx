import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { BoardCell, BoardRow, GroupBoardResponse, RequirementResponse } from '@leiter/contract';
import { marks, type Library } from '@leiter/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import { useGroupBoard } from '../queries/record.queries';
import { useSession } from '../queries/session.queries';
import { useProgrammeName } from '../queries/syllabus.queries';
import { criterionText } from '../shared/criterion-text';
import { ButtonLink } from '../shared/button-link';
import { forecastShort, forecastWords } from '../shared/forecast-words';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { Rungs, isMetName } from '../shared/rungs';
import { markWords, weekdayWords } from '../shared/words';
import { BoardMark } from './parts/board-mark';
import { CertificatesDialog } from './parts/certificates-dialog';

interface Chosen {
  readonly row: BoardRow;
  readonly requirement: RequirementResponse;
}

/** A group at a glance: children × the requirements of the grade each works towards; a cell opens what was seen, and takes a mark. */
function BoardPage() {
  const { id = '' } = useParams();
  const board = useGroupBoard(id);
  const movements = useMovements();
  const library = useLibrary();
  const programmeName = useProgrammeName();
  const may = useMay();
  const today = useSession().data?.today ?? '';
  const [isPrinting, setPrinting] = useState(false);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  return (
    <Loaded query={board} what={t`group`}>
      {(data) => (
        <Page
          title={t`Board · ${data.group.name}`}
          about={`${programmeName(data.group.programme)} · ${weekdayWords[data.group.weekday - 1] ?? ''} ${data.group.startsAt} · ${plural(data.rows.length, { one: '# child', other: '# children' })}`}
          {...(may.change && data.rows.length > 0
            ? {
                actions: (
                  <>
                    <ButtonLink to={`/groups/${data.group.id}/bests`}>
                      <Trans>Bests</Trans>
                    </ButtonLink>
                    <ButtonLink to="/gradings">
                      <Trans>Grading days</Trans>
                    </ButtonLink>
                    <Button
                      variant="outlined"
                      onClick={() => {
                        setPrinting(true);
                      }}
                    >
                      <Trans>Certificates</Trans>
                    </Button>
                  </>
                ),
              }
            : {})}
        >
          <Panel label={t`Board`}>
            {data.rows.length === 0 ? (
              <Message
                title={t`Nobody in this group yet`}
                text={t`Add a child and choose this group for it.`}
                action={{ label: t`To the children`, href: '/children' }}
              />
            ) : (
              <>
                <Legend />
                {data.columns.map((column) => (
                  <Grade key={column.gradeId} column={column} rows={data.rows} library={library} onChoose={setChosen} />
                ))}
                <AtTheTop rows={data.rows} />
              </>
            )}
          </Panel>
          {isPrinting && today !== '' && (
            <CertificatesDialog
              groupId={data.group.id}
              today={today}
              onClose={() => {
                setPrinting(false);
              }}
            />
          )}
          {chosen && movements.data && (
            <BoardMark
              key={`${chosen.row.childId} ${chosen.requirement.id}`}
              row={chosen.row}
              requirement={chosen.requirement}
              library={library}
              onClose={() => {
                setChosen(null);
              }}
            />
          )}
        </Page>
      )}
    </Loaded>
  );
}

/** What the rungs mean, once. */
function Legend() {
  return (
    <Box
      aria-hidden="true"
      sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2.5, rowGap: 0.5, mb: 2, fontSize: 14, color: palette.soft }}
    >
      {marks.map((mark, climbed) => (
        <Box key={mark} component="span" sx={{ display: 'inline-flex', gap: 0.75, alignItems: 'center' }}>
          <Rungs climbed={climbed} /> {markWords[mark]}
        </Box>
      ))}
      <Box component="span" sx={{ display: 'inline-flex', gap: 0.75, alignItems: 'center' }}>
        <Rungs climbed={3} isMet /> <Trans>met</Trans>
      </Box>
      <Box component="span" sx={{ display: 'inline-flex', gap: 0.75, alignItems: 'center' }}>
        <Rungs climbed={3} isMet isFading /> <Trans>met long ago</Trans>
      </Box>
    </Box>
  );
}

/** One table per grade that children work towards: short rows, no empty columns; names stay while it scrolls. */
function Grade({
  column: { gradeId, gradeName, requirements },
  rows,
  library,
  onChoose,
}: {
  readonly column: GroupBoardResponse['columns'][number];
  readonly rows: readonly BoardRow[];
  readonly library: Library;
  readonly onChoose: (chosen: Chosen) => void;
}) {
  const today = useSession().data?.today ?? '';
  const stays = { position: 'sticky', left: 0, zIndex: 1, backgroundColor: palette.paper } as const;
  return (
    <Box component="section" aria-label={t`Towards ${gradeName}`} sx={{ mb: 3.5, overflowX: 'auto' }}>
      <Box component="table" sx={{ borderCollapse: 'collapse', fontSize: 14, '& th': { fontWeight: 400, textAlign: 'left' } }}>
        <thead>
          <tr>
            <Box component="th" scope="col" sx={{ ...stays, minWidth: 132, maxWidth: 170, verticalAlign: 'bottom', pb: 0.75, pr: 1 }}>
              <strong style={{ fontSize: 16 }}>
                <Trans>Towards {gradeName}</Trans>
              </strong>
            </Box>
            <Box component="th" scope="col" sx={{ minWidth: 92, verticalAlign: 'bottom', pb: 0.75, pr: 1 }}>
              <Trans>Likely</Trans>
            </Box>
            {requirements.map((requirement) => (
              <Box
                component="th"
                scope="col"
                key={requirement.id}
                title={criterionText(requirement.criterion)}
                sx={{ minWidth: 104, maxWidth: 128, verticalAlign: 'bottom', px: 1, pb: 0.75, lineHeight: 1.25 }}
              >
                {library.get(requirement.movement)?.name ?? requirement.movement}
                {requirement.stage !== null && (
                  <Box sx={{ color: palette.soft, fontSize: 12.5 }}>
                    <Trans>stage {requirement.stage}</Trans>
                  </Box>
                )}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows
            .filter((row) => row.nextGradeId === gradeId)
            .map((row) => (
              <Box component="tr" key={row.childId} sx={{ borderTop: `1px solid ${palette.line}` }}>
                <Box component="th" scope="row" sx={{ ...stays, py: 0.75, pr: 1, overflowWrap: 'anywhere', maxWidth: 170 }}>
                  <Link to={`/children/${row.childId}`}>{row.name}</Link>
                  <Box sx={{ fontSize: 12.5, color: row.isEarned ? palette.primary : palette.soft, fontWeight: row.isEarned ? 700 : 400 }}>
                    {row.isEarned ? t`earned` : t`${String(row.metCount)} of ${String(row.cells.length)} met`}
                  </Box>
                </Box>
                <Box component="td" sx={{ pr: 1, lineHeight: 1.25, color: palette.soft, borderLeft: `1px solid ${palette.line}`, pl: 1 }}>
                  <Likely row={row} requirements={requirements} library={library} today={today} />
                </Box>
                {requirements.map((requirement) => {
                  const cell = row.cells.find(({ requirementId }) => requirementId === requirement.id);
                  return (
                    <Box component="td" key={requirement.id} sx={{ p: 0, height: 48, borderLeft: `1px solid ${palette.line}` }}>
                      {cell && (
                        <StandingCell
                          cell={cell}
                          label={`${row.name}, ${library.get(requirement.movement)?.name ?? requirement.movement}`}
                          onChoose={() => {
                            onChoose({ row, requirement });
                          }}
                        />
                      )}
                    </Box>
                  );
                })}
              </Box>
            ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** When a child will likely have the grade, and what comes last. */
function Likely({
  row: { forecast },
  requirements,
  library,
  today,
}: {
  readonly row: BoardRow;
  readonly requirements: readonly RequirementResponse[];
  readonly library: Library;
  readonly today: string;
}) {
  if (!forecast || today === '') return null;
  const hangsOn = forecast.kind === 'span' ? requirements.find(({ id }) => id === forecast.hangsOn) : undefined;
  const last = hangsOn && (library.get(hangsOn.movement)?.name ?? hangsOn.movement);
  return (
    <span title={[forecastWords(forecast, today), ...(last ? [t`what likely comes last: ${last}`] : [])].join(' · ')}>
      {forecastShort(forecast, today)}
    </span>
  );
}

function AtTheTop({ rows }: { readonly rows: readonly BoardRow[] }) {
  const top = rows.filter(({ nextGradeId }) => nextGradeId === null);
  if (top.length === 0) return null;
  return (
    <Box component="section" aria-label={t`At the top of the ladder`}>
      <strong style={{ fontSize: 16 }}>
        <Trans>At the top of the ladder</Trans>
      </strong>
      {top.map(({ childId, name }) => (
        <Box key={childId}>
          <Link to={`/children/${childId}`}>{name}</Link>
        </Box>
      ))}
    </Box>
  );
}

function StandingCell({ cell, label, onChoose }: { readonly cell: BoardCell; readonly label: string; readonly onChoose: () => void }) {
  const { standing, bestMark, sidesOpen } = cell;
  const words = standingWordsOf(cell);
  return (
    <Box
      component="button"
      type="button"
      aria-label={`${label}: ${words}${sidesOpen.length > 0 && standing !== 'unseen' ? t`, ${sidesOpen.join(t` and `)} open` : ''}`}
      onClick={onChoose}
      sx={{
        font: 'inherit',
        textAlign: 'left',
        width: '100%',
        height: '100%',
        minHeight: 48,
        border: 0,
        px: 1,
        cursor: 'pointer',
        display: 'flex',
        alignItems: 'center',
        gap: 0.75,
        backgroundColor: standing === 'unseen' ? 'transparent' : palette.white,
        color: standing === 'unseen' ? palette.soft : palette.ink,
        '&:hover': { backgroundColor: palette.chosen },
        '&:focus-visible': { outlineOffset: '-3px' },
      }}
    >
      {standing !== 'unseen' && (
        <Rungs climbed={bestMark === null ? 0 : marks.indexOf(bestMark)} isMet={isMetName(standing)} isFading={standing === 'fading'} />
      )}
      <Box component="span" sx={{ lineHeight: 1.2, fontWeight: isMetName(standing) ? 700 : 400 }}>
        {words}
        {sidesOpen.length > 0 && standing !== 'unseen' && (
          <Box component="span" sx={{ display: 'block', fontSize: 12.5, color: palette.soft, fontWeight: 400 }}>
            <Trans>{sidesOpen.join(t` and `)} open</Trans>
          </Box>
        )}
      </Box>
    </Box>
  );
}

function standingWordsOf({ standing, bestMark, unseenForDays }: BoardCell): string {
  if (standing === 'fading') return plural(Math.floor((unseenForDays ?? 0) / 7), { one: 'met, # week ago', other: 'met, # weeks ago' });
  if (standing === 'unseen') return t`not seen`;
  if (standing === 'with-help' && bestMark !== null) return markWords[bestMark];
  return standing.replace('-', ' ');
}

export { BoardPage as Page };
