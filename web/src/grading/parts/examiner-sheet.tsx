import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { GradingPageResponse } from '@leiter/contract';
import type { Library, Mark, Station } from '@leiter/core';
import { useState } from 'react';
import { useSession } from '../../queries/session.queries';
import { changedMark, type MarkChange } from '../../marking/mark-grid';
import { CellInspector } from '../../marking/cell-inspector';
import { ChoiceRow, ChoiceRows } from '../../shared/choice-row';
import { KeysHelp } from '../../shared/keys-help';
import { Message, Panel } from '../../shared/page';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';
import { markedOf, sheetCells, type SheetCell, type ShownMark } from '../examiner-cells';
import { stationWords } from '../grading-words';
import { linesOf, markSheets, type MarkSheet } from '../mark-sheets';
import { giveGradingMark, useGradingMarks } from '../../queries/grading.queries';
import { SheetTable, type SheetPlace } from './sheet-table';

const keys: readonly (readonly [string, string])[] = [
  ['1 2 3 4', t`not yet, with help, alone, clean`],
  ['H', t`with help; again: another kind of help`],
  ['F', t`a fault; again: the next one`],
  ['N', t`the number that was held, done or known; Enter goes back`],
  ['← → ↑ ↓', t`another cell`],
];

/** What an examiner writes while children show what is asked: by key or by mouse, also without a connection. */
export function ExaminerSheet({ page, library }: { readonly page: GradingPageResponse; readonly library: Library }) {
  const session = useSession().data;
  const ownId = session?.person.id ?? '';
  const marks = useGradingMarks(page, ownId);
  const sheets = markSheets(page);
  const isPhone = useMediaQuery('(max-width: 699px)');
  const [wanted, setWanted] = useState<string | null>(null);
  const [place, setPlace] = useState<SheetPlace>({ line: 0, child: 0 });
  const sheet = sheets.find(({ key }) => key === wanted) ?? sheets[0];
  const isOpen = page.grading.closedAt === null && (session?.today ?? '') >= page.grading.day;
  if (!sheet)
    return (
      <Panel label={t`Mark sheets`}>
        <Message title={t`Nobody comes yet`} text={t`Choose children first, under “Who comes”.`} />
      </Panel>
    );
  const choose = (key: string): void => {
    setWanted(key);
    setPlace({ line: 0, child: 0 });
  };
  const lines = linesOf(sheet, page, library);
  const cellOf = sheetCells(sheet.children, lines, marks, ownId);
  const personName = (id: string): string => page.people.find((person) => person.id === id)?.name ?? '';
  const headingOf = (station: Station): string => {
    const visit = sheet.visits.find((one) => one.station === station);
    return [stationWords[station], ...(visit ? [`${visit.at}, ${visit.examinerIds.map(personName).join(', ')}`] : [])].join(' · ');
  };
  const child = sheet.children[Math.min(place.child, sheet.children.length - 1)];
  const line = lines[Math.min(place.line, lines.length - 1)];
  const chosen = child && line ? cellOf(child, line) : null;
  const give = (cell: SheetCell, change: MarkChange, isSettled: boolean): void => {
    if (!isOpen || !cell.isAsked) return;
    const facts = changedMark(cell.own, change, cell.line.movement);
    void giveGradingMark(page.grading.id, {
      childId: cell.child.childId,
      requirementId: cell.line.requirement.id,
      side: cell.line.side,
      mark: facts.mark,
      help: facts.help,
      measure: { ...facts.measure },
      faults: [...facts.faults],
      isSettled,
    });
  };
  return (
    <>
      <Panel label={t`Sheets`} width={236} padding={isPhone ? 1.5 : 0}>
        {isPhone ? (
          <TextField
            select
            label={t`Whose sheet`}
            value={sheet.key}
            fullWidth
            onChange={(event) => {
              choose(event.target.value);
            }}
            slotProps={{ select: { native: true } }}
          >
            {sheets.map((one) => (
              <option key={one.key} value={one.key}>
                {[one.visits[0]?.at, namesOf(one)].filter((part) => part !== undefined).join(' ')}
              </option>
            ))}
          </TextField>
        ) : (
          <ChoiceRows>
            {sheets.map((one) => (
              <SheetChoice
                key={one.key}
                sheet={one}
                page={page}
                isChosen={one === sheet}
                ownId={ownId}
                {...progressOf(one, page, library, marks, ownId)}
                onChoose={() => {
                  choose(one.key);
                }}
              />
            ))}
          </ChoiceRows>
        )}
      </Panel>
      <Panel label={t`Mark sheet`}>
        {!isOpen && (
          <Box role="status" sx={{ backgroundColor: palette.shade, p: 1.25, mb: 1.5, borderRadius: 1 }}>
            {page.grading.closedAt === null
              ? t`This is what will be asked. It is marked on the day itself.`
              : t`This grading day is closed; its marks are in the record.`}
          </Box>
        )}
        <SheetTable
          lines={lines}
          headingOf={headingOf}
          sheetChildren={sheet.children}
          cellOf={cellOf}
          chosen={place}
          onChoose={setPlace}
          onChange={(cell, change) => {
            give(cell, change, false);
          }}
        />
      </Panel>
      {chosen?.isAsked && isOpen && (
        <Panel label={t`Chosen mark`} width={300} isAtHandOnPhone>
          <Examiners
            cell={chosen}
            page={page}
            ownId={ownId}
            onSettle={(mark) => {
              give(chosen, { kind: 'mark', mark }, true);
            }}
          />
          <CellInspector
            key={`${chosen.child.childId} ${chosen.line.key}`}
            cell={{
              childId: chosen.child.childId,
              column: { key: chosen.line.key, movement: chosen.line.movement, side: chosen.line.side },
              requirement: chosen.line.requirement,
              mark: chosen.own,
            }}
            childName={chosen.child.name}
            onChange={(change) => {
              give(chosen, change, false);
            }}
            onMeasured={() => {
              document.querySelector<HTMLElement>('[role="gridcell"][aria-selected="true"]')?.focus();
            }}
          />
        </Panel>
      )}
      <KeysHelp keys={keys} />
    </>
  );
}

const namesOf = ({ children }: MarkSheet): string => children.map(({ name }) => name).join(', ');

function progressOf(sheet: MarkSheet, page: GradingPageResponse, library: Library, marks: readonly ShownMark[], ownId: string) {
  const lines = linesOf(sheet, page, library);
  return markedOf(sheet.children, lines, sheetCells(sheet.children, lines, marks, ownId));
}

function SheetChoice({
  sheet,
  page,
  isChosen,
  ownId,
  marked,
  asked,
  onChoose,
}: {
  readonly sheet: MarkSheet;
  readonly page: GradingPageResponse;
  readonly isChosen: boolean;
  readonly ownId: string;
  readonly marked: number;
  readonly asked: number;
  readonly onChoose: () => void;
}) {
  const grade = page.grades.find(({ id }) => id === sheet.gradeId)?.name ?? '';
  const own = sheet.visits.filter(({ examinerIds }) => examinerIds.includes(ownId)).map(({ station }) => stationWords[station]);
  return (
    <ChoiceRow isChosen={isChosen} onChoose={onChoose}>
      <strong>{namesOf(sheet)}</strong>
      <Box sx={{ fontSize: 13, color: palette.soft }}>
        {[sheet.visits[0]?.at, grade, t`${marked} of ${asked}`].filter((part) => part !== undefined).join(' · ')}
        {own.length > 0 && <Box sx={{ color: palette.ink }}>{t`you: ${own.join(', ')}`}</Box>}
      </Box>
    </ChoiceRow>
  );
}

/** What the other examiner saw, once one has marked oneself; where they differ it is settled here. */
function Examiners({
  cell,
  page,
  ownId,
  onSettle,
}: {
  readonly cell: SheetCell;
  readonly page: GradingPageResponse;
  readonly ownId: string;
  readonly onSettle: (mark: Mark) => void;
}) {
  const { finding, own } = cell;
  if (!finding || !own || finding.agreement === 'one-examiner') return null;
  const nameOf = (id: string): string => (id === ownId ? t`you` : (page.people.find((person) => person.id === id)?.name ?? ''));
  const said = finding.marks.map(({ examinerId, mark }) => `${nameOf(examinerId)}: ${markWords[mark]}`).join(', ');
  return (
    <Box component="section" aria-label={t`Examiners`} sx={{ mb: 2, pb: 1.5, borderBottom: `1px solid ${palette.line}` }}>
      <Box role="status" sx={{ mb: finding.agreement === 'apart' ? 1 : 0 }}>
        <Typography variant="h3">
          {finding.agreement === 'same'
            ? t`Both saw the same`
            : finding.agreement === 'settled'
              ? t`Settled: ${markWords[finding.counts.mark]}`
              : t`You differ`}
        </Typography>
        <Box sx={{ fontSize: 14 }}>{said}</Box>
      </Box>
      {finding.agreement === 'apart' && (
        <>
          <Box sx={{ fontSize: 14, color: palette.soft, mb: 0.75 }}>
            <Trans>The lower one counts until you have talked about it. Settle it as</Trans>
          </Box>
          <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
            {[...new Set(finding.marks.map(({ mark }) => mark))].map((mark) => (
              <Button
                key={mark}
                size="small"
                variant="outlined"
                onClick={() => {
                  onSettle(mark);
                }}
              >
                {markWords[mark]}
              </Button>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}
