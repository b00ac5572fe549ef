import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { GradingPageResponse, GradingTimetable } from '@leiter/contract';
import { useMutation } from '@tanstack/react-query';
import { useMay } from '../../queries/may';
import { Message, Panel, Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { clockAfter, stationWords } from '../grading-words';
import { makeTimetable } from '../../queries/grading.queries';

/** Of the names at the left, in pixels; a minute is at least so wide. */
const [names, leastMinute] = [152, 10];

/** When which children are at which station, and who looks; made for the shortest day without waiting. */
export function WhenAndWhere({ page }: { readonly page: GradingPageResponse }) {
  const { grading, timetable, children } = page;
  const may = useMay();
  const make = useMutation({ mutationFn: () => makeTimetable(grading.id) });
  const entered = children.filter(({ entry }) => entry !== null);
  const without = entered.filter(({ entry }) => entry?.party === null);
  const canMake = may.change && grading.closedAt === null && entered.length > 0;
  const button = (words: string, variant: 'contained' | 'outlined') =>
    canMake && (
      <Button
        variant={variant}
        disabled={make.isPending}
        onClick={() => {
          make.mutate();
        }}
      >
        {make.isPending ? t`Looking for the shortest …` : words}
      </Button>
    );
  if (!timetable)
    return (
      <Panel label={t`Timetable`}>
        <Box sx={{ p: 2, maxWidth: 560 }}>
          <Refused error={make.error} />
          {entered.length === 0 ? (
            <Message
              title={t`Nobody comes yet`}
              text={t`Choose children first, under “Who comes”. Then the timetable is made from them.`}
            />
          ) : (
            <>
              <p>
                <Trans>
                  {plural(entered.length, { one: '# child', other: '# children' })},{' '}
                  {plural(grading.examinerIds.length, { one: '# examiner', other: '# examiners' })}. The timetable has every child warmed up
                  before it shows anything, go from one station to the next without waiting, and be done as early as possible.
                </Trans>
              </p>
              {button(t`Make the timetable`, 'contained')}
            </>
          )}
        </Box>
      </Panel>
    );
  return (
    <Panel label={t`Timetable`}>
      <Refused error={make.error} />
      {without.length > 0 && (
        <Box role="status" sx={{ backgroundColor: palette.cautionPaper, color: palette.caution, p: 1.25, mb: 1.5, borderRadius: 1 }}>
          <Trans>Not in the timetable yet: {without.map(({ name }) => name).join(', ')}. Make it anew.</Trans>
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 2 }}>
        <Box sx={{ flex: '1 1 300px' }}>
          <strong>
            <Trans>
              {grading.startsAt} to {clockAfter(grading, timetable.endsAfter)}
            </Trans>
          </strong>{' '}
          <HowGood timetable={timetable} />
        </Box>
        {button(t`Make it anew`, 'outlined')}
        <Button variant="outlined" component="a" href={`/api/gradings/${grading.id}/sheets`} target="_blank">
          <Trans>On paper, with mark sheets</Trans>
        </Button>
      </Box>
      <Chart page={page} timetable={timetable} />
    </Panel>
  );
}

/** How it compares with the best there could be. */
function HowGood({ timetable: { endsAfter, noneBefore, isBest } }: { readonly timetable: GradingTimetable }) {
  const longer = endsAfter - noneBefore;
  if (longer <= 0) return <>{t`Nobody waits, and with these examiners no timetable is over earlier.`}</>;
  if (isBest) return <>{t`Nobody waits, and none without waiting is over earlier.`}</>;
  return <>{t`Nobody waits. It may be that one is over up to ${plural(longer, { one: '# minute', other: '# minutes' })} earlier.`}</>;
}

function Chart({ page, timetable }: { readonly page: GradingPageResponse; readonly timetable: GradingTimetable }) {
  const { grading, children, grades, people } = page;
  const whole = timetable.endsAfter;
  const at = (minute: number): string => `${String((minute / whole) * 100)}%`;
  const nameOf = (id: string): string => people.find((person) => person.id === id)?.name.split(' ')[0] ?? '';
  const ticks = Array.from({ length: Math.floor(whole / 10) + 1 }, (_, nth) => nth * 10);
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box role="table" aria-label={t`Timetable`} sx={{ minWidth: names + whole * leastMinute, pr: 3 }}>
        <Box aria-hidden="true" sx={{ position: 'relative', height: 22, ml: `${String(names)}px`, fontSize: 12.5, color: palette.soft }}>
          {ticks.map((minute) => (
            <Box key={minute} sx={{ position: 'absolute', left: at(minute), transform: minute === 0 ? 'none' : 'translateX(-50%)' }}>
              {clockAfter(grading, minute)}
            </Box>
          ))}
        </Box>
        {timetable.parties.map((party) => {
          const own = children.filter(({ entry }) => entry?.party === party.id);
          return (
            <Box role="row" key={party.id} sx={{ display: 'flex', borderTop: `1px solid ${palette.line}`, minHeight: 62 }}>
              <Box role="rowheader" sx={{ width: names, flexShrink: 0, py: 0.75, pr: 1, lineHeight: 1.25 }}>
                <strong>{own.map(({ name }) => name).join(', ')}</strong>
                <Box sx={{ fontSize: 13, color: palette.soft }}>{grades.find(({ id }) => id === party.gradeId)?.name}</Box>
              </Box>
              <Box sx={{ position: 'relative', flex: 1 }}>
                {ticks.map((minute) => (
                  <Box
                    key={minute}
                    aria-hidden="true"
                    sx={{
                      position: 'absolute',
                      left: at(minute),
                      top: 0,
                      bottom: 0,
                      borderLeft: `1px solid ${palette.line}`,
                      opacity: 0.6,
                    }}
                  />
                ))}
                <Piece
                  label={t`Warm-up`}
                  about={clockAfter(grading, party.warmUpFrom)}
                  left={at(party.warmUpFrom)}
                  width={at(party.from - party.warmUpFrom)}
                  isWarmUp
                />
                {timetable.visits
                  .filter((visit) => visit.party === party.id)
                  .map((visit) => (
                    <Piece
                      key={visit.station}
                      label={stationWords[visit.station]}
                      about={`${clockAfter(grading, visit.from)} ${visit.examinerIds.map(nameOf).join(', ')}`}
                      left={at(visit.from)}
                      width={at(visit.to - visit.from)}
                    />
                  ))}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

function Piece({
  label,
  about,
  left,
  width,
  isWarmUp = false,
}: {
  readonly label: string;
  readonly about: string;
  readonly left: string;
  readonly width: string;
  readonly isWarmUp?: boolean;
}) {
  return (
    <Box
      role="cell"
      title={`${label}, ${about}`}
      sx={{
        position: 'absolute',
        top: 6,
        bottom: 6,
        left,
        width,
        overflow: 'hidden',
        border: '1px solid',
        borderColor: isWarmUp ? palette.line : palette.edge,
        borderRadius: '6px',
        backgroundColor: isWarmUp ? palette.shade : palette.white,
        px: '3px',
        py: 0.25,
        fontSize: 12.5,
        lineHeight: 1.2,
      }}
    >
      <Box
        sx={{
          fontWeight: isWarmUp ? 400 : 700,
          fontSize: label.length > 6 ? 11.5 : 'inherit',
          letterSpacing: label.length > 6 ? '-0.3px' : 0,
          whiteSpace: 'nowrap',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
        }}
      >
        {label}
      </Box>
      <Box sx={{ color: palette.soft, fontSize: 12 }}>{about}</Box>
    </Box>
  );
}
