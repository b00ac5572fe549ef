import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { GroupBestsResponse } from '@leiter/contract';
import { groupBy, type Library, type MeasuredLine } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useLibrary } from '../queries/library.queries';
import { api } from '../shared/api';
import { ChoiceRow, ChoiceRows } from '../shared/choice-row';
import { ButtonLink } from '../shared/button-link';
import { measureWords, observedSideWords } from '../shared/measure-words';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dayText } from '../shared/words';

type Measured = GroupBestsResponse['lines'][number];

const keyOf = ({ movement, stage, measuredIn }: Measured): string => [movement, stage, measuredIn].join(' ');

/** What was measured in a group: of each movement everybody's best, left and right apart, and the way there. */
function GroupBestsPage() {
  const { id = '' } = useParams();
  const library = useLibrary();
  const query = useQuery({ queryKey: ['bests', id], queryFn: () => api<GroupBestsResponse>('GET', `groups/${id}/bests`) });
  return (
    <Loaded query={query} what={t`bests`}>
      {(bests) => <Bests bests={bests} library={library} />}
    </Loaded>
  );
}

function Bests({ bests: { group, lines }, library }: { readonly bests: GroupBestsResponse; readonly library: Library }) {
  const measured = [...groupBy(lines, keyOf)].toSorted(([, a], [, b]) => b.length - a.length);
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = measured.find(([key]) => key === chosen) ?? measured[0];
  const nameOf = ({ movement, stage }: MeasuredLine): string => {
    const entry = library.get(movement);
    const step = stage === null ? undefined : entry?.stages[stage - 1]?.name;
    const name = entry?.name ?? movement;
    return step === undefined || step === name ? name : `${name}: ${step}`;
  };
  return (
    <Page
      title={t`Bests · ${group.name}`}
      about={plural(measured.length, { one: '# thing measured', other: '# things measured' })}
      actions={
        <ButtonLink to={`/groups/${group.id}`}>
          <Trans>The group’s board</Trans>
        </ButtonLink>
      }
    >
      {shown ? (
        <>
          <Panel label={t`What was measured`} width={340}>
            <ChoiceRows>
              {measured.map(([key, own]) => (
                <ChoiceRow
                  key={key}
                  isChosen={key === shown[0]}
                  onChoose={() => {
                    setChosen(key);
                  }}
                >
                  <Box component="span" sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                    <span>{own[0] ? nameOf(own[0]) : ''}</span>
                    <Box component="span" sx={{ ml: 'auto', color: palette.soft, fontSize: 13.5, whiteSpace: 'nowrap' }}>
                      {plural(new Set(own.map(({ childId }) => childId)).size, { one: '# child', other: '# children' })}
                    </Box>
                  </Box>
                </ChoiceRow>
              ))}
            </ChoiceRows>
          </Panel>
          <Panel label={t`Everybody’s best`}>
            <Everybody lines={shown[1]} name={shown[1][0] ? nameOf(shown[1][0]) : ''} />
          </Panel>
        </>
      ) : (
        <Message
          title={t`Nothing was measured yet`}
          text={t`Seconds held, times in a row and right answers come with a mark: key N where one marks.`}
          action={{ label: t`The group’s board`, href: `/groups/${group.id}` }}
        />
      )}
    </Page>
  );
}

/** The children by their best; on one scale, so that a look compares them. */
function Everybody({ lines, name }: { readonly lines: readonly Measured[]; readonly name: string }) {
  const ordered = lines.toSorted((a, b) => b.best.value - a.best.value || (a.childName < b.childName ? -1 : 1));
  const most = Math.max(...lines.map(({ best }) => best.value));
  const days = lines.flatMap(({ points }) => points.map(({ day }) => day)).toSorted();
  const span = { first: Date.parse(days[0] ?? ''), last: Date.parse(days.at(-1) ?? '') };
  return (
    <>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {name}
      </Typography>
      <Box
        component="table"
        sx={{ borderCollapse: 'collapse', width: '100%', maxWidth: 760, '& td, & th': { textAlign: 'left', py: 0.75, pr: 2 } }}
      >
        <thead>
          <tr style={{ fontSize: 13.5, color: palette.soft }}>
            <th scope="col">{t`Child`}</th>
            <th scope="col">{t`Best`}</th>
            <th scope="col">{t`Last`}</th>
            <th scope="col">{t`The way there`}</th>
          </tr>
        </thead>
        <tbody>
          {ordered.map((line) => (
            <tr key={`${line.childId} ${line.side}`} style={{ borderTop: `1px solid ${palette.line}` }}>
              <td>
                <Link to={`/children/${line.childId}`}>{line.childName}</Link>
                {line.side !== 'none' && <span style={{ color: palette.soft }}>, {observedSideWords[line.side]}</span>}
              </td>
              <td>
                <strong>{measureWords(line.best.value, line.measuredIn)}</strong>{' '}
                <span style={{ color: palette.soft, fontSize: 13.5 }}>{dayText(line.best.day)}</span>
              </td>
              <td>
                {measureWords(line.latest.value, line.measuredIn)}{' '}
                <span style={{ color: palette.soft, fontSize: 13.5 }}>{dayText(line.latest.day)}</span>
              </td>
              <td>
                <Way line={line} most={most} span={span} />
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </>
  );
}

const [wide, high, edge] = [180, 30, 4];

/** The best of each day as a line; one day is a dot. */
function Way({
  line: { points, measuredIn, best },
  most,
  span,
}: {
  readonly line: Measured;
  readonly most: number;
  readonly span: { readonly first: number; readonly last: number };
}) {
  const length = Math.max(1, span.last - span.first);
  const at = points.map(({ day, value }) => ({
    x: edge + ((Date.parse(day) - span.first) / length) * (wide - 2 * edge),
    y: high - edge - (most === 0 ? 0 : value / most) * (high - 2 * edge),
    isBest: day === best.day,
  }));
  return (
    <svg
      width={wide}
      height={high}
      viewBox={`0 0 ${String(wide)} ${String(high)}`}
      role="img"
      aria-label={points.map(({ value }) => measureWords(value, measuredIn)).join(', ')}
      style={{ display: 'block' }}
    >
      <polyline
        points={at.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')}
        fill="none"
        stroke={palette.primary}
        strokeWidth="2"
      />
      {at.map(({ x, y, isBest }) => (
        <circle key={x} cx={x} cy={y} r={isBest ? 3.6 : 2} fill={palette.primary} />
      ))}
    </svg>
  );
}

export { GroupBestsPage as Page };
