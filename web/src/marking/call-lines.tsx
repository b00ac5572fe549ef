import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { CallName, NamedChild } from '@leiter/core';
import type { ReactNode } from 'react';
import { palette } from '../shared/palette';

/** Whom lines stand for, as somebody said. */
export type CallAnswers = Readonly<Record<string, readonly string[]>>;

/** Whom a line stands for: as it was answered, else as it was read beyond doubt. */
export const meantBy = (name: CallName, answers: CallAnswers): readonly string[] =>
  answers[name.line] ?? (name.isSure ? name.childIds : []);

/** What is still to be answered. */
export const openOf = (lines: readonly CallName[], answers: CallAnswers): readonly CallName[] =>
  lines.filter((name) => !name.isSure && answers[name.line] === undefined);

interface Props {
  readonly lines: readonly CallName[];
  readonly group: readonly NamedChild[];
  readonly answers: CallAnswers;
  readonly onAnswer: (answers: CallAnswers) => void;
  /** Something beside a line that is asked. */
  readonly besideOf?: (name: CallName, index: number) => ReactNode;
}

/** The names of a call, each with whom it stands for, or the question who it is. */
export function CallLines({ lines, group, answers, onAnswer, besideOf }: Props) {
  return (
    <Box component="ul" aria-label={t`Names read`} sx={{ listStyle: 'none', p: 0, m: 0, mt: 1.5 }}>
      {lines.map((name, index) => (
        <Line
          key={`${name.line} ${String(index)}`}
          name={name}
          group={group}
          chosen={answers[name.line]}
          onChoose={(ids) => {
            onAnswer({ ...answers, [name.line]: ids });
          }}
          beside={besideOf?.(name, index)}
        />
      ))}
    </Box>
  );
}

const nobody = '';
const selectLook = {
  font: 'inherit',
  padding: '8px 10px',
  maxWidth: 240,
  minHeight: 40,
  border: `1px solid ${palette.edge}`,
  borderRadius: 6,
  backgroundColor: palette.white,
} as const;

function Line({
  name: { line, isSure, childIds },
  group,
  chosen,
  onChoose,
  beside,
}: {
  readonly name: CallName;
  readonly group: readonly NamedChild[];
  readonly chosen: readonly string[] | undefined;
  readonly onChoose: (childIds: readonly string[]) => void;
  readonly beside: ReactNode;
}) {
  const nameOf = (id: string): string => group.find((child) => child.id === id)?.name ?? '';
  const others = group.filter(({ id }) => !childIds.includes(id));
  return (
    <Box
      component="li"
      sx={{ display: 'flex', alignItems: 'center', gap: 1.5, py: 0.5, borderTop: `1px solid ${palette.line}`, flexWrap: 'wrap' }}
    >
      <Box sx={{ flex: 1, minWidth: 140, overflowWrap: 'anywhere', color: palette.soft }}>{line}</Box>
      {!isSure && beside}
      {isSure ? (
        <Box sx={{ fontWeight: 700 }}>{childIds.map(nameOf).join(', ')}</Box>
      ) : (
        <select
          aria-label={t`Who is ${line}?`}
          value={chosen === undefined ? 'ask' : (chosen[0] ?? nobody)}
          style={{ ...selectLook, color: chosen === undefined ? palette.caution : palette.ink }}
          onChange={(event) => {
            onChoose(event.target.value === nobody ? [] : [event.target.value]);
          }}
        >
          <option value="ask" disabled>
            {childIds.length > 0 ? t`who is it?` : t`not known`}
          </option>
          {[...childIds.map((id) => ({ id, name: nameOf(id) })), ...others].map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          <option value={nobody}>{t`none of them`}</option>
        </select>
      )}
    </Box>
  );
}
