import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { ageBandOf, copyOf, fillSlot, meanAge, stepFurther, type ClassPlan, type Library } from '@leiter/core';
import { useState } from 'react';
import { useGroups } from '../../queries/groups.queries';
import { palette } from '../../shared/palette';
import { dayText } from '../../shared/words';
import { useGroupClasses, useStoredPlan } from '../../queries/class.queries';

interface Props {
  readonly page: ClassPageResponse;
  readonly library: Library;
  readonly onStart: (plan: ClassPlan) => void;
}

const newId = (): string => crypto.randomUUID();

/** Starts from a class that was planned before: the last one one step further, or any class of any group as it was. */
export function EarlierClasses({ page, library, onStart }: Props) {
  const groups = useGroups();
  const [groupId, setGroupId] = useState(page.class.groupId);
  const classes = useGroupClasses(groupId);
  const earlier = (classes.data ?? []).filter(({ id, hasPlan }) => hasPlan && id !== page.class.id);
  const [wanted, setWanted] = useState<string | null>(null);
  const chosen = earlier.find(({ id }) => id === wanted) ?? earlier.find(({ day }) => day < page.class.day) ?? earlier[0];
  const plan = useStoredPlan(chosen?.id ?? null).data?.plan ?? null;
  const own = groupId === page.class.groupId;
  const context = evaluationContextOf(page);
  const further =
    plan &&
    own &&
    stepFurther(
      plan,
      library,
      context.children.map(({ marks }) => marks),
      ageBandOf(meanAge(context.agesYears)),
      newId,
    );
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  return (
    <Box component="section" aria-label={t`From an earlier class`} sx={{ borderTop: `1px solid ${palette.line}`, py: 1.5 }}>
      <Typography variant="h3">
        <Trans>From an earlier class</Trans>
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, my: 1, flexWrap: 'wrap' }}>
        <TextField
          select
          label={t`Group`}
          value={groupId}
          sx={{ minWidth: 150 }}
          onChange={(event) => {
            setGroupId(event.target.value);
            setWanted(null);
          }}
        >
          {(groups.data ?? []).map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label={t`Class`}
          value={chosen?.id ?? ''}
          disabled={earlier.length === 0}
          sx={{ minWidth: 170 }}
          onChange={(event) => {
            setWanted(event.target.value);
          }}
        >
          {earlier.map(({ id, day }) => (
            <MenuItem key={id} value={id}>
              {dayText(day)}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant="outlined"
          disabled={!plan}
          onClick={() => {
            if (plan) onStart(copyOf(plan, library, newId));
          }}
        >
          <Trans>Copy it</Trans>
        </Button>
        {further && (
          <Button
            variant="outlined"
            onClick={() => {
              // what they know by now needs less explaining, and is practised more
              onStart(fillSlot(further.plan, library, context));
            }}
          >
            <Trans>Again, one step further</Trans>
          </Button>
        )}
      </Box>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        {earlier.length === 0 && t`This group has no other planned class.`}
        {further &&
          (further.steps.length === 0
            ? t`What was in focus stays: not enough children have shown it alone yet.`
            : further.steps.map(({ from, to }) => t`${nameOf(from)} was shown, so ${nameOf(to)} comes next.`).join(' '))}
      </Typography>
    </Box>
  );
}
