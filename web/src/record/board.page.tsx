import Box from '@mui/material/Box';
import type { BoardCell, GroupBoardResponse } from '@leiter/contract';
import { isMet, type StandingName } from '@leiter/core';
import { Link, useParams } from 'react-router';
import { useLibrary } from '../queries/library.queries';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { markWords, plural, weekdayWords } from '../shared/words';
import { criterionText } from '../shared/criterion-text';
import { useGroupBoard } from '../queries/record.queries';
import { useProgrammeName } from '../queries/syllabus.queries';

/** A group at a glance: children × the requirements of the grade each works towards. */
export function BoardPage() {
  const { id = '' } = useParams();
  const board = useGroupBoard(id);
  const programmeName = useProgrammeName();
  return (
    <Loaded query={board} what="group">
      {(data) => (
        <Page
          title={`Board · ${data.group.name}`}
          about={`${programmeName(data.group.programme)} · ${weekdayWords[data.group.weekday - 1] ?? ''} ${data.group.startsAt} · ${plural(data.rows.length, 'child', 'children')}`}
        >
          <Panel label="Board">
            {data.rows.length === 0 ? (
              <Message
                title="Nobody in this group yet"
                text="Add a child and choose this group for it."
                action={{ label: 'To the children', href: '/children' }}
              />
            ) : (
              <Grades board={data} />
            )}
          </Panel>
        </Page>
      )}
    </Loaded>
  );
}

/** One table per grade that children work towards: short rows, no empty columns. */
function Grades({ board }: { readonly board: GroupBoardResponse }) {
  const library = useLibrary();
  return board.columns.map(({ gradeId, gradeName, requirements }) => (
    <Box key={gradeId} component="section" aria-label={`Towards ${gradeName}`} sx={{ mb: 3.5 }}>
      <Box
        component="table"
        sx={{ borderCollapse: 'collapse', fontSize: 14, tableLayout: 'fixed', '& th': { fontWeight: 400, textAlign: 'left' } }}
      >
        <thead>
          <tr>
            <Box component="th" scope="col" sx={{ width: 170, verticalAlign: 'bottom', pb: 0.75, fontFamily: 'inherit' }}>
              <strong style={{ fontSize: 16 }}>Towards {gradeName}</strong>
            </Box>
            {requirements.map((requirement) => (
              <Box
                component="th"
                scope="col"
                key={requirement.id}
                title={criterionText(requirement.criterion)}
                sx={{ width: 118, verticalAlign: 'bottom', px: 1, pb: 0.75, lineHeight: 1.25 }}
              >
                {library.get(requirement.movement)?.name ?? requirement.movement}
                {requirement.stage !== null && <Box sx={{ color: palette.soft, fontSize: 12.5 }}>stage {requirement.stage}</Box>}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {board.rows
            .filter((row) => row.nextGradeId === gradeId)
            .map((row) => (
              <Box component="tr" key={row.childId} sx={{ borderTop: `1px solid ${palette.line}` }}>
                <Box component="th" scope="row" sx={{ py: 0.75 }}>
                  <Link to={`/children/${row.childId}`}>{row.name}</Link>
                  <Box sx={{ fontSize: 12.5, color: row.isEarned ? palette.primary : palette.soft, fontWeight: row.isEarned ? 700 : 400 }}>
                    {row.isEarned ? 'earned' : `${String(row.metCount)} of ${String(row.cells.length)} met`}
                  </Box>
                </Box>
                {row.cells.map((cell) => (
                  <StandingCell key={cell.requirementId} cell={cell} />
                ))}
              </Box>
            ))}
        </tbody>
      </Box>
    </Box>
  ));
}

function isMetName(standing: StandingName): boolean {
  return isMet({ name: standing });
}

function StandingCell({ cell }: { readonly cell: BoardCell }) {
  const { standing } = cell;
  return (
    <Box
      component="td"
      sx={{ px: 1, borderLeft: `1px solid ${palette.line}`, backgroundColor: isMetName(standing) ? '#DCE9E9' : '#FFFFFF' }}
    >
      <Box sx={{ fontWeight: isMetName(standing) ? 700 : 400, color: standing === 'unseen' ? palette.soft : palette.ink }}>
        {words(cell)}
      </Box>
      {cell.sidesOpen.length > 0 && standing !== 'unseen' && (
        <Box sx={{ fontSize: 12.5, color: palette.soft }}>{cell.sidesOpen.join(' and ')} open</Box>
      )}
    </Box>
  );
}

function words({ standing, bestMark, unseenForDays }: BoardCell): string {
  if (standing === 'fading') return `met, ${String(Math.floor((unseenForDays ?? 0) / 7))} weeks ago`;
  if (standing === 'unseen') return 'not seen';
  if (standing === 'with-help' && bestMark !== null) return markWords[bestMark];
  return standing.replace('-', ' ');
}
