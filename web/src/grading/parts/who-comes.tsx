import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { GradingChild, GradingPageResponse } from '@leiter/contract';
import { groupBy, type Library } from '@leiter/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../../queries/may';
import { Message, Panel, Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { onPhone } from '../../shared/screen';
import { useTyped } from '../../shared/use-typed';
import { enterChild, takeOff } from '../../queries/grading.queries';
import { readinessWords, requirementName } from '../grading-words';
import { DaySettings } from './day-settings';

/** Who is ready for the next grade by that day, and who comes. */
export function WhoComes({ page, library }: { readonly page: GradingPageResponse; readonly library: Library }) {
  const may = useMay();
  const { grading, grades, children } = page;
  const change = useMutation({ mutationFn: (work: () => Promise<unknown>) => work() });
  const canChange = may.change && grading.closedAt === null;
  const climbing = children.filter(({ gradeId }) => gradeId !== null);
  const byGrade = groupBy(climbing, ({ gradeId }) => gradeId ?? '');
  const readyNow = climbing.filter(({ entry, readiness }) => entry === null && readiness !== null && readiness.kind !== 'not-yet');
  // what was pressed is shown at once
  const [pressed, setPressed] = useState<Readonly<Record<string, boolean>>>({});
  const set = ({ childId }: GradingChild, comes: boolean): void => {
    setPressed((before) => ({ ...before, [childId]: comes }));
    change.mutate(async () => {
      try {
        await (comes ? enterChild(grading.id, childId, '') : takeOff(grading.id, childId));
      } finally {
        setPressed(({ [childId]: _done, ...others }) => others);
      }
    });
  };
  return (
    <>
      <Panel label={t`Who comes`}>
        {climbing.length === 0 ? (
          <Message
            title={t`Nobody climbs here yet`}
            text={t`No child in a group of this programme has a grade above it.`}
            action={{ label: t`To the children`, href: '/children' }}
          />
        ) : (
          <>
            <Refused error={change.error} />
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 2 }}>
              <Box>
                <Trans>
                  <strong>{plural(grading.entered, { one: '# child comes', other: '# children come' })}.</strong> What is said of each is
                  how it will be on that day, if it comes to its classes until then.
                </Trans>
              </Box>
              {canChange && readyNow.length > 0 && (
                <Button
                  variant="outlined"
                  disabled={change.isPending}
                  onClick={() => {
                    change.mutate(async () => {
                      for (const { childId } of readyNow) await enterChild(grading.id, childId, '');
                    });
                  }}
                >
                  {t`Enter all who can be ready (${readyNow.length})`}
                </Button>
              )}
            </Box>
            {grades
              .filter(({ id }) => byGrade.has(id))
              .map((grade) => (
                <Box key={grade.id} component="section" aria-label={t`For ${grade.name}`} sx={{ mb: 3 }}>
                  <Typography variant="h2" sx={{ mb: 0.5 }}>
                    <Trans>For {grade.name}</Trans>
                  </Typography>
                  {(byGrade.get(grade.id) ?? []).toSorted(byReadiness).map((child) => (
                    <ChildLine
                      key={child.childId}
                      page={page}
                      child={child}
                      library={library}
                      comes={pressed[child.childId] ?? child.entry !== null}
                      canChange={canChange}
                      canWriteSize={may.change}
                      onSet={(comes) => {
                        set(child, comes);
                      }}
                      onSize={(size) => {
                        change.mutate(() => enterChild(grading.id, child.childId, size));
                      }}
                    />
                  ))}
                </Box>
              ))}
          </>
        )}
      </Panel>
      {may.change && <DaySettings page={page} />}
    </>
  );
}

const rankOf = { earned: 0, 'on-the-day': 1, 'not-yet': 2 } as const;
/** Who comes first, then who could. */
function byReadiness(a: GradingChild, b: GradingChild): number {
  const rank = (one: GradingChild): number => (one.entry ? 0 : 10) + (one.readiness ? rankOf[one.readiness.kind] : 3);
  return rank(a) - rank(b);
}

function ChildLine({
  page,
  child,
  comes,
  library,
  canChange,
  canWriteSize,
  onSet,
  onSize,
}: {
  readonly page: GradingPageResponse;
  readonly child: GradingChild;
  readonly comes: boolean;
  readonly library: Library;
  readonly canChange: boolean;
  readonly canWriteSize: boolean;
  readonly onSet: (comes: boolean) => void;
  readonly onSize: (size: string) => void;
}) {
  const { childId, name, ageYears, groupName, readiness, entry } = child;
  const about = [plural(ageYears, { one: '# year', other: '# years' }), groupName ?? t`in no group`].join(' · ');
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '36px 210px minmax(0, 1fr) 130px',
        columnGap: 1,
        alignItems: 'center',
        borderTop: `1px solid ${palette.line}`,
        py: 0.5,
        minHeight: 44,
        [onPhone]: { gridTemplateColumns: '36px minmax(0, 1fr)' },
      }}
    >
      <input
        type="checkbox"
        aria-label={t`${name} comes`}
        checked={comes}
        disabled={!canChange}
        onChange={(event) => {
          onSet(event.target.checked);
        }}
        style={{ width: 18, height: 18, justifySelf: 'center' }}
      />
      <Box sx={{ lineHeight: 1.25 }}>
        <Link to={`/children/${childId}`}>{name}</Link>
        <Box sx={{ fontSize: 13, color: palette.soft }}>{about}</Box>
      </Box>
      <Box
        sx={{
          fontSize: 14,
          lineHeight: 1.3,
          color: readiness?.kind === 'not-yet' ? palette.soft : palette.ink,
          fontWeight: readiness?.kind === 'earned' ? 700 : 400,
          [onPhone]: { gridColumn: '2' },
        }}
      >
        {readiness && readinessWords(readiness, (id) => requirementName(page, library, id))}
      </Box>
      {entry && (
        <Box sx={{ [onPhone]: { gridColumn: '2' } }}>
          {canWriteSize ? <Size name={name} size={entry.size} onSize={onSize} /> : entry.size}
        </Box>
      )}
    </Box>
  );
}

/** Of the belt or badge to order. */
function Size({ name, size, onSize }: { readonly name: string; readonly size: string; readonly onSize: (size: string) => void }) {
  const [typed, setTyped] = useTyped(size);
  return (
    <input
      aria-label={t`Size of belt or badge for ${name}`}
      placeholder={t`size to order`}
      value={typed}
      maxLength={40}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={() => {
        if (typed.trim() !== size) onSize(typed.trim());
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
      style={{
        font: 'inherit',
        fontSize: 14,
        width: '100%',
        padding: '4px 6px',
        border: `1px solid ${palette.edge}`,
        borderRadius: 6,
        background: palette.white,
      }}
    />
  );
}
