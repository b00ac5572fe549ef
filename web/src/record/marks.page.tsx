import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { ClassPageResponse, GroupBoardResponse } from '@leiter/contract';
import { isThere } from '@leiter/contract/who-comes';
import type { Library, WorthWatching } from '@leiter/core';
import { useRef, useState } from 'react';
import { useParams } from 'react-router';
import { LoadedClass } from '../queries/loaded-class';
import { useMay } from '../queries/may';
import { useGroupBoard } from '../queries/record.queries';
import { ButtonLink } from '../shared/button-link';
import { KeysHelp } from '../shared/keys-help';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dayText } from '../shared/words';
import { CellInspector } from '../marking/cell-inspector';
import { MarkTable } from './parts/mark-table';
import { MarksByThumb } from './parts/marks-by-thumb';
import { RefusedMarks } from './parts/refused-marks';
import { useMarkSheet, type MarkSheet } from '../marking/use-mark-sheet';
import { watchListOf, WhomToWatchPanel } from '../marking/whom-to-watch';

const keys: readonly (readonly [string, string])[] = [
  ['1 2 3 4', t`not yet, with help, alone, clean`],
  ['H', t`with help; again: another kind of help`],
  ['F', t`a fault; again: the next one`],
  ['N', t`the number that was held, done or known; Enter goes back`],
  [t`Del`, t`takes the mark back`],
  [t`Ctrl Z`, t`undoes the last step, of marks and of the roll`],
  ['A', t`was the child there: there, late, away, watched the recording; again: nothing said`],
  ['M', t`everything that was done and is asked, or only the focus`],
  ['Tab', t`next child`],
  ['← → ↑ ↓', t`another cell`],
];

/** What the children of a class showed: what was in focus first, and all that was done and is asked. */
function MarksPage() {
  const { id = '' } = useParams();
  return <LoadedClass id={id}>{(page, library) => <WithBoard page={page} library={library} />}</LoadedClass>;
}

function WithBoard({ page, library }: { readonly page: ClassPageResponse; readonly library: Library }) {
  const board = useGroupBoard(page.class.groupId);
  return (
    <Loaded query={board} what={t`board`}>
      {(found) => <Marks page={page} board={found} library={library} />}
    </Loaded>
  );
}

function Marks({
  page,
  board,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly board: GroupBoardResponse;
  readonly library: Library;
}) {
  const sheet = useMarkSheet(page, board, library);
  const isPhone = useMediaQuery('(max-width: 699px)');
  const may = useMay();
  const { children, columns } = sheet;
  const hasUnsaid = children.some(({ attendance }) => attendance === null);
  return (
    <Page
      title={t`Marks · ${page.class.groupName}`}
      about={t`${dayText(page.class.day)} · ${plural(sheet.given, { one: '# mark', other: '# marks' })} given`}
      actions={
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {hasUnsaid && children.length > 0 && (
            <Button variant="outlined" onClick={sheet.allThere}>
              {children.every(({ attendance }) => attendance === null) ? t`All there` : t`All others there`}
            </Button>
          )}
          <ButtonLink to={`/classes/${page.class.id}`}>
            <Trans>The class</Trans>
          </ButtonLink>
          <ButtonLink to={`/groups/${page.class.groupId}`}>
            <Trans>The group’s board</Trans>
          </ButtonLink>
        </Box>
      }
    >
      {children.length === 0 ? (
        <Message
          title={t`Nobody to mark`}
          text={t`No child is in this group on this day.`}
          action={{ label: t`To the children`, href: '/children' }}
        />
      ) : columns.length === 0 ? (
        <Message
          title={t`Nothing to mark yet`}
          text={
            page.stored
              ? t`Nothing of this class is in focus, and nothing of it is asked by the next grade of these children.`
              : t`This class has no plan: what is in it, is marked here.`
          }
          {...(may.change || page.stored ? { action: { label: t`To the plan`, href: `/classes/${page.class.id}/plan` } } : {})}
        />
      ) : isPhone ? (
        <Panel label={t`Marks`}>
          <RefusedMarks page={page} library={library} />
          <More sheet={sheet} library={library} />
          <WhomToWatchPanel list={toWatch({ page, board, sheet, library })} board={board} library={library} />
          <MarksByThumb sheet={sheet} />
        </Panel>
      ) : (
        <Grid page={page} board={board} sheet={sheet} library={library} />
      )}
    </Page>
  );
}

interface SheetProps {
  readonly page: ClassPageResponse;
  readonly board: GroupBoardResponse;
  readonly sheet: MarkSheet;
  readonly library: Library;
}

/** Looks that are worth most, of children who have no mark of this class yet. */
function toWatch({ page, board, sheet }: SheetProps): readonly WorthWatching[] {
  const open = sheet.children.filter(
    (child) => isThere(child) && !sheet.columns.some((column) => sheet.cellOf(child.id, column).mark !== null),
  );
  const done = [...new Set([...sheet.offered.focus, ...sheet.offered.more.map(({ slug }) => slug)])];
  return watchListOf(board, new Set(open.map(({ id }) => id)), done, page.class.day);
}

function Grid(props: SheetProps) {
  const { page, board, sheet, library } = props;
  const { children, columns } = sheet;
  const [wanted, setChosen] = useState({ row: 0, column: 0 });
  const inspector = useRef<HTMLDivElement>(null);
  // columns may have gone since
  const chosen = { row: Math.min(wanted.row, children.length - 1), column: Math.min(wanted.column, columns.length - 1) };
  const child = children[chosen.row];
  const column = columns[chosen.column];
  const cell = child && column ? sheet.cellOf(child.id, column) : null;
  return (
    <>
      <Panel label={t`Marks`}>
        <RefusedMarks page={page} library={library} />
        <More sheet={sheet} library={library} />
        <WhomToWatchPanel
          list={toWatch(props)}
          board={board}
          library={library}
          onChoose={({ child: id, movement, side }) => {
            const row = children.findIndex((one) => one.id === id);
            const at = columns.findIndex((one) => one.movement.slug === movement && (side === null || one.side === side));
            if (at < 0) sheet.setShowsMore(true);
            setChosen({ row, column: Math.max(0, at) });
          }}
        />
        <MarkTable
          sheet={sheet}
          chosen={chosen}
          onChoose={setChosen}
          onMeasure={() => {
            const field = inspector.current?.querySelector<HTMLInputElement>('input[inputmode]');
            field?.focus();
            // a number that is written takes the place of the one before
            field?.select();
          }}
        />
      </Panel>
      {cell && (
        <Panel label={t`Chosen mark`} width={300}>
          <div ref={inspector}>
            <CellInspector
              cell={cell}
              childName={child?.name ?? ''}
              onChange={(made) => {
                sheet.change(cell, made);
              }}
              onTakeBack={() => {
                sheet.takeBack(cell);
              }}
              onMeasured={() => {
                document.querySelector<HTMLElement>(`[data-cell="${String(chosen.row)}-${String(chosen.column)}"]`)?.focus();
              }}
            />
          </div>
        </Panel>
      )}
      <KeysHelp keys={keys} />
    </>
  );
}

/** What was done in the class and is asked, beside the focus: one press away. */
function More({ sheet, library }: { readonly sheet: MarkSheet; readonly library: Library }) {
  const { offered, showsMore, setShowsMore } = sheet;
  if (offered.focus.length === 0 || offered.more.length === 0) return null;
  const names = offered.more.slice(0, 4).map(({ slug, askedOf }) => `${library.get(slug)?.name ?? slug} (${String(askedOf)})`);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 1, fontSize: 14 }}>
      <Button
        size="small"
        variant="outlined"
        aria-pressed={showsMore}
        onClick={() => {
          setShowsMore(!showsMore);
        }}
      >
        {showsMore ? t`Only the focus` : t`${plural(offered.more.length, { one: '# more skill', other: '# more skills' })} of this class`}
      </Button>
      {!showsMore && (
        <Box sx={{ color: palette.soft }}>
          <Trans>
            done and asked: {names.join(', ')}
            {offered.more.length > 4 && ' …'}
          </Trans>
        </Box>
      )}
    </Box>
  );
}

export { MarksPage as Page };
