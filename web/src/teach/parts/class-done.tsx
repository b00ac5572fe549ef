import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse, GroupBoardResponse } from '@leiter/contract';
import { isThere } from '@leiter/contract/who-comes';
import { clockText, homeTaskLines, itemTotals, type ClassPlan, type Library } from '@leiter/core';
import { useState, type ReactNode } from 'react';
import { markColumns } from '../../marking/mark-grid';
import { useMarkSheet } from '../../marking/use-mark-sheet';
import { setRoll } from '../../queries/class.queries';
import { headingFont, palette } from '../../shared/palette';
import { offerUndo } from '../../shared/undo-bar';
import type { Teaching } from '../run/use-teaching';

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mb: 2.5, fontSize: 17, lineHeight: 1.35 }}>
      <Box component="h2" sx={{ m: 0, mb: 0.5, fontFamily: headingFont, fontSize: 21, fontWeight: 700 }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}

/** Each item as it was planned and as long as it really took. */
export function RealTimes({ live }: { readonly live: Teaching }) {
  const { run, evaluation } = live;
  const totals = itemTotals(evaluation.timeline.items);
  const shown = new Set<string>();
  const rows = evaluation.timeline.items.flatMap(({ item, movement }) => {
    if (shown.has(item.id)) return [];
    shown.add(item.id);
    return [{ id: item.id, name: movement.name, planned: totals.get(item.id)?.seconds ?? 0, real: run?.realSeconds[item.id] }];
  });
  const longest = Math.max(60, ...rows.flatMap(({ planned, real = 0 }) => [planned, real]));
  const share = (seconds: number): string => `${String((seconds / longest) * 100)}%`;
  return (
    <Box component="section" aria-label={t`Planned and real`} sx={{ overflowY: 'auto', minHeight: 0 }}>
      <Box
        component="table"
        sx={{ width: '100%', borderCollapse: 'collapse', fontSize: 16, '& td': { py: 0.35, verticalAlign: 'middle' } }}
      >
        <tbody>
          {rows.map(({ id, name, planned, real }) => (
            <Box component="tr" key={id} sx={{ borderBottom: '1px solid #2A373C' }}>
              <Box component="td" sx={{ color: real === undefined ? palette.nightSoft : palette.cream, pr: 1.5 }}>
                {name}
              </Box>
              <Box component="td" sx={{ width: '28%' }}>
                <Box sx={{ height: 5, width: share(planned), border: `1px solid ${palette.nightSoft}` }} />
                {real !== undefined && <Box sx={{ height: 5, mt: '2px', width: share(real), backgroundColor: palette.glow }} />}
              </Box>
              <Box component="td" sx={{ width: 128, textAlign: 'right', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>
                {real === undefined ? (
                  <span style={{ color: palette.nightSoft }}>
                    <Trans>not taught</Trans>
                  </span>
                ) : (
                  <>
                    {clockText(real)}{' '}
                    <span style={{ color: palette.nightSoft }}>
                      <Trans>of {clockText(planned)}</Trans>
                    </span>
                  </>
                )}
              </Box>
            </Box>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** Who was not looked at, of what was in focus. */
export function OpenMarks({
  page,
  board,
  library,
  plan,
}: {
  readonly page: ClassPageResponse;
  readonly board: GroupBoardResponse;
  readonly library: Library;
  readonly plan: ClassPlan;
}) {
  const sheet = useMarkSheet(page, board, library);
  const there = sheet.children.filter(isThere);
  const open = plan.focus.flatMap((slug) => {
    const columns = markColumns([slug], library);
    const left = there.filter((child) => columns.every((column) => sheet.cellOf(child.id, column).mark === null));
    return left.length === 0 ? [] : [{ slug, name: library.get(slug)?.name ?? slug, left }];
  });
  if (plan.focus.length === 0) return null;
  return (
    <Part title={t`Not looked at yet`}>
      {open.length === 0
        ? t`Everybody has a mark in what was in focus.`
        : open.map(({ slug, name, left }) => (
            <div key={slug}>
              {name}:{' '}
              <span style={{ color: palette.nightSoft }}>
                {left.length === there.length ? t`nobody was marked` : left.map((child) => child.name).join(', ')}
              </span>
            </div>
          ))}
    </Part>
  );
}

/** Who was there, as far as it was said. */
export function RollLeft({ page }: { readonly page: ClassPageResponse }) {
  const { children } = page;
  const unsaid = children.filter(({ attendance }) => attendance === null);
  const there = children.filter(({ attendance }) => attendance === 'present' || attendance === 'late').length;
  if (children.length === 0) return null;
  return (
    <Part title={t`Who was there`}>
      <Trans>
        {there} of {children.length} there
      </Trans>
      {unsaid.length > 0 && (
        <>
          {t`, not said: ${unsaid.map(({ name }) => name).join(', ')}`}{' '}
          <Button
            variant="outlined"
            size="small"
            sx={{ color: palette.cream, borderColor: palette.nightSoft, ml: 1 }}
            onClick={() => {
              const ids = unsaid.map(({ id }) => id);
              void setRoll(page.class.id, ids, 'present').then(
                () => {
                  offerUndo(t`They are down as there`, () => setRoll(page.class.id, ids, null));
                },
                () => undefined,
              );
            }}
          >
            {unsaid.length === children.length ? t`All there` : t`They were there`}
          </Button>
        </>
      )}
    </Part>
  );
}

export function NoteOfClass({ note, onNote }: { readonly note: string; readonly onNote: (note: string) => void }) {
  return (
    <Part title={t`Note`}>
      <Box
        component="textarea"
        aria-label={t`Note of this class`}
        placeholder={t`What went well, what next time wants`}
        value={note}
        maxLength={2000}
        rows={2}
        onChange={(event) => {
          onNote(event.target.value);
        }}
        sx={{
          width: '100%',
          boxSizing: 'border-box',
          p: 1,
          font: 'inherit',
          fontSize: 16,
          color: palette.cream,
          backgroundColor: palette.nightShade,
          border: `1px solid ${palette.nightSoft}`,
          borderRadius: '4px',
          resize: 'vertical',
          '&::placeholder': { color: palette.nightSoft },
        }}
      />
    </Part>
  );
}

/** What is done at home, ready to be sent to the families. */
export function HomeTaskToSend({
  page,
  plan,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
}) {
  const [isCopied, setCopied] = useState(false);
  const lines = homeTaskLines(plan.homeTask, library);
  if (lines.length === 0) return null;
  return (
    <Part title={t`Home task`}>
      {lines.map((line) => (
        <div key={line}>{line}</div>
      ))}
      <Button
        variant="outlined"
        size="small"
        sx={{ color: palette.cream, borderColor: palette.nightSoft, mt: 0.75 }}
        onClick={() => {
          void navigator.clipboard.writeText([page.class.groupName, ...lines].join('\n')).then(
            () => {
              setCopied(true);
            },
            () => undefined,
          );
        }}
      >
        {isCopied ? t`Copied` : t`Copy for the families`}
      </Button>
    </Part>
  );
}
