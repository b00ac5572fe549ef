import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { ChildLadder, ChildPageResponse } from '@leiter/contract';
import { ageOn, currentObservations, gradeAbove, isMet, verdictOn, type Day, type Library, type Missing, type Verdict } from '@leiter/core';
import { useMemo, useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useProgrammeName } from '../queries/syllabus.queries';
import { useGroups } from '../queries/groups.queries';
import { useLibrary } from '../queries/library.queries';
import { useGroupBoard } from '../queries/record.queries';
import { forecastWords } from '../shared/forecast-words';
import { Ladder } from '../shared/ladder';
import { FiguresFor } from '../shared/figure-age';
import { Loaded, Message, Page, Panel, Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { dateText, dayText } from '../shared/words';
import { useChildPage, useMoveOver } from '../queries/children.queries';
import { AboutChild } from './parts/about-child';
import { Bests } from './parts/bests';
import { Certificates } from './parts/certificates';
import { ChildDialog } from './parts/child-dialog';
import { GiveGrade } from './parts/give-grade';
import { RequirementLine } from './parts/requirement-line';
import { TakeBackGrade } from './parts/take-back-grade';

/** A child: its ladder, what it works on, what was seen when, what it has at home. */
function ChildPage() {
  const { id = '' } = useParams();
  const page = useChildPage(id);
  const session = useSession();
  return (
    <Loaded query={page} what={t`child`}>
      {(data) => (
        <FiguresFor them={session.data ? [{ ageYears: ageOn(data.child.birthDate, session.data.today) }] : []}>
          <Child page={data} today={session.data?.today ?? ''} role={session.data?.person.role ?? 'assistant'} />
        </FiguresFor>
      )}
    </Loaded>
  );
}

interface Props {
  readonly page: ChildPageResponse;
  readonly today: Day;
  readonly role: 'owner' | 'instructor' | 'assistant';
}

function Child({ page, today, role }: Props) {
  const { child, ladders } = page;
  const library = useLibrary();
  const programmeName = useProgrammeName();
  const groups = useGroups();
  const [programme, setProgramme] = useState(ladders[0]?.programme ?? '');
  const [isChanging, setChanging] = useState(false);
  const ladder = ladders.find((one) => one.programme === programme) ?? ladders[0];
  const verdict = useMemo(() => ladder && verdictFor(page, ladder, today), [page, ladder, today]);
  const inGroups = (groups.data ?? []).filter(({ id }) => child.groupIds.includes(id)).map(({ name }) => name);
  const lastSeen = currentObservations(page.observations).at(-1)?.seenOn;
  const groupAtHand = (groups.data ?? []).find((one) => child.groupIds.includes(one.id) && one.programme === ladder?.programme)?.id;
  const lastGrade = ladder?.earned.at(-1)?.grade;
  const about = [
    today === '' ? '' : t`${ageOn(child.birthDate, today)} years`,
    inGroups.join(', ') || t`in no group`,
    t`${child.leadSide} leads`,
    lastSeen ? t`last seen ${dayText(lastSeen)}` : t`never marked`,
  ];
  return (
    <Page
      title={`${child.givenName} ${child.familyInitial}`}
      about={about.filter((part) => part !== '').join(' · ')}
      actions={
        <>
          {ladders.length > 1 && (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={ladder?.programme}
              aria-label={t`Programme`}
              onChange={(_event, value: string | null) => {
                if (value !== null) setProgramme(value);
              }}
            >
              {ladders.map((one) => (
                <ToggleButton key={one.programme} value={one.programme}>
                  {programmeName(one.programme)}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
          {role !== 'assistant' && (
            <Button
              variant="outlined"
              onClick={() => {
                setChanging(true);
              }}
            >
              <Trans>Change</Trans>
            </Button>
          )}
          {ladder && role !== 'assistant' && verdict && (
            <GiveGrade key={verdict.grade.id} childId={child.id} name={child.givenName} ladder={ladder} verdict={verdict} today={today} />
          )}
        </>
      }
    >
      {ladder ? (
        <>
          <Panel label={t`Ladder`} width={320} padding={1}>
            <ChildLadderView ladder={ladder} verdict={verdict ?? null} />
            {role !== 'assistant' && lastGrade && <TakeBackGrade key={lastGrade.id} childId={child.id} grade={lastGrade} />}
            {role !== 'assistant' && <Certificates childId={child.id} earned={ladder.earned} />}
            {ladder.syllabus.version !== ladder.newestVersion && (
              <EarlierVersion childId={child.id} ladder={ladder} mayMove={role !== 'assistant'} />
            )}
          </Panel>
          <Panel label={t`Next grade`} isFirstOnPhone>
            {verdict ? (
              <NextGrade verdict={verdict} page={page} library={library} today={today}>
                {groupAtHand && !verdict.earned && <Foreseen childId={child.id} groupId={groupAtHand} library={library} today={today} />}
              </NextGrade>
            ) : (
              <Typography variant="h2">
                <Trans>The top of the ladder</Trans>
              </Typography>
            )}
          </Panel>
        </>
      ) : (
        <Panel label={t`Ladder`}>
          <Message
            title={t`No ladder yet`}
            text={t`A child climbs the ladder of the programme of its group. Put it into a group: Change, above.`}
          />
        </Panel>
      )}
      <Panel label={t`About the child`} width={300}>
        <AboutChild page={page} library={library} role={role} />
      </Panel>
      {isChanging && groups.data && (
        <ChildDialog
          child={child}
          groups={groups.data}
          onClose={() => {
            setChanging(false);
          }}
        />
      )}
    </Page>
  );
}

function verdictFor(page: ChildPageResponse, ladder: ChildLadder, today: Day): Verdict | null {
  const next = gradeAbove(
    ladder.syllabus,
    ladder.earned.map(({ grade }) => grade.slug),
  );
  if (!next || today === '') return null;
  const { birthDate, leadSide } = page.child;
  return verdictOn(
    next,
    page.observations,
    { birthDate, leadSide, inGradeSince: ladder.inGradeSince, classesSince: ladder.classesSince },
    today,
  );
}

function ChildLadderView({ ladder, verdict }: { readonly ladder: ChildLadder; readonly verdict: Verdict | null }) {
  const { syllabus } = ladder;
  const earned = new Map(ladder.earned.map(({ grade, awardedOn }) => [grade.slug, awardedOn]));
  const highest = syllabus.grades.findLastIndex(({ slug }) => earned.has(slug));
  const passed = new Set(syllabus.grades.slice(0, highest + 1).map(({ slug }) => slug));
  // a grade that was put away is still a rung for whoever has earned it
  const rungs = syllabus.grades.filter(({ slug, isPutAway }) => !isPutAway || earned.has(slug));
  return (
    <Ladder
      ground={syllabus.startsAs}
      stepPixels={Math.min(130, 640 / (rungs.length + 1))}
      rungs={rungs.map((grade) => {
        const awardedOn = earned.get(grade.slug);
        const isNext = grade.id === verdict?.grade.id;
        return {
          key: grade.id,
          name: grade.name,
          state: passed.has(grade.slug) ? 'earned' : isNext ? 'next' : 'above',
          ...(isNext ? { share: verdict.metCount / Math.max(1, verdict.standings.length) } : {}),
          beside:
            awardedOn !== undefined
              ? dateText(awardedOn).replace(/^\d+ /, '')
              : isNext
                ? t`${verdict.metCount} of ${verdict.standings.length}`
                : '',
        };
      })}
    />
  );
}

/** Says that a child finishes its grade on an earlier version, and moves it over on purpose. */
function EarlierVersion({
  childId,
  ladder,
  mayMove,
}: {
  readonly childId: string;
  readonly ladder: ChildLadder;
  readonly mayMove: boolean;
}) {
  const move = useMoveOver(childId);
  return (
    <Box sx={{ border: `1px solid ${palette.line}`, borderRadius: '6px', p: 1.25, mt: 1, fontSize: 14 }}>
      <Trans>
        It finishes the grade it began on version {ladder.syllabus.version} of this ladder; the newest is version {ladder.newestVersion}.
      </Trans>
      <Refused error={move.error} />
      {mayMove && (
        <Button
          variant="outlined"
          size="small"
          sx={{ mt: 1 }}
          disabled={move.isPending}
          onClick={() => {
            move.mutate(ladder.programme);
          }}
        >
          <Trans>Move over to version {ladder.newestVersion}</Trans>
        </Button>
      )}
    </Box>
  );
}

function NextGrade({
  verdict,
  page,
  library,
  today,
  children,
}: {
  readonly verdict: Verdict;
  readonly page: ChildPageResponse;
  readonly library: Library;
  readonly today: Day;
  /** When it will be there. */
  readonly children: ReactNode;
}) {
  const open = verdict.standings.filter((standing) => !isMet(standing)).length;
  const others = verdict.missing.filter(({ kind }) => kind !== 'requirement');
  return (
    <>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {verdict.earned
          ? t`${verdict.grade.name} is earned`
          : t`Towards ${verdict.grade.name}: ${open === 0 ? t`all shown` : t`${plural(open, { one: '# thing', other: '# things' })} still to see`}`}
      </Typography>
      {children}
      {others.map((one) => (
        <Typography key={one.kind} sx={{ color: palette.caution, mb: 0.5 }}>
          {missingWords(one)}
        </Typography>
      ))}
      <Box
        component="ul"
        aria-label={t`Requirements of ${verdict.grade.name}`}
        sx={{ listStyle: 'none', m: 0, p: 0, borderBottom: `1px solid ${palette.line}` }}
      >
        {verdict.standings.map((standing) => (
          <RequirementLine
            key={standing.requirement.id}
            standing={standing}
            movement={library.get(standing.requirement.movement)}
            today={today}
          />
        ))}
      </Box>
      <Bests observations={page.observations} library={library} asked={verdict.standings.map(({ requirement }) => requirement)} />
    </>
  );
}

/** When the next grade will likely be there, and what it hangs on; as the board of the group has it. */
function Foreseen({
  childId,
  groupId,
  library,
  today,
}: {
  readonly childId: string;
  readonly groupId: string;
  readonly library: Library;
  readonly today: Day;
}) {
  const board = useGroupBoard(groupId).data;
  const forecast = board?.rows.find((row) => row.childId === childId)?.forecast;
  if (!board || !forecast) return null;
  const requirement = board.columns
    .flatMap(({ requirements }) => requirements)
    .find(({ id }) => forecast.kind === 'span' && id === forecast.hangsOn);
  const last = requirement && (library.get(requirement.movement)?.name ?? requirement.movement);
  const words = forecastWords(forecast, today);
  return (
    <Typography sx={{ mb: 1 }}>
      {words.charAt(0).toUpperCase() + words.slice(1)}
      {forecast.kind === 'span' && (
        <span style={{ color: palette.soft }}>
          {' – '}
          {last ? t`what likely comes last: ${last}` : t`it waits for weeks, classes or age`}
        </span>
      )}
    </Typography>
  );
}

function missingWords(missing: Missing): string {
  switch (missing.kind) {
    case 'weeks-in-grade':
      return t`${missing.have} of ${plural(missing.need, { one: '# week', other: '# weeks' })} in the grade`;
    case 'classes':
      return t`${missing.have} of ${plural(missing.need, { one: '# class', other: '# classes' })} attended`;
    case 'age':
      return t`From ${missing.need} years on; now ${missing.have}`;
    case 'requirement':
      return '';
  }
}

export { ChildPage as Page };
