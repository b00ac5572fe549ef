import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ChangedChildren, ChildResponse, GroupResponse } from '@leiter/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { changeChildren } from '../../queries/children.queries';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { onPhone } from '../../shared/screen';
import { offerUndo } from '../../shared/undo-bar';
import { AskForHome } from './ask-for-home';

interface Props {
  readonly chosen: readonly ChildResponse[];
  readonly groups: readonly GroupResponse[];
  readonly onDone: () => void;
}

/** What is done to several children at once; each of it can be taken back. */
export function ChooseSeveral({ chosen, groups, onDone }: Props) {
  const [error, setError] = useState<Error | null>(null);
  const [left, setLeft] = useState<string>('');
  const [isAsking, setAsking] = useState(false);
  const ids = chosen.map(({ id }) => id);
  const many = plural(ids.length, { one: '# child', other: '# children' });
  const run = (what: Omit<Parameters<typeof changeChildren>[0], 'childIds'>, back: typeof what, done: string, childIds = ids): void => {
    setError(null);
    changeChildren({ childIds: [...childIds], ...what }).then(
      ({ changed, refused }: ChangedChildren) => {
        setLeft(
          refused.length === 0
            ? ''
            : t`${namesOf(
                refused.map(({ childId }) => childId),
                chosen,
              )} stayed: ${refused[0]?.why ?? ''}`,
        );
        if (changed.length > 0)
          offerUndo(`${plural(changed.length, { one: '# child', other: '# children' })} ${done}`, () =>
            changeChildren({ childIds: [...changed], ...back }),
          );
        if (refused.length === 0) onDone();
      },
      (caught: unknown) => {
        setError(caught instanceof Error ? caught : new Error('That did not work.'));
      },
    );
  };
  const isNobody = ids.length === 0;
  // what is done is done only to those whom it changes: undoing it must not touch who was in the group, or archived, before
  const without = (group: GroupResponse): string[] => chosen.filter(({ groupIds }) => !groupIds.includes(group.id)).map(({ id }) => id);
  return (
    <Box
      role="toolbar"
      aria-label={t`Several children`}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'center',
        px: 2.25,
        py: 1,
        backgroundColor: palette.shade,
        borderBottom: `1px solid ${palette.line}`,
        [onPhone]: { px: 1.5 },
      }}
    >
      <strong style={{ marginRight: 8 }}>{isNobody ? t`Choose children below` : t`${many} chosen`}</strong>
      <TextField
        select
        value=""
        disabled={isNobody}
        slotProps={{ select: { displayEmpty: true }, htmlInput: { 'aria-label': t`Put into a group` } }}
        onChange={(event) => {
          const group = groups.find(({ id }) => id === event.target.value);
          if (!group) return;
          const childIds = without(group);
          if (childIds.length > 0) run({ joinGroupId: group.id }, { leaveGroupId: group.id }, t`put into ${group.name}`, childIds);
        }}
      >
        <MenuItem value="">
          <Trans>Put into a group …</Trans>
        </MenuItem>
        {groups.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        value=""
        disabled={isNobody}
        slotProps={{ select: { displayEmpty: true }, htmlInput: { 'aria-label': t`Take out of a group` } }}
        onChange={(event) => {
          const group = groups.find(({ id }) => id === event.target.value);
          if (!group) return;
          const childIds = chosen.filter(({ groupIds }) => groupIds.includes(group.id)).map(({ id }) => id);
          run({ leaveGroupId: group.id }, { joinGroupId: group.id }, t`taken out of ${group.name}`, childIds);
        }}
      >
        <MenuItem value="">
          <Trans>Take out of a group …</Trans>
        </MenuItem>
        {groups
          .filter(({ id }) => chosen.some(({ groupIds }) => groupIds.includes(id)))
          .map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
      </TextField>
      <Button
        variant="outlined"
        disabled={isNobody}
        onClick={() => {
          setAsking(true);
        }}
      >
        <Trans>Ask for the home</Trans>
      </Button>
      {chosen.some(({ archived }) => !archived) || isNobody ? (
        <Button
          variant="outlined"
          disabled={isNobody}
          onClick={() => {
            const childIds = chosen.filter(({ archived }) => !archived).map(({ id }) => id);
            run({ archived: true }, { archived: false }, 'archived', childIds);
          }}
        >
          <Trans>Archive</Trans>
        </Button>
      ) : (
        <Button
          variant="outlined"
          onClick={() => {
            run({ archived: false }, { archived: true }, t`put back`);
          }}
        >
          <Trans>Put back</Trans>
        </Button>
      )}
      <Button variant="contained" onClick={onDone}>
        <Trans>Done</Trans>
      </Button>
      <Refused error={error} />
      {left !== '' && <Box role="alert">{left}</Box>}
      {isAsking && (
        <AskForHome
          people={chosen}
          onClose={() => {
            setAsking(false);
          }}
        />
      )}
    </Box>
  );
}

function namesOf(ids: readonly string[], children: readonly ChildResponse[]): string {
  return children
    .filter(({ id }) => ids.includes(id))
    .map(({ givenName }) => givenName)
    .join(', ');
}
